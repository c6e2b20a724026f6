import type { FeedPlanInput, JobView, ModelView } from '@lucky-thread/contract';
import { PLACE_WORDS } from '@lucky-thread/core/vehicle';
import { sourcesOf, titleOf } from '@lucky-thread/work/stored';
import { StyleSheet, View } from 'react-native';
import { useJobQuery } from '../../store/api';
import { useModel } from '../../store/shown';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { JobThread } from '../../ui/JobThread';
import { Screen } from '../../ui/Screen';
import { Failed, Loading } from '../../ui/States';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { isDone, knotsOf, nextActionOf } from '../../work/phases';
import { JobStanding } from '../../shell/JobStanding';

/** Props of {@link JobPane}. */
export interface JobPaneProps {
  /** UUID of the job. */
  readonly jobId: string;
  /** Called to take the job up. */
  readonly onTakeUp: () => void;
}

/** A job beside the list: how it stands, feed by feed, for whoever plans the day. */
export function JobPane({ jobId, onTakeUp }: JobPaneProps) {
  const job = useJobQuery(jobId);
  const modelId = job.data?.vehicle.modelId;
  const model = useModel(modelId ?? '', { skip: modelId === undefined });
  if (job.isError || model.isError)
    return <Failed what="The job" onRetry={() => void job.refetch()} />;
  if (job.data === undefined || model.data === undefined) return <Loading what="the job" />;
  return <Pane job={job.data} model={model.data} onTakeUp={onTakeUp} />;
}

function Pane(props: {
  readonly job: JobView;
  readonly model: ModelView;
  readonly onTakeUp: () => void;
}) {
  const { job, model } = props;
  const standing = { ...job, done: isDone(job) };
  const { vehicle, device } = job;
  return (
    <Screen
      testID="job-pane"
      bottom={
        <ActionButton
          kind="next"
          label={standing.done ? 'Look at its log' : nextActionOf({ ...standing, waitsFor: null })}
          testID="take-up-job"
          onPress={props.onTakeUp}
        />
      }
    >
      <View>
        <Words kind="title">{`${job.vehicleName}, ${vehicle.year}`}</Words>
        <Words soft>
          {[vehicle.trim, vehicle.market, `wheel ${vehicle.steering}`, model.use]
            .filter((part) => part !== '')
            .join(' · ')}
        </Words>
      </View>
      <JobThread knots={knotsOf(standing)} />
      {job.warnings.map((warning) => (
        <Caution key={warning}>{warning}</Caution>
      ))}
      {job.deferred.length > 0 && (
        <Words testID="pane-reminder">
          △ Left for later: {job.deferred.map((place) => PLACE_WORDS[place]).join(', ')}
        </Words>
      )}
      <Words kind="heading">{device.name}</Words>
      <Feeds job={job} model={model} />
      <JobStanding job={job} />
      <Words kind="small" soft>
        {`Started by ${job.createdBy} on ${job.createdAt.slice(0, 10)}, last touched ${job.updatedAt.slice(0, 10)}.`}
      </Words>
    </Screen>
  );
}

/** Feed by feed: from where it is planned, and how far it is. */
function Feeds({ job, model }: { readonly job: JobView; readonly model: ModelView }) {
  return job.device.feeds
    .filter((feed) => feed.role !== 'ground')
    .map((feed) => (
      <Card key={feed.id}>
        <View style={styles.feed}>
          <View style={styles.grow}>
            <Words kind="label">{feed.name}</Words>
            <Words>
              {planWords(
                model,
                job.plan.find((one) => one.feedId === feed.id),
              )}
            </Words>
          </View>
          <Words kind="label">{stepOf(job, feed.id)}</Words>
        </View>
      </Card>
    ));
}

function planWords(model: ModelView, plan: FeedPlanInput | undefined): string {
  if (plan === undefined) return 'no source chosen yet';
  const source = sourcesOf(model).find((one) => one.id === plan.sourceId);
  const length = plan.oneWayM === undefined ? '' : `, ${plan.oneWayM} m of lead`;
  return `${source === undefined ? plan.sourceId : titleOf(source)}${length}`;
}

/** How far a feed has come. */
function stepOf(job: JobView, feedId: string): string {
  if (job.loggedFeedIds.includes(feedId)) return 'logged';
  const proofs = job.proofs.filter((one) => one.feedId === feedId).length;
  if (proofs > 0) return `${proofs} ${proofs === 1 ? 'proof' : 'proofs'} shown`;
  return job.plan.some((one) => one.feedId === feedId) ? 'chosen' : 'open';
}

const styles = StyleSheet.create({
  feed: { flexDirection: 'row', alignItems: 'center', gap: SPACE.m },
  grow: { flex: 1 },
});
