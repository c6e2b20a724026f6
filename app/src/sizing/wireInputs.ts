import type { FeedLoad } from '@lucky-thread/core/size';
import { INSULATIONS_C } from '@lucky-thread/core/size';
import type { FuseFamily } from '@lucky-thread/core/vehicle';
import { FUSE_FAMILIES } from '@lucky-thread/core/vehicle';
import type { Inputs } from './toolInputs';
import { allGood } from './allGood';

/** What a run is sized from, as it stands in the URL; SI units. */
export const WIRE_DEFAULTS = {
  currentA: 10,
  oneWayM: 3,
  back: 'body',
  systemV: '12',
  dropLimitPercent: 3,
  insulation: '105',
  ambientC: 30,
  bundle: 1,
  engine: false,
  spareA: 0,
  peakA: 0,
  peakS: 0.1,
  family: 'standard',
  slotA: 20,
  wire: '14 AWG',
};
/** Inputs of a run. */
export type WireInputs = Inputs<typeof WIRE_DEFAULTS>;

/** The load that inputs mean; undefined while a number is missing or out of range. */
export function loadOf(inputs: WireInputs): FeedLoad | undefined {
  const { currentA, oneWayM, dropLimitPercent, ambientC, bundle, spareA, slotA } = inputs;
  const systemV = Number(inputs.systemV);
  const insulation = INSULATIONS_C.find((one) => String(one) === inputs.insulation);
  const family = FUSE_FAMILIES.find((one): one is FuseFamily => one === inputs.family);
  const inrush =
    inputs.peakA === undefined || inputs.peakA === 0 || inputs.peakS === undefined
      ? undefined
      : { peakA: inputs.peakA, peakS: inputs.peakS };
  const numbers = { currentA, oneWayM, dropLimitPercent, ambientC, bundle, spareA, slotA, systemV };
  if (!allGood(numbers) || !allGood(inrush ?? {})) return undefined;
  if (insulation === undefined || family === undefined) return undefined;
  return {
    currentA: currentA ?? 0,
    oneWayM: oneWayM ?? 0,
    returnPath: inputs.back === 'lead' ? 'lead' : 'body',
    systemV,
    dropLimitPercent: dropLimitPercent ?? 0,
    insulation,
    ambientC,
    bundle,
    engineSpace: inputs.engine,
    spareA,
    inrush,
    slot: { family, ratingA: slotA ?? 0 },
  };
}
