import type { Quantity, Unit } from '../quantities/index.ts';

export interface ChannelRoleDefinition {
  readonly label: string;
  readonly quantity: Quantity;
  /** Base unit in which core keeps it. */
  readonly unit: Unit;
  /** Range of plausible values in the base unit, for judging a unit that the file does not state. */
  readonly low: number;
  readonly high: number;
  /** Headings as scan tools write them, folded to plain lower case (see `foldName`). The first that matches ranks highest. */
  readonly names: readonly RegExp[];
  /** Headings that look like it and are not. */
  readonly not?: RegExp;
}
