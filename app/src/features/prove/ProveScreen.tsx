import { StyleSheet, View } from 'react-native';
import type { FeedProofs, JobContext } from '@lucky-thread/work';
import { isWholeJob, missingProofs } from '@lucky-thread/work';
import { JobProblem } from '../../shell/JobProblem';
import { MissingTaps } from '../../shell/MissingTaps';
import { ActionButton } from '../../ui/ActionButton';
import { NotWorkedOut } from '../../ui/States';
import { SPACE } from '../../ui/tokens';
import { WithDock } from '../../ui/WithDock';
import { useFind } from '../../work/useFind';
import { useJobChange } from '../../work/useJobChange';
import { CheckDock, PROOF_WAITS } from './CheckDock';
import { DropOffTimes } from './DropOffTimes';
import { FeedProofsCard } from './FeedProofsCard';
import { HandOver } from './HandOver';
import { ParkedDrain } from './ParkedDrain';
import { useProving } from './useProving';

/** Prove: what every added lead must show, read one by one; nothing counts on anybody’s word that a meter can tell. */
export function ProveScreen({ context }: { readonly context: JobContext }) {
  const finding = useFind(context);
  const change = useJobChange(context.job);
  const proving = useProving(context, finding);
  if (!isWholeJob(context)) return <MissingTaps />;
  const left = proving.feeds.reduce((sum, one) => sum + missingProofs(one).length, 0);
  const seen = ({ tapped }: FeedProofs, kind: Parameters<typeof change.prove>[0]['kind']): void => {
    const { id } = tapped.feed;
    const stands = context.job.proofs.some((one) => one.feedId === id && one.kind === kind);
    change.prove({ feedId: id, kind }, !stands, []);
  };
  return (
    <WithDock
      testID="prove"
      dock={
        <View style={styles.stack}>
          {proving.current !== undefined && (
            <CheckDock context={context} proving={proving} current={proving.current} />
          )}
          {(left === 0 || proving.current === undefined) && (
            <ActionButton
              kind="next"
              label={
                left === 0 ? 'Log the tap points' : `${left} proof${left === 1 ? '' : 's'} to go`
              }
              testID="go-log"
              disabled={left > 0}
              onPress={() => {
                if (context.job.waitsFor?.startsWith(PROOF_WAITS) === true)
                  change.setStanding({ waitsFor: null });
                change.goTo('log');
              }}
            />
          )}
        </View>
      }
    >
      <View style={styles.stack}>
        <JobProblem jobId={context.job.id} />
        <NotWorkedOut what="What each slot is" problem={finding.problem} onRetry={finding.retry} />
        {proving.feeds.map((one) => (
          <FeedProofsCard
            key={one.tapped.feed.id}
            of={one}
            current={proving.current?.check.pointId}
            currentId={proving.current?.check.id}
            onCheck={(check) => proving.take(one.tapped.feed.id, check.id)}
            onSeen={(kind) => seen(one, kind)}
          />
        ))}
        <DropOffTimes job={context.job} onNote={change.noteClosing} />
        <ParkedDrain job={context.job} onNote={change.noteClosing} />
        <HandOver job={context.job} onNote={change.noteClosing} />
      </View>
    </WithDock>
  );
}

const styles = StyleSheet.create({ stack: { gap: SPACE.l } });
