import * as wording from '@white-ember/core/words/screens/app';
import * as common from '@white-ember/core/words/screens/common';
import { lazy, Suspense, useState } from 'react';
import { Search } from 'lucide-react';
import { NavLink } from 'react-router';
import type { Member } from '@white-ember/core/contract';
import { SendingMark } from '../features/files/SendingMark.tsx';
import { RunningClocks } from '../features/clocks/RunningClocks.tsx';
import { RecordingMark } from '../features/live/RecordingMark.tsx';
import { WaitingMark } from '../features/ledger/WaitingMark.tsx';
import { ACCOUNT_BUTTON, AccountFace } from './AccountFace.tsx';
import { EmberMark } from '../ui/EmberMark.tsx';

const importMenu = () => import('./AccountMenu.tsx');
const AccountMenu = lazy(async () => ({ default: (await importMenu()).AccountMenu }));

/** The menu of the person, which is loaded when a pointer or the keyboard comes near it. */
function AccountMenuButton({ member }: { member: Member }) {
  const [wanted, setWanted] = useState(false);
  const near = (): void => void importMenu().catch(() => undefined);
  const face = (
    <button
      type="button"
      className={ACCOUNT_BUTTON}
      aria-label={wording.menuOf(member.name)}
      aria-haspopup="menu"
      onPointerEnter={near}
      onFocus={near}
      onClick={() => setWanted(true)}
    >
      <AccountFace name={member.name} />
    </button>
  );
  return wanted ? (
    <Suspense fallback={face}>
      <AccountMenu member={member} />
    </Suspense>
  ) : (
    face
  );
}

export function Header({ member, onPalette }: { member: Member; onPalette: () => void }) {
  const link = ({ isActive }: { isActive: boolean }): string =>
    `font-head font-semibold min-h-11 px-2 grid place-items-center ${isActive ? 'border-b-4 border-ember' : 'border-b-4 border-transparent'}`;
  return (
    <header className="no-print border-b-2 border-ink flex items-center gap-x-1 sm:gap-x-3 px-2 sm:px-3 min-h-[46px] shrink-0">
      <NavLink
        to="/jobs"
        className="flex items-center gap-2 font-head font-semibold text-lg shrink-0 min-h-11"
      >
        <EmberMark />
        <span className="hidden sm:inline">{common.whiteEmber}</span>
      </NavLink>
      <nav aria-label={wording.views} className="flex gap-1">
        <NavLink to="/jobs" className={link}>
          {common.jobs}
        </NavLink>
        <NavLink to="/vehicles" className={link}>
          {common.vehicles}
        </NavLink>
        <NavLink to="/fleet" className={(state) => `${link(state)} max-sm:hidden`}>
          {common.fleet}
        </NavLink>
        <NavLink to="/limits" className={(state) => `${link(state)} max-sm:hidden`}>
          {common.limits}
        </NavLink>
        <NavLink to="/learn" className={(state) => `${link(state)} max-sm:hidden`}>
          {common.learn}
        </NavLink>
      </nav>
      <div className="grow" />
      <RecordingMark />
      <RunningClocks />
      <SendingMark />
      <WaitingMark />
      <button
        className="min-h-11 min-w-11 grid place-items-center"
        onClick={onPalette}
        aria-label={wording.findCtrlK}
      >
        <Search aria-hidden size={20} />
      </button>
      <AccountMenuButton member={member} />
    </header>
  );
}
