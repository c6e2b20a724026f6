import { closingProofs } from '@lucky-thread/core/prove';
import type { Proof, ProofKind } from '@lucky-thread/core/prove';
import { placeOf } from '@lucky-thread/core/vehicle';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { Screen } from '../../ui/Screen';
import { usePalette } from '../../ui/ThemeProvider';
import { RADIUS, SPACE } from '../../ui/tokens';
import { NotWorkedOut } from '../../ui/States';
import { Words } from '../../ui/Words';
import { useFind } from '../../work/useFind';
import { MissingTaps } from '../../shell/MissingTaps';
import type { TappedFeed, JobContext } from '@lucky-thread/work';
import { shownProofs, isWholeJob, tappedFeeds, titleOf } from '@lucky-thread/work';
import { HandOver } from './HandOver';
import type { ReadingRow } from '../../work/jobReadings';
import { countingRows } from '../../work/jobReadings';
import { useJobChange } from '../../work/useJobChange';

/** Prove: the closing proofs of every tap; each is kept as soon as it is shown. */
export function ProveScreen({ context }: { readonly context: JobContext }) {
  const finding = useFind(context);
  const change = useJobChange(context.job);
  const tapped = tappedFeeds(context);
  if (!isWholeJob(context)) return <MissingTaps />;
  const proofs = tapped.map((one) => {
    const verdict = finding.advice?.verdicts.find((each) => each.sourceId === one.source.id);
    const at = one.source.kind === 'slot' ? 'slot' : 'wire';
    return { one, list: closingProofs(one.feed, verdict?.function, at) };
  });
  const shownFor = (feedId: string): ProofKind[] => shownProofs(context.job, feedId);
  const left = proofs.reduce(
    (sum, { one, list }) =>
      sum + list.filter(({ kind }) => !shownFor(one.feed.id).includes(kind)).length,
    0,
  );
  const toggle = ({ feed, source }: TappedFeed, proof: Proof): void =>
    change.prove(
      { feedId: feed.id, kind: proof.kind },
      !shownFor(feed.id).includes(proof.kind),
      restingOn(proof, finding.rows, source.id),
    );
  return (
    <Screen
      testID="prove"
      bottom={
        <ActionButton
          kind="next"
          label={left === 0 ? 'Log the tap points' : `${left} proof${left === 1 ? '' : 's'} to go`}
          testID="go-log"
          disabled={left > 0}
          onPress={() => change.goTo('log')}
        />
      }
    >
      {change.problem !== undefined && <Caution testID="job-problem">{change.problem}</Caution>}
      <NotWorkedOut what="What each slot is" problem={finding.problem} onRetry={finding.retry} />
      <Caution>
        Cranking and running: neutral or park, brake on, nobody near belts and fan, never in a
        closed room. A remote start can happen unannounced: hood shut first.
      </Caution>
      {proofs.map(({ one, list }) => (
        <Card key={one.feed.id}>
          <Words kind="heading">{`${one.feed.name} at ${titleOf(one.source)}`}</Words>
          {list.map((proof) => (
            <ProofRow
              key={proof.kind}
              proof={proof}
              feedId={one.feed.id}
              shown={shownFor(one.feed.id).includes(proof.kind)}
              onToggle={() => toggle(one, proof)}
            />
          ))}
        </Card>
      ))}
      <HandOver job={context.job} />
    </Screen>
  );
}

/** Readings that a proof rests on: those of the source in the states that it is about, the newest of them. */
function restingOn(proof: Proof, rows: readonly ReadingRow[], sourceId: string): string[] {
  const places = proof.states.map(placeOf);
  return countingRows(rows)
    .filter((row) => row.sourceId === sourceId && places.includes(placeOf(row.state)))
    .slice(-MOST_NAMED)
    .map((row) => row.id);
}

/** So many readings are named at most. */
const MOST_NAMED = 20;

function ProofRow(props: {
  readonly proof: Proof;
  readonly feedId: string;
  readonly shown: boolean;
  readonly onToggle: () => void;
}) {
  const palette = usePalette();
  const { proof, shown } = props;
  return (
    <View style={styles.proof}>
      {proof.caution !== undefined && !shown && <Caution>{proof.caution}</Caution>}
      <TouchableRipple
        role="checkbox"
        aria-checked={shown}
        testID={`proof-${props.feedId}-${proof.kind}`}
        onPress={props.onToggle}
        style={[
          styles.row,
          { borderColor: shown ? palette.ink : palette.line, backgroundColor: palette.canvas },
        ]}
      >
        <View style={styles.inside}>
          <Words kind="figure" style={styles.tick} hidden>
            {shown ? '✓' : '○'}
          </Words>
          <View style={styles.text}>
            <Words kind="label">{proof.title}</Words>
            <Words kind="small">{proof.how}</Words>
          </View>
        </View>
      </TouchableRipple>
    </View>
  );
}

const styles = StyleSheet.create({
  proof: { gap: SPACE.xs },
  row: { borderWidth: 1.5, borderRadius: RADIUS, padding: SPACE.s },
  inside: { flexDirection: 'row', alignItems: 'center', gap: SPACE.m },
  tick: { width: 36, textAlign: 'center' },
  text: { flex: 1 },
});
