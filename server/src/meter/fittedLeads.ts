import type { JobView, ShopSettings } from '@lucky-thread/contract';
import type { BenchVehicle, FittedLead } from '@lucky-thread/core/bench';
import { isTrigger } from '@lucky-thread/core/identify';
import type { TappedFeed } from '@lucky-thread/work';
import { drawnBy, feedSizeOf, isAtSlot, tappedFeeds } from '@lucky-thread/work';

/** What a careful installer’s work comes to: joint to the body, and copper by the metre where nothing was sized yet, Ω. */
const GROUND_OHM = 0.003;
const USUAL_LEAD_OHM = 0.04;
/** A device that gives current hardly loads its lead, A. */
const LEAST_A = 0.001;
/** Nominal volts that a device’s amperes are given for. */
const NOMINAL_V = 12;

/**
 * The leads of a job as they are in its simulated car once everything is fitted as planned: every tap the right way round, every
 * fuse in, the copper that was sized.
 */
export function fittedLeadsOf(
  of: {
    readonly job: JobView;
    readonly model: Parameters<typeof tappedFeeds>[0]['model'];
    readonly settings: ShopSettings;
  },
  bench: BenchVehicle,
): FittedLead[] {
  return tappedFeeds(of).flatMap((tapped): FittedLead[] => {
    const at = jointIn(tapped, bench);
    if (at === undefined || isTrigger(tapped.feed.role)) return [];
    const { feed } = tapped;
    const size = feedSizeOf(tapped, of.settings);
    const ok = size?.ok === true ? size : undefined;
    return [
      {
        ...{ id: feed.id, at, addedFuseA: ok?.fuseA ?? 5 },
        leadOhm: ok === undefined ? USUAL_LEAD_OHM : ok.drop.supplyV / feed.currentA,
        loadOhm: NOMINAL_V / Math.max(drawnBy(tapped, of), LEAST_A),
        groundOhm: GROUND_OHM,
        outputV: feed.outputV,
      },
    ];
  });
}

/** Where the simulated car has the source; undefined where it has none such. */
function jointIn(tapped: TappedFeed, bench: BenchVehicle): FittedLead['at'] | undefined {
  const { source } = tapped;
  if (!isAtSlot(tapped))
    return (bench.wires ?? []).some((wire) => wire.id === source.id)
      ? { wireId: source.id }
      : undefined;
  const circuit = bench.circuits.find((one) => one.slotId === source.id);
  if (circuit === undefined) return undefined;
  return {
    ...{ slotId: circuit.slotId, lineBladeAt: circuit.supplyContact },
    originalFuseA: tapped.source.ratingA ?? circuit.ratingA,
  };
}
