import * as wording from '@white-ember/core/words/screens/live';
import { FAULT_IDS, FAULTS, type FaultId } from '@white-ember/core/bench';
import { ENGLISH, named } from '@white-ember/core/words';
import { useWords } from '../../data/words.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { Slide } from '../../ui/Slide.tsx';
import { COMES_ON, MOST_FAULTS, NO_FAULT, type ComesOn, type WantedFault } from './wantedFaults.ts';

/** What is wrong with the simulated vehicle: up to three faults, each in its form, as bad and as late as is wanted. */
export function BenchFaults({
  faults,
  onChange,
}: {
  faults: readonly WantedFault[];
  onChange: (faults: readonly WantedFault[]) => void;
}) {
  const set = (at: number, changed: Partial<WantedFault>): void =>
    onChange(faults.map((fault, i) => (i === at ? { ...fault, ...changed } : fault)));
  return (
    <div className="grid gap-3">
      {faults.map((fault, i) => (
        <OneFault
          key={i}
          fault={fault}
          number={i + 1}
          onSet={(changed) => set(i, changed)}
          onRemove={i === 0 ? undefined : () => onChange(faults.filter((_, at) => at !== i))}
        />
      ))}
      {faults.length < MOST_FAULTS && faults.at(-1)?.what !== '' ? (
        <Button className="justify-self-start" onClick={() => onChange([...faults, NO_FAULT])}>
          {wording.addAFault}
        </Button>
      ) : null}
    </div>
  );
}

function OneFault({
  fault,
  number,
  onSet,
  onRemove,
}: {
  fault: WantedFault;
  number: number;
  onSet: (changed: Partial<WantedFault>) => void;
  onRemove: (() => void) | undefined;
}) {
  const words = useWords();
  const { what } = fault;
  const certain = (FAULT_IDS as readonly string[]).includes(what);
  return (
    <div className="grid gap-2">
      <div className="flex gap-3 items-end">
        <Field
          label={number === 1 ? wording.whatIsWrongWithIt : wording.andAlso(number)}
          className="grow min-w-0"
        >
          <select
            className="input-box"
            value={what}
            onChange={(event) => onSet({ what: event.target.value as WantedFault['what'], form: '' })}
          >
            <option value="">{wording.nothing}</option>
            <option value="hidden">{wording.hiddenFault}</option>
            {number === 1 ? (
              <>
                <option value="hidden-2">{wording.hiddenFaults[2]}</option>
                <option value="hidden-3">{wording.hiddenFaults[3]}</option>
              </>
            ) : null}
            {FAULT_IDS.map((id) => (
              <option key={id} value={id}>
                {words.name('benchFaults', id)}
              </option>
            ))}
          </select>
        </Field>
        {onRemove ? (
          <Button onClick={onRemove} aria-label={wording.removeFault(number)}>
            ✕
          </Button>
        ) : null}
      </div>
      {certain ? <FaultDetails id={what as FaultId} fault={fault} onSet={onSet} /> : null}
    </div>
  );
}

/** By the fault where the same word means another thing elsewhere. */
const formName = (id: FaultId, form: string) =>
  named('benchForms', `${id}:${form}` in ENGLISH.benchForms ? `${id}:${form}` : form);

function FaultDetails({
  id,
  fault: { form, severityPercent, comesOn },
  onSet,
}: {
  id: FaultId;
  fault: WantedFault;
  onSet: (changed: Partial<WantedFault>) => void;
}) {
  const words = useWords();
  const { forms } = FAULTS[id];
  return (
    <details className="border-2 border-rule bg-card px-3">
      <summary className="min-h-11 content-center font-head font-semibold">
        {wording.formSeverityTime}
      </summary>
      <div className="grid sm:grid-cols-2 gap-x-6 gap-y-3 pb-3">
        {forms === undefined ? null : (
          <Field label={wording.inWhichForm}>
            <select
              className="input-box"
              value={form}
              onChange={(event) => onSet({ form: event.target.value })}
            >
              <option value="">{wording.anyForm}</option>
              {forms.map((one) => (
                <option key={one} value={one}>
                  {words.say(formName(id, one))}
                </option>
              ))}
            </select>
          </Field>
        )}
        <Slide
          label={wording.howBad}
          shown={words.percent(severityPercent, 0)}
          value={severityPercent}
          low={30}
          high={100}
          step={5}
          onValue={(value) => onSet({ severityPercent: value })}
        />
        <Field label={wording.comesOn}>
          <select
            className="input-box"
            value={comesOn}
            onChange={(event) => onSet({ comesOn: event.target.value as ComesOn })}
          >
            {(Object.keys(COMES_ON) as ComesOn[]).map((when) => (
              <option key={when} value={when}>
                {wording.comesOnWhen[when]}
              </option>
            ))}
          </select>
        </Field>
      </div>
    </details>
  );
}
