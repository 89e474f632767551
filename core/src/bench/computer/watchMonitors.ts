import type { FreezeFrame } from '../../link/index.ts';
import type { Computer, StoredCode } from './computer.ts';
import { temperOf, type Temper, type TemperId } from './temper.ts';
import { type Watched, MONITORS, type Monitor } from './monitors.ts';

/** A second of every self-test. Codes come after their time, heal to stored after three times that, and are never lost. */
export function watch(seen: Watched, frame: () => FreezeFrame, seconds: number): void {
  const { computer } = seen;
  const { patience, without } = computer.temper;
  for (const monitor of MONITORS) {
    if (without.has(monitor.code)) continue;
    const present = monitor.when(seen);
    const stored = computer.codes.get(monitor.code);
    const stood = present ? (computer.standing.get(monitor.code) ?? 0) + seconds : 0;
    if (present) computer.standing.set(monitor.code, stood);
    else computer.standing.delete(monitor.code);
    if (present && stood >= patience * monitor.forS) note(computer, monitor, stored, stood, frame);
    else if (stored && !present) heal(computer, stored, monitor, seconds);
  }
  if (seen.running && seen.flowShare > 0.4)
    for (const [name, s] of computer.readiness) computer.readiness.set(name, s + seconds);
  computer.powerLimit = Math.min(
    1,
    ...MONITORS.filter(
      ({ code, power }) => power !== undefined && computer.codes.get(code)?.present === true,
    ).map(({ power }) => power as number),
  );
}

function note(
  computer: Computer,
  monitor: Monitor,
  stored: StoredCode | undefined,
  stood: number,
  frame: () => FreezeFrame,
): void {
  const confirmed = stood >= 2 * computer.temper.patience * monitor.forS;
  if (!stored) {
    computer.codes.set(monitor.code, {
      code: monitor.code,
      status: 'pending',
      sinceS: 0,
      present: true,
      occurrences: 1,
      freezeFrame: undefined,
    });
    return;
  }
  if (!stored.present) stored.occurrences += 1;
  stored.present = true;
  stored.sinceS = stood;
  if (confirmed && stored.status !== 'confirmed') {
    stored.status = 'confirmed';
    stored.freezeFrame ??= frame();
  }
}

function heal(computer: Computer, stored: StoredCode, monitor: Monitor, seconds: number): void {
  if (stored.present) {
    stored.present = false;
    stored.sinceS = 0;
  }
  stored.sinceS += seconds;
  if (stored.sinceS < Math.max(10, 3 * monitor.forS)) return;
  if (stored.status === 'pending') computer.codes.delete(stored.code);
  else stored.status = 'stored';
}

/** The ECU of one vehicle among those of a kind. */
export const computerOf = (id: TemperId, seed: number): Temper =>
  temperOf(
    id,
    seed,
    MONITORS.map(({ code, circuit: its }) => ({ code, circuit: its === true })),
  );

/** A self-test is ready once it has had a minute at flow since the codes were cleared. */
export const isReady = (seconds: number): boolean => seconds >= 60;
