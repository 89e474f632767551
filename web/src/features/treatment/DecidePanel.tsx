import { vehicleFactsOf } from '@white-ember/core/job';
import { judgeReading } from '@white-ember/core/proof';
import { restrictionRatio, sootFromPressure } from '@white-ember/core/filter';
import { useAppSelector } from '../../app/store.ts';
import { withUnit } from '../../ui/format.ts';
import { Notice } from '../../ui/Notice.tsx';
import { Button } from '../../ui/Button.tsx';
import { CauseForm } from '../diagnosis/CauseForm.tsx';
import type { StageProps } from '../job/StageWork.tsx';
import { ChoiceForm } from './ChoiceForm.tsx';
import { TreatmentChoice } from './TreatmentChoice.tsx';
import { DrivableForm } from './DrivableForm.tsx';

/** What the before reading says about the filter, against the limits, before anything is done to it. */
export function DecidePanel({ open, canEnter, onStage }: StageProps) {
  return (
    <div className="max-w-4xl grid gap-8">
      <BeforeReading open={open} onStage={onStage} />
      <CauseForm open={open} canEnter={canEnter} />
      {open.derived.before ? (
        <TreatmentChoice open={open} canEnter={canEnter} onChosen={() => onStage('treat')} />
      ) : null}
      <ChoiceForm open={open} canEnter={canEnter} />
      <DrivableForm open={open} canEnter={canEnter} />
    </div>
  );
}

function BeforeReading({ open, onStage }: Pick<StageProps, 'open' | 'onStage'>) {
  const { derived, vehicle, limits } = open;
  const pressureUnit = useAppSelector((state) => state.preferences.pressureUnit);
  if (!derived.before) {
    return (
      <div className="max-w-2xl grid gap-4">
        <h2 className="text-2xl">Decide</h2>
        <p>Nothing can be decided without a reading: not from a code, not from a lamp.</p>
        <Button weight="main" onClick={() => onStage('baseline')}>
          Take the before reading
        </Button>
      </div>
    );
  }
  const reading = judgeReading(derived.before.body, { limits, ...vehicleFactsOf(vehicle) });
  return (
    <div className="grid gap-5">
      <h2 className="text-2xl">Before reading</h2>
      <table className="w-full text-left [&_th]:align-bottom [&_th:not(:first-child)]:pl-3 [&_td:not(:first-child)]:pl-3">
        <thead className="border-b-2 border-ink">
          <tr>
            <th className="py-1">at</th>
            <th className="text-right">flow</th>
            <th className="text-right">ΔP, zero removed</th>
            <th className="text-right">× clean</th>
            <th className="text-right">soot load, no ash</th>
          </tr>
        </thead>
        <tbody>
          {reading.samples.map((sample, i) => {
            const ratio = vehicle.filter
              ? restrictionRatio(vehicle.filter, sample.flow, sample.dpMbar)
              : undefined;
            const soot = vehicle.filter
              ? sootFromPressure({
                  geometry: vehicle.filter,
                  gas: sample.flow,
                  dpMbar: Math.max(sample.dpMbar, 0),
                  dpDoubtMbar: sample.dpMbar * sample.flow.flowDoubt,
                })
              : undefined;
            return (
              <tr key={i} className="border-b-2 border-rule">
                <td className="py-1.5">
                  {sample.kind === 'idle' ? 'idle' : `${Math.round(sample.rpm)} rpm`}
                </td>
                <td className="text-right">{Math.round(sample.flow.flowM3PerH)} m³/h</td>
                <td className="text-right figure-text text-lg">{withUnit(sample.dpMbar, pressureUnit)}</td>
                <td className="text-right">{ratio?.ok ? ratio.value.ratio.toFixed(1) : '–'}</td>
                <td className="text-right">
                  {soot?.ok && soot.value.capped
                    ? `over ${soot.value.lowG.toFixed(0)} g; above that it may be ash, another restriction or the sensor`
                    : soot?.ok
                      ? `${soot.value.sootG.toFixed(0)} g (${soot.value.lowG.toFixed(0)}–${soot.value.highG.toFixed(0)})`
                      : '–'}
                </td>
              </tr>
            );
          })}
        </tbody>
      </table>
      <p className="text-ink2">
        Good: up to {limits.restrictionGoodRatio} × clean, {withUnit(limits.dpIdleGoodMbar, pressureUnit)} at
        idle, {withUnit(limits.dp3000GoodMbar, pressureUnit)} at 3000 rpm. Blocked: over{' '}
        {withUnit(limits.dpIdleBlockedMbar, pressureUnit)} at idle, over{' '}
        {withUnit(limits.dp3000BlockedMbar, pressureUnit)} at 3000 rpm.
        {derived.before.body.sootCounterG === undefined
          ? ''
          : ` The ECU counts ${derived.before.body.sootCounterG.toFixed(0)} g of soot.`}
      </p>
      {vehicle.filter ? null : (
        <Notice title="The filter’s size is not known">
          Restriction and soot load need it. Before and after are still compared by fitted curves.
        </Notice>
      )}
      {reading.assumptions.length > 0 || reading.unplaced.length > 0 ? (
        <Notice title="Assumed, not read">
          <ul className="list-disc pl-5">
            {[...reading.assumptions, ...reading.unplaced].map((sentence) => (
              <li key={sentence}>{sentence}</li>
            ))}
          </ul>
        </Notice>
      ) : null}
      <Button onClick={() => onStage('treat')}>Continue to the work</Button>
    </div>
  );
}
