import type { FindAdvice } from '@lucky-thread/core/identify';
import { describeValue } from '@lucky-thread/core/identify/reading';
import { describeState } from '@lucky-thread/core/vehicle';
import type { BunchBench, BunchInstrument } from '@lucky-thread/core/trial';
import { ScrollView, StyleSheet, View } from 'react-native';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import type { PracticeLead } from './signalLevels';

/** So many readings of a wire are repeated beside the last one. */
const MOST_BEFORE = 3;

/** A wire in hand, and what is done with it. */
interface InHand {
  readonly bench: BunchBench;
  readonly wireId: string;
  readonly leads: readonly PracticeLead[];
  readonly onAct: (action: (bench: BunchBench) => void) => void;
  /** The wire is taken for a lead. */
  readonly onTake: (leadId: string) => void;
}

/** The plan when asked for, the instruments at the wire in hand, and the work so far. */
export function SignalDock(
  props: Omit<InHand, 'wireId'> & {
    readonly wireId: string | undefined;
    readonly advice: FindAdvice | undefined;
  },
) {
  const { bench, wireId, advice } = props;
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
        <Instruments {...props} wireId={wireId} />
      )}
      <Words kind="small" soft testID="practice-seconds">
        {`${seconds} s of work so far, ${probes} readings.`}
      </Words>
    </>
  );
}

const INSTRUMENTS: readonly (readonly [by: BunchInstrument, label: string, spoken: string])[] = [
  ['meter', 'Meter', 'Touch with the meter'],
  ['ohmmeter', 'Ohms', 'Ohms to ground'],
  ['lamp', 'Lamp', 'Touch with the test lamp'],
];

function Instruments({ bench, wireId, leads, onAct, onTake }: InHand) {
  const own = bench.readings.filter((one) => one.sourceId === wireId);
  const last = own.at(-1);
  const isOnGround = bench.clip() === 'ground';
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
      <Before readings={own.slice(0, -1)} />
      <View style={styles.row}>
        {INSTRUMENTS.map(([by, label, spoken]) => (
          <ActionButton
            key={by}
            {...{ label, spoken: `${label}: ${spoken}`, testID: `touch-${by}` }}
            style={styles.even}
            onPress={() => onAct((one) => one.probe(wireId, by))}
          />
        ))}
        <ActionButton
          label={isOnGround ? 'Clip: ground' : 'Clip: plus'}
          spoken={isOnGround ? 'Clip: ground; put it on plus' : 'Clip: plus; put it on ground'}
          testID="clip"
          style={styles.even}
          onPress={() => onAct((one) => one.clipTo(isOnGround ? 'constant' : 'ground'))}
        />
      </View>
      <ScrollView horizontal role="list" aria-label={`What ${wireId} is for`}>
        <View style={styles.row}>
          {leads.map(({ id, name }) => (
            <View role="listitem" key={id}>
              <ActionButton
                label={name}
                spoken={`${name}: take ${wireId}`}
                testID={`take-${id}`}
                onPress={() => onTake(id)}
              />
            </View>
          ))}
        </View>
      </ScrollView>
    </Card>
  );
}

/** What a wire showed before the last reading. */
function Before({ readings }: Pick<InHand['bench'], 'readings'>) {
  if (readings.length === 0) return null;
  const said = readings
    .slice(-MOST_BEFORE)
    .map(({ value, state }) => `${describeValue(value)}, ${describeState(state)}`);
  return (
    <Words kind="small" soft testID="readings">
      {`Before: ${said.join('; ')}.`}
    </Words>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: SPACE.xs, alignItems: 'center' },
  even: { flex: 1, paddingHorizontal: 2 },
});
