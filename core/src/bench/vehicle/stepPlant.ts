import type { BenchFamily } from '../families.ts';
import { breathe, stepAirPath, turbine } from './airPath.ts';
import { stepEngine } from './engine.ts';
import { stepEgtTips, stepExhaustLine, stepFilterBed } from './exhaustLine.ts';
import { stepPipes } from './pipes.ts';
import type { Commands, Controls, Plant } from './plant.ts';
import { linePressures, type LineState } from './pressures.ts';
import type { Scale } from './scale.ts';
import { stepServices } from './services.ts';
import type { Wear } from './wear.ts';

/** One step of the whole vehicle, in the order in which the gas passes it. At most 0.02 s. */
export function stepPlant(
  family: BenchFamily,
  scale: Scale,
  plant: Plant,
  controls: Controls,
  commands: Commands,
  wear: Wear,
  stepS: number,
  line: LineState,
): void {
  breathe(family, scale, plant, wear);
  stepEngine(family, plant, controls, commands, wear, stepS);
  stepExhaustLine(family, scale, plant, commands, wear, stepS);
  stepFilterBed(family, plant, wear, stepS);
  linePressures(family, scale, plant, wear, line);
  turbine(scale, plant, stepS);
  stepAirPath(family, scale, plant, commands, wear, stepS);
  stepPipes(family, plant, wear, stepS);
  stepEgtTips(scale, plant, wear, stepS);
  stepServices(family, scale, plant, commands, wear, controls.ignition === 'on', stepS);
  plant.timeS += stepS;
  if (plant.engine.running) plant.runningS += stepS;
}
