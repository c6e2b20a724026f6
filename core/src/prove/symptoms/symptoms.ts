import type { CauseId } from './causes';
import type { FaultCheckId } from './checks';

/** What somebody complains of: the causes with how often each is it, and what can be looked at. */
export interface Symptom {
  readonly name: string;
  /** How often each cause is it, out of a hundred; the rest is something else. Common practice, our own estimates. */
  readonly causes: Partial<Record<CauseId, number>>;
  /** What can be looked at, in the order in which people go through it. */
  readonly checks: readonly FaultCheckId[];
}

/** Every symptom. */
export const SYMPTOMS = {
  dead: symptom(
    'It does not come on',
    { addedFuse: 26, leadOpen: 14, groundOpen: 19, noSupply: 20, device: 13, turned: 3 },
    ['seeFuse', 'source', 'originalOut', 'behindFuse', 'farPlus', 'groundDrop', 'farPair', 'tug'],
  ),
  weak: symptom(
    'It resets, or runs weak with its load on',
    { badCrimp: 28, poorGround: 33, thinLead: 12, weakBattery: 12, device: 10 },
    ['rested', 'gauge', 'tug', 'groundDrop', 'farPair', 'farPlus', 'behindFuse', 'source'],
  ),
  cranking: symptom(
    'It dies while cranking',
    { dropsAtCrank: 55, weakBattery: 22, badCrimp: 10, poorGround: 4, device: 5 },
    ['rested', 'tug', 'crankBattery', 'crankSource', 'crankDrop', 'groundDrop'],
  ),
  drains: symptom(
    'The battery runs down, or the car never sleeps',
    { takenConstant: 26, deviceStandby: 28, staysAwake: 18, ownDrain: 23 },
    ['standbyLabel', 'asleepEnd', 'drainOut'],
  ),
  originalDead: symptom(
    'What the slot fed before is dead',
    { originalFuse: 48, notHome: 30, noSupply: 10, turned: 6 },
    ['reseat', 'seeOriginal', 'bothSides', 'source', 'originalOut'],
  ),
  blows: symptom('The added fuse blows', { chafed: 38, deviceShort: 26, fuseTooSmall: 31 }, [
    'inrush',
    'unplugFuse',
    'lampForFuse',
    'ohmsBody',
  ]),
  hum: symptom(
    'The sound hums or whines with the engine',
    { groundLoop: 46, besideSupply: 22, poorGround: 27 },
    ['moveLeads', 'longWire', 'groundDrop', 'oneGround'],
  ),
  interference: symptom(
    'Radio or keys have less reach with it on',
    { converter: 40, nearAntenna: 22, fastData: 14, besideKeys: 10, device: 9 },
    ['whichBand', 'liftLead', 'moveBox', 'ferrite', 'unplugNoise'],
  ),
  engineOff: symptom(
    'It works with the engine off only',
    { accessoryAlone: 34, overVoltage: 12, runsSignal: 20, poorGround: 14, ignitionNoise: 15 },
    ['sourceRunning', 'signalsRunning', 'groundDrop', 'ownBattery'],
  ),
  foreign: symptom(
    'Somebody was here before: what is this lead?',
    { ownFused: 30, ownSpliced: 18, leftOver: 16, alarmOrKill: 8, signalOnly: 12, factory: 11 },
    ['itsFuse', 'liveAlone', 'drawsThrough', 'followEnds'],
  ),
  phase: symptom(
    'Bass is thin, sound is pulled to one side',
    { reversedSpeaker: 72, wrongChannel: 22 },
    ['corners', 'mono', 'pop'],
  ),
} as const satisfies Record<string, Symptom>;
/** One symptom. */
export type SymptomId = keyof typeof SYMPTOMS;

function symptom(
  name: string,
  causes: Partial<Record<CauseId, number>>,
  checks: readonly FaultCheckId[],
): Symptom {
  return { name, causes, checks };
}
