import { joined, say, type Said } from '../words/index.ts';
import { entriesOfKind, happenedAt, type Entry, type EntryOf, type SingleUse } from '../ledger/index.ts';
import type { Limits } from '../limits/index.ts';

/** A part that came off, and what is still to do until it is on again as it should be. */
export interface RemovedPart {
  readonly off: EntryOf<'part-off'>;
  /** Place in the order in which the parts came off, from 1. */
  readonly number: number;
  readonly back?: EntryOf<'part-back'>;
  /** Fasteners of a safety-critical part that are signed for, by number. */
  readonly signed: ReadonlyMap<number, EntryOf<'fastener-signed'>>;
  /** What is missing before it counts as refitted; nothing where it is. */
  readonly missing: readonly Said[];
}

/** Something to have at hand before it goes together again. */
export interface PartToBuy {
  readonly what: SingleUse | 'broken';
  readonly name: Said;
  readonly count: number;
  readonly number?: string;
  readonly onOrder?: Said;
}

export interface WeighedFilter {
  /** Dry, before and after, kg; absent where not weighed or not dry. */
  readonly beforeKg?: number;
  readonly afterKg?: number;
  /** What the clean took out, g. */
  readonly removedG?: number;
  /** Of that: what is not soot by the last reading before, g, with both ends. */
  readonly ashG?: { readonly g: number; readonly lowG: number; readonly highG: number };
  /** What is still in it against a new one, g. */
  readonly leftG?: number;
  readonly sentences: readonly Said[];
}

export interface OffVehicleWork {
  readonly parts: readonly RemovedPart[];
  /** What goes on next: the last off is the first on. */
  readonly refit: readonly RemovedPart[];
  readonly toBuy: readonly PartToBuy[];
  readonly broken: readonly EntryOf<'part-broke'>[];
  readonly weighed: WeighedFilter;
  /** What holds the refit off. */
  readonly held: readonly Said[];
  readonly complete: boolean;
}

export interface OffVehicleFacts {
  readonly entries: readonly Entry[];
  readonly limits: Limits;
  /** Soot by the last reading before it came off, g, with both ends. */
  readonly soot?: { readonly sootG: number; readonly lowG: number; readonly highG: number };
}

const SINGLE_USE_NAMES: Readonly<Record<SingleUse, Said>> = {
  seal: 'seal',
  clamp: 'clamp',
  bolt: 'bolt',
  nut: 'nut',
  other: say('treatment.single-use-part'),
};

/**
 * The strip-down of a job: which parts came off in which order, what is to be bought, in which order they go on again with what is
 * missing at each, what the filter weighed, and what holds the refit off.
 */
export function offVehicleWork(facts: OffVehicleFacts): OffVehicleWork {
  const { entries } = facts;
  const parts = removedParts(entries);
  const settled = new Set(entriesOfKind(entries, 'settled').map(({ body }) => body.entry));
  const broken = entriesOfKind(entries, 'part-broke');
  const openBreaks = broken.filter(
    ({ id, supersedes }) => !settled.has(id) && !(supersedes !== undefined && settled.has(supersedes)),
  );
  const refit = parts.filter(({ missing }) => missing.length > 0).toReversed();
  return {
    parts,
    refit,
    toBuy: partsToBuy(parts, openBreaks),
    broken: openBreaks,
    weighed: weighedFilter(facts),
    held: heldRefit(entries, openBreaks),
    complete: parts.length > 0 && refit.length === 0,
  };
}

/** An entry or the one that it corrects. */
const names = ({ id, supersedes }: Entry): ReadonlySet<string | undefined> => new Set([id, supersedes]);

/** Parts that came off, in their order, and what each lacks until it is on again. */
export function removedParts(entries: readonly Entry[]): RemovedPart[] {
  const backs = entriesOfKind(entries, 'part-back');
  const signs = entriesOfKind(entries, 'fastener-signed');
  return entriesOfKind(entries, 'part-off').map((off, i) => {
    const mine = names(off);
    const back = backs.findLast(({ body }) => mine.has(body.off));
    const signed = new Map(
      signs.filter(({ body }) => mine.has(body.off)).map((entry) => [entry.body.number, entry]),
    );
    return {
      off,
      number: i + 1,
      ...(back ? { back } : {}),
      signed,
      missing: missingOf(off, back, signed),
    };
  });
}

function missingOf(
  { body }: EntryOf<'part-off'>,
  back: EntryOf<'part-back'> | undefined,
  signed: ReadonlyMap<number, unknown>,
): Said[] {
  const missing: Said[] = [];
  if (!back) missing.push(say('treatment.not-on-yet'));
  if (back && (body.singleUse ?? []).some(({ count }) => count > 0) && back.body.renewed !== true)
    missing.push(say('treatment.single-use-parts-not-renewed'));
  if (back && (body.connectors ?? []).length > 0 && back.body.plugged !== true)
    missing.push(say('treatment.not-plugged', { connectors: body.connectors ?? [] }));
  if (body.safetyCritical) {
    const count = Math.max(1, body.fasteners?.count ?? 1);
    const left = Array.from({ length: count }, (_, i) => i + 1).filter((n) => !signed.has(n));
    if (left.length > 0) missing.push(say('treatment.torque-not-signed-off-fastener', { left, count }));
  } else if (back && body.torqueNm !== undefined && back.body.torqueNm === undefined)
    missing.push(say('treatment.torque-of-n-m', { torqueNm: body.torqueNm }));
  return missing;
}

function partsToBuy(parts: readonly RemovedPart[], broken: readonly EntryOf<'part-broke'>[]): PartToBuy[] {
  const single = parts
    .filter(({ back }) => back?.body.renewed !== true)
    .flatMap(({ off }) =>
      (off.body.singleUse ?? [])
        .filter(({ count }) => count > 0)
        .map(({ what, count, number }): PartToBuy => ({
          what,
          name: say('treatment.for', { part: SINGLE_USE_NAMES[what], what: off.body.what }),
          count,
          ...(number ? { number } : {}),
        })),
    );
  const replaced = broken.map(({ body }): PartToBuy => ({
    what: 'broken',
    name: body.order?.name ?? body.what,
    count: 1,
    ...(body.order?.number ? { number: body.order.number } : {}),
    ...(body.order
      ? {
          onOrder: joined(
            [body.order.supplier ?? '', body.order.due ? say('treatment.due', { due: body.order.due }) : ''],
            ', ',
          ),
        }
      : {}),
  }));
  return [...single, ...replaced];
}

function weighedFilter({ entries, soot, limits: { scalesG } }: OffVehicleFacts): WeighedFilter {
  const looks = entriesOfKind(entries, 'filter-off').filter(({ body }) => body.massKg !== undefined);
  const last = (when: 'before' | 'after') => looks.findLast(({ body }) => body.when === when);
  const [before, after] = [last('before'), last('after')];
  const newKg = looks.findLast(({ body }) => body.newMassKg !== undefined)?.body.newMassKg;
  const dryKg = (entry: typeof before): number | undefined =>
    entry?.body.dry ? entry.body.massKg : undefined;
  const [beforeKg, afterKg] = [dryKg(before), dryKg(after)];
  const sentences: Said[] = [];
  for (const [entry, when] of [
    [before, 'Before'],
    [after, 'After'],
  ] as const)
    if (entry && !entry.body.dry) sentences.push(say('treatment.the-clean-it-was-weighed', { when }));
  const removedG = beforeKg !== undefined && afterKg !== undefined ? 1000 * (beforeKg - afterKg) : undefined;
  const figures: { ashG?: NonNullable<WeighedFilter['ashG']>; leftG?: number } = {};
  if (removedG !== undefined) {
    if (removedG < -scalesG) sentences.push(say('treatment.it-weighs-g-more', { removedG: -removedG }));
    else {
      sentences.push(say('treatment.the-clean-took-out-g', { removedG, scalesG }));
      if (soot) {
        const ash = (grams: number): number => Math.max(0, removedG - grams);
        figures.ashG = {
          g: ash(soot.sootG),
          lowG: Math.max(0, ash(soot.highG) - scalesG),
          highG: ash(soot.lowG) + scalesG,
        };
        sentences.push(
          say('treatment.of-that-g-g', {
            g: figures.ashG.g,
            lowG: figures.ashG.lowG,
            highG: figures.ashG.highG,
          }),
        );
      }
    }
  }
  if (afterKg !== undefined && newKg !== undefined) {
    figures.leftG = 1000 * (afterKg - newKg);
    sentences.push(
      figures.leftG > scalesG
        ? say('treatment.g-more-than-a-new', { leftG: figures.leftG })
        : say('treatment.it-weighs-the-same'),
    );
  }
  return {
    ...(beforeKg === undefined ? {} : { beforeKg }),
    ...(afterKg === undefined ? {} : { afterKg }),
    ...(removedG === undefined ? {} : { removedG }),
    ...figures,
    sentences,
  };
}

/** What holds the refit off: a wet filter, a drying that still goes on, a part that broke and is not repaired. */
function heldRefit(entries: readonly Entry[], broken: readonly EntryOf<'part-broke'>[]): Said[] {
  const held: Said[] = [];
  const cleaned = entriesOfKind(entries, 'work').findLast(({ body }) => body.work === 'off-vehicle-clean');
  if (cleaned) {
    const since = happenedAt(cleaned);
    const looks = entriesOfKind(entries, 'filter-off').filter(({ body }) => body.when === 'after');
    const after = looks.findLast((entry) => happenedAt(entry) >= since);
    if (!after) held.push(say('treatment.the-filter-has-not-been'));
    else if (after.body.dry === false) held.push(say('treatment.the-filter-is-not-dry'));
    const face = [after?.body.inlet, after?.body.outlet].find(
      (look) => look === 'cracked' || look === 'melted',
    );
    if (face) held.push(say('treatment.the-filter-is-replace', { face }));
  }
  for (const { body } of broken) held.push(say('treatment.broke-and-is-not-repaired', { what: body.what }));
  return held;
}

/** What to do about a part that broke, by what broke. */
export const BREAK_ADVICE: Readonly<Record<EntryOf<'part-broke'>['body']['broke'], readonly Said[]>> = {
  'snapped-sensor': [say('treatment.drill-out-the-rest'), say('treatment.note-the-boss-position')],
  'stripped-thread': [
    say('treatment.check-the-thread-pitch-fit'),
    say('treatment.before-welding-battery-off-ecus'),
  ],
  'snapped-fastener': [say('treatment.heat-where-safe-no-flame')],
  other: [say('treatment.note-what-broke-and-what')],
};
