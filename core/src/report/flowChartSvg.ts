import { say, type Words } from '../words/index.ts';
import type { CurvePoint, FlowPicture, SideName } from '../proof/index.ts';
import { fromBase, toBase } from '../quantities/index.ts';

export interface ChartLook {
  readonly width: number;
  readonly height: number;
  readonly font: string;
  readonly ink: string;
  readonly ink2: string;
  readonly rule: string;
  readonly paper: string;
  readonly tones: Readonly<Record<SideName, string>>;
}

const MARGIN = { left: 46, right: 62, top: 10, bottom: 38 } as const;
const LABEL_GAP = 13;
/** At most so many marks of a cloud are drawn: more lie over each other anyway. */
const MOST_MARKS = 120;

/** Round steps of an axis that goes up to `most`. Worked value: 96 → 20, so 0, 20 … 80. */
function ticksUpTo(most: number, wanted: number): number[] {
  const rough = most / wanted;
  const power = 10 ** Math.floor(Math.log10(rough));
  const step = power * ([1, 2, 5, 10].find((factor) => factor * power >= rough) ?? 10);
  return Array.from({ length: Math.floor(most / step) + 1 }, (_, i) => Number((i * step).toPrecision(6)));
}

const escaped = (text: string): string =>
  text.replaceAll('&', '&amp;').replaceAll('<', '&lt;').replaceAll('>', '&gt;');
const at = (value: number): string => value.toFixed(1);

/**
 * ΔP against exhaust flow as an SVG of its own: curves of the filter behind, both clouds with their fitted curves, and the fall at equal
 * flow. For paper and PDF, where it stays vectors with text that can be selected.
 */
export function flowChartSvg(picture: FlowPicture, words: Words, look: ChartLook): string {
  const { pressure: unit, volumeFlow } = words.units;
  const mostFlow = fromBase(picture.maxFlow, volumeFlow);
  const { width, height, font, ink, ink2, rule, paper, tones } = look;
  const right = width - MARGIN.right;
  const bottom = height - MARGIN.bottom;
  const most = fromBase(picture.maxMbar, unit);
  const x = (flow: number): number => MARGIN.left + ((right - MARGIN.left) * flow) / picture.maxFlow;
  const y = (mbar: number): number => bottom - ((bottom - MARGIN.top) * fromBase(mbar, unit)) / most;
  const text = (
    px: number,
    py: number,
    written: string,
    { size = 9, anchor = 'start', tone = ink2, bold = false } = {},
  ): string =>
    `<text x="${at(px)}" y="${at(py)}" font-family="${font}" font-size="${size}"${bold ? ' font-weight="bold"' : ''} text-anchor="${anchor}" fill="${tone}">${escaped(written)}</text>`;
  const path = (points: readonly CurvePoint[]): string => {
    const inside = points.filter(({ dpMbar }) => dpMbar <= picture.maxMbar);
    return inside.map((p, i) => `${i === 0 ? 'M' : 'L'}${at(x(p.flowM3PerH))} ${at(y(p.dpMbar))}`).join(' ');
  };
  const parts: string[] = [];
  for (const tick of ticksUpTo(most, 6)) {
    const py = bottom - ((bottom - MARGIN.top) * tick) / most;
    parts.push(
      `<line x1="${MARGIN.left}" y1="${at(py)}" x2="${at(right)}" y2="${at(py)}" stroke="${rule}" stroke-width="0.7"/>`,
      text(MARGIN.left - 5, py + 3, words.number(tick), { anchor: 'end' }),
    );
  }
  for (const tick of ticksUpTo(mostFlow, 6))
    parts.push(text(x(toBase(tick, volumeFlow)), bottom + 13, words.number(tick), { anchor: 'middle' }));
  parts.push(
    `<path d="M${MARGIN.left} ${MARGIN.top} L${MARGIN.left} ${at(bottom)} L${at(right)} ${at(bottom)}" fill="none" stroke="${ink}" stroke-width="1"/>`,
    text(right, bottom + 28, words.say(say('chart.flow-axis', { temperatureC: picture.temperatureC })), {
      anchor: 'end',
    }),
    text(2, MARGIN.top + 6, words.say(say('chart.pressure-axis'))),
  );
  const ends: { py: number; written: string; tone: string; bold: boolean }[] = [];
  const endOf = (points: readonly CurvePoint[], written: string, tone: string, bold: boolean): void => {
    const inside = points.filter(({ dpMbar }) => dpMbar <= picture.maxMbar);
    const last = inside.at(-1);
    if (last && (bold || inside.length === points.length))
      ends.push({ py: y(last.dpMbar), written, tone, bold });
  };
  picture.ground.forEach(({ label, points }, i) => {
    parts.push(
      `<path d="${path(points)}" fill="none" stroke="${ink2}" stroke-width="${i === 0 ? 1.2 : 0.7}"${i === 0 ? '' : ' stroke-dasharray="3 3"'}/>`,
    );
    endOf(points, words.say(label), ink2, false);
  });
  for (const { name, cloud, curve } of picture.sides) {
    const tone = tones[name];
    if (curve) {
      parts.push(`<path d="${path(curve.points)}" fill="none" stroke="${tone}" stroke-width="1.8"/>`);
      endOf(curve.points, words.say(say(`chart.${name}`)), tone, true);
    }
    const every = Math.max(1, Math.ceil(cloud.length / MOST_MARKS));
    for (const point of cloud.filter((_, i) => i % every === 0)) {
      const [px, py] = [x(point.flowM3PerH), y(point.dpMbar)];
      parts.push(
        name === 'before'
          ? `<path d="M${at(px - 2.4)} ${at(py - 2.4)} L${at(px + 2.4)} ${at(py + 2.4)} M${at(px + 2.4)} ${at(py - 2.4)} L${at(px - 2.4)} ${at(py + 2.4)}" stroke="${tone}" stroke-width="0.9"/>`
          : `<circle cx="${at(px)}" cy="${at(py)}" r="2" fill="${tone}"/>`,
      );
    }
  }
  parts.push(...fallOf(picture, { x, y, ink, paper, text }));
  // Words at the ends of the curves, moved apart where they would touch.
  ends.sort((a, b) => a.py - b.py);
  ends.forEach((end, i) => {
    const above = ends[i - 1];
    if (above && end.py - above.py < LABEL_GAP) end.py = above.py + LABEL_GAP;
  });
  ends.toReversed().forEach((end, i, all) => {
    const below = all[i - 1];
    end.py = Math.min(end.py, below ? below.py - LABEL_GAP : bottom);
  });
  for (const { py, written, tone, bold } of ends)
    parts.push(text(right + 5, py + 3, written, { tone, bold, size: bold ? 11 : 9 }));
  return `<svg xmlns="http://www.w3.org/2000/svg" width="${width}" height="${height}" viewBox="0 0 ${width} ${height}">${parts.join('')}</svg>`;
}

interface Canvas {
  readonly x: (flow: number) => number;
  readonly y: (mbar: number) => number;
  readonly ink: string;
  readonly paper: string;
  readonly text: (
    px: number,
    py: number,
    words: string,
    style: { size?: number; anchor?: string; tone?: string; bold?: boolean },
  ) => string;
}

/** The arrow from before to after at the flow at which they are compared, with what it comes to. */
function fallOf({ equalFlow, removedPercent }: FlowPicture, { x, y, ink, paper, text }: Canvas): string[] {
  if (!equalFlow || removedPercent === undefined) return [];
  const px = x(equalFlow.flowM3PerH);
  const [from, to] = [y(equalFlow.beforeMbar), y(equalFlow.afterMbar)];
  if (Math.abs(to - from) < 18) return [];
  const way = Math.sign(to - from);
  const words = `${removedPercent >= 0 ? '−' : '+'}${Math.abs(Math.round(removedPercent))} %`;
  const middle = from + (to - from) * 0.6;
  return [
    `<path d="M${at(px)} ${at(from + way * 3)} L${at(px)} ${at(to - way * 3)} M${at(px - 4)} ${at(to - way * 9)} L${at(px)} ${at(to - way * 3)} L${at(px + 4)} ${at(to - way * 9)}" fill="none" stroke="${ink}" stroke-width="1.6"/>`,
    `<rect x="${at(px - 54)}" y="${at(middle - 10)}" width="46" height="19" fill="${paper}"/>`,
    text(px - 10, middle + 5, words, { size: 15, anchor: 'end', tone: ink, bold: true }),
  ];
}
