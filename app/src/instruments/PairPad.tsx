import type { VehicleState } from '@lucky-thread/core/vehicle';
import { StyleSheet, View } from 'react-native';
import { readingRequest } from '../meter/readingRequest';
import { takeReading } from '../store/outbox';
import { useAppDispatch } from '../store/store';
import { SPACE } from '../ui/tokens';
import { Words } from '../ui/Words';
import { useTakeReading } from '../work/useTakeReading';
import { PopPad } from './PopPad';
import { ReadingPad } from './ReadingPad';

/** Props of {@link PairPad}. */
export interface PairPadProps {
  /** UUID of the job. */
  readonly jobId: string;
  /** With 9 V, plus on the first, or with the ohmmeter. */
  readonly by: 'pop' | 'ohms';
  readonly plusId: string;
  readonly minusId: string;
  /** State that the vehicle is in. */
  readonly state: VehicleState;
  /** Whether this vehicle has a bench behind it, so that a reading can be simulated. */
  readonly simulated: boolean;
  /** Called once something was kept. */
  readonly onTaken?: () => void;
}

/** What two wires tried together showed: ohms between them, or which speaker popped and which way its cone moved. */
export function PairPad(props: PairPadProps) {
  const dispatch = useAppDispatch();
  const { jobId, by, plusId, minusId, state, simulated, onTaken } = props;
  const taker = useTakeReading({
    ...{ jobId, state, sourceId: plusId, otherId: minusId },
    measure: by,
  });
  if (by === 'ohms')
    return (
      <ReadingPad
        taker={taker}
        simulated={simulated}
        first="meter"
        unit="Ω"
        {...(onTaken === undefined ? {} : { onTaken })}
      />
    );
  return (
    <View style={styles.tight}>
      <PopPad
        simulated={simulated}
        onSimulated={() =>
          void taker.simulated().then((kept) => {
            if (kept) onTaken?.();
          })
        }
        onPop={(cone, speaker) => {
          const result = readingRequest(
            { sourceId: plusId, otherId: minusId, contact: undefined, state, at: new Date() },
            { instrument: 'pop', cone, ...(speaker === undefined ? {} : { speaker }) },
          );
          if (!result.ok) return;
          dispatch(takeReading(jobId, result.request));
          onTaken?.();
        }}
      />
      {taker.problem !== undefined && <Words kind="small">✕ {taker.problem}</Words>}
    </View>
  );
}

const styles = StyleSheet.create({ tight: { gap: SPACE.s } });
