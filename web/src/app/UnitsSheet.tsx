import {
  DISTANCE_UNITS,
  MASS_FLOW_UNITS,
  PRESSURE_UNITS,
  TEMPERATURE_UNITS,
  unitLabel,
  type Unit,
} from '@white-ember/core/quantities';
import { Field } from '../ui/Field.tsx';
import { Sheet } from '../ui/Sheet.tsx';
import { preferred, type Preferences } from './preferences.ts';
import { useAppDispatch, useAppSelector } from './store.ts';

const CHOICES = [
  ['pressureUnit', 'Pressure', PRESSURE_UNITS],
  ['temperatureUnit', 'Temperature', TEMPERATURE_UNITS],
  ['massFlowUnit', 'Air mass', MASS_FLOW_UNITS],
  ['distanceUnit', 'Distance', DISTANCE_UNITS],
] as const satisfies readonly (readonly [keyof Preferences, string, readonly Unit[]])[];

/** The units that this person reads and types in, on this device. What is stored does not change with them. */
export function UnitsSheet({ onClose }: { onClose: () => void }) {
  const dispatch = useAppDispatch();
  const preferences = useAppSelector((state) => state.preferences);
  return (
    <Sheet open onOpenChange={(open) => (open ? undefined : onClose())} title="Units">
      <div className="grid sm:grid-cols-2 gap-4">
        {CHOICES.map(([key, label, units]) => (
          <Field key={key} label={label}>
            <select
              className="input-box"
              value={preferences[key]}
              onChange={(event) => dispatch(preferred({ [key]: event.target.value as Unit }))}
            >
              {units.map((unit) => (
                <option key={unit} value={unit}>
                  {unitLabel(unit)}
                </option>
              ))}
            </select>
          </Field>
        ))}
      </div>
      <p className="text-sm text-ink2 mt-4">
        For reading and typing on this device; what is stored stays the same.
      </p>
    </Sheet>
  );
}
