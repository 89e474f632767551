import * as app from '@white-ember/core/words/screens/app';
import * as wording from '@white-ember/core/words/screens/finder';
import * as common from '@white-ember/core/words/screens/common';
import { Sheet } from '../ui/Sheet.tsx';

const KEYS: readonly (readonly [string, string])[] = [
  [wording.keyFind, wording.findAnything],
  ['?', wording.thisSheet],
  [wording.keyJobs, common.jobs],
  [wording.keyVehicles, common.vehicles],
  [wording.keyFleet, app.fleetWhoIsDueNext],
  [wording.keyLimits, common.limits],
  [wording.keyLearn, common.learn],
  ['T', wording.daylightOrBay],
  ['N', wording.onAJobNextStep],
  ['1 … 8', wording.onAJobStage],
  ['K S I J H N O', wording.liveSimulated],
  [wording.keyLive, wording.liveActs],
  [wording.keyTraces, wording.onLogTraces],
  ['Escape', wording.closeTheSheet],
];

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
