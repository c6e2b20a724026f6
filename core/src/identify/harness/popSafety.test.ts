import type { VehicleState } from '../../vehicle';
import { stateAt } from '../../vehicle';
import type { Reading, ReadingValue } from '../reading/reading';
import type { WireBelief } from './beliefs';
import { popSafety } from './popSafety';

const ON: VehicleState = { ...stateAt('run'), lamps: true };
let count = 0;
function read(sourceId: string, value: ReadingValue, more: Partial<Reading> = {}): Reading {
  count += 1;
  return { id: `r${count}`, sourceId, contact: undefined, state: ON, value, ...more };
}
const volts = (value: number, state = ON) => read('a', { kind: 'volts', volts: value }, { state });
const coil = read('a', { kind: 'ohms', ohm: 4 }, { otherId: 'b', state: stateAt('off') });

/** A wire with chances of lines that 9 V would harm. */
const belief = (
  of: Partial<Record<'dataBus' | 'sensor' | 'lockMultiplex', number>> = {},
  role = 'speaker',
): WireBelief =>
  ({
    ...{ role, wire: { id: 'a', name: 'A' } },
    given: { functions: { dataBus: 0, sensor: 0, lockMultiplex: 0, ...of } },
  }) as unknown as WireBelief;
const safety = (of: WireBelief, ...readings: Reading[]) =>
  popSafety(of, { wires: [], readings, state: ON });

describe('whether 9 V may be touched to a wire', () => {
  it('is so once it was read dead with the key on', () => {
    expect(safety(belief(), volts(0))).toBe(true);
    expect(safety(belief())).toBe('not read dead with the key on');
    expect(safety(belief(), volts(0, stateAt('off')))).toBe('not read dead with the key on');
    expect(safety(belief(), volts(12))).toBe('not read dead with the key on');
    expect(safety(belief(), volts(2))).toBe('not read dead with the key on');
  });

  it('is not so where it may be a data or a sensor line, or an amplifier drives it', () => {
    expect(safety(belief({ dataBus: 0.004 }), volts(0))).toBe(true);
    expect(safety(belief({ dataBus: 0.005 }), volts(0))).toBe('may be a data line');
    expect(safety(belief({ sensor: 0.004 }), volts(0))).toBe(true);
    expect(safety(belief({ sensor: 0.005 }), volts(0))).toBe('may be a sensor line');
    expect(safety(belief({ sensor: 0.003, lockMultiplex: 0.002 }), volts(0))).toBe(
      'may be a sensor line',
    );
    expect(safety(belief({}, 'amplifier'), volts(0), coil)).toBe('an amplifier drives it');
  });

  // A few ohms between two wires are a voice coil, whatever ghost stands on them. Common practice.
  it('is so on a coil that is not fed', () => {
    expect(safety(belief({ dataBus: 0.5 }), volts(2), coil)).toBe(true);
    expect(safety(belief(), volts(5), coil)).toBe('not read dead with the key on');
    expect(safety(belief(), coil)).toBe('not read dead with the key on');
    const data = read('a', { kind: 'ohms', ohm: 60 }, { otherId: 'b', state: stateAt('off') });
    expect(safety(belief({ dataBus: 0.5 }), volts(0), data)).toBe('may be a data line');
  });
});
