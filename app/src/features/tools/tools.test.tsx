import { act, fireEvent, screen } from '@testing-library/react-native';
import { coordinationCurves } from '@lucky-thread/core/size';
import { useState } from 'react';
import { prefsChanged } from '../../store/prefsSlice';
import { renderInApp } from '../../testing/render';
import { ChargeChart } from '../../ui/charts/ChargeChart';
import { CoordinationChart } from '../../ui/charts/CoordinationChart';
import { decades, linearScale, logScale, pathThrough } from '../../ui/charts/scale';
import { NumberField } from '../../ui/NumberField';
import { BATTERY_DEFAULTS, monthOf } from '../../sizing/batteryInputs';
import { inputsFrom, paramsFor } from '../../sizing/toolInputs';
import { WIRE_DEFAULTS, loadOf } from '../../sizing/wireInputs';

describe('inputs in the address', () => {
  it('come back as they were, and leave out what is as by default', () => {
    const changed = { currentA: 7.5, engine: true, back: 'lead', spareA: undefined };
    const params = paramsFor(WIRE_DEFAULTS, { ...changed, oneWayM: WIRE_DEFAULTS.oneWayM });
    expect(params).toEqual({
      currentA: '7.5',
      engine: 'true',
      back: 'lead',
      spareA: '',
      oneWayM: undefined,
    });
    expect(inputsFrom(WIRE_DEFAULTS, params)).toEqual({ ...WIRE_DEFAULTS, ...changed });
  });

  it('make a load, or none when one is a slip', () => {
    const inputs = inputsFrom(WIRE_DEFAULTS, {});
    expect(loadOf(inputs)).toMatchObject({ currentA: 10, returnPath: 'body', inrush: undefined });
    for (const slip of [
      { currentA: 0 },
      { currentA: 500 },
      { oneWayM: Number.NaN },
      { oneWayM: undefined },
      { ambientC: 300 },
      { insulation: '70' },
      { family: 'wood' },
      { peakA: 5000 },
    ])
      expect(loadOf({ ...inputs, ...slip })).toBeUndefined();
    expect(loadOf({ ...inputs, peakA: 20 })?.inrush).toEqual({ peakA: 20, peakS: 0.1 });
  });

  it('make a month on a battery; cut-off and timer may be left out', () => {
    const inputs = inputsFrom(BATTERY_DEFAULTS, { timerHours: '', type: 'gelMat' });
    expect(monthOf(inputs)).toMatchObject({
      battery: { type: 'gelMat', reserveMinutes: undefined },
      load: { timerHours: undefined, cutOffV: 12.2 },
    });
    expect(monthOf({ ...inputs, capacityAh: 1 })).toBeUndefined();
    expect(monthOf({ ...inputs, type: 'potato' })).toBeUndefined();
  });
});

describe('NumberField', () => {
  function Length(props: { readonly onValue: (value: number | undefined) => void }) {
    const [value, setValue] = useState<number | undefined>(3.048);
    return (
      <NumberField
        label="Length"
        of="length"
        value={value}
        testID="length"
        onValue={(next) => {
          setValue(next);
          props.onValue(next);
        }}
      />
    );
  }

  it('keeps the metres while the units change, and takes a comma', () => {
    const values: (number | undefined)[] = [];
    const { store } = renderInApp(<Length onValue={(value) => values.push(value)} />);
    const text = (): unknown => screen.getByTestId('length').props.value;
    const units = (to: 'metric' | 'us'): void =>
      act(() => void store.dispatch(prefsChanged({ units: to })));
    units('us');
    expect(text()).toBe('10');
    units('metric');
    expect(text()).toBe('3.05');
    expect(values).toEqual([]);
    fireEvent.changeText(screen.getByTestId('length'), '2,5');
    expect(values).toEqual([2.5]);
    expect(text()).toBe('2,5');
    units('us');
    expect(text()).toBe('8.2');
    fireEvent.changeText(screen.getByTestId('length'), '');
    expect(values).toEqual([2.5, undefined]);
  });
});

describe('charts', () => {
  const lead = {
    fuseA: 10,
    areaMm2: 1.5,
    insulation: 105,
    around: {},
    copperM: 4,
    sourceOhm: 0.026,
    systemV: 12,
  } as const;

  it('scales by ratios and by differences', () => {
    const log = logScale([1, 100], [0, 200]);
    expect([log(1), log(10), log(100)]).toEqual([0, 100, 200]);
    expect(linearScale([0, 10], [100, 0])(5)).toBe(50);
    expect(decades([0.01, 100])).toEqual([0.01, 0.1, 1, 10, 100]);
    expect(pathThrough([])).toBe('');
    expect(
      pathThrough([
        [0, 1],
        [2.25, 3],
      ]),
    ).toBe('M0.0 1.0 L2.3 3.0');
  });

  it('says in words what it shows: fuse and wire', () => {
    renderInApp(<CoordinationChart curves={coordinationCurves(lead)} wire="1.5 mm²" fuseA={10} />);
    expect(
      screen.getByLabelText(
        /10 A fuse clears a dead short of \d+ A in at most .* s; 1\.5 mm² stands it/,
      ),
    ).toBeTruthy();
  });

  it('says in words what it shows: charge over days', () => {
    const hourly = Float64Array.from({ length: 24 * 30 + 1 }, (_, hour) => 1 - hour / 1000);
    renderInApp(<ChargeChart hourly={hourly} needed={0.3} cutOff={0.5} noStartDay={29} />);
    expect(screen.getByLabelText(/over 30 days: from 100 % to 28 %; .* day 30/)).toBeTruthy();
  });
});
