import { plainLabel } from '../quantities/index.ts';
import type { LinkChannel, LinkReading } from './scanLink.ts';

/** Heading of the channel in a recorded file. */
export const channelHeading = ({ name, unitId }: LinkChannel): string =>
  unitId === undefined ? name : `${name} (${plainLabel(unitId)})`;

/** Facts about the vehicle that a recording states at its head. */
export interface RecordingFacts {
  readonly vehicle: string;
  readonly displacementL?: number | undefined;
}

/**
 * A recording as the text of a log, row by row as readings come, so that what has been written is whole whenever it ends:
 * a time and one reading a row, under headings with units. The reader of logs takes it like any other file.
 */
export class RecordingText {
  readonly #channels: readonly LinkChannel[];
  readonly #facts: RecordingFacts;
  readonly #place: ReadonlyMap<string, number>;
  #startS: number | undefined;

  constructor(channels: readonly LinkChannel[], facts: RecordingFacts) {
    this.#channels = channels;
    this.#facts = facts;
    this.#place = new Map(channels.map(({ id }, i) => [id, i]));
  }

  get head(): string {
    const { vehicle, displacementL } = this.#facts;
    return [
      `# Vehicle: ${vehicle}`,
      ...(displacementL === undefined ? [] : [`# Displacement: ${displacementL.toFixed(1)} L`]),
      ['Time (s)', ...this.#channels.map(channelHeading)].join(','),
      '',
    ].join('\n');
  }

  /** Rows of these readings; times count from the first one. */
  rows(readings: readonly LinkReading[]): string {
    let text = '';
    for (const { id, timeS, value } of readings) {
      const place = this.#place.get(id);
      if (place === undefined) continue;
      this.#startS ??= timeS;
      text += `${(timeS - this.#startS).toFixed(3)}${','.repeat(place + 1)}${value}${','.repeat(this.#channels.length - place - 1)}\n`;
    }
    return text;
  }
}
