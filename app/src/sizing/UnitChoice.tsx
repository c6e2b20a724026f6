import { prefsChanged } from '../store/prefsSlice';
import { useAppDispatch, useAppSelector } from '../store/store';
import { Choice } from '../ui/Choice';

/** The units that lengths and gauges are shown and typed in, everywhere. */
export function UnitChoice() {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.prefs.units);
  return (
    <Choice
      label="Units"
      testID="units"
      even
      options={[
        { value: 'metric', label: 'Metres, mm²' },
        { value: 'us', label: 'Feet, AWG' },
      ]}
      value={units}
      onChange={(to) => dispatch(prefsChanged({ units: to }))}
    />
  );
}
