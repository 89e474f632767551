import type { PartId } from '@white-ember/core/ledger';

export const LINE_WIDTH = 1240;
export const LINE_HEIGHT = 168;
export const AXIS_Y = 100;
const MARGIN = 34;

export type BodyId = 'engine' | 'turbine' | 'catalyst' | 'filter' | 'scr' | 'silencer' | 'tail';

/** Share of the strip and half height of each body, in the order of the gas. */
const BODIES: readonly (readonly [BodyId, number, number])[] = [
  ['engine', 1.05, 30],
  ['turbine', 1.1, 28],
  ['catalyst', 1.5, 26],
  ['filter', 2.5, 32],
  ['scr', 1.25, 23],
  ['silencer', 1.15, 21],
  ['tail', 0.75, 7],
];

export interface Body {
  readonly id: BodyId;
  readonly left: number;
  readonly right: number;
  readonly slotLeft: number;
  readonly slotRight: number;
  readonly half: number;
}

/** Places the bodies that this vehicle has; engine, filter and tail always stand. */
export function layOut(fitted: readonly PartId[]): Body[] {
  const shown = BODIES.filter(
    ([id]) => id === 'engine' || id === 'filter' || id === 'tail' || fitted.includes(id),
  );
  const total = shown.reduce((sum, [, share]) => sum + share, 0);
  const unit = (LINE_WIDTH - 2 * MARGIN) / total;
  let x = MARGIN;
  return shown.map(([id, share, half]) => {
    const width = share * unit;
    const inset = id === 'tail' ? 0 : id === 'engine' ? width * 0.1 : width * 0.17;
    const body = {
      id,
      half,
      slotLeft: x,
      slotRight: x + width,
      left: id === 'engine' ? x : x + inset,
      right: id === 'tail' ? x + width : x + width - inset,
    };
    x += width;
    return body;
  });
}

/** Outline of the whole line as one closed path: pipe, cones, bricks. */
export function outline(bodies: readonly Body[]): string {
  const pipe = 7;
  const cone = 22;
  const top: string[] = [];
  const bottom: string[] = [];
  const add = (x: number, half: number): void => {
    top.push(`${x.toFixed(1)} ${(AXIS_Y - half).toFixed(1)}`);
    bottom.unshift(`${x.toFixed(1)} ${(AXIS_Y + half).toFixed(1)}`);
  };
  for (const body of bodies) {
    if (body.id === 'engine') {
      add(body.left, body.half);
      add(body.right, body.half);
      add(body.right, 13);
    } else if (body.id === 'turbine') {
      add(body.left - 4, 13);
      add(body.left - 4, pipe + 4);
      const middle = (body.left + body.right) / 2;
      for (let i = 0; i <= 12; i++) {
        const angle = Math.PI - (Math.PI * i) / 12;
        add(
          middle + Math.cos(angle) * (body.right - body.left) * 0.42,
          pipe + Math.sin(angle) * (body.half - pipe),
        );
      }
    } else if (body.id === 'tail') {
      add(body.left, pipe);
      add(body.right, pipe);
    } else {
      add(body.left - 2, pipe);
      add(body.left + cone - 2, body.half);
      add(body.right - cone + 2, body.half);
      add(body.right + 2, pipe);
    }
  }
  return `M${[...top, ...bottom].join(' L')} Z`;
}
