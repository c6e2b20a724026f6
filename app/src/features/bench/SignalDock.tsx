import type { FindAdvice } from '@lucky-thread/core/identify';
import { describeValue } from '@lucky-thread/core/identify/reading';
import { describeState } from '@lucky-thread/core/vehicle';
import type { BunchBench, BunchInstrument } from '@lucky-thread/core/trial';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { Choice } from '../../ui/Choice';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';

/** The plan when asked for, the instruments at the wire in hand, and the work so far. */
export function SignalDock(props: {
  readonly bench: BunchBench;
  readonly wireId: string | undefined;
  readonly advice: FindAdvice | undefined;
  readonly onAct: (action: (bench: BunchBench) => void) => void;
}) {
  const { bench, wireId, advice, onAct } = props;
  const { seconds, probes } = bench.effort();
  return (
    <>
      {advice !== undefined && (
        <>
          <Words kind="instruction" testID="next">
            {advice.next.instruction}
          </Words>
          {advice.next.kind === 'visit' && advice.next.caution !== undefined && (
            <Caution>{advice.next.caution}</Caution>
          )}
        </>
      )}
      {wireId === undefined ? (
        <Words soft>Touch a wire of the bunch.</Words>
      ) : (
        <Instruments bench={bench} wireId={wireId} onAct={onAct} />
      )}
      <Words kind="small" soft testID="practice-seconds">
        {`${seconds} s of work so far, ${probes} readings.`}
      </Words>
    </>
  );
}

const INSTRUMENTS: readonly (readonly [by: BunchInstrument, label: string])[] = [
  ['meter', 'Meter'],
  ['ohmmeter', 'Ohms to ground'],
  ['lamp', 'Test lamp'],
];

function Instruments(props: {
  readonly bench: BunchBench;
  readonly wireId: string;
  readonly onAct: (action: (bench: BunchBench) => void) => void;
}) {
  const { bench, wireId, onAct } = props;
  const own = bench.readings.filter((one) => one.sourceId === wireId);
  const last = own.at(-1);
  return (
    <Card testID="wire-bench">
      <View style={styles.row}>
        <Words kind="heading" style={styles.even}>
          {wireId}
        </Words>
        {last !== undefined && (
          <Words kind="figure" testID="last-reading">
            {describeValue(last.value)}
          </Words>
        )}
      </View>
      <View style={styles.row}>
        {INSTRUMENTS.map(([by, label]) => (
          <ActionButton
            key={by}
            label={label}
            testID={`touch-${by}`}
            style={styles.even}
            onPress={() => onAct((one) => one.probe(wireId, by))}
          />
        ))}
      </View>
      <Choice
        label="Where the other end sits"
        testID="clip"
        even
        options={[
          { value: 'ground', label: 'Clip on ground' },
          { value: 'constant', label: 'Clip on plus' },
        ]}
        value={bench.clip()}
        onChange={(to) => onAct((one) => one.clipTo(to))}
      />
      {own.length > 1 && (
        <View role="list" aria-label={`Readings of ${wireId}`} testID="readings">
          {own.map(({ id, value, state }) => (
            <View role="listitem" key={id}>
              <Words kind="small">{`${describeValue(value)}, ${describeState(state)}`}</Words>
            </View>
          ))}
        </View>
      )}
    </Card>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: SPACE.xs, alignItems: 'center' },
  even: { flex: 1, paddingHorizontal: 2 },
});
