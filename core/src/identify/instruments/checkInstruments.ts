/** What was seen when meter, lamp and battery were tried before the work. Left out: not tried. */
export interface InstrumentTrial {
  /** Battery posts with the meter, car at rest, V. */
  readonly batteryV?: number;
  /** The same point with the clip where it will stay while working, V. */
  readonly throughClipV?: number;
  /** The test lamp between a point that is surely live and its clip. */
  readonly lampOnLive?: 'lit' | 'dim' | 'dark';
}

/** One finding, worst first. */
export interface InstrumentFinding {
  /** Which part is in doubt. */
  readonly about: 'clip' | 'lamp' | 'battery';
  /** `stop`: nothing read now would be worth anything. */
  readonly weight: 'good' | 'mind' | 'stop';
  /** What is wrong and what to do. */
  readonly text: string;
}

/** Loss from clip and lead above which the clip is bad, V: bright metal loses less than a tenth. Common practice. */
const CLIP_LOSS_V = 0.3;
/** At rest: about half charged, and flat. BCI table, from memory: 50 % is 12.24 V, 25 % 12.06 V. */
const LOW_V = 12.2;
const FLAT_V = 11.9;
/** Above this the battery is being charged, or has just been, V. */
const CHARGING_V = 13;
/** A 12 V battery shows nothing outside, V. */
const RANGE_V: readonly [number, number] = [0, 18];

/**
 * Whether meter, lamp, clip and battery can be trusted before anything is judged by them.
 *
 * @throws RangeError for a voltage that no 12 V battery shows.
 */
export function checkInstruments(trial: InstrumentTrial): InstrumentFinding[] {
  for (const volts of [trial.batteryV, trial.throughClipV])
    if (volts !== undefined && !(volts >= RANGE_V[0] && volts <= RANGE_V[1]))
      throw new RangeError(`A battery shows ${RANGE_V[0]} to ${RANGE_V[1]} V, got ${volts} V`);
  return [...aboutClip(trial), ...aboutLamp(trial), ...aboutBattery(trial)].sort(
    (left, right) => WEIGHTS[right.weight] - WEIGHTS[left.weight],
  );
}

const WEIGHTS = { good: 0, mind: 1, stop: 2 } as const;

function aboutClip({ batteryV, throughClipV }: InstrumentTrial): InstrumentFinding[] {
  if (batteryV === undefined || throughClipV === undefined) return [];
  const lost = batteryV - throughClipV;
  if (lost <= CLIP_LOSS_V)
    return [
      { about: 'clip', weight: 'good', text: `The clip loses ${lost.toFixed(2)} V: good ground.` },
    ];
  return [
    {
      about: 'clip',
      weight: 'stop',
      text: `The clip loses ${lost.toFixed(2)} V: paint or rust under it. Move it to bare metal and try again.`,
    },
  ];
}

function aboutLamp({ lampOnLive }: InstrumentTrial): InstrumentFinding[] {
  if (lampOnLive === undefined) return [];
  if (lampOnLive === 'lit')
    return [{ about: 'lamp', weight: 'good', text: 'The lamp burns on a live point.' }];
  return [
    {
      about: 'lamp',
      weight: 'stop',
      text: `The lamp is ${lampOnLive} on a live point: bulb, lead or clip. A lamp that does not burn proves nothing dead.`,
    },
  ];
}

function aboutBattery({ batteryV }: InstrumentTrial): InstrumentFinding[] {
  if (batteryV === undefined) return [];
  const shown = `${batteryV.toFixed(2)} V at rest`;
  if (batteryV < FLAT_V)
    return [
      {
        about: 'battery',
        weight: 'stop',
        text: `${shown}: flat. Charge it before judging anything; modules shed loads at this voltage.`,
      },
    ];
  if (batteryV < LOW_V)
    return [
      {
        about: 'battery',
        weight: 'mind',
        text: `${shown}: about half charged. Charge it before cranking tests.`,
      },
    ];
  if (batteryV > CHARGING_V)
    return [
      {
        about: 'battery',
        weight: 'mind',
        text: `${batteryV.toFixed(2)} V: charging, or just charged. Not at rest.`,
      },
    ];
  return [{ about: 'battery', weight: 'good', text: `${shown}: good.` }];
}
