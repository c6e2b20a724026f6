import type { Glow } from '@lucky-thread/core/identify';
import { parseVolts } from './readingRequest';
import type { Meter } from './meter';

/** Volts or ohms as the installer types them off a meter without a connection. */
export const keypadMeter: Meter<string> = {
  read: (touch, text) => {
    const value = parseVolts(text);
    const ohms = touch.measure === 'ohms';
    if (value === undefined)
      return Promise.resolve({
        ok: false,
        problem: `“${text}” is no number of ${ohms ? 'ohms' : 'volts'}`,
      });
    return Promise.resolve({
      ok: true,
      taken: ohms ? { instrument: 'ohmmeter', ohms: value } : { instrument: 'meter', volts: value },
    });
  },
  close: () => undefined,
};

/** A test lamp as the installer sees it burn. */
export const lampMeter: Meter<Glow> = {
  read: (_touch, glow) => Promise.resolve({ ok: true, taken: { instrument: 'lamp', glow } }),
  close: () => undefined,
};
