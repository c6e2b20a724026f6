import type { BenchCar, BenchTouch, BenchVehicle, Clip, FittedLead } from '../bench';
import {
  UNTOUCHED,
  benchCar,
  leadEnd,
  leadFuse,
  leadGround,
  meterReading,
  ohmmeterShows,
} from '../bench';
import type { CauseId, CheckDone, Diagnosis, FaultCheckId, SymptomId } from '../prove/symptoms';
import { FAULT_CHECKS, SYMPTOMS, diagnose } from '../prove/symptoms';
import type { VehicleState } from '../vehicle';
import { stateAt } from '../vehicle';

/** A fault set in a simulated car, with what a person would see of it without a meter. */
export interface SetFault {
  /** What the customer complains of. */
  readonly symptom: SymptomId;
  /** What is really wrong. */
  readonly cause: CauseId;
  /** The simulated car. */
  readonly vehicle: BenchVehicle;
  /** The added lead that carries the fault. */
  readonly lead: FittedLead;
}

/** How a search for a fault went. */
export interface FaultSearch {
  /** The cause that it named in the end. */
  readonly named: string;
  /** Whether that is what was set. */
  readonly right: boolean;
  /** Whether it called itself sure. */
  readonly sure: boolean;
  /** Seconds of all its checks. */
  readonly seconds: number;
  /** How many checks it took. */
  readonly checks: number;
}

/** Symptoms whose checks the bench can answer, with the causes it can set. Others are set by nobody. */
export const BENCH_FAULTS: Partial<Record<SymptomId, readonly CauseId[]>> = {
  dead: ['addedFuse', 'leadOpen', 'groundOpen', 'noSupply', 'device'],
  weak: ['badCrimp', 'poorGround', 'thinLead', 'weakBattery'],
  cranking: ['dropsAtCrank', 'weakBattery', 'badCrimp'],
  originalDead: ['originalFuse', 'notHome', 'noSupply'],
  blows: ['chafed', 'deviceShort', 'fuseTooSmall'],
};

const SLOT = 'F1';
const LEAD = 'lead';
const OPEN_OHM = 1e9;

/**
 * A car with one fault, drawn evenly over the symptoms and causes that the bench can set: not by the shares that the search for
 * faults itself reckons with.
 */
export function setFault(random: () => number): SetFault {
  const symptoms = Object.entries(BENCH_FAULTS) as [SymptomId, readonly CauseId[]][];
  const [symptom, causes] = pick(symptoms, random);
  const cause = pick(causes, random);
  const amps = 1 + 6 * random();
  const weak = cause === 'weakBattery';
  const supply = cause === 'dropsAtCrank' ? 'accessoryContact' : 'runCrankContact';
  const vehicle: BenchVehicle = {
    battery: {
      restV: weak ? 11.2 + 0.5 * random() : 12.5 + 0.3 * random(),
      internalOhm: weak ? 0.02 : 0.008,
      crankingA: 150 + 100 * random(),
      chargingV: 14.2,
    },
    circuits: [
      {
        ...{ slotId: SLOT, supplyContact: random() < 0.5 ? 'a' : 'b', ratingA: 15, ghostV: 0 },
        supply: cause === 'noSupply' ? 'unfed' : supply,
        ...{ backFeed: undefined, loadOhm: 6 + 20 * random(), blown: false },
      },
    ],
  };
  const [circuit] = vehicle.circuits;
  const bad = (0.7 + 0.8 * random()) / amps;
  return {
    symptom,
    cause,
    vehicle,
    lead: {
      id: LEAD,
      at: {
        ...{ slotId: SLOT, lineBladeAt: circuit?.supplyContact ?? 'a' },
        originalFuseA: cause === 'originalFuse' ? undefined : 15,
      },
      addedFuseA: cause === 'addedFuse' || symptom === 'blows' ? undefined : 7.5,
      leadOhm:
        cause === 'leadOpen'
          ? OPEN_OHM
          : cause === 'badCrimp' || cause === 'thinLead'
            ? bad
            : 0.02 + 0.04 * random(),
      loadOhm: cause === 'device' ? OPEN_OHM : cause === 'deviceShort' ? 0.02 : 12 / amps,
      groundOhm: cause === 'groundOpen' ? OPEN_OHM : cause === 'poorGround' ? bad : 0.006,
      chafedOhm: cause === 'chafed' ? 0.05 : undefined,
    },
  };
}

/** Looks for a fault by the checks that a rule chooses, until it is sure or nothing is left. */
export function searchFault(
  fault: SetFault,
  random: () => number,
  rule: 'by information' | 'in the order of the list',
): FaultSearch {
  const done: CheckDone[] = [];
  let seconds = 0;
  for (;;) {
    const { suspects, sure, next } = diagnosed(fault.symptom, done);
    const listed = SYMPTOMS[fault.symptom].checks.find(
      (one) => !done.some(({ check }) => check === one),
    );
    const check = sure ? undefined : rule === 'by information' ? next : listed;
    if (check === undefined) {
      const named = suspects[0]?.suspect ?? '';
      return { named, right: named === fault.cause, sure, seconds, checks: done.length };
    }
    seconds += FAULT_CHECKS[check].seconds;
    done.push({ check, outcome: outcomeOf(fault, check, random) });
  }
}

/** The same few answers come up in every other car: each is worked out once. */
const WORKED_OUT = new Map<string, Diagnosis>();

function diagnosed(symptom: SymptomId, done: readonly CheckDone[]): Diagnosis {
  const key = [symptom, ...done.map(({ check, outcome }) => `${check}-${outcome}`)].join(' ');
  const known = WORKED_OUT.get(key) ?? diagnose(symptom, done);
  WORKED_OUT.set(key, known);
  return known;
}

/** What a person sees, finds by tugging, or reads: now and then they miss it. */
const EYES = 0.97;

/**
 * What a check of a set fault shows, by its place among the check's outcomes.
 *
 * @throws RangeError when the bench can't answer the check.
 */
export function outcomeOf(fault: SetFault, check: FaultCheckId, random: () => number): number {
  const { cause, lead } = fault;
  const seen = (is: boolean): number => (is && random() < EYES ? 1 : 0);
  const run = stateAt('run');
  const crank = stateAt('crank');
  const at = (pointId: string, state = run, clip?: Clip['to']): number =>
    volts(
      fault,
      { pointId, state, ...(clip === undefined ? {} : { clip: { to: clip, ohm: 0.05 } }) },
      random,
    );
  const sourceContact = lead.at as Extract<FittedLead['at'], { slotId: string }>;
  switch (check) {
    case 'farPair':
      return supplyOf(
        at(leadEnd(LEAD), run, { pointId: leadGround(LEAD) }),
        postsVolts(fault, random),
      );
    case 'farPlus':
      return supplyOf(at(leadEnd(LEAD)), postsVolts(fault, random));
    case 'behindFuse':
      return supplyOf(at(leadFuse(LEAD)), postsVolts(fault, random));
    case 'source':
      return supplyOf(
        contactVolts(fault, sourceContact.lineBladeAt, random),
        postsVolts(fault, random),
      );
    case 'groundDrop': {
      const drop = Math.abs(at(leadGround(LEAD)));
      return drop > NEAR_BATTERY_V ? 2 : drop > 0.1 ? 1 : 0;
    }
    case 'rested':
      // Over the posts, with what a meter is off by.
      return fault.vehicle.battery.restV + 0.05 * (random() - 0.5) < 12.4 ? 1 : 0;
    case 'crankSource': {
      const dips = contactVolts(fault, sourceContact.lineBladeAt, random, crank);
      return dips < 3 ? 2 : dips < 9 ? 1 : 0;
    }
    case 'crankBattery':
      return fault.vehicle.battery.restV -
        fault.vehicle.battery.internalOhm * fault.vehicle.battery.crankingA >
        9.6
        ? 0
        : 1;
    case 'crankDrop':
      return contactVolts(fault, sourceContact.lineBladeAt, random, crank) -
        at(leadEnd(LEAD), crank) >
        0.5
        ? 1
        : 0;
    case 'bothSides': {
      const [line, other] = [
        contactVolts(fault, sourceContact.lineBladeAt, random),
        cause === 'notHome'
          ? 0
          : contactVolts(fault, sourceContact.lineBladeAt === 'a' ? 'b' : 'a', random),
      ];
      if (cause === 'notHome') return 2;
      return line < 1 ? 2 : other < 1 ? 1 : 0;
    }
    case 'ohmsBody': {
      const car = benchCar(fault.vehicle, {
        ...UNTOUCHED,
        leads: [{ ...lead, loadOhm: OPEN_OHM }],
      });
      const shows = ohmmeterShows(car, { pointId: leadEnd(LEAD), state: stateAt('off') });
      return shows.kind === 'ohms' && shows.ohm !== null && shows.ohm < 20 ? 1 : 0;
    }
    case 'lampForFuse':
      return cause === 'chafed' ? 2 : cause === 'deviceShort' ? 1 : 0;
    case 'unplugFuse':
      return cause === 'chafed' ? 0 : 1;
    case 'originalOut':
      return supplyOf(at(leadEnd(LEAD)), postsVolts(fault, random)) === 2 ? 1 : 0;
    case 'seeFuse':
      return seen(cause === 'addedFuse');
    case 'tug':
      return seen(cause === 'leadOpen' || cause === 'badCrimp');
    case 'gauge':
      return seen(cause === 'thinLead');
    case 'seeOriginal':
      return seen(cause === 'originalFuse');
    case 'reseat':
      return seen(cause === 'notHome');
    case 'inrush':
      return seen(cause === 'fuseTooSmall');
    default:
      throw new RangeError(`the bench can’t answer ${check}`);
  }
}

const NEAR_BATTERY_V = 8;

/** As at the battery, less by more than half a volt, nothing, or something while the battery is low itself: a supply’s four buttons. */
function supplyOf(value: number, posts: number): number {
  const size = Math.abs(value);
  if (size < 1) return 2;
  if (posts < 12) return 3;
  return size < posts - 0.7 ? 1 : 0;
}

/** Over the battery’s posts with the load on, as the difference of two readings at a point that always hangs on something. */
function postsVolts(fault: SetFault, random: () => number): number {
  const at = { pointId: leadGround(LEAD), state: stateAt('run') };
  return (
    volts(fault, at, random) - volts(fault, { ...at, clip: { to: 'battery', ohm: 0.05 } }, random)
  );
}

function volts(fault: SetFault, touch: BenchTouch, random: () => number): number {
  const car: BenchCar = benchCar(fault.vehicle, { ...UNTOUCHED, leads: [fault.lead] });
  return meterReading(car, touch, random);
}

function contactVolts(
  fault: SetFault,
  contact: 'a' | 'b',
  random: () => number,
  state: VehicleState = stateAt('run'),
): number {
  return volts(fault, { pointId: SLOT, contact, state }, random);
}

function pick<T>(from: readonly T[], random: () => number): T {
  return from[Math.floor(random() * from.length)] as T;
}
