import { describeFailure, asSentence, say, type Said } from '../../words/index.ts';
import { median } from '../../quantities/index.ts';
import { against, between, NOTHING, type CheckCard, type Figure, type NumberField } from '../card.ts';
import { itself, mostly } from '../grades.ts';
import { meteredC, THERMOMETER_KINDS, type ThermometerKind } from '../measuring/thermometers.ts';
import { positionsByWarming } from '../measuring/warmingOrder.ts';

const NUMBERS = [1, 2, 3, 4] as const;
type EgtPart = 'egt1' | 'egt2' | 'egt3' | 'egt4';
const part = (number: (typeof NUMBERS)[number]): EgtPart => `egt${number}`;

const CELSIUS = between(-45, 1200, say('checks.is-it-in-the-unit-that'));
const AMBIENT = between(-40, 55, say('checks.is-it-the-air-around'));

const egtField = (number: (typeof NUMBERS)[number]): NumberField => ({
  kind: 'number',
  id: `egt${number}C`,
  label: say('checks.egt', { number }),
  unit: 'degC',
  live: part(number),
  possible: CELSIUS,
});

/** After a night every thermometer of the vehicle shows the same. */
const coldSoak: CheckCard = {
  id: 'egt-cold-soak',
  about: ['egt1', 'egt2', 'egt3', 'egt4'],
  outcomes: {
    'soak-egt1': { why: 'it reads wrong', leak: 0.004, shows: { 'egt1-failed': mostly } },
    'soak-egt2': { why: 'it reads wrong', leak: 0.004, shows: { 'egt2-failed': mostly } },
    'soak-egt3': { why: 'it reads wrong', leak: 0.004, shows: { 'egt3-failed': mostly } },
    'soak-egt4': { why: 'it reads wrong', leak: 0.004, shows: { 'egt4-failed': mostly } },
  },
  otherwise: 'soak-alike',
  minutes: 4,
  cost: 0,
  by: 'looked',
  needs: ['scan-tool', 'cold-engine'],
  cautions: [],
  steps: [say('checks.engine-off-for-six'), say('checks.read-all-egts-coolant-intake')],
  fields: [
    {
      kind: 'number',
      id: 'hours',
      label: say('checks.stood'),
      suffix: 'h',
      possible: between(0, 2000, 'Hours?'),
    },
    ...NUMBERS.map(egtField),
    {
      kind: 'number',
      id: 'coolantC',
      label: say('checks.coolant'),
      unit: 'degC',
      live: 'coolantTemp',
      possible: CELSIUS,
    },
    {
      kind: 'number',
      id: 'intakeC',
      label: say('checks.intake-air'),
      unit: 'degC',
      live: 'intakeAirTemp',
      possible: CELSIUS,
    },
    {
      kind: 'number',
      id: 'ambientC',
      label: say('checks.ambient'),
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
        sentences: egts.length === 0 ? [] : [say('checks.three-temperatures-or-more')],
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
        against(say('checks.egt-off-the-median', { number }), by, { unit: 'degC', low: -limit, high: limit }),
      ),
      sentences: [
        short
          ? say('checks.parked-only-h-the-exhaust', { hours })
          : warm
            ? say('checks.the-coolant-differs')
            : off.some(({ by }) => Math.abs(by) > limit)
              ? say('checks.on-a-cold-vehicle')
              : say('checks.all-alike'),
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

const KIND_LABELS: Record<ThermometerKind, Said> = {
  platinum: say('checks.platinum-200-at-0-c'),
  ntc: say('checks.ntc-fall-with-heat'),
  thermocouple: say('checks.thermocouple-type-n-mv'),
};

const isKind = (text: Said | undefined): text is ThermometerKind =>
  THERMOMETER_KINDS.some((kind) => kind === text);

/** Ω or mV at the sensor's own plug against the temperature that it stands in. */
const resistance: CheckCard = {
  id: 'egt-resistance',
  about: ['egt1', 'egt2', 'egt3', 'egt4'],
  outcomes: {
    'egt1-bad': { why: 'the sensor itself', leak: 0.0002, shows: { 'egt1-failed': itself } },
    'egt2-bad': { why: 'the sensor itself', leak: 0.0002, shows: { 'egt2-failed': itself } },
    'egt3-bad': { why: 'the sensor itself', leak: 0.0002, shows: { 'egt3-failed': itself } },
    'egt4-bad': { why: 'the sensor itself', leak: 0.0002, shows: { 'egt4-failed': itself } },
  },
  otherwise: 'egt-good',
  minutes: 12,
  cost: 2,
  by: 'measured',
  needs: ['multimeter', 'contact-thermometer'],
  cautions: ['hot'],
  harm: say('checks.measure-at-the-plug-do'),
  steps: [
    say('checks.find-its-type-first-rising'),
    say('checks.plug-off-meter-across'),
    say('checks.an-ntc-has-a-makers'),
  ],
  fields: [
    {
      kind: 'choice',
      id: 'kind',
      label: say('checks.kind-of-sensor'),
      options: THERMOMETER_KINDS.map((kind) => [kind, KIND_LABELS[kind]] as const),
    },
    {
      kind: 'number',
      id: 'ambientC',
      label: say('checks.air-at-the-plug'),
      unit: 'degC',
      live: 'ambientTemp',
      possible: AMBIENT,
    },
    {
      kind: 'rows',
      id: 'readings',
      label: say('checks.at-each-plug'),
      columns: [
        { label: say('checks.egt-2'), possible: between(1, 4, say('checks.egt-1-to-4')) },
        { label: say('checks.or-mv'), possible: between(-20, 1e9, say('checks.is-the-meter-on-the-right')) },
        {
          label: say('checks.beside-its-boss'),
          unit: 'degC',
          possible: between(-40, 900, say('checks.is-it-in-c')),
        },
      ],
      start: [1, 2, 3, 4],
    },
  ],
  judge: (read, { limits }) => {
    const kind = read.choice('kind');
    const rows = read.rows('readings');
    if (!isKind(kind) || rows.length === 0)
      return { ...NOTHING, sentences: rows.length > 0 ? [say('checks.state-the-sensor-type-first')] : [] };
    const ambient = read.number('ambientC') ?? 20;
    const limit = limits.egtCurveC;
    const findings: Record<string, boolean> = {};
    const figures: Figure[] = [];
    const sentences: Said[] = [];
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
          against(say('checks.egt-its-curve-less', { its }), shown.value - trueC, {
            unit: 'degC',
            low: -limit,
            high: limit,
          }),
        );
      else
        sentences.push(say('checks.egt-is-off-the-whole', { its, reading: Number(reading.toPrecision(3)) }));
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
  about: ['egt1', 'egt2', 'egt3', 'egt4'],
  outcomes: {},
  otherwise: 'positions-known',
  minutes: 15,
  cost: 0,
  by: 'looked',
  needs: ['scan-tool', 'cold-engine'],
  cautions: ['running-engine'],
  steps: [
    say('checks.start-cold-heat-comes'),
    say('checks.for-each-channel-note-when'),
    say('checks.or-unplug-one-sensor-ignition'),
  ],
  fields: [
    {
      kind: 'rows',
      id: 'rises',
      label: say('checks.warming-from-cold'),
      columns: [
        { label: say('checks.channel-egt'), possible: between(1, 4, say('checks.egt-1-to-4')) },
        {
          label: say('checks.risen-by-20-c-after'),
          unit: 's',
          possible: between(0, 3600, say('checks.seconds-from-the-start')),
        },
      ],
      start: [1, 2, 3, 4],
    },
  ],
  judge: (read) => {
    const rises = read.rows('rises', [1]);
    if (rises.length < 2) return NOTHING;
    const found = positionsByWarming(rises.map(([channel = 0, risesAtS]) => ({ channel, risesAtS })));
    if (!found.ok) return { ...NOTHING, sentences: [asSentence(describeFailure(found.failure))] };
    const swapped = found.value.filter(({ channel, position: place }, i, all) => {
      const expected = [...all].map((one) => one.channel).sort((a, b) => a - b)[i];
      return expected !== channel && place > 0;
    });
    return {
      findings: {},
      figures: found.value.map(({ channel, position: place }) => ({
        label: say('checks.channel-egt-sits-in-place', { channel }),
        value: place,
        suffix: say('checks.from-the-engine'),
        state: 'plain' as const,
      })),
      sentences: [
        swapped.length === 0
          ? say('checks.numbering-runs-outward')
          : say('checks.numbering-does-not-run-outward'),
      ],
    };
  },
};

export const TEMPERATURE_CARDS: readonly CheckCard[] = [coldSoak, resistance, position];
