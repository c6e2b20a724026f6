import type { FeedPlanInput } from '@lucky-thread/contract';
import type { Blocked, RankedSet } from '@lucky-thread/core/choose';
import type { Verdict } from '@lucky-thread/core/identify';
import type { Source } from '@lucky-thread/core/vehicle';
import { nameOf } from '@lucky-thread/core/vehicle';
import { useCallback, useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../../ui/ActionButton';
import { Caution } from '../../ui/Caution';
import { Screen } from '../../ui/Screen';
import { SideBySide } from '../../ui/SideBySide';
import { Loading, NotWorkedOut } from '../../ui/States';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import {
  jobSourcesOf,
  slotsOf,
  isWholeJob,
  slotFeeds,
  tappedFeeds,
  movedTo,
  isAtSlot,
  withFeedPlan,
} from '@lucky-thread/work';
import type { Finding } from '../../work/useFind';
import { useFind } from '../../work/useFind';
import type { JobContext } from '@lucky-thread/work';
import { JobProblem } from '../../shell/JobProblem';
import { useJobChange } from '../../work/useJobChange';
import { useSteady, useSteadyList } from '../../workers/useSteady';
import { FeedCard } from './FeedCard';
import type { FeedChoice } from './feedChoices';
import { feedChoices } from './feedChoices';
import { OrientationCard } from './OrientationCard';
import { SetComparison } from './SetComparison';
import { useSets } from './useSets';

/** Choose: the best set of sources for all feeds, a slot for every feed, and which way round its tap goes. */
export function ChooseScreen({ context }: { readonly context: JobContext }) {
  const finding = useFind(context);
  const change = useJobChange(context.job);
  const verdicts = useVerdicts(finding);
  const { sets, rankings } = useSets(context, verdicts);
  const sources = useSources(context);
  const feeds = slotFeeds(context);
  const tapped = tappedFeeds(context);
  const choices = useSteadyList(
    useMemo(() => feedChoices(context, rankings), [context, rankings]),
    feedIdOf,
  );
  const choose = useCallback(
    (entry: FeedPlanInput) =>
      change.setPlan((now) =>
        withFeedPlan(now, entry, sources.get(entry.sourceId)?.kind === 'slot'),
      ),
    [change, sources],
  );
  const unreasoned = tapped.filter(
    ({ feed, plan }) =>
      plan.reason === undefined &&
      rankings[feed.id]?.candidates.find((one) => one.sourceId === plan.sourceId)?.wantsReason !==
        undefined,
  );
  if (finding.advice === undefined) return <Loading what="the candidates" />;
  const complete = isWholeJob(context) && unreasoned.length === 0;
  return (
    <Screen
      testID="choose"
      roomy
      told={<JobProblem jobId={context.job.id} />}
      bottom={
        <ActionButton
          kind="next"
          label={
            complete
              ? 'Size fuse and wire'
              : unreasoned.length > 0
                ? `Say why ${unreasoned[0] === undefined ? 'it' : nameOf(unreasoned[0].source)} is taken`
                : `${tapped.length} of ${feeds.length} chosen`
          }
          disabled={!complete}
          testID="go-size"
          onPress={() => change.goTo('size')}
        />
      }
    >
      <NotWorkedOut what="What each slot is" problem={finding.problem} onRetry={finding.retry} />
      <SetComparison
        sets={sets}
        feeds={feeds}
        sources={sources}
        chosen={Object.fromEntries(context.job.plan.map((one) => [one.feedId, one.sourceId]))}
        onTake={(set) => change.setPlan(planFor(set, context.job.plan))}
      />
      <SideBySide>
        {[...choices.values()].map((choice) => (
          <FeedCard
            key={choice.feed.id}
            choice={choice}
            family={context.job.device.family}
            model={context.model}
            verdicts={verdicts}
            sources={sources}
            onChoose={choose}
          >
            {choice.tapped !== undefined && isAtSlot(choice.tapped) && (
              <OrientationCard context={context} finding={finding} tapped={choice.tapped} />
            )}
          </FeedCard>
        ))}
      </SideBySide>
      <NeverTap blocked={Object.values(rankings)[0]?.blocked ?? []} context={context} />
    </Screen>
  );
}

/** The plan with a set taken. */
function planFor(set: RankedSet, plan: readonly FeedPlanInput[]): FeedPlanInput[] {
  return Object.entries(set.slots).map(([feedId, sourceId]) =>
    movedTo(
      plan.find((one) => one.feedId === feedId),
      { feedId, sourceId },
    ),
  );
}

function feedIdOf({ feed }: FeedChoice): string {
  return feed.id;
}

/** The job's sources by id; the same map as long as they are the same. */
function useSources({ job, model, taps }: JobContext): ReadonlyMap<string, Source> {
  const list = useSteady(
    useMemo(
      () => jobSourcesOf({ job, model, taps }).map(({ source }) => source),
      [job, model, taps],
    ),
  );
  return useMemo(() => new Map(list.map((source) => [source.id, source])), [list]);
}

function useVerdicts(finding: Finding): ReadonlyMap<string, Verdict> {
  return useMemo(
    () => new Map(finding.advice?.verdicts.map((verdict) => [verdict.sourceId, verdict]) ?? []),
    [finding.advice],
  );
}

/** The circuits that must stay untouched, with their reasons. */
function NeverTap(props: { readonly blocked: readonly Blocked[]; readonly context: JobContext }) {
  const names = useMemo(
    () =>
      new Map(
        slotsOf(props.context.model).map((slot) => [
          slot.id,
          `${slot.position} ${slot.legend ?? ''}`,
        ]),
      ),
    [props.context.model],
  );
  return (
    <View style={styles.never} testID="never-tap">
      <Words kind="heading">Never tap</Words>
      {props.blocked.map((one) => (
        <Caution key={one.sourceId}>{`${names.get(one.sourceId) ?? ''}: ${one.reason}`}</Caution>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({ never: { gap: SPACE.s } });
