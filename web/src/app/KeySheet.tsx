import * as wording from '@white-ember/core/words/screens/app';
import { Sheet } from '../ui/Sheet.tsx';
import { KEYS } from './useGlobalKeys.ts';

export function KeySheet({ open, onOpenChange }: { open: boolean; onOpenChange: (open: boolean) => void }) {
  return (
    <Sheet open={open} onOpenChange={onOpenChange} title={wording.keys}>
      <dl className="grid grid-cols-[auto_1fr] gap-x-6 gap-y-2">
        {KEYS.map(([key, does]) => (
          <div key={key} className="contents">
            <dt className="figure-text border-2 border-ink rounded-sm px-2 justify-self-start">{key}</dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </Sheet>
  );
}
