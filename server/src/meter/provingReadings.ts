import type { JobView, ReadingView, ShopSettings, TapPointView } from '@lucky-thread/contract';
import { toCoreReading } from '@lucky-thread/contract';
import type { BenchVehicle } from '@lucky-thread/core/bench';
import { behindConverter, leadTouch, meterReading } from '@lucky-thread/core/bench';
import { advise } from '@lucky-thread/core/identify';
import type { VehicleState } from '@lucky-thread/core/vehicle';
import { PARKED } from '@lucky-thread/core/vehicle';
import type { Placed } from '@lucky-thread/work';
import { feedProofsOf, findSessionOf } from '@lucky-thread/work';
import { fittedLeadsOf } from './fittedLeads';

/** A reading of an added lead, as it is sent. */
export interface ProvingReading {
  /** Where it was measured. */
  readonly sourceId: string;
  /** State that the car was in. */
  readonly state: VehicleState;
  /** Volts against ground. */
  readonly volts: number;
}

/** What the simulated meter shows at every check that a job’s leads still want, fitted as they are planned. */
export function provingReadings(
  of: {
    readonly job: JobView;
    readonly model: Placed;
    readonly taps: readonly TapPointView[];
    readonly settings: ShopSettings;
    readonly readings: readonly ReadingView[];
  },
  bench: BenchVehicle,
  random: () => number,
): ProvingReading[] {
  const readings = of.readings.filter((one) => one.withdrawnAt === null).map(toCoreReading);
  const { verdicts } = advise(findSessionOf(of, readings, { state: PARKED }));
  const leads = fittedLeadsOf(of, bench);
  return feedProofsOf({ context: of, readings, verdicts }).flatMap(({ tapped, proofs }) =>
    proofs
      .flatMap(({ checks }) => checks)
      .flatMap(({ check, standing }): ProvingReading[] => {
        const { spot, state, pointId: sourceId } = check;
        const touch = leadTouch(bench, leads, { id: tapped.feed.id, spot });
        if (standing.is !== 'open' || touch === undefined) return [];
        const { car, converterV, ...at } = touch;
        const volts = behindConverter(meterReading(car, { ...at, state }, random), converterV);
        return [{ sourceId, state, volts: Math.round(volts * 100) / 100 }];
      }),
  );
}
