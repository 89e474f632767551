import { say, type Said } from '../words/index.ts';
import { filterVolumeL } from '../filter/index.ts';
import { TREATMENTS, type Treatment } from '../ledger/index.ts';
import type { Limits } from '../limits/index.ts';
import { fillsOf } from './flushReadings.ts';
import { readinessOf } from './readiness.ts';
import { burnInterlocks, outstandingCauses, type Interlock } from './interlocks.ts';
import {
  type TreatmentQuestion,
  type TreatmentOption,
  filterFacts,
  isRefused,
  type FilterFacts,
} from './filterChances.ts';

const LEAST_CHANCE = 0.03;

/**
 * Every treatment with its chance, time, cost, reasons, risks and what holds it off. The first is the one to do: what may be
 * done before what may not, then by cost over chance; to leave the filter alone comes first where it is most likely sound.
 */
export function rankTreatments(question: TreatmentQuestion): readonly TreatmentOption[] {
  const inFilter = filterFacts(question);
  const options = TREATMENTS.map((treatment) => optionOf(treatment, question, inFilter));
  const soundFirst = 100 * inFilter.chances.sound >= question.limits.leaveAlonePercent;
  const place = (option: TreatmentOption): number =>
    option.treatment === 'nothing' ? (soundFirst ? 0 : 3) : isRefused(option) ? 2 : 1;
  return driveBeforeStanding(
    options.toSorted((a, b) => place(a) - place(b) || a.expectedCost - b.expectedCost),
    question.limits,
  );
}

/** A drive cools the filter: where it may be done and is about as likely to work it goes before standing, though two sit in it. */
function driveBeforeStanding(
  sorted: readonly TreatmentOption[],
  { driveAsLikelyPercent }: Limits,
): readonly TreatmentOption[] {
  const drive = sorted.find(({ treatment }) => treatment === 'drive');
  const standing = sorted.find(({ treatment }) => treatment === 'standing');
  if (!drive || !standing || sorted.indexOf(drive) < sorted.indexOf(standing)) return sorted;
  if (isRefused(drive) || 100 * drive.chance < driveAsLikelyPercent * standing.chance) return sorted;
  return sorted
    .filter((option) => option !== drive)
    .flatMap((option) => (option === standing ? [drive, standing] : [option]));
}

function optionOf(treatment: Treatment, question: TreatmentQuestion, inFilter: FilterFacts): TreatmentOption {
  const { limits } = question;
  const { chance, reasons } = chanceAndReasons(treatment, question, inFilter);
  const { handsOnMin, waitingMin, material } = effortOf(treatment, question);
  const cost = (handsOnMin / 60) * limits.labourPerHour + material;
  return {
    treatment,
    chance,
    handsOnMin,
    waitingMin,
    cost,
    expectedCost: cost / Math.max(chance, LEAST_CHANCE),
    reasons,
    risks: risksOf(treatment, question),
    ...otherSchool(treatment),
    held: heldOff(treatment, question),
  };
}

function chanceAndReasons(
  treatment: Treatment,
  question: TreatmentQuestion,
  { chances: { soot, ash, cracked, oil, sound }, load }: FilterFacts,
): { chance: number; reasons: Said[] } {
  const { limits, forecast } = question;
  const sootAlone = soot * (1 - ash) * (1 - cracked) * (1 - oil);
  const withAsh = ash * (1 - cracked) * (1 - oil);
  const told = [
    say('treatment.soot-ash-likely', {
      soot,
      ash,
      what: cracked > 0.02 ? say('treatment.cracked', { cracked }) : '',
      what2: oil > 0.02 ? say('treatment.oil', { oil }) : '',
    }),
  ];
  switch (treatment) {
    case 'nothing':
      return {
        chance: sound,
        reasons: [say('treatment.likely-that-soot-ash-oil', { sound }), ...told],
      };
    case 'drive':
    case 'standing': {
      const burns = forecast ? forecast.sootLeftG <= limits.sootAfterCleanG : undefined;
      const moderate =
        load === undefined ? 0.6 : Math.min(1, limits.driveLoadGPerL / Math.max(load.gPerL, 0.01));
      const cures =
        ((treatment === 'drive' ? limits.curesDrivePercent * moderate : limits.curesStandingPercent) / 100) *
        (burns === false ? 0.4 : 1);
      return {
        chance: sound + sootAlone * cures,
        reasons: [
          ...told,
          ...(load
            ? [
                say('treatment.g-l-of-soot', {
                  gPerL: load.gPerL,
                  lowG: load.lowG,
                  highG: load.highG,
                  what:
                    treatment === 'drive'
                      ? say('treatment.a-drive-removes-up', { driveLoadGPerL: limits.driveLoadGPerL })
                      : '',
                }),
              ]
            : []),
          ...(forecast
            ? [
                say('treatment.the-burn-model-leaves-g', {
                  sootLeftG: forecast.sootLeftG,
                  burnTargetC: limits.burnTargetC,
                  sootAfterCleanG: limits.sootAfterCleanG,
                }),
              ]
            : []),
        ],
      };
    }
    case 'chemical': {
      const before = fillsOf(question.derived.entries).length;
      const again = (limits.cleanAgainPercent / 100) ** before;
      return {
        chance:
          sound +
          ((sootAlone * limits.curesChemicalPercent + withAsh * limits.chemicalWithAshPercent) / 100) * again,
        reasons: [
          ...told,
          say('treatment.loosens-soot-cold-no-heat'),
          ...(before > 0
            ? [
                say('treatment.done-on-this-job-already', {
                  what: before === 1 ? 'once' : say('treatment.times', { before }),
                }),
              ]
            : []),
        ],
      };
    }
    case 'off-vehicle':
      return {
        chance:
          sound +
          (1 - sound) *
            (1 - cracked) *
            ((withAsh > sootAlone ? limits.offVehicleWithAshPercent : limits.curesOffVehiclePercent) / 100),
        reasons: [...told, say('treatment.also-removes-ash-and-oil')],
      };
    case 'exchange':
      return {
        chance: limits.curesExchangePercent / 100,
        reasons: [
          ...told,
          cracked > 0.2
            ? say('treatment.a-cracked-brick-cannot')
            : say('treatment.for-cracked-melted-or-ash'),
        ],
      };
  }
}

function effortOf(
  treatment: Treatment,
  { limits, filter }: TreatmentQuestion,
): { handsOnMin: number; waitingMin: number; material: number } {
  // About a litre for a filter of a light vehicle; a larger one takes more.
  const fluidL = Math.max(limits.leastFillL, limits.fillPerFilterL * filterVolumeL(filter));
  switch (treatment) {
    case 'nothing':
      return { handsOnMin: 0, waitingMin: 0, material: 0 };
    case 'drive':
      // Two people sit in it.
      return { handsOnMin: 2 * limits.driveMinutes, waitingMin: 0, material: limits.fuelOfBurn };
    case 'standing':
      return { handsOnMin: limits.standingMinutes, waitingMin: 0, material: limits.fuelOfBurn };
    case 'chemical':
      return {
        handsOnMin: limits.chemicalMinutes,
        waitingMin: limits.chemicalDwellMin,
        material: fluidL * limits.fluidPerL,
      };
    case 'off-vehicle':
      return {
        handsOnMin: limits.offVehicleMinutes,
        waitingMin: limits.offVehicleSoakMin,
        material: limits.offVehicleKit,
      };
    case 'exchange':
      return { handsOnMin: limits.exchangeMinutes, waitingMin: 0, material: limits.exchangeFilter };
  }
}

function risksOf(treatment: Treatment, { forecast }: TreatmentQuestion): Said[] {
  const hot = forecast
    ? [
        say('treatment.the-bed-comes-to-c', {
          plannedPeakC: forecast.plannedPeakC,
          dropPeakC: forecast.dropPeakC,
          limitC: forecast.limitC,
        }),
      ]
    : [say('treatment.the-bed-overheats-if')];
  switch (treatment) {
    case 'nothing':
      return [say('treatment.an-unrepaired-cause-will-fill')];
    case 'drive':
      return [...hot, say('treatment.two-people-one-drives-one')];
    case 'standing':
      return [...hot, say('treatment.the-parked-vehicle-gets-hot')];
    case 'chemical':
      return [say('treatment.smoke-steam-and-run-off'), say('treatment.a-seized-egt-can-snap')];
    case 'off-vehicle':
      return [
        say('treatment.seized-sensors-and-stripped-threads'),
        say('treatment.axle-mount-and-steering-fasteners'),
      ];
    case 'exchange':
      return [say('treatment.most-expensive-an-unrepaired-cause')];
  }
}

function otherSchool(treatment: Treatment): { otherSchool?: Said } {
  switch (treatment) {
    case 'drive':
      return {
        otherSchool: say('treatment.some-regenerate-parked'),
      };
    case 'standing':
      return {
        otherSchool: say('treatment.some-drive-as-moving-air'),
      };
    case 'chemical':
      return {
        otherSchool: say('treatment.some-back-flush-off'),
      };
    case 'off-vehicle':
      return {
        otherSchool: say('treatment.some-clean-soot-in-place'),
      };
    case 'nothing':
    case 'exchange':
      return {};
  }
}

/** What holds a treatment off now. A cause that is not repaired may be taken on knowingly; the rest may not. */
function heldOff(treatment: Treatment, question: TreatmentQuestion): Interlock[] {
  if (treatment === 'nothing') return [];
  const cause = outstandingCauses(question);
  return [
    ...(treatment === 'drive' || treatment === 'standing' ? burnInterlocks(question) : []),
    // What was answered and can be put right on the spot keeps nobody from choosing it; the act itself waits for it.
    ...readinessOf(treatment, question).held.map((hold) => ({ ...hold, overridable: true })),
    ...cause,
  ];
}
