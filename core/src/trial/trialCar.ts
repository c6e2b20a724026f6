import type { BenchCar, BenchTouch, GeneratedVehicle } from '../bench';
import { benchCar, lampShows, meterShows, seededRandom, showsElsewhere } from '../bench';
import type { LoggedClaim, Reading, ReadingValue, ProbeSource } from '../identify';
import { WORK_SECONDS, changeSeconds } from '../identify';
import type { VehicleState } from '../vehicle';
import { PARKED } from '../vehicle';

/** What a job on a trial car has taken so far. */
export interface Effort {
  /** Attended seconds, reading the whole legend included; waits for sleep are counted apart. */
  readonly seconds: number;
  /** Touches. */
  readonly probes: number;
  /** Times that the car was brought to another state. */
  readonly changes: number;
  /** Times that it was left to fall asleep. */
  readonly sleeps: number;
  /** Looks into the handbook. */
  readonly lookUps: number;
}

/** A simulated car with an instrument in hand and a clock running. */
export interface TrialCar {
  /** As they are known by now: what was looked up stands in them. */
  readonly sources: readonly ProbeSource[];
  /** Readings taken so far, in order. */
  readonly readings: readonly Reading[];
  /** Brings the car to a state. */
  readonly go: (state: VehicleState) => void;
  /** Touches a slot in the state the car is in, with the usual instrument or with the lamp. */
  readonly probe: (sourceId: string, withLamp?: boolean) => Reading;
  /** Looks a slot up in the handbook; its entry stands in `sources` afterwards. */
  readonly lookUp: (sourceId: string) => void;
  /** A lamp is at hand beside the meter. */
  readonly lamp: boolean;
  /** The handbook is at hand. */
  readonly handbook: boolean;
  readonly state: () => VehicleState;
  readonly effort: () => Effort;
}

/** Seconds to read the whole legend, whoever does it and however. */
export const LEGEND_SECONDS = 60;
/** Keeps the instrument's noise apart from what drew the car. */
const NOISE_SEED = 99_991;

/** The slots of a generated car as the identification may see them: nothing of the truth. */
export function sourcesOf(vehicle: GeneratedVehicle): ProbeSource[] {
  return vehicle.slots.map((slot) => ({
    id: slot.id,
    name: slot.id,
    legend: slot.legend,
    fitted: true,
    tappable: true,
    logged: undefined,
    ratingA: slot.ratingA,
  }));
}

/** A car to try a way of working on. */
export function trialCar(
  vehicle: GeneratedVehicle,
  by: {
    readonly seed: number;
    readonly instrument: 'meter' | 'lamp' | 'both';
    readonly car?: BenchCar;
    /** What the model's log says, by slot id; nothing by default. */
    readonly log?: ReadonlyMap<string, LoggedClaim>;
    /** Read with other people's instruments; by default with the ones that the plan was tuned on. */
    readonly elsewhere?: boolean;
    /** The handbook is at hand; by default it is not. */
    readonly handbook?: boolean;
  },
): TrialCar {
  const car = by.car ?? benchCar(vehicle.truth);
  const random = seededRandom(by.seed + NOISE_SEED);
  const readings: Reading[] = [];
  let state = PARKED;
  let effort: Effort = { seconds: LEGEND_SECONDS, probes: 0, changes: 0, sleeps: 0, lookUps: 0 };
  const shown = (withLamp: boolean, touch: BenchTouch): ReadingValue => {
    if (by.elsewhere === true)
      return showsElsewhere(car, touch, { instrument: withLamp ? 'lamp' : 'meter', random });
    return withLamp
      ? { kind: 'glow', glow: lampShows(car, touch).burns }
      : meterShows(car, touch, random);
  };
  const spend = (seconds: number, more: Partial<Effort>): void => {
    effort = { ...effort, ...more, seconds: effort.seconds + seconds };
  };
  let sources: readonly ProbeSource[] = sourcesOf(vehicle).map((source) => ({
    ...source,
    logged: by.log?.get(source.id),
  }));
  return {
    get sources() {
      return sources;
    },
    readings,
    go: (to) => {
      const sleeps = to.asleep && !state.asleep;
      const seconds = sleeps ? 0 : changeSeconds(state, to);
      spend(seconds, {
        changes: effort.changes + (seconds > 0 || sleeps ? 1 : 0),
        sleeps: effort.sleeps + (sleeps ? 1 : 0),
      });
      state = to;
    },
    lookUp: (sourceId) => {
      const handbook = vehicle.slots.find(({ id }) => id === sourceId)?.handbook;
      sources = sources.map((one) => (one.id === sourceId ? { ...one, handbook } : one));
      spend(WORK_SECONDS.lookUp, { lookUps: effort.lookUps + 1 });
    },
    lamp: by.instrument === 'both',
    handbook: by.handbook ?? false,
    probe: (sourceId, withLamp = by.instrument === 'lamp') => {
      const touch = { pointId: sourceId, state };
      const value = shown(withLamp, touch);
      const reading: Reading = {
        id: `r${readings.length}`,
        sourceId,
        contact: undefined,
        state,
        value,
      };
      readings.push(reading);
      spend(WORK_SECONDS.probe, { probes: effort.probes + 1 });
      return reading;
    },
    state: () => state,
    effort: () => effort,
  };
}
