import type { Glow } from '@lucky-thread/core/identify';
import type { VehicleState } from '@lucky-thread/core/vehicle';
import { useCallback, useMemo, useRef, useState } from 'react';
import { keypadMeter, lampMeter } from '../meter/handMeters';
import type { Meter, MeterTouch } from '../meter/meter';
import type { MeterLink } from '../meter/networkMeter';
import { useNetworkMeter } from '../meter/useNetworkMeter';
import { takeReading } from '../store/outbox';
import { useAppDispatch } from '../store/store';
import { readingRequest } from '../meter/readingRequest';

/** The ways to log a reading at one place. */
export interface ReadingTaker {
  /** Takes what the lamp did; answers whether it was taken. */
  readonly glow: (glow: Glow) => Promise<boolean>;
  /** Takes what the meter shows, as typed; answers whether it was taken. */
  readonly volts: (text: string) => Promise<boolean>;
  /** Reads the vehicle's bench; answers whether that worked. */
  readonly simulated: () => Promise<boolean>;
  /** What was wrong with the last try. */
  readonly problem: string | undefined;
  /** Whether something is under way: no second one is begun meanwhile. */
  readonly busy: boolean;
  /** How the networked meter's connection stands. */
  readonly link: MeterLink;
}

/** Where a reading is taken. */
export interface TakeAt extends Omit<MeterTouch, 'clipId'> {
  /** UUID of the job. */
  readonly jobId: string;
  /** Wire that the clip sits on, which must be the constant; ground when left out. */
  readonly clipId?: string | undefined;
}

/** Logs readings of a slot or wire in the state the car is in, by keypad, lamp or networked meter. */
export function useTakeReading(at: TakeAt): ReadingTaker {
  const dispatch = useAppDispatch();
  const [problem, setProblem] = useState<string>();
  const [busy, setBusy] = useState(false);
  const underWay = useRef(false);
  const network = useNetworkMeter(at.jobId);
  const { jobId, sourceId, contact, state, clipId, otherId, measure } = at;

  const take = useCallback(
    async <Entry>(meter: Meter<Entry>, entry: Entry): Promise<boolean> => {
      // A thumb that bounces presses again before the button is drawn as busy.
      if (underWay.current) return false;
      underWay.current = true;
      setBusy(true);
      const touch = { sourceId, contact, state, clipId, otherId, measure };
      const answer = await meter.read(touch, entry).finally(() => (underWay.current = false));
      setBusy(false);
      if (!answer.ok) {
        setProblem(answer.problem);
        return false;
      }
      const clip = clipId === undefined ? undefined : 'constant';
      const result = readingRequest(
        { sourceId, contact, state: plainState(state), otherId, clip, at: new Date() },
        answer.taken,
      );
      setProblem(result.ok ? undefined : result.problems.map((one) => one.message).join('; '));
      if (result.ok) dispatch(takeReading(jobId, result.request));
      return result.ok;
    },
    [dispatch, jobId, sourceId, contact, state, clipId, otherId, measure],
  );

  const { meter: networked, link } = network;
  const ways = useMemo(
    (): Pick<ReadingTaker, 'glow' | 'volts' | 'simulated'> => ({
      glow: (glow) => take(lampMeter, glow),
      volts: (text) => take(keypadMeter, text),
      simulated: () => take(networked(), undefined),
    }),
    [take, networked],
  );
  return useMemo(() => ({ ...ways, problem, busy, link }), [ways, problem, busy, link]);
}

/** What is at rest need not be sent. */
function plainState(state: VehicleState): VehicleState {
  return Object.fromEntries(
    Object.entries(state).filter(([, value]) => value !== undefined),
  ) as unknown as VehicleState;
}
