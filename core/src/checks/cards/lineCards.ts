import type { PartId, PartState } from '../../ledger/index.ts';
import { against, between, NOTHING, type CheckCard, type Figure } from '../card.ts';
import { sectionShares, type Section, type SectionReadings } from '../measuring/sections.ts';
import { gauge, GAUGE } from './gaugeCard.ts';

const SECTION_PART: Record<Section, PartId> = { catalyst: 'catalyst', filter: 'filter', behind: 'silencer' };
const SECTION_WORDS: Record<Section, string> = {
  catalyst: 'across the catalyst',
  filter: 'across the filter',
  behind: 'after the filter',
};
const placeOf = (sections: readonly Section[]): string =>
  sections.length === 3
    ? 'across the whole line'
    : sections.map((section) => SECTION_WORDS[section]).join(' and ');

const sections: CheckCard = {
  id: 'sections',
  outcomes: ['section-catalyst', 'section-behind', 'section-filter'],
  otherwise: 'no-section',
  minutes: 30,
  cost: 4,
  by: 'gauged',
  needs: ['gauge', 'spanners'],
  cautions: ['hot', 'running-engine'],
  harm: 'Clamps and seals that come off are single-use on many lines.',
  steps: [
    'Gauge after the turbo, one engine speed for all readings, warm.',
    'Line closed; then open one joint after another from the tail forward, engine off and cold each time.',
    'The section where the pressure disappears is the restriction.',
  ],
  fields: [
    {
      kind: 'number',
      id: 'rpm',
      label: 'Engine speed, the same for all',
      unit: 'rpm',
      live: 'engineSpeed',
      possible: between(400, 6000, 'Is the engine running?'),
    },
    { kind: 'number', id: 'closedMbar', label: 'Line closed', unit: 'mbar', possible: GAUGE },
    { kind: 'number', id: 'afterFilterMbar', label: 'Open after the filter', unit: 'mbar', possible: GAUGE },
    {
      kind: 'number',
      id: 'beforeFilterMbar',
      label: 'Open before the filter',
      unit: 'mbar',
      possible: GAUGE,
    },
    {
      kind: 'number',
      id: 'beforeCatalystMbar',
      label: 'Open before the catalyst',
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
    if (shares.length === 0) return { ...NOTHING, sentences: ['Open the line at one joint or more.'] };
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
        against('Whole back-pressure', closed, { unit: 'mbar', high: limits.gaugeHighMbar }),
        ...shares.map(({ sections: between, mbar }) =>
          against(`Goes ${placeOf(between)}`, mbar, { unit: 'mbar', high }),
        ),
      ],
      sentences: [
        ...(restricted.length === 0
          ? ['No section is restricted.']
          : restricted.map(({ sections: between, percent }) =>
              between.length === 1
                ? `${percent.toFixed(0)} % of it disappears ${placeOf(between)}: that section is restricted.`
                : `${percent.toFixed(0)} % of it disappears ${placeOf(between)}: one of them is restricted. Open a joint between to see which.`,
            )),
        ...(idle
          ? [`Below ${limits.gaugeLeastRpm} rpm a low figure proves nothing: hold a higher speed.`]
          : []),
        ...(rpm === undefined
          ? ['Engine speed missing: readings at different flows cannot be compared.']
          : []),
      ],
      parts,
    };
  },
};

const look: CheckCard = {
  id: 'filter-look',
  outcomes: ['outlet-sooty', 'inlet-oily', 'inlet-ash'],
  otherwise: 'faces-good',
  minutes: 45,
  cost: 10,
  by: 'looked',
  needs: ['spanners'],
  cautions: ['hot'],
  steps: [
    'Filter cold and off, or a camera through a sensor port. Mask on: soot and ash are harmful.',
    'Outlet face: clean ceramic, or soot? Inlet face: dry, or oily? Grey or white powder deep in the channels is ash.',
  ],
  fields: [
    {
      kind: 'choice',
      id: 'outlet',
      label: 'Outlet face',
      options: [
        ['clean', 'clean'],
        ['sooty', 'sooty: gas passes unfiltered'],
      ],
    },
    {
      kind: 'choice',
      id: 'inlet',
      label: 'Inlet face',
      options: [
        ['dry', 'dry soot'],
        ['oily', 'oily, wet, shining'],
      ],
    },
    {
      kind: 'choice',
      id: 'powder',
      label: 'Grey or white powder',
      options: [
        ['little', 'none or a little'],
        ['much', 'much: it fills channels'],
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
        ...(outlet === 'sooty'
          ? ['Soot on the outlet face: the filter is cracked. Cleaning cannot repair it.']
          : []),
        ...(inlet === 'oily' ? ['Oil on the inlet face: no regeneration; find its source.'] : []),
        ...(powder === 'much' ? ['Ash does not burn: off-vehicle clean or replacement filter.'] : []),
        ...(outlet === 'clean' && inlet === 'dry' && powder === 'little'
          ? ['Both faces look as they should.']
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
  outcomes: ['counter-reset', 'counter-low', 'counter-high'],
  otherwise: 'counter-fits',
  minutes: 2,
  cost: 0,
  by: 'looked',
  needs: ['scan-tool'],
  cautions: [],
  steps: [
    'Read the ECU’s soot value; it is compared with the pressure estimate from the last hold.',
    'A counter at 0, or at a round default, after a visit elsewhere proves nothing.',
  ],
  fields: [
    {
      kind: 'number',
      id: 'counterG',
      label: 'ECU soot value',
      unit: 'g',
      live: 'sootMass',
      possible: between(0, 2000, 'Is it grams?'),
    },
    {
      kind: 'number',
      id: 'sinceRegenKm',
      label: 'Distance since the last regeneration',
      unit: 'km',
      live: 'distanceSinceRegen',
      possible: between(0, 100_000, 'Is it a distance?'),
    },
    {
      kind: 'number',
      id: 'sinceResetKm',
      label: 'Distance since its reset',
      unit: 'km',
      hint: 'If the module stores it',
      possible: between(0, 3e6, 'Is it a distance?'),
    },
    {
      kind: 'number',
      id: 'pressureLowG',
      label: 'Soot by pressure, at least',
      unit: 'g',
      hint: 'Empty: taken from the last reading',
      possible: between(0, 2000, 'Is it grams?'),
    },
    {
      kind: 'number',
      id: 'pressureHighG',
      label: 'Soot by pressure, at most',
      unit: 'g',
      hint: 'Empty: taken from the last reading',
      possible: between(0, 2000, 'Is it grams?'),
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
            against('Counted on 100 km and litre of engine since the last regeneration', perDistance, {
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
      ? [against('Distance since its reset', sinceReset, { unit: 'km', low: leastKm })]
      : [];
    const resetSentences = [
      ...(stands
        ? [
            `${counted.toFixed(1)} g on ${km?.toFixed(0) ?? ''} km without a regeneration: implausibly little. It was reset.`,
          ]
        : []),
      ...(setBack
        ? [
            `It was reset ${sinceReset.toFixed(0)} km ago, and the last regeneration is ${km?.toFixed(0) ?? ''} km ago: no regeneration before the reset. Its count says little.`,
          ]
        : []),
    ];
    if (low === undefined || high === undefined)
      return {
        findings: reset,
        figures: [...distance, ...resetFigure],
        sentences: [
          ...resetSentences,
          'Pressure estimate missing: take a reading with a hold and enter the filter size first.',
        ],
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
        against('Counted', counted, {
          unit: 'g',
          low: Math.max(0, least),
          ...(bounded ? { high: most } : {}),
        }),
      ],
      sentences: [
        ...resetSentences,
        counted < least
          ? `It counts ${counted.toFixed(0)} g; the pressure says at least ${low.toFixed(0)} g: reset, ash, another restriction, or a high-reading sensor.`
          : counted > most
            ? `It counts ${counted.toFixed(0)} g; the pressure says ${high.toFixed(0)} g at most: not reset after a clean, or the pressure does not reach the sensor.`
            : 'Counter and pressure agree.',
      ],
    };
  },
};

export const LINE_CARDS: readonly CheckCard[] = [gauge, sections, look, counter];
