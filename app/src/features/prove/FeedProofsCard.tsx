import type { CheckStanding, Proof, ProofCheck, ProofKind } from '@lucky-thread/core/prove';
import { checkLimit, checkTitle } from '@lucky-thread/core/prove';
import type { FeedProofs, StandingCheck } from '@lucky-thread/work';
import { titleOf } from '@lucky-thread/work';
import isEqual from 'fast-deep-equal';
import { memo } from 'react';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { usePalette } from '../../ui/ThemeProvider';
import { RADIUS, SPACE, TARGET } from '../../ui/tokens';
import { Words } from '../../ui/Words';

/** Props of {@link FeedProofsCard}. */
export interface FeedProofsCardProps {
  /** The feed with its checks. */
  readonly of: FeedProofs;
  /** The check in hand; undefined when it is of another feed. */
  readonly current: ProofCheck | undefined;
  /** Called with the feed and the check that was taken up. */
  readonly onCheck: (feedId: string, checkId: string) => void;
  /** The device was seen to answer a signal, or that is taken back. */
  readonly onSeen: (feedId: string, kind: ProofKind) => void;
}

/** The proofs of one added lead: each reading with what it must show, or what the device must be seen to do. */
export const FeedProofsCard = memo(function FeedProofsCard(props: FeedProofsCardProps) {
  const { current } = props;
  const { tapped, proofs } = props.of;
  const { feed, source } = tapped;
  return (
    <Card testID={`proofs-${feed.id}`}>
      <Words kind="heading">{`${feed.name} at ${titleOf(source)}`}</Words>
      {proofs.map(({ proof, checks, shown }) =>
        checks.length === 0 ? (
          <SeenRow
            key={proof.kind}
            proof={proof}
            feedId={feed.id}
            shown={shown}
            onSeen={props.onSeen}
          />
        ) : (
          <View key={proof.kind} style={styles.group}>
            <Words kind="label">{proof.title}</Words>
            {checks.map((one) => (
              <CheckRow
                key={one.check.id}
                of={one}
                feedId={feed.id}
                inHand={one.check.pointId === current?.pointId && one.check.id === current.id}
                onCheck={props.onCheck}
              />
            ))}
          </View>
        ),
      )}
    </Card>
  );
});

const MARKS: Record<CheckStanding['is'], string> = { open: '○', passed: '✓', failed: '✕' };

/** One reading; drawn anew only where it says something else, for each reading changes one row of a card at the most. */
const CheckRow = memo(function CheckRow(props: {
  readonly of: StandingCheck;
  readonly feedId: string;
  readonly inHand: boolean;
  readonly onCheck: FeedProofsCardProps['onCheck'];
}) {
  const palette = usePalette();
  const { check, standing } = props.of;
  return (
    <TouchableRipple
      role="button"
      testID={`check-${props.feedId}-${check.id.replace(' ', '-')}`}
      onPress={() => props.onCheck(props.feedId, check.id)}
      style={[
        styles.row,
        {
          borderColor: props.inHand ? palette.ink : palette.line,
          backgroundColor: props.inHand ? palette.sunken : palette.canvas,
        },
      ]}
    >
      <View style={styles.inside}>
        <Words kind="heading" style={styles.mark}>
          {MARKS[standing.is]}
        </Words>
        <View style={styles.text}>
          <Words kind="small">{checkTitle(check)}</Words>
        </View>
        <Words kind="small" soft>
          {checkLimit(check)}
        </Words>
        {standing.is !== 'open' && (
          <Words kind="label" testID={`shows-${props.feedId}-${check.id.replace(' ', '-')}`}>
            {standing.shows}
          </Words>
        )}
      </View>
    </TouchableRipple>
  );
}, isEqual);

/** A proof that no meter gives: what the device does with a signal. */
const SeenRow = memo(function SeenRow(props: {
  readonly proof: Proof;
  readonly feedId: string;
  readonly shown: boolean;
  readonly onSeen: FeedProofsCardProps['onSeen'];
}) {
  const palette = usePalette();
  const { proof, shown } = props;
  return (
    <View style={styles.group}>
      {proof.caution !== undefined && !shown && <Caution>{proof.caution}</Caution>}
      <TouchableRipple
        role="checkbox"
        aria-checked={shown}
        testID={`proof-${props.feedId}-${proof.kind}`}
        onPress={() => props.onSeen(props.feedId, proof.kind)}
        style={[
          styles.row,
          { borderColor: shown ? palette.ink : palette.line, backgroundColor: palette.canvas },
        ]}
      >
        <View style={styles.inside}>
          <Words kind="heading" style={styles.mark} hidden>
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
}, isEqual);

const styles = StyleSheet.create({
  group: { gap: SPACE.xs },
  row: { borderWidth: 1.5, borderRadius: RADIUS, minHeight: TARGET, padding: SPACE.s },
  inside: { flexDirection: 'row', alignItems: 'center', gap: SPACE.s },
  mark: { width: 26, textAlign: 'center' },
  text: { flex: 1 },
});
