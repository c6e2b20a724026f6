import type { GeneratedVehicle, Situation } from '@lucky-thread/core/bench';
import {
  UNTOUCHED,
  benchCar,
  fuseAfter,
  generateVehicle,
  lampShows,
  meterShows,
  seededRandom,
  tapCurrents,
} from '@lucky-thread/core/bench';
import type { Need, Reading, ReadingValue } from '@lucky-thread/core/identify';
import { WORK_SECONDS, changeSeconds } from '@lucky-thread/core/identify/visits';
import { LEGEND_SECONDS } from '@lucky-thread/core/trial';
import type { Panel, VehicleState } from '@lucky-thread/core/vehicle';
import { PARKED } from '@lucky-thread/core/vehicle';

/** A practice car with everything done to it so far; every action gives a new one. */
export interface PanelPractice {
  /** Number of the exercise: the same number is the same exercise. */
  readonly seed: number;
  /** The made-up car. */
  readonly car: GeneratedVehicle;
  /** Its panel. */
  readonly panel: Panel;
  /** What is to be found. */
  readonly needs: readonly Need[];
  /** State that the vehicle is in. */
  readonly state: VehicleState;
  /** Who is there and what is at hand. */
  readonly situation: Situation;
  /** What was measured, oldest first. */
  readonly readings: readonly Reading[];
  /** Slots whose fuse was ever pulled. */
  readonly everPulled: readonly string[];
  /** Slot chosen for each need. */
  readonly choice: Readonly<Record<string, string>>;
  /** Attended seconds so far. */
  readonly seconds: number;
  /** What the last action showed besides a reading, e.g. currents of a fitted tap. */
  readonly shown: string | undefined;
}

const COLUMNS = 6;
/** Seconds to pull a fuse or put it back, and to fit a tap. Common practice. */
const PULL_SECONDS = 6;
const TAP_SECONDS = 20;
/** What hangs on a fitted tap: 2 A. */
const ADDED_OHM = 6;
const ADDED_FUSE_A = 5;

/** A fresh practice car. */
export function startPanel(
  seed: number,
  level: {
    readonly quality: Parameters<typeof generateVehicle>[1];
    readonly needs: readonly Need[];
  },
): PanelPractice {
  const car = generateVehicle(seed, level.quality);
  return {
    seed,
    car,
    panel: panelOf(car),
    needs: level.needs,
    state: PARKED,
    situation: UNTOUCHED,
    readings: [],
    everPulled: [],
    choice: {},
    seconds: LEGEND_SECONDS,
    shown: undefined,
  };
}

function panelOf(car: GeneratedVehicle): Panel {
  return {
    id: 'bench',
    name: 'Practice panel',
    location: 'On the bench',
    access: [],
    columns: COLUMNS,
    rows: Math.ceil(car.slots.length / COLUMNS),
    slots: car.slots.map((slot, index) => ({
      id: slot.id,
      position: slot.id,
      legend: slot.legend,
      ratingA: slot.ratingA,
      family: slot.family,
      column: index % COLUMNS,
      row: Math.floor(index / COLUMNS),
      lie: 'tall',
      contacts: [
        { id: 'a', landmark: 'upper contact' },
        { id: 'b', landmark: 'lower contact' },
      ],
      clearance: 'clear',
    })),
  };
}

/** The car brought to a state. */
export function goTo(practice: PanelPractice, state: VehicleState): PanelPractice {
  const sleeps = state.asleep && !practice.state.asleep;
  return {
    ...practice,
    state,
    seconds: practice.seconds + (sleeps ? 0 : changeSeconds(practice.state, state)),
    shown: undefined,
  };
}

/** One touch with meter or lamp. */
export function touch(
  practice: PanelPractice,
  at: {
    readonly slotId: string;
    readonly contact: 'a' | 'b' | undefined;
    readonly with: 'meter' | 'lamp';
  },
): PanelPractice {
  const car = benchCar(practice.car.truth, practice.situation);
  const place = { pointId: at.slotId, contact: at.contact, state: practice.state };
  const random = seededRandom(practice.seed * 1009 + practice.readings.length);
  const value: ReadingValue =
    at.with === 'lamp'
      ? { kind: 'glow', glow: lampShows(car, place).burns }
      : meterShows(car, place, random);
  const reading: Reading = {
    id: `p${practice.readings.length}`,
    sourceId: at.slotId,
    contact: at.contact,
    state: practice.state,
    value,
  };
  return {
    ...practice,
    readings: [...practice.readings, reading],
    seconds: practice.seconds + WORK_SECONDS.probe,
    shown: undefined,
  };
}

/** The last reading taken back; its time is gone. */
export function undo(practice: PanelPractice): PanelPractice {
  return { ...practice, readings: practice.readings.slice(0, -1), shown: undefined };
}

/** A fuse pulled, or put back. */
export function pull(practice: PanelPractice, slotId: string, out: boolean): PanelPractice {
  const pulled = new Set(practice.situation.pulled);
  if (out) pulled.add(slotId);
  else pulled.delete(slotId);
  const taps = practice.situation.taps.filter((tap) => tap.slotId !== slotId);
  return {
    ...practice,
    situation: { ...practice.situation, pulled, taps },
    everPulled: out ? [...new Set([...practice.everPulled, slotId])] : practice.everPulled,
    seconds: practice.seconds + PULL_SECONDS,
    shown: undefined,
  };
}

/** A tap fitted into an empty slot, its line blade in one contact; shows what both fuses carry. */
export function fit(
  practice: PanelPractice,
  slotId: string,
  lineBladeAt: 'a' | 'b',
): PanelPractice {
  const ratingA = practice.car.slots.find((slot) => slot.id === slotId)?.ratingA ?? ADDED_FUSE_A;
  const tap = {
    slotId,
    lineBladeAt,
    originalFuseA: ratingA,
    addedFuseA: ADDED_FUSE_A,
    addedLoadOhm: ADDED_OHM,
  };
  const pulled = new Set(practice.situation.pulled);
  pulled.delete(slotId);
  const situation = {
    ...practice.situation,
    pulled,
    taps: [...practice.situation.taps.filter((one) => one.slotId !== slotId), tap],
  };
  const { originalA, addedA } = tapCurrents(
    benchCar(practice.car.truth, situation),
    slotId,
    practice.state,
  );
  const fate = fuseAfter(ratingA, originalA, 3600);
  return {
    ...practice,
    situation,
    seconds: practice.seconds + TAP_SECONDS,
    shown: `Original fuse carries ${originalA.toFixed(2)} A of ${ratingA} A (${fate} within the hour), added fuse ${addedA.toFixed(2)} A.`,
  };
}

/** A slot chosen for a need; chosen again it is let go. */
export function choose(practice: PanelPractice, needId: string, slotId: string): PanelPractice {
  const choice = Object.fromEntries(
    Object.entries(practice.choice).filter(([id, slot]) => id !== needId && slot !== slotId),
  );
  if (practice.choice[needId] !== slotId) choice[needId] = slotId;
  return { ...practice, choice };
}
