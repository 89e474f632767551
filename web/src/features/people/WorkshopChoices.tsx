import * as wording from '@white-ember/core/words/screens/people';
import { problemOf, useSessionQuery, useSetWorkshopMutation } from '../../data/api.ts';
import { useWords } from '../../data/words.ts';
import { Button } from '../../ui/Button.tsx';
import { Field } from '../../ui/Field.tsx';
import { ProblemNotice } from '../../ui/Notice.tsx';

/** What a lead decides for everybody here. */
export function WorkshopChoices() {
  return (
    <>
      <SignOffChoice />
      <CurrencyChoice />
    </>
  );
}

const SIGN_OFF = { technician: wording.anyTechnician, lead: wording.aLeadOnly } as const;

/** Who signs jobs off here. With a lead, no report leaves before. */
function SignOffChoice() {
  const session = useSessionQuery();
  const [setWorkshop, state] = useSetWorkshopMutation();
  const now = session.data?.workshop?.signOffBy;
  return (
    <section className="mt-8 grid gap-3" aria-label={wording.signingOff}>
      <h2 className="text-2xl">{wording.whoSignsJobsOff}</h2>
      <div className="flex flex-wrap gap-3">
        {(['technician', 'lead'] as const).map((who) => (
          <Button
            key={who}
            aria-pressed={who === now}
            disabled={state.isLoading}
            className={who === now ? 'bg-ink! text-card!' : ''}
            onClick={() => void setWorkshop({ signOffBy: who })}
          >
            {SIGN_OFF[who]}
          </Button>
        ))}
      </div>
      <p className="text-sm text-ink2">{wording.ifALeadSignsOffNoLink}</p>
      {state.error ? <ProblemNotice problem={problemOf(state.error)} /> : null}
    </section>
  );
}

/** Every currency by its name in this person's language, as the standard writes it where the language has none. */
function currencies(locale: string): readonly (readonly [string, string])[] {
  const names = new Intl.DisplayNames(locale, { type: 'currency' });
  return Intl.supportedValuesOf('currency')
    .map((code) => [code, names.of(code) ?? code] as const)
    .sort(([, a], [, b]) => a.localeCompare(b, locale));
}

/** In which money prices and hours count. */
function CurrencyChoice() {
  const session = useSessionQuery();
  const { locale } = useWords();
  const [setWorkshop, state] = useSetWorkshopMutation();
  const now = session.data?.workshop?.currency;
  return (
    <section className="mt-8 grid gap-3" aria-label={wording.money}>
      <h2 className="text-2xl">{wording.money}</h2>
      <Field label={wording.currencyOfTheWorkshop}>
        <select
          className="input-box"
          value={now ?? ''}
          disabled={now === undefined || state.isLoading}
          onChange={(event) => void setWorkshop({ currency: event.target.value })}
        >
          {currencies(locale).map(([code, name]) => (
            <option key={code} value={code}>
              {code} – {name}
            </option>
          ))}
        </select>
      </Field>
      <p className="text-sm text-ink2">{wording.nothingIsConvertedCostsAndHourly}</p>
      {state.error ? <ProblemNotice problem={problemOf(state.error)} /> : null}
    </section>
  );
}
