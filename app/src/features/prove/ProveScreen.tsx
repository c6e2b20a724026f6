import type { FeedPlanInput } from '@lucky-thread/contract';
import { closingProofs } from '@lucky-thread/core/prove';
import type { Proof, ProofKind } from '@lucky-thread/core/prove';
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
import { slotFeeds, tappedFeeds, titleOf, withFeedPlan } from '@lucky-thread/work';
import { useJobChange } from '../../work/useJobChange';

/** Prove: the closing proofs of every tap; each is kept as soon as it is shown. */
export function ProveScreen({ context }: { readonly context: JobContext }) {
  const finding = useFind(context);
  const change = useJobChange(context.job);
  const tapped = tappedFeeds(context);
  if (tapped.length < slotFeeds(context).length) return <MissingTaps />;
  const proofs = tapped.map((one) => {
    const verdict = finding.advice?.verdicts.find((each) => each.sourceId === one.source.id);
    const at = one.source.kind === 'slot' ? 'slot' : 'wire';
    return { one, list: closingProofs(one.feed, verdict?.function, at) };
  });
  const left = proofs.reduce(
    (sum, { one, list }) => sum + list.length - (one.plan.proofs?.length ?? 0),
    0,
  );
  const toggle = (plan: FeedPlanInput, kind: ProofKind): void => {
    const shown = plan.proofs ?? [];
    const next = shown.includes(kind) ? shown.filter((one) => one !== kind) : [...shown, kind];
    void change.setPlan(withFeedPlan(context.job.plan, { ...plan, proofs: next }));
  };
  return (
    <Screen
      testID="prove"
      bottom={
        <ActionButton
          kind="next"
          label={left === 0 ? 'Log the tap points' : `${left} proof${left === 1 ? '' : 's'} to go`}
          testID="go-log"
          disabled={left > 0 || change.busy}
          onPress={() => void change.goTo('log')}
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
              tapped={one}
              busy={change.busy}
              onToggle={() => toggle(one.plan, proof.kind)}
            />
          ))}
        </Card>
      ))}
    </Screen>
  );
}

function ProofRow(props: {
  proof: Proof;
  tapped: TappedFeed;
  busy: boolean;
  onToggle: () => void;
}) {
  const palette = usePalette();
  const { proof, tapped } = props;
  const shown = tapped.plan.proofs?.includes(proof.kind) ?? false;
  return (
    <View style={styles.proof}>
      {proof.caution !== undefined && !shown && <Caution>{proof.caution}</Caution>}
      <TouchableRipple
        role="checkbox"
        aria-checked={shown}
        testID={`proof-${tapped.feed.id}-${proof.kind}`}
        disabled={props.busy}
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
