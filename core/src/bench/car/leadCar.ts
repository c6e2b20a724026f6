import type { LeadSpot } from '../../vehicle';
import type { Clip } from '../instrument/touch';
import type { FittedLead } from './addedLeads';
import { leadEnd, leadGround } from './addedLeads';
import type { BenchCar } from './benchCar';
import { UNTOUCHED, benchCar } from './benchCar';
import type { BenchVehicle } from './circuit';

/** A car with its added leads as one of them is being proved, and where the probe touches. */
export interface LeadTouch {
  readonly car: BenchCar;
  readonly pointId: string;
  readonly contact?: 'a' | 'b';
  /** Where the clip sits: undefined for bright metal. */
  readonly clip?: Clip;
  /** What stands between lead and probe: it gives these volts while it is fed, V. */
  readonly converterV?: number;
}

/** A converter for small electronics runs from about this on, V. Common practice. */
const CONVERTER_RUNS_V = 8;

/**
 * What a meter shows behind a device’s converter, V, for what it would show before it.
 *
 * @example behindConverter(12.2, 5) // 5
 */
export function behindConverter(volts: number, converterV: number | undefined): number {
  if (converterV === undefined) return volts;
  return Math.abs(volts) >= CONVERTER_RUNS_V ? converterV : 0;
}

/**
 * The car as it stands while a lead is probed at a spot: with the fuses out that the spot asks for. Undefined for a lead that is
 * not fitted.
 */
export function leadTouch(
  vehicle: BenchVehicle,
  leads: readonly FittedLead[],
  { id, spot }: { readonly id: string; readonly spot: LeadSpot },
): LeadTouch | undefined {
  const lead = leads.find((one) => one.id === id);
  if (lead === undefined) return undefined;
  const fitted = leads.map((one) => (one === lead ? asProbed(one, spot) : one));
  const car = benchCar(vehicle, { ...UNTOUCHED, leads: fitted });
  if (spot === 'output')
    return {
      ...{ car, pointId: leadEnd(id), clip: { to: { pointId: leadGround(id) }, ohm: 0.05 } },
      ...(lead.outputV === undefined ? {} : { converterV: lead.outputV }),
    };
  if (spot !== 'original')
    return { car, pointId: spot === 'ground' ? leadGround(id) : leadEnd(id) };
  return 'slotId' in lead.at
    ? // Behind the original fuse is the contact that the line blade is not in.
      { car, pointId: lead.at.slotId, contact: lead.at.lineBladeAt === 'a' ? 'b' : 'a' }
    : { car, pointId: lead.at.wireId };
}

function asProbed(lead: FittedLead, spot: LeadSpot): FittedLead {
  if (spot === 'endAddedOut') return { ...lead, addedFuseA: undefined };
  if (spot === 'endOriginalOut' && 'slotId' in lead.at)
    return { ...lead, at: { ...lead.at, originalFuseA: undefined } };
  return lead;
}
