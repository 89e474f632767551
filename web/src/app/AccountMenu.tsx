import * as wording from '@white-ember/core/words/screens/app';
import * as common from '@white-ember/core/words/screens/common';
import { useState } from 'react';
import { DropdownMenu } from 'radix-ui';
import { useNavigate } from 'react-router';
import type { Member } from '@white-ember/core/contract';
import { unitLabel } from '@white-ember/core/quantities';
import { api, useSignOutMutation } from '../data/api.ts';
import { sendWaiting } from '../data/outbox.ts';
import { preferred } from '../data/preferences.ts';
import { useAppDispatch, useAppSelector } from '../data/store.ts';
import { useWaiting } from '../features/ledger/useWaiting.ts';
import { Button } from '../ui/Button.tsx';
import { Sheet } from '../ui/Sheet.tsx';
import { ACCOUNT_BUTTON, AccountFace } from './AccountFace.tsx';
import { UnitsSheet } from './UnitsSheet.tsx';

const ITEM =
  'px-3 min-h-11 flex items-center gap-3 outline-none data-[highlighted]:bg-ink data-[highlighted]:text-paper cursor-pointer';

/** What a person sets, the pages that are seldom wanted, and the way out. Open when it is first there. */
export function AccountMenu({ member }: { member: Member }) {
  const dispatch = useAppDispatch();
  const navigate = useNavigate();
  const preferences = useAppSelector((state) => state.preferences);
  const [signOut] = useSignOutMutation();
  const [units, setUnits] = useState(false);
  const { own: waiting } = useWaiting();
  const [leaving, setLeaving] = useState(false);
  const leave = (): void => {
    void signOut()
      .unwrap()
      .then(() => {
        setLeaving(false);
        void navigate('/jobs');
        dispatch(api.util.resetApiState());
      })
      .catch(() => undefined);
  };
  return (
    <>
      <DropdownMenu.Root defaultOpen>
        <DropdownMenu.Trigger className={ACCOUNT_BUTTON} aria-label={wording.menuOf(member.name)}>
          <AccountFace name={member.name} />
        </DropdownMenu.Trigger>
        <DropdownMenu.Portal>
          <DropdownMenu.Content
            align="end"
            className="bg-card text-ink border-2 border-ink rounded-sm min-w-64 z-50 py-1 max-h-[90vh] overflow-auto"
          >
            <DropdownMenu.Label className="px-3 py-2 text-sm text-ink2">
              {member.name}, {member.role}
            </DropdownMenu.Label>
            <DropdownMenu.Item
              className={ITEM}
              onSelect={() =>
                dispatch(preferred({ theme: preferences.theme === 'bay' ? 'daylight' : 'bay' }))
              }
            >
              {preferences.theme === 'bay' ? wording.daylightColours : wording.bayColoursDark}
            </DropdownMenu.Item>
            <DropdownMenu.Item className={ITEM} onSelect={() => setUnits(true)}>
              {wording.units(unitLabel(preferences.units.pressure), unitLabel(preferences.units.temperature))}
            </DropdownMenu.Item>
            <DropdownMenu.Item className={ITEM} onSelect={() => void navigate('/fleet')}>
              {wording.fleetWhoIsDueNext}
            </DropdownMenu.Item>
            <DropdownMenu.Item className={ITEM} onSelect={() => void navigate('/learn')}>
              {common.learn}
            </DropdownMenu.Item>
            <DropdownMenu.Item className={ITEM} onSelect={() => void navigate('/fluids')}>
              {common.fluidsOnTheShelf}
            </DropdownMenu.Item>
            <DropdownMenu.Item className={ITEM} onSelect={() => void navigate('/limits')}>
              {common.limits}
            </DropdownMenu.Item>
            <DropdownMenu.Item className={ITEM} onSelect={() => void navigate('/headings')}>
              {common.logHeadings}
            </DropdownMenu.Item>
            {member.role === 'lead' ? (
              <DropdownMenu.Item className={ITEM} onSelect={() => void navigate('/people')}>
                {common.peopleAndData}
              </DropdownMenu.Item>
            ) : null}
            <DropdownMenu.Item className={ITEM} onSelect={() => void navigate('/account')}>
              {common.yourAccount}
            </DropdownMenu.Item>
            <DropdownMenu.Separator className="border-t-2 border-rule my-1" />
            <DropdownMenu.Item
              className={ITEM}
              onSelect={() => (waiting.length > 0 ? setLeaving(true) : leave())}
            >
              {common.signOut}
            </DropdownMenu.Item>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      {units ? <UnitsSheet onClose={() => setUnits(false)} /> : null}
      <Sheet open={leaving} onOpenChange={setLeaving} title={wording.signOutWithUnsentEntries}>
        <div className="grid gap-4">
          <p>
            {wording.notWithTheServerYetTheyStay(
              waiting.length === 1 ? wording.oneEntryIs : wording.entriesAre(waiting.length),
            )}
          </p>
          <div className="flex flex-wrap gap-3">
            <Button weight="main" onClick={() => void dispatch(sendWaiting())}>
              {common.sendNow}
            </Button>
            <Button onClick={leave}>{common.signOut}</Button>
          </div>
        </div>
      </Sheet>
    </>
  );
}
