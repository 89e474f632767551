import * as wording from '@white-ember/core/words/screens/treatment';
import { useWords } from '../../../data/words.ts';
import { joined } from '@white-ember/core/words';
import { Say } from '../../../ui/Say.tsx';
import { useState } from 'react';
import type { RemovedPart } from '@white-ember/core/treatment';
import { Button } from '../../../ui/Button.tsx';
import { FigureInput } from '../../../form/FigureInput.tsx';
import { useTypedFigure } from '../../../form/useTypedFigure.ts';
import { StateMark } from '../../../ui/StateMark.tsx';
import { useAddEntry } from '../../../job/useAddEntry.ts';
import type { OpenJob } from '../../../job/useJob.ts';
import { SINGLE_USE_LABELS } from './PartOffForm.tsx';

/** The way back: the last off is the first on, each with what it needs before it counts. */
export function RefitList({
  open,
  refit,
  done,
  canEnter,
}: {
  open: OpenJob;
  refit: readonly RemovedPart[];
  done: readonly RemovedPart[];
  canEnter: boolean;
}) {
  const words = useWords();
  return (
    <ol aria-label={wording.refit} className="grid gap-2">
      {refit.map((part, i) => (
        <RefitRow key={part.off.id} part={part} i={i} canEnter={canEnter} open={open} />
      ))}
      {done.map((part) => (
        <li key={part.off.id} className="flex gap-2 items-center border-b-2 border-rule py-1">
          <StateMark state="sound" />
          {wording.isOn(
            part.off.body.what,
            part.off.body.safetyCritical
              ? wording.ofFastenersSignedOff(part.signed.size, part.signed.size)
              : part.back?.body.torqueNm === undefined
                ? ''
                : `, ${words.torque(part.back.body.torqueNm)}`,
          )}
        </li>
      ))}
    </ol>
  );
}

/** One part to be put back. */
function RefitRow({
  part,
  i,
  canEnter,
  open,
}: {
  part: RemovedPart;
  i: number;
  canEnter: boolean;
  open: OpenJob;
}) {
  return (
    <li className={`border-2 bg-card p-3 grid gap-2 ${i === 0 ? 'border-ink' : 'border-rule'}`}>
      <Title part={part} />
      {part.off.body.photo ? (
        <a href={`/api/photos/${part.off.body.photo}`} target="_blank" rel="noreferrer">
          <img
            src={`/api/photos/${part.off.body.photo}?size=thumb`}
            alt={wording.whenItCameOff(part.off.body.what)}
            loading="lazy"
            className="h-28 border-2 border-rule"
          />
        </a>
      ) : null}
      {part.back || part.signed.size > 0 ? (
        <p className="text-ember-text font-bold">
          <Say it={joined(part.missing, '; ')} />
        </p>
      ) : null}
      {canEnter ? <Back open={open} part={part} /> : null}
    </li>
  );
}

function Title({ part: { off, number } }: { part: RemovedPart }) {
  const words = useWords();
  const { what, fasteners, torqueNm, helper, safetyCritical, connectors, singleUse, note } = off.body;
  return (
    <div>
      <p className="font-head font-semibold text-lg">
        {what} <span className="text-ink2 font-medium">{wording.cameOffAsNumber(number)}</span>
      </p>
      <p className="text-[15px]">
        {[
          fasteners ? `${fasteners.count} × ${fasteners.size ?? 'fastener'}` : undefined,
          torqueNm === undefined ? undefined : words.torque(torqueNm),
          ...(singleUse ?? []).map(({ what: single, count }) =>
            wording.newIt(count, SINGLE_USE_LABELS[single].toLowerCase()),
          ),
          connectors ? wording.plugs(connectors.join(', ')) : undefined,
          helper ? wording.twoPeople : undefined,
          note,
        ]
          .filter((text) => text !== undefined && text !== '')
          .join(' · ')}
      </p>
      {safetyCritical ? <p className="font-bold">{wording.safetyCriticalSignOffEachFastener}</p> : null}
    </div>
  );
}

function Back({ open, part: { off, back, signed } }: { open: OpenJob; part: RemovedPart }) {
  const words = useWords();
  const addEntry = useAddEntry(open.job.id);
  const { body } = off;
  const single = (body.singleUse ?? []).some(({ count }) => count > 0);
  const plugs = (body.connectors ?? []).length > 0;
  const [renewed, setRenewed] = useState(back?.body.renewed ?? false);
  const [plugged, setPlugged] = useState(back?.body.plugged ?? false);
  const torque = useTypedFigure('Nm', body.torqueNm);
  const [problem, setProblem] = useState<string>();
  const count = Math.max(1, body.fasteners?.count ?? 1);
  const put = async (): Promise<void> => {
    const torqueNm = torque.value;
    const wrong = await addEntry(
      {
        kind: 'part-back',
        off: off.id,
        ...(torqueNm === undefined || body.safetyCritical ? {} : { torqueNm }),
        ...(single ? { renewed } : {}),
        ...(plugs ? { plugged } : {}),
      },
      back?.id,
    );
    setProblem(wrong ? Object.values(wrong)[0] : undefined);
  };
  const sign = async (number: number): Promise<void> => {
    const wrong = await addEntry({
      kind: 'fastener-signed',
      off: off.id,
      number,
      torqueNm: torque.value ?? Number.NaN,
    });
    setProblem(wrong ? Object.values(wrong)[0] : undefined);
  };
  return (
    <div className="grid gap-2">
      <div className="flex flex-wrap gap-x-6 gap-y-1 items-end">
        {single ? (
          <label className="flex items-center gap-2 min-h-12">
            <input
              type="checkbox"
              className="size-6 accent-(--ember)"
              checked={renewed}
              onChange={(event) => setRenewed(event.target.checked)}
            />
            {wording.newSingleUseParts}
          </label>
        ) : null}
        {plugs ? (
          <label className="flex items-center gap-2 min-h-12">
            <input
              type="checkbox"
              className="size-6 accent-(--ember)"
              checked={plugged}
              onChange={(event) => setPlugged(event.target.checked)}
            />
            {wording.pluggedIn((body.connectors ?? []).join(', '))}
          </label>
        ) : null}
        {body.torqueNm !== undefined || body.safetyCritical ? (
          <FigureInput of={torque} label={wording.tightenedTo} className="w-36" />
        ) : null}
        <Button onClick={() => void put()}>{back ? wording.enterItAgain : wording.refitted}</Button>
      </div>
      {body.safetyCritical ? (
        <div className="flex flex-wrap gap-2" role="group" aria-label={wording.fastenersOf(body.what)}>
          {Array.from({ length: count }, (_, i) => i + 1).map((number) => {
            const entry = signed.get(number);
            return entry ? (
              <span key={number} className="min-h-12 px-3 border-2 border-rule content-center">
                {number}: {words.torque(entry.body.torqueNm)}, {entry.authorName}
              </span>
            ) : (
              <Button key={number} disabled={!back} onClick={() => void sign(number)}>
                {wording.signFor(number)}
              </Button>
            );
          })}
        </div>
      ) : null}
      {problem ? <p className="text-ember-text font-bold">✕ {problem}</p> : null}
    </div>
  );
}
