import { BENCH_FAMILIES, BenchVehicle, Driver, type BenchFamily } from '@white-ember/core/bench';
import { drivenVehicle } from '@white-ember/core/testing';
import type { Row } from './bench.ts';

const VEHICLES = 400;
const REAL_TIMES = 500;

function timesRealTime(family: BenchFamily): number {
  const vehicle = new BenchVehicle({ family, seed: 3 });
  const driver = new Driver(vehicle);
  driver.follow({ do: 'key-on' }, 3);
  driver.follow({ do: 'start' }, 2);
  const start = performance.now();
  driver.follow({ do: 'hold', rpm: 0.55 * family.governedRpm }, 300);
  driver.follow({ do: 'cruise', kmPerH: 60 }, 300);
  return 600 / ((performance.now() - start) / 1000);
}

/** How much faster than the clock the slowest family of the bench runs, in one thread; the better of two runs of each. */
function measureSpeed(): Row {
  const speeds = BENCH_FAMILIES.map((family) => Math.max(timesRealTime(family), timesRealTime(family)));
  const slowest = Math.min(...speeds);
  return {
    what: `Bench vehicle at 20 ms steps, the slowest of ${BENCH_FAMILIES.length} families`,
    measured: `${Math.round(slowest)} × real time`,
    against: `at least ${REAL_TIMES} × real time in one thread`,
    ratio: REAL_TIMES / slowest,
  };
}

/** Two simulated hours: what is alive must not grow. */
function measureMemory(): Row {
  const vehicle = new BenchVehicle({ family: BENCH_FAMILIES[3] as BenchFamily, seed: 5 });
  const driver = new Driver(vehicle);
  driver.follow({ do: 'key-on' }, 3);
  driver.follow({ do: 'start' }, 2);
  const alive = (): number => {
    globalThis.gc?.();
    return process.memoryUsage().heapUsed / 1e6;
  };
  driver.follow({ do: 'idle' }, 60);
  const before = alive();
  driver.follow({ do: 'cruise', kmPerH: 70 }, 7200);
  const grown = Math.max(0, alive() - before);
  return {
    what: 'Memory of a simulated vehicle over two simulated hours',
    measured: `${grown.toFixed(2)} MB more alive`,
    against: 'flat: at most 1 MB more',
    ratio: grown,
  };
}

/** Random vehicles with one to three faults, driven through the guided baseline: does the log show what it must? */
function measureClosedLoop(): Row[] {
  let [required, found, healthy, alarms, incomplete] = [0, 0, 0, 0, 0];
  for (let seed = 1; seed <= VEHICLES; seed++) {
    const driven = drivenVehicle(seed);
    required += driven.required.length;
    const missed = driven.required.filter((id) => !driven.found.includes(id));
    found += driven.required.length - missed.length;
    if (driven.healthy) healthy++;
    const alarmed = driven.healthy && driven.found.length > 0;
    if (alarmed) alarms++;
    if (!driven.complete) incomplete++;
    if (missed.length > 0 || alarmed || !driven.complete) {
      process.stderr.write(
        `${driven.about}: missed ${missed.join(' ') || 'none'}, found ${driven.found.join(' ')}${driven.complete ? '' : ', baseline not completed'}\n`,
      );
    }
  }
  const share = found / required;
  return [
    {
      what: `Findings that the faults of ${VEHICLES} random simulated vehicles must cause in a guided baseline`,
      measured: `${found} of ${required}, ${(100 * share).toFixed(1)} %; ${incomplete} baselines not completed`,
      against: 'at least 95 %',
      ratio: 0.95 / share,
    },
    {
      what: `Of these, healthy vehicles with a finding`,
      measured: `${alarms} of ${healthy}`,
      against: 'none',
      ratio: alarms === 0 ? 0 : 2,
    },
  ];
}

export const measureBenchVehicles = (): Row[] => [measureSpeed(), measureMemory(), ...measureClosedLoop()];
