import type { BenchCar, BenchTouch, GeneratedBunch } from '../bench';
import { benchCar, lampShows, meterShows, ohmmeterShows, seededRandom } from '../bench';
import type { Reading, ReadingValue } from '../identify';
import { WORK_SECONDS, changeSeconds } from '../identify';
import type { VehicleState } from '../vehicle';
import { PARKED } from '../vehicle';

/** What a wire may be touched with. */
export type BunchInstrument = 'meter' | 'ohmmeter' | 'lamp';

/** An instrument put where it hurts. */
export interface BunchHarm {
  /** The wire that was touched. */
  readonly wireId: string;
  /** What would have come of it in a real car. */
  readonly kind: 'lamp on data' | 'ohms on live';
}

/** A bunch on the bench with instruments in hand. */
export interface BunchBench {
  /** The simulated car that answers. */
  readonly car: BenchCar;
  /** What was read so far, oldest first. */
  readonly readings: readonly Reading[];
  /** The state that the car is in. */
  readonly state: () => VehicleState;
  /** What the instrument’s other lead is clipped to. */
  readonly clip: () => 'ground' | 'constant';
  /** Brings the car to a state; takes its seconds. */
  readonly go: (state: VehicleState) => void;
  /** Moves the clip. */
  readonly clipTo: (clip: 'ground' | 'constant') => void;
  /** Reads one wire against the clip. */
  readonly probe: (wireId: string, instrument?: BunchInstrument) => Reading;
  /** Attended work, s, waits for sleep left out; touches; and what was hurt. */
  readonly effort: () => {
    readonly seconds: number;
    readonly probes: number;
    readonly harm: readonly BunchHarm[];
  };
}

const NOISE_SEED = 4_001;
/** From this on an ohmmeter measures nothing but itself, V. */
const LIVE_FOR_OHMS_V = 1;

/** Puts a bunch on the bench. The same seed gives the same noise. */
export function bunchBench(bunch: GeneratedBunch, seed: number): BunchBench {
  const car = benchCar({ battery: bunch.battery, circuits: [], wires: bunch.wires });
  const random = seededRandom(seed + NOISE_SEED);
  const readings: Reading[] = [];
  const harm: BunchHarm[] = [];
  let state = PARKED;
  let clip: 'ground' | 'constant' = 'ground';
  let seconds = 0;
  return {
    car,
    readings,
    state: () => state,
    clip: () => clip,
    go: (to) => {
      const wait = to.asleep && !state.asleep ? WORK_SECONDS.sleep : 0;
      seconds += changeSeconds(state, to) - wait;
      state = to;
    },
    clipTo: (to) => {
      if (to !== clip) seconds += WORK_SECONDS.clip;
      clip = to;
    },
    probe: (wireId, instrument = 'meter') => {
      seconds += WORK_SECONDS.probe;
      // An ohmmeter's own lead goes to ground, wherever the meter's clip sits.
      const at = instrument === 'ohmmeter' ? 'ground' : clip;
      const touch: BenchTouch = {
        ...{ pointId: wireId, state },
        ...(at === 'constant' ? { clip: { to: 'battery', ohm: 0.05 } } : {}),
      };
      const hurt = harmOf(bunch, car, { touch, instrument });
      if (hurt !== undefined) harm.push({ wireId, kind: hurt });
      const reading: Reading = {
        ...{ id: `r${readings.length}`, sourceId: wireId, state, contact: undefined },
        value: valueOf(car, touch, { instrument, random }),
        ...(at === 'constant' ? { clip: at } : {}),
      };
      readings.push(reading);
      return reading;
    },
    effort: () => ({ seconds, probes: readings.length, harm }),
  };
}

function valueOf(
  car: BenchCar,
  touch: BenchTouch,
  by: { readonly instrument: BunchInstrument; readonly random: () => number },
): ReadingValue {
  if (by.instrument === 'lamp') return { kind: 'glow', glow: lampShows(car, touch).burns };
  if (by.instrument === 'meter') return meterShows(car, touch, by.random);
  const shows = ohmmeterShows(car, touch);
  return { kind: 'ohms', ohm: shows.kind === 'ohms' ? shows.ohm : null };
}

/** A filament pulls amperes through what gives milliamperes; an ohmmeter drives its own current into whatever is there. */
function harmOf(
  bunch: GeneratedBunch,
  car: BenchCar,
  { touch, instrument }: { readonly touch: BenchTouch; readonly instrument: BunchInstrument },
): BunchHarm['kind'] | undefined {
  const is = bunch.wires.find(({ id }) => id === touch.pointId)?.behind.is;
  if (instrument === 'lamp') return is === 'data' || is === 'sensor' ? 'lamp on data' : undefined;
  if (instrument === 'meter') return undefined;
  const shown = meterShows(car, { pointId: touch.pointId, state: touch.state }, () => 0.5);
  const volts = shown.kind === 'volts' ? Math.abs(shown.volts) : shown.highV;
  return volts > LIVE_FOR_OHMS_V ? 'ohms on live' : undefined;
}
