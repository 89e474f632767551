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
        <DropdownMenu.Trigger className={ACCOUNT_BUTTON} aria-label={`Menu of ${member.name}`}>
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
              {preferences.theme === 'bay' ? 'Daylight colours' : 'Bay colours (dark)'}
            </DropdownMenu.Item>
            <DropdownMenu.Item className={ITEM} onSelect={() => setUnits(true)}>
              Units: {unitLabel(preferences.units.pressure)}, {unitLabel(preferences.units.temperature)} …
            </DropdownMenu.Item>
            <DropdownMenu.Item className={ITEM} onSelect={() => void navigate('/fleet')}>
              Fleet: who is due next
            </DropdownMenu.Item>
            <DropdownMenu.Item className={ITEM} onSelect={() => void navigate('/fluids')}>
              Fluids on the shelf
            </DropdownMenu.Item>
            <DropdownMenu.Item className={ITEM} onSelect={() => void navigate('/limits')}>
              Limits
            </DropdownMenu.Item>
            <DropdownMenu.Item className={ITEM} onSelect={() => void navigate('/headings')}>
              Log headings
            </DropdownMenu.Item>
            {member.role === 'lead' ? (
              <DropdownMenu.Item className={ITEM} onSelect={() => void navigate('/people')}>
                People and data
              </DropdownMenu.Item>
            ) : null}
            <DropdownMenu.Item className={ITEM} onSelect={() => void navigate('/account')}>
              Your account
            </DropdownMenu.Item>
            <DropdownMenu.Separator className="border-t-2 border-rule my-1" />
            <DropdownMenu.Item
              className={ITEM}
              onSelect={() => (waiting.length > 0 ? setLeaving(true) : leave())}
            >
              Sign out
            </DropdownMenu.Item>
          </DropdownMenu.Content>
        </DropdownMenu.Portal>
      </DropdownMenu.Root>
      {units ? <UnitsSheet onClose={() => setUnits(false)} /> : null}
      <Sheet open={leaving} onOpenChange={setLeaving} title="Sign out with unsent entries?">
        <div className="grid gap-4">
          <p>
            {waiting.length === 1 ? 'One entry is' : `${waiting.length} entries are`} not with the server yet.
            They stay on this device and are sent when you sign in here again.
          </p>
          <div className="flex flex-wrap gap-3">
            <Button weight="main" onClick={() => void dispatch(sendWaiting())}>
              Send now
            </Button>
            <Button onClick={leave}>Sign out</Button>
          </div>
        </div>
      </Sheet>
    </>
  );
}
