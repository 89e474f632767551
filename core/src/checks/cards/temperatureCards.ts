import { median } from '../../quantities/index.ts';
import { against, between, NOTHING, type CheckCard, type Figure, type NumberField } from '../card.ts';
import { meteredC, THERMOMETER_KINDS, type ThermometerKind } from '../measuring/thermometers.ts';
import { positionsByWarming } from '../measuring/warmingOrder.ts';

const NUMBERS = [1, 2, 3, 4] as const;
type EgtPart = 'egt1' | 'egt2' | 'egt3' | 'egt4';
const part = (number: (typeof NUMBERS)[number]): EgtPart => `egt${number}`;

const CELSIUS = between(
  -45,
  1200,
  'Is it in the unit that is shown? An open circuit shows the end of its scale: enter that.',
);
const AMBIENT = between(-40, 55, 'Is it the air around the vehicle?');

const egtField = (number: (typeof NUMBERS)[number]): NumberField => ({
  kind: 'number',
  id: `egt${number}C`,
  label: `EGT ${number}`,
  unit: 'degC',
  live: part(number),
  possible: CELSIUS,
});

/** After a night every thermometer of the vehicle shows the same. */
const coldSoak: CheckCard = {
  id: 'egt-cold-soak',
  outcomes: NUMBERS.map((number) => `soak-egt${number}`),
  otherwise: 'soak-alike',
  minutes: 4,
  cost: 0,
  by: 'looked',
  needs: ['scan-tool', 'cold-engine'],
  cautions: [],
  steps: [
    'Engine off for six to eight hours, out of the sun. Ignition on, do not start.',
    'Read all EGTs, coolant, intake and ambient.',
  ],
  fields: [
    {
      kind: 'number',
      id: 'hours',
      label: 'Stood for',
      suffix: 'h',
      possible: between(0, 2000, 'Hours?'),
    },
    ...NUMBERS.map(egtField),
    {
      kind: 'number',
      id: 'coolantC',
      label: 'Coolant',
      unit: 'degC',
      live: 'coolantTemp',
      possible: CELSIUS,
    },
    {
      kind: 'number',
      id: 'intakeC',
      label: 'Intake air',
      unit: 'degC',
      live: 'intakeAirTemp',
      possible: CELSIUS,
    },
    {
      kind: 'number',
      id: 'ambientC',
      label: 'Ambient',
      unit: 'degC',
      live: 'ambientTemp',
      possible: AMBIENT,
    },
  ],
  judge: (read, { limits }) => {
    const egts = NUMBERS.flatMap((number) => {
      const value = read.number(`egt${number}C`);
      return value === undefined ? [] : [{ number, value }];
    });
    const others = ['coolantC', 'intakeC', 'ambientC'].flatMap((id) => read.number(id) ?? []);
    const all = [...egts.map(({ value }) => value), ...others];
    const middle = median(all);
    if (egts.length === 0 || middle === undefined || all.length < 3)
      return {
        ...NOTHING,
        sentences: egts.length === 0 ? [] : ['Three temperatures or more are needed to find the odd one.'],
      };
    const limit = limits.egtColdMismatchC;
    const hours = read.number('hours');
    const short = hours !== undefined && hours < 6;
    const coolant = read.number('coolantC');
    const warm = coolant !== undefined && Math.abs(coolant - middle) > limit;
    const off = egts.map(({ number, value }) => ({ number, by: value - middle }));
    const undecided = short || warm;
    return {
      findings: undecided
        ? {}
        : Object.fromEntries(off.map(({ number, by }) => [`soak-egt${number}`, Math.abs(by) > limit])),
      notAsked: undecided
        ? []
        : NUMBERS.filter((number) => egts.every((egt) => egt.number !== number)).map(
            (number) => `soak-egt${number}`,
          ),
      figures: off.map(({ number, by }) =>
        against(`EGT ${number} off the median`, by, { unit: 'degC', low: -limit, high: limit }),
      ),
      sentences: [
        short
          ? `Parked only ${hours.toFixed(0)} h: the exhaust has not cooled through. No result.`
          : warm
            ? 'The coolant differs from the others: the engine was not cold. No result.'
            : off.some(({ by }) => Math.abs(by) > limit)
              ? 'On a cold vehicle, the odd one out reads wrong, whatever the code says.'
              : 'All alike.',
      ],
      ...(undecided
        ? {}
        : {
            parts: Object.fromEntries(
              off.map(({ number, by }) => [part(number), Math.abs(by) > limit ? 'failed' : 'sound']),
            ),
          }),
    };
  },
};

const KIND_LABELS: Record<ThermometerKind, string> = {
  platinum: 'platinum, 200 Ω at 0 °C (Ω rise with heat)',
  ntc: 'NTC (Ω fall with heat)',
  thermocouple: 'thermocouple type N (mV)',
};

const isKind = (text: string | undefined): text is ThermometerKind =>
  THERMOMETER_KINDS.some((kind) => kind === text);

/** Ω or mV at the sensor's own plug against the temperature that it stands in. */
const resistance: CheckCard = {
  id: 'egt-resistance',
  outcomes: NUMBERS.map((number) => `egt${number}-bad`),
  otherwise: 'egt-good',
  minutes: 12,
  cost: 2,
  by: 'measured',
  needs: ['multimeter', 'contact-thermometer'],
  cautions: ['hot'],
  harm: 'Measure at the plug. Do not turn a seized sensor for this: snapping it costs more than the job.',
  steps: [
    'Find its type first: Ω rising when warmed is platinum, Ω falling is NTC, tenths of a mV a thermocouple.',
    'Plug off, meter across its two pins. Contact thermometer beside the boss; best on a cold vehicle.',
    'An NTC has a maker’s table; this curve is a common one.',
  ],
  fields: [
    {
      kind: 'choice',
      id: 'kind',
      label: 'Kind of sensor',
      options: THERMOMETER_KINDS.map((kind) => [kind, KIND_LABELS[kind]] as const),
    },
    {
      kind: 'number',
      id: 'ambientC',
      label: 'Air at the plug',
      unit: 'degC',
      live: 'ambientTemp',
      possible: AMBIENT,
    },
    {
      kind: 'rows',
      id: 'readings',
      label: 'At each plug',
      columns: [
        { label: 'EGT', possible: between(1, 4, 'EGT 1 to 4.') },
        { label: 'Ω, or mV', possible: between(-20, 1e9, 'Is the meter on the right range?') },
        { label: 'Beside its boss', unit: 'degC', possible: between(-40, 900, 'Is it in °C?') },
      ],
      start: [1, 2, 3, 4],
    },
  ],
  judge: (read, { limits }) => {
    const kind = read.choice('kind');
    const rows = read.rows('readings');
    if (!isKind(kind) || rows.length === 0)
      return { ...NOTHING, sentences: rows.length > 0 ? ['State the sensor type first.'] : [] };
    const ambient = read.number('ambientC') ?? 20;
    const limit = limits.egtCurveC;
    const findings: Record<string, boolean> = {};
    const figures: Figure[] = [];
    const sentences: string[] = [];
    const parts: Partial<Record<EgtPart, 'failed' | 'sound'>> = {};
    for (const [number = 0, reading = 0, trueC = 0] of rows) {
      const its = NUMBERS.find((one) => one === number);
      if (!its) continue;
      const shown = meteredC(kind, reading, ambient);
      const bad = !shown.ok || Math.abs(shown.value - trueC) > limit;
      findings[`egt${its}-bad`] = bad;
      parts[part(its)] = bad ? 'failed' : 'sound';
      if (shown.ok)
        figures.push(
          against(`EGT ${its}: its curve less the boss`, shown.value - trueC, {
            unit: 'degC',
            low: -limit,
            high: limit,
          }),
        );
      else sentences.push(`EGT ${its}: ${reading.toPrecision(3)} is off the whole curve: open or shorted.`);
    }
    const notAsked = NUMBERS.filter((number) => findings[`egt${number}-bad`] === undefined).map(
      (number) => `egt${number}-bad`,
    );
    return { findings, figures, sentences, parts, notAsked };
  },
};

/** Which channel sits where: numbers and places differ by maker, and the wrong one gets changed. */
const position: CheckCard = {
  id: 'egt-position',
  outcomes: [],
  otherwise: 'positions-known',
  minutes: 15,
  cost: 0,
  by: 'looked',
  needs: ['scan-tool', 'cold-engine'],
  cautions: ['running-engine'],
  steps: [
    'Start cold. Heat comes from the engine: channels rise in their order along the line.',
    'For each channel, note when it has risen by 20 °C.',
    'Or unplug one sensor, ignition on, and see which channel jumps.',
  ],
  fields: [
    {
      kind: 'rows',
      id: 'rises',
      label: 'Warming from cold',
      columns: [
        { label: 'Channel EGT', possible: between(1, 4, 'EGT 1 to 4.') },
        { label: 'Risen by 20 °C after', unit: 's', possible: between(0, 3600, 'Seconds from the start?') },
      ],
      start: [1, 2, 3, 4],
    },
  ],
  judge: (read) => {
    const rises = read.rows('rises', [1]);
    if (rises.length < 2) return NOTHING;
    const found = positionsByWarming(rises.map(([channel = 0, risesAtS]) => ({ channel, risesAtS })));
    if (!found.ok) return { ...NOTHING, sentences: [`${found.failure.field} ${found.failure.requirement}.`] };
    const swapped = found.value.filter(({ channel, position: place }, i, all) => {
      const expected = [...all].map((one) => one.channel).sort((a, b) => a - b)[i];
      return expected !== channel && place > 0;
    });
    return {
      findings: {},
      figures: found.value.map(({ channel, position: place }) => ({
        label: `Channel EGT ${channel} sits in place`,
        value: place,
        suffix: 'from the engine',
        state: 'plain' as const,
      })),
      sentences: [
        swapped.length === 0
          ? 'Numbering runs outward from the engine.'
          : 'Numbering does not run outward: a code for one means the position shown here.',
      ],
    };
  },
};

export const TEMPERATURE_CARDS: readonly CheckCard[] = [coldSoak, resistance, position];
