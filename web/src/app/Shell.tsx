import * as common from '@white-ember/core/words/screens/common';
import * as wording from '@white-ember/core/words/screens/app';
import { QueryStatus } from '@reduxjs/toolkit/query';
import { lazy, Suspense, useEffect, useState } from 'react';
import { Outlet, useLocation } from 'react-router';
import { Button } from '../ui/Button.tsx';
import { Notice } from '../ui/Notice.tsx';
import { api, problemOf, useSessionQuery } from '../data/api.ts';
import { importEntryCheck } from '../job/useAddEntry.ts';
import { Header } from './Header.tsx';
import { useBurnWatch } from '../features/burn/run/openWatch.ts';
import { useAppSelector } from '../data/store.ts';
import { useGlobalKeys } from './useGlobalKeys.ts';
import { setDraftOwner } from '../ui/draftOwner.ts';
import { importWaitingSheet } from '../features/ledger/WaitingMark.tsx';
import { TypedAhead } from './typedAhead.ts';

// Not needed to see the first screen: loaded beside it or when first wanted.
const SignInPage = lazy(async () => ({
  default: (await import('../features/people/SignInPage.tsx')).SignInPage,
}));
const FirstPassword = lazy(async () => ({
  default: (await import('../features/people/ChangePassword.tsx')).FirstPassword,
}));
const SignInAgain = lazy(async () => ({
  default: (await import('../features/people/SignInAgain.tsx')).SignInAgain,
}));
const importRinger = () => import('../features/clocks/ClockRinger.tsx');
const ClockRinger = lazy(async () => ({ default: (await importRinger()).ClockRinger }));
const Toaster = lazy(async () => ({ default: (await import('sonner')).Toaster }));
const BurnKeeper = lazy(async () => ({
  default: (await import('../features/burn/run/BurnKeeper.tsx')).BurnKeeper,
}));
const importPalette = () => import('./CommandPalette.tsx');
const importKeys = () => import('./KeySheet.tsx');
const CommandPalette = lazy(async () => ({ default: (await importPalette()).CommandPalette }));
const KeySheet = lazy(async () => ({ default: (await importKeys()).KeySheet }));

/** The frame of every page: who is signed in, the header with its clocks, and what the keyboard opens. */
export function Shell() {
  const session = useSessionQuery();
  const theme = useAppSelector((state) => state.preferences.theme);
  const watch = useBurnWatch();
  const ended = useAppSelector((state) => state.sessionEnd.ended);
  const [palette, setPalette] = useState(false);
  const [keys, setKeys] = useState(false);
  useGlobalKeys({ palette: () => setPalette(true), keys: () => setKeys(true) });
  const busy = useAppSelector((state) =>
    Object.values(state[api.reducerPath].queries).some((query) => query?.status === QueryStatus.pending),
  );
  /** The page itself stands: what rings and what tells of entries comes now. */
  const [stands, setStands] = useState(false);
  useEffect(() => {
    // Ready before they are asked for, so that what is typed right after Ctrl K arrives in them, also without a
    // network; but never in the way of the page itself.
    if (busy) return undefined;
    const timer = window.setTimeout(() => {
      setStands(true);
      void Promise.all([importPalette(), importKeys(), importWaitingSheet(), importEntryCheck()])
        .then(() => import('./ahead/readyForJobs.ts'))
        .then(({ readyForJobs }) => readyForJobs())
        .catch(() => undefined);
    }, 400);
    return () => window.clearTimeout(timer);
  }, [busy]);
  const { pathname } = useLocation();
  const printed = pathname.endsWith('/report');
  // On a job it stands above the tape.
  const aboveTape = /^\/jobs\/[^/]+$/.test(pathname);

  if (session.isLoading) return <p className="p-8 font-head text-xl">{common.opening}</p>;
  if (!session.data) {
    const problem = problemOf(session.error);
    return (
      <main className="p-8 max-w-xl">
        <h1 className="text-3xl mb-2">{problem.title}</h1>
        <p className="mb-4">{wording.entriesOnThisDeviceAreKeptAnd}</p>
        <Button weight="main" onClick={() => void session.refetch()}>
          {common.tryAgain}
        </Button>
      </main>
    );
  }
  if (!session.data.member) {
    return (
      <Suspense>
        <SignInPage session={session.data} />
      </Suspense>
    );
  }
  setDraftOwner(session.data.member.id);
  if (session.data.member.mustChangePassword) {
    return (
      <Suspense>
        <FirstPassword member={session.data.member} />
      </Suspense>
    );
  }
  return (
    <div className="min-h-dvh flex flex-col">
      <a href="#work" className="sr-only focus:not-sr-only focus:absolute focus:z-50 focus:bg-card focus:p-3">
        {wording.skipToContent}
      </a>
      <Header member={session.data.member} onPalette={() => setPalette(true)} />
      <Suspense>{stands ? <ClockRinger /> : null}</Suspense>
      {session.data.warning ? <Notice title={session.data.warning} tone="alarm" /> : null}
      <div id="work" className={`grow flex flex-col ${printed ? '' : 'min-h-0'}`}>
        <Outlet />
      </div>
      {/* Each by itself: what is still being loaded would hide an open sheet beside it. */}
      <Suspense>{ended ? <SignInAgain member={session.data.member} /> : null}</Suspense>
      <Suspense>{watch ? <BurnKeeper watch={watch} /> : null}</Suspense>
      <Suspense fallback={<TypedAhead />}>
        {palette ? (
          <CommandPalette
            open
            onOpenChange={setPalette}
            role={session.data.member.role}
            onKeys={() => setKeys(true)}
          />
        ) : null}
      </Suspense>
      <Suspense>{keys ? <KeySheet open onOpenChange={setKeys} /> : null}</Suspense>
      <Suspense>
        {stands ? (
          <Toaster
            position="bottom-right"
            theme={theme === 'bay' ? 'dark' : 'light'}
            // On the tape, in what is yet to come: it lies on no button, where a pointer on its way would keep it there.
            offset={aboveTape ? 12 : 24}
            // On a phone above the next step and the bar of stages.
            mobileOffset={{ bottom: aboveTape ? 156 : 16 }}
            // Undone with gloves on, too: large, and none behind another.
            expand
            toastOptions={{ actionButtonStyle: { height: 44, padding: '0 16px', fontSize: 16 } }}
          />
        ) : null}
      </Suspense>
    </div>
  );
}
