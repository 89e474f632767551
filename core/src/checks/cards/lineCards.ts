import { say, type Said } from '../../words/index.ts';
import type { PartId, PartState } from '../../ledger/index.ts';
import { against, between, NOTHING, type CheckCard, type Figure } from '../card.ts';
import { itself, surely, mostly, often, atTimes, sometimes, seldom, hardly } from '../grades.ts';
import { sectionShares, type Section, type SectionReadings } from '../measuring/sections.ts';
import { gauge, GAUGE } from './gaugeCard.ts';

const SECTION_PART: Record<Section, PartId> = { catalyst: 'catalyst', filter: 'filter', behind: 'silencer' };
const SECTION_WORDS: Record<Section, Said> = {
  catalyst: say('checks.across-the-catalyst'),
  filter: say('checks.across-the-filter'),
  behind: say('checks.after-the-filter'),
};
const placeOf = (sections: readonly Section[]): Said =>
  sections.length === 3
    ? say('checks.across-the-whole-line')
    : say('checks.both-places', { places: sections.map((section) => SECTION_WORDS[section]) });

const sections: CheckCard = {
  id: 'sections',
  about: ['catalyst', 'filter', 'scr', 'silencer'],
  outcomes: {
    'section-catalyst': {
      why: 'gone with the line open before it',
      leak: 0.0002,
      shows: { 'catalyst-restricted': itself },
    },
    'section-behind': {
      why: 'gone with the line open there',
      leak: 0.0015,
      shows: {
        'downstream-restricted': itself,
        'injector-over-fuelling': seldom,
        'vanes-stuck:shut': seldom,
        'ash-full': hardly,
        'low-pipe-blocked': hardly,
        'short-trips': hardly,
      },
      hides: { 'egr-stuck-open': mostly },
    },
    'section-filter': {
      why: 'gone with the line open before it, not after',
      leak: 0.0015,
      shows: {
        'soot-loaded': itself,
        'ash-full': mostly,
        'injector-over-fuelling': atTimes,
        'short-trips': seldom,
        'egr-cooler-fouled': hardly,
      },
      hides: { 'filter-cracked': surely },
    },
  },
  otherwise: 'no-section',
  minutes: 30,
  cost: 4,
  by: 'gauged',
  needs: ['gauge', 'spanners'],
  cautions: ['hot', 'running-engine'],
  harm: say('checks.clamps-and-seals-that-come'),
  steps: [
    say('checks.gauge-after-the-turbo-one'),
    say('checks.line-closed-then-open-one'),
    say('checks.the-section-where-the-pressure'),
  ],
  fields: [
    {
      kind: 'number',
      id: 'rpm',
      label: say('checks.engine-speed-the-same'),
      unit: 'rpm',
      live: 'engineSpeed',
      possible: between(400, 6000, say('checks.is-the-engine-running')),
    },
    { kind: 'number', id: 'closedMbar', label: say('checks.line-closed'), unit: 'mbar', possible: GAUGE },
    {
      kind: 'number',
      id: 'afterFilterMbar',
      label: say('checks.open-after-the-filter'),
      unit: 'mbar',
      possible: GAUGE,
    },
    {
      kind: 'number',
      id: 'beforeFilterMbar',
      label: say('checks.open-before-the-filter'),
      unit: 'mbar',
      possible: GAUGE,
    },
    {
      kind: 'number',
      id: 'beforeCatalystMbar',
      label: say('checks.open-before-the-catalyst'),
      unit: 'mbar',
      possible: GAUGE,
    },
  ],
  judge: (read, { limits }) => {
    const closed = read.number('closedMbar');
    if (closed === undefined) return NOTHING;
    const given: [keyof SectionReadings, number | undefined][] = [
      ['openAfterFilterMbar', read.number('afterFilterMbar')],
      ['openBeforeFilterMbar', read.number('beforeFilterMbar')],
      ['openBeforeCatalystMbar', read.number('beforeCatalystMbar')],
    ];
    const shares = sectionShares({
      closedMbar: closed,
      ...Object.fromEntries(given.filter(([, value]) => value !== undefined)),
    });
    if (shares.length === 0) return { ...NOTHING, sentences: [say('checks.open-the-line-at-one')] };
    const high = limits.sectionHighMbar;
    const rpm = read.number('rpm');
    const idle = rpm !== undefined && rpm < limits.gaugeLeastRpm;
    const restricted = shares.filter(({ mbar }) => mbar > high).sort((a, b) => b.mbar - a.mbar);
    const clear: PartState = restricted.length > 0 ? 'proven-clear' : 'sound';
    // At little flow a section that takes little is not proved clear by it.
    const decided = shares.filter(({ mbar }) => mbar > high || !idle);
    // Much between two joints is of one of the sections between them, and nobody knows which; little is little in each.
    const each = decided.flatMap(({ sections: between, mbar }) =>
      between.length === 1 || mbar <= high ? between.map((section) => ({ section, mbar })) : [],
    );
    const doubtful = restricted.flatMap(({ sections: between }) => (between.length > 1 ? between : []));
    const findings = Object.fromEntries(each.map(({ section, mbar }) => [`section-${section}`, mbar > high]));
    const parts: Partial<Record<PartId, PartState>> = Object.fromEntries([
      ...each.map(({ section, mbar }): [PartId, PartState] => [
        SECTION_PART[section],
        mbar > high ? 'failed' : clear,
      ]),
      ...doubtful.map((section): [PartId, PartState] => [SECTION_PART[section], 'doubtful']),
    ]);
    return {
      findings,
      figures: [
        against(say('checks.whole-back-pressure'), closed, { unit: 'mbar', high: limits.gaugeHighMbar }),
        ...shares.map(({ sections: between, mbar }) =>
          against(say('checks.goes', { place: placeOf(between) }), mbar, { unit: 'mbar', high }),
        ),
      ],
      sentences: [
        ...(restricted.length === 0
          ? [say('checks.no-section-is-restricted')]
          : restricted.map(({ sections: between, percent }) =>
              between.length === 1
                ? say('checks.of-it-disappears-that-section', { percent, place: placeOf(between) })
                : say('checks.of-it-disappears-one', { percent, place: placeOf(between) }),
            )),
        ...(idle ? [say('checks.below-rpm-a-low-figure', { gaugeLeastRpm: limits.gaugeLeastRpm })] : []),
        ...(rpm === undefined ? [say('checks.engine-speed-missing-readings')] : []),
      ],
      parts,
    };
  },
};

const look: CheckCard = {
  id: 'filter-look',
  about: ['filter'],
  outcomes: {
    'outlet-sooty': {
      why: 'cracked',
      leak: 0.0002,
      shows: { 'filter-cracked': itself },
    },
    'inlet-oily': {
      why: 'oil',
      leak: 0.0002,
      shows: { 'oil-in-exhaust': itself },
    },
    'inlet-ash': {
      why: 'ash',
      leak: 0.0002,
      shows: { 'ash-full': itself },
    },
  },
  otherwise: 'faces-good',
  minutes: 45,
  cost: 10,
  by: 'looked',
  needs: ['spanners'],
  cautions: ['hot'],
  steps: [say('checks.filter-cold-and-off'), say('checks.outlet-face-clean-ceramic')],
  fields: [
    {
      kind: 'choice',
      id: 'outlet',
      label: say('checks.outlet-face'),
      options: [
        ['clean', say('checks.clean')],
        ['sooty', say('checks.sooty-gas-passes-unfiltered')],
      ],
    },
    {
      kind: 'choice',
      id: 'inlet',
      label: say('checks.inlet-face'),
      options: [
        ['dry', say('checks.dry-soot')],
        ['oily', say('checks.oily-wet-shining')],
      ],
    },
    {
      kind: 'choice',
      id: 'powder',
      label: say('checks.grey-or-white-powder'),
      options: [
        ['little', say('checks.none-or-a-little')],
        ['much', say('checks.much-it-fills-channels')],
      ],
    },
  ],
  judge: (read) => {
    const [outlet, inlet, powder] = [read.choice('outlet'), read.choice('inlet'), read.choice('powder')];
    return {
      findings: {
        ...(outlet === undefined ? {} : { 'outlet-sooty': outlet === 'sooty' }),
        ...(inlet === undefined ? {} : { 'inlet-oily': inlet === 'oily' }),
        ...(powder === undefined ? {} : { 'inlet-ash': powder === 'much' }),
      },
      figures: [],
      sentences: [
        ...(outlet === 'sooty' ? [say('checks.soot-on-the-outlet-face')] : []),
        ...(inlet === 'oily' ? [say('checks.oil-on-the-inlet-face')] : []),
        ...(powder === 'much' ? [say('checks.ash-does-not-burn-off')] : []),
        ...(outlet === 'clean' && inlet === 'dry' && powder === 'little'
          ? [say('checks.both-faces-look-as-they')]
          : []),
      ],
      ...(outlet === 'sooty' ? { parts: { filter: 'failed' as const } } : {}),
    };
  },
};

/** On less a counter cannot be expected to have moved. */
const LEAST_KM = 60;
const ASSUMED_L = 2;

const counter: CheckCard = {
  id: 'counter',
  about: ['filter'],
  outcomes: {
    'counter-reset': {
      why: 'it counts less than any engine makes, or stores the reset distance',
      leak: 0.0002,
      shows: { 'soot-counter-reset': itself },
    },
    'counter-low': {
      why: 'reset, or ash, or a false pressure',
      leak: 0.03,
      shows: {
        'ash-full': often,
        'catalyst-restricted:between-taps': often,
        'soot-counter-reset': often,
        'dp-sensor-failed:high': atTimes,
        'dp-sensor-failed:zero-off': sometimes,
        'low-pipe-blocked': sometimes,
      },
    },
    'counter-high': {
      why: 'not reset, the pressure does not reach the sensor, or the model overcounts',
      leak: 0.03,
      shows: {
        'counter-not-reset': mostly,
        'dp-hose-off': atTimes,
        'dp-hoses-crossed': atTimes,
        'dp-sensor-failed:dead': atTimes,
        'dp-sensor-failed:stuck': atTimes,
        'dp-sensor-failed:low': atTimes,
        'filter-cracked': atTimes,
        'high-pipe-blocked': atTimes,
        'dp-sensor-wrong': sometimes,
      },
    },
  },
  otherwise: 'counter-fits',
  minutes: 2,
  cost: 0,
  by: 'looked',
  needs: ['scan-tool'],
  cautions: [],
  steps: [say('checks.read-the-ecus-soot-value'), say('checks.a-counter-at-0')],
  fields: [
    {
      kind: 'number',
      id: 'counterG',
      label: say('checks.ecu-soot-value'),
      unit: 'g',
      live: 'sootMass',
      possible: between(0, 2000, say('checks.is-it-grams')),
    },
    {
      kind: 'number',
      id: 'sinceRegenKm',
      label: say('checks.distance-since-the-last-regeneration'),
      unit: 'km',
      live: 'distanceSinceRegen',
      possible: between(0, 100_000, say('checks.is-it-a-distance')),
    },
    {
      kind: 'number',
      id: 'sinceResetKm',
      label: say('checks.distance-since-its-reset'),
      unit: 'km',
      hint: say('checks.if-the-module-stores'),
      possible: between(0, 3e6, say('checks.is-it-a-distance')),
    },
    {
      kind: 'number',
      id: 'pressureLowG',
      label: say('checks.soot-by-pressure-at-least'),
      unit: 'g',
      hint: say('checks.empty-taken-from-the-last'),
      possible: between(0, 2000, say('checks.is-it-grams')),
    },
    {
      kind: 'number',
      id: 'pressureHighG',
      label: say('checks.soot-by-pressure-at-most'),
      unit: 'g',
      hint: say('checks.empty-taken-from-the-last'),
      possible: between(0, 2000, say('checks.is-it-grams')),
    },
  ],
  judge: (read, { sootByPressureG, limits, displacementL = ASSUMED_L }) => {
    const counted = read.number('counterG');
    const low = read.number('pressureLowG') ?? sootByPressureG?.lowG;
    const high = read.number('pressureHighG') ?? sootByPressureG?.highG;
    if (counted === undefined) return NOTHING;
    const km = read.number('sinceRegenKm');
    const perDistance =
      km !== undefined && km >= LEAST_KM ? (100 * counted) / (km * displacementL) : undefined;
    const stands = perDistance !== undefined && perDistance < limits.counterLeastGPer100KmL;
    const distance =
      perDistance === undefined
        ? []
        : [
            against(say('checks.counted-on-100-km'), perDistance, {
              unit: 'g',
              low: limits.counterLeastGPer100KmL,
            }),
          ];
    const sinceReset = read.number('sinceResetKm');
    const leastKm = km === undefined ? undefined : Math.max(0, km - limits.counterResetApartKm);
    const setBack = sinceReset !== undefined && leastKm !== undefined && sinceReset < leastKm;
    // A module that keeps the distance says both: that it was set back, and that it was not.
    const told = sinceReset !== undefined && leastKm !== undefined;
    const reset = stands || setBack ? { 'counter-reset': true } : told ? { 'counter-reset': false } : {};
    const resetFigure: readonly Figure[] = told
      ? [against(say('checks.distance-since-its-reset'), sinceReset, { unit: 'km', low: leastKm })]
      : [];
    const resetSentences = [
      ...(stands ? [say('checks.g-on-km-without', { counted, km: km ?? 0 })] : []),
      ...(setBack ? [say('checks.it-was-reset-km-ago', { sinceReset, km: km ?? 0 })] : []),
    ];
    if (low === undefined || high === undefined)
      return {
        findings: reset,
        figures: [...distance, ...resetFigure],
        sentences: [...resetSentences, say('checks.pressure-estimate-missing-take')],
      };
    const room = Math.max(limits.counterRoomG, (limits.counterRoomPercent / 100) * counted);
    const least = low - room;
    const most = high + room;
    const bounded = Number.isFinite(most);
    return {
      findings: {
        // One that counts what the pressure shows was not set back, or it matters no more.
        ...(counted < least ? {} : { 'counter-reset': false }),
        ...reset,
        'counter-low': counted < least,
        'counter-high': counted > most,
      },
      figures: [
        ...distance,
        ...resetFigure,
        against(say('checks.counted'), counted, {
          unit: 'g',
          low: Math.max(0, least),
          ...(bounded ? { high: most } : {}),
        }),
      ],
      sentences: [
        ...resetSentences,
        counted < least
          ? say('checks.it-counts-g-the-pressure', { counted, low })
          : counted > most
            ? say('checks.it-counts-g-the-pressure-says', { counted, high })
            : say('checks.counter-and-pressure-agree'),
      ],
    };
  },
};

export const LINE_CARDS: readonly CheckCard[] = [gauge, sections, look, counter];
