import * as app from '@white-ember/core/words/screens/app';
import * as wording from '@white-ember/core/words/screens/finder';
import * as common from '@white-ember/core/words/screens/common';
import { Say } from '../ui/Say.tsx';
import { Command } from 'cmdk';
import { lazy, Suspense, useEffect, useState } from 'react';
import { useMatch, useNavigate } from 'react-router';
import type { Role } from '@white-ember/core/contract';
import { Sheet } from '../ui/Sheet.tsx';
import { useJobsQuery } from '../data/api.ts';
import { preferred } from '../data/preferences.ts';
import { useAppDispatch, useAppSelector } from '../data/store.ts';
import { loadPhrases, useWords } from '../data/words.ts';
import type { found } from './findable.ts';
import { forgetTypedAhead, typedAhead } from './typedAhead.ts';

type Finder = typeof found;
/** Checks, parts, causes and limits by their words: loaded with these when somebody looks for something. */
const loadFinder = async (): Promise<Finder> => {
  const [loaded] = await Promise.all([import('./findable.ts'), loadPhrases()]);
  return loaded.found;
};

const UnitsSheet = lazy(async () => ({ default: (await import('./UnitsSheet.tsx')).UnitsSheet }));

const ITEM =
  'px-3 min-h-11 flex items-center gap-3 data-[selected=true]:bg-ink data-[selected=true]:text-paper';

export function CommandPalette({
  open,
  onOpenChange,
  role,
  onKeys,
}: {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  role: Role;
  onKeys: () => void;
}) {
  const navigate = useNavigate();
  const jobId = useMatch('/jobs/:jobId/*')?.params.jobId;
  const dispatch = useAppDispatch();
  const theme = useAppSelector((state) => state.preferences.theme);
  const [find, setFind] = useState(typedAhead);
  const [value, setValue] = useState('');
  useEffect(forgetTypedAhead, []);
  const { data } = useJobsQuery({ show: 'all', ...(find ? { find } : {}) }, { skip: !open });
  const run = (action: () => void) => () => {
    onOpenChange(false);
    setFind('');
    action();
  };
  const go = (to: string) => run(() => void navigate(to));
  const words = useWords();
  const [finder, setFinder] = useState<{ readonly found: Finder }>();
  useEffect(() => {
    if (open)
      void loadFinder().then(
        (found) => setFinder({ found }),
        () => undefined,
      );
  }, [open]);
  const [units, setUnits] = useState(false);
  /** Each by its name, with what else people type for it. */
  const commands: [name: string, act: () => void, also?: string][] = [
    ...(jobId === undefined
      ? []
      : ([
          [wording.liveValuesOfThisJob, go(`/jobs/${jobId}/live`)],
          [wording.recordedLogsOfThisJob, go(`/jobs/${jobId}/logs`)],
        ] as [string, () => void][])),
    [common.jobs, go('/jobs')],
    [common.vehicles, go('/vehicles')],
    [app.fleetWhoIsDueNext, go('/fleet')],
    [common.addAVehicle, go('/vehicles/new')],
    [common.limits, go('/limits')],
    [common.learn, go('/learn'), wording.helpHowItWorks],
    [common.logHeadings, go('/headings')],
    [common.yourAccount, go('/account')],
    ...(role === 'lead' ? ([[common.peopleAndData, go('/people')]] as [string, () => void][]) : []),
    [
      theme === 'bay' ? app.daylightColours : app.bayColoursDark,
      run(() => dispatch(preferred({ theme: theme === 'bay' ? 'daylight' : 'bay' }))),
      wording.themeNightContrast,
    ],
    [wording.unitsAndLanguage, () => setUnits(true), wording.mbarPsiKpaBarCelsiusFahrenheit],
    [wording.keys, run(onKeys), wording.helpShortcutsKeyboard],
  ];
  const wanted = find.trim().toLowerCase();
  // Filtered here as well: until the answer to what was typed is in, an older list must not be what Enter opens.
  const jobs = (data?.jobs ?? [])
    .filter((job) =>
      [job.plate, job.model, job.customerName ?? ''].some((text) => text.toLowerCase().includes(wanted)),
    )
    .slice(0, 8);
  const fitting = commands.filter(([name, , also = '']) => `${name} ${also}`.toLowerCase().includes(wanted));
  const findables = finder?.found(find, words, jobId) ?? [];
  const values = [
    ...jobs.map((job) => job.id),
    ...fitting.map(([name]) => name),
    ...findables.map(({ id }) => id),
  ];
  const selected = values.includes(value) ? value : (values[0] ?? '');
  if (units)
    return (
      <Suspense>
        <UnitsSheet
          onClose={() => {
            setUnits(false);
            onOpenChange(false);
          }}
        />
      </Suspense>
    );
  return (
    <Sheet open={open} onOpenChange={onOpenChange} title={wording.find}>
      <Command
        shouldFilter={false}
        label={wording.findAJobOrCommand}
        value={selected}
        onValueChange={setValue}
      >
        <Command.Input
          autoFocus
          value={find}
          onValueChange={setFind}
          placeholder={wording.plateCustomerCheckPartCodeLimit}
          className="input-box mb-2"
        />
        <Command.List className="max-h-[50vh] overflow-auto">
          <Command.Empty className="p-3">{wording.nothingFound}</Command.Empty>
          {jobs.map((job) => (
            <Command.Item key={job.id} value={job.id} onSelect={go(`/jobs/${job.id}`)} className={ITEM}>
              <span className="figure-text">{job.plate}</span> {wording.job(job.number)}{' '}
              <Say it={job.summary.headline} />
            </Command.Item>
          ))}
          {fitting.map(([name, action]) => (
            <Command.Item key={name} value={name} onSelect={action} className={ITEM}>
              {name}
            </Command.Item>
          ))}
          {findables.map(({ id, what, name, to }) => (
            <Command.Item key={id} value={id} onSelect={go(to)} className={ITEM}>
              <span className="text-sm w-12 shrink-0">{what}</span>
              {name}
            </Command.Item>
          ))}
        </Command.List>
      </Command>
    </Sheet>
  );
}
