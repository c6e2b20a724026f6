import { useCallback } from 'react';
import { StyleSheet, View } from 'react-native';
import type { FeedProofs, JobContext } from '@lucky-thread/work';
import { isWholeJob, missingProofs } from '@lucky-thread/work';
import type { ProofCheck, ProofKind } from '@lucky-thread/core/prove';
import { JobProblem } from '../../shell/JobProblem';
import { MissingTaps } from '../../shell/MissingTaps';
import { ActionButton } from '../../ui/ActionButton';
import { NotWorkedOut } from '../../ui/States';
import { SPACE } from '../../ui/tokens';
import { WithDock } from '../../ui/WithDock';
import { useFind } from '../../work/useFind';
import type { JobChange } from '../../work/useJobChange';
import { useJobChange } from '../../work/useJobChange';
import { CheckDock } from './CheckDock';
import { DropOffTimes } from './DropOffTimes';
import { FeedProofsCard } from './FeedProofsCard';
import { HandOver } from './HandOver';
import { HandOverDock } from './HandOverDock';
import type { HandingOver } from './useHandOver';
import { useHandOver } from './useHandOver';
import { isProofWaited, waitsForProof } from './waitsForProof';
import { ParkedDrain } from './ParkedDrain';
import type { Proving } from './useProving';
import { useProving } from './useProving';

/** Prove: what every added lead must show, read one by one; nothing counts on anybody’s word that a meter can tell. */
export function ProveScreen({ context }: { readonly context: JobContext }) {
  const finding = useFind(context);
  const change = useJobChange(context.job);
  const proving = useProving(context, finding);
  const handing = useHandOver(context.job);
  const { proofs } = context.job;
  const seen = useCallback(
    (feedId: string, kind: ProofKind): void => {
      const stands = proofs.some((one) => one.feedId === feedId && one.kind === kind);
      change.prove({ feedId, kind }, !stands, []);
    },
    [change, proofs],
  );
  if (!isWholeJob(context)) return <MissingTaps />;
  const current = proving.current?.check;
  return (
    <WithDock
      testID="prove"
      told={<JobProblem jobId={context.job.id} />}
      dock={<ProveDock context={context} change={change} proving={proving} handing={handing} />}
    >
      <View style={styles.stack}>
        <NotWorkedOut what="What each slot is" problem={finding.problem} onRetry={finding.retry} />
        {proving.feeds.map((one) => (
          <FeedProofsCard
            key={one.tapped.feed.id}
            of={one}
            current={current !== undefined && has(one, current) ? current : undefined}
            onCheck={proving.take}
            onSeen={seen}
          />
        ))}
        <DropOffTimes job={context.job} onNote={change.noteClosing} />
        <ParkedDrain job={context.job} onNote={change.noteClosing} />
        <HandOver
          tests={handing.tests}
          inHand={
            handing.taken || proving.current === undefined ? handing.current?.test.id : undefined
          }
          onTake={handing.take}
        />
      </View>
    </WithDock>
  );
}

/** Whether a check is among those of a feed. */
function has({ proofs }: FeedProofs, { id, pointId }: ProofCheck): boolean {
  return proofs.some(({ checks }) =>
    checks.some(({ check }) => check.id === id && check.pointId === pointId),
  );
}

/** What is in hand: a reading, then a test before the hand-over, then the log. */
function ProveDock(props: {
  readonly context: JobContext;
  readonly change: JobChange;
  readonly proving: Proving;
  readonly handing: HandingOver;
}) {
  const { context, change, proving, handing } = props;
  const { job } = context;
  const unread = proving.feeds.reduce((sum, one) => sum + missingProofs(one).length, 0);
  const left = unread + handing.left;
  const test = handing.taken || proving.current === undefined ? handing.current : undefined;
  const note = (item: string, value: number | undefined): void => {
    change.noteClosing({ item, done: value !== undefined, value: value ?? null });
    handing.goOn();
  };
  return (
    <View style={styles.dock}>
      {test === undefined && proving.current !== undefined && (
        <CheckDock context={context} proving={proving} current={proving.current} />
      )}
      {test !== undefined && (
        <HandOverDock
          of={test}
          left={handing.left}
          starts={startsEngine(context)}
          onFound={(value) => note(test.item, value)}
          onUndo={() => note(test.item, undefined)}
          onLater={() => {
            change.setStanding({ waitsFor: waitsForProof(`hand-over: ${test.test.what}`) });
            handing.later();
          }}
        />
      )}
      {(left === 0 || (proving.current === undefined && test === undefined)) && (
        <ActionButton
          kind="next"
          label={left === 0 ? 'Log the tap points' : `${left} proof${left === 1 ? '' : 's'} to go`}
          testID="go-log"
          disabled={left > 0}
          onPress={() => {
            if (isProofWaited(job.waitsFor)) change.setStanding({ waitsFor: null });
            change.goTo('log');
          }}
        />
      )}
    </View>
  );
}

function startsEngine({ job }: JobContext): boolean {
  return job.device.feeds.some(({ role }) => role === 'starter');
}

const styles = StyleSheet.create({ stack: { gap: SPACE.l }, dock: { gap: SPACE.m } });
