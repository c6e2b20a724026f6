import type { NextAction } from '@lucky-thread/core/identify';
import type { JobContext } from '@lucky-thread/work';
import { jobSourcesOf, titleOf } from '@lucky-thread/work';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { PairPad } from '../../instruments/PairPad';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import type { Finding } from '../../work/useFind';
import { UndoLast, useUndoLast } from './UndoLast';

/** Props of {@link PairDock}. */
export interface PairDockProps {
  /** The job with its vehicle, device, shop and log. */
  readonly context: JobContext;
  /** The readings, what they say, and what to do next. */
  readonly finding: Finding;
  /** The two wires to be tried together. */
  readonly pair: Extract<NextAction, { kind: 'pair' }>;
  /** Called once something was kept. */
  readonly onTaken: () => void;
}

/** Two cut wires in hand together: ohms between them, or what 9 V across them moved. */
export function PairDock({ context, finding, pair, onTaken }: PairDockProps) {
  const { job, model } = context;
  const { by, plusId, minusId } = pair;
  const undo = useUndoLast(job.id, finding.rows);
  const [plus, minus] = useMemo(() => {
    const sources = jobSourcesOf({ job, model });
    const titled = (id: string): string => {
      const found = sources.find(({ source }) => source.id === id);
      return found === undefined ? id : titleOf(found.source);
    };
    return [titled(plusId), titled(minusId)];
  }, [job, model, plusId, minusId]);
  return (
    <View style={styles.pad}>
      <View style={styles.head}>
        <Words kind="heading" testID="selected-pair" lines={1} style={styles.fill}>
          {by === 'ohms' ? `${plus} to ${minus} · ohms` : `${plus} +  ·  ${minus} −`}
        </Words>
        <UndoLast undo={undo} />
      </View>
      <PairPad
        {...{ jobId: job.id, by, plusId, minusId, onTaken }}
        state={finding.probing.state}
        simulated={model.simulated}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  pad: { gap: SPACE.xs },
  head: { flexDirection: 'row', alignItems: 'center' },
  fill: { flex: 1, minHeight: 0 },
});
