import { PARKED } from '@lucky-thread/core/vehicle';
import { keypadMeter, lampMeter } from './handMeters';
import type { MeterLink, MeterSocket } from './networkMeter';
import { linesFor, networkMeter } from './networkMeter';

const TOUCH = { sourceId: 'dash/F5', state: PARKED };

/** A socket that answers each line by a rule. */
function socketThat(answer: (line: string) => string | undefined): MeterSocket {
  const socket: MeterSocket = {
    onopen: null,
    onmessage: null,
    onclose: null,
    send: (line) => {
      const data = answer(line);
      if (data === undefined) socket.onclose?.();
      else socket.onmessage?.({ data });
    },
    close: () => socket.onclose?.(),
  };
  queueMicrotask(() => socket.onopen?.());
  return socket;
}

const obedient = (last: string) => (line: string) => (line.includes('?') ? last : 'OK');

describe('the networked meter', () => {
  it.each([
    ['volts', '+1.240000E+01', { instrument: 'simulatedMeter', volts: 12.4 }],
    [
      'volts',
      '+0.000000E+00,+1.200000E+01',
      { instrument: 'simulatedMeter', volts: 0, highVolts: 12 },
    ],
    ['ohms', '+4.200000E+00', { instrument: 'ohmmeter', ohms: 4.2 }],
    ['ohms', '9.9E+37', { instrument: 'ohmmeter' }],
    ['lamp', 'DIM', { instrument: 'lamp', glow: 'dim' }],
    ['pop', 'OUT,"rear left",""', { instrument: 'pop', cone: 'out', speaker: 'rear left' }],
  ] as const)('reads %s from %s', async (measure, line, taken) => {
    const meter = networkMeter(() => socketThat(obedient(line)), jest.fn());
    expect(await meter.read({ ...TOUCH, measure, otherId: 'harness/W2' }, undefined)).toEqual({
      ok: true,
      taken,
    });
  });

  it('tells probe, clip and state before it asks', () => {
    const lines = linesFor({ ...TOUCH, contact: 'a', clipId: 'harness/W3' });
    expect(lines.map((line) => line.split(' ')[0])).toEqual([
      'SIM:STAT',
      'SIM:PROB',
      'SIM:CLIP',
      'MEAS:VOLT:DC?',
    ]);
    expect(lines[1]).toBe('SIM:PROB "dash/F5","a"');
  });

  it('reports a drop, makes nothing up, and connects again', async () => {
    const links: MeterLink[] = [];
    let drops = true;
    const meter = networkMeter(
      () => socketThat((line) => (drops ? undefined : obedient('+1.2E+01')(line))),
      (link) => links.push(link),
    );
    const lost = await meter.read(TOUCH, undefined);
    expect(lost).toMatchObject({ ok: false });
    expect(links).toEqual(['connecting', 'open', 'lost']);
    drops = false;
    expect(await meter.read(TOUCH, undefined)).toMatchObject({ ok: true, taken: { volts: 12 } });
  });

  it.each(['-220,"Parameter error"', 'gibberish'])('passes %s on as no reading', async (line) => {
    const meter = networkMeter(() => socketThat(() => line), jest.fn());
    expect((await meter.read(TOUCH, undefined)).ok).toBe(false);
  });
});

describe('meters read by hand', () => {
  it('take volts, or ohms, from the keypad', async () => {
    expect(await keypadMeter.read(TOUCH, '12,4')).toEqual({
      ok: true,
      taken: { instrument: 'meter', volts: 12.4 },
    });
    expect(await keypadMeter.read({ ...TOUCH, measure: 'ohms' }, '0.3')).toEqual({
      ok: true,
      taken: { instrument: 'ohmmeter', ohms: 0.3 },
    });
    expect(await keypadMeter.read(TOUCH, 'twelve')).toMatchObject({ ok: false });
  });

  it('take a lamp as it burns', async () => {
    expect(await lampMeter.read(TOUCH, 'dim')).toMatchObject({ taken: { glow: 'dim' } });
  });
});
