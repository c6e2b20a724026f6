import { needsOf } from '@lucky-thread/contract';
import { rankCandidates } from '@lucky-thread/core/choose';
import type { Blocked, Candidate } from '@lucky-thread/core/choose';
import type { Verdict } from '@lucky-thread/core/identify';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { Screen } from '../../ui/Screen';
import { Loading } from '../../ui/States';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import { slotsOf } from '../find/findSession';
import type { Finding } from '../find/useFind';
import { useFind } from '../find/useFind';
import type { SlotFeed } from '../job/tappedFeeds';
import { slotFeeds, tappedFeeds } from '../job/tappedFeeds';
import type { JobContext } from '../job/useJob';
import { useJobChange } from '../job/useJobChange';
import { withFeedPlan } from '../job/withFeedPlan';
import { CandidateList } from './CandidateList';
import { OrientationCard } from './OrientationCard';

/** Choose: a slot for every feed, and which way round its tap goes. */
export function ChooseScreen({ context }: { readonly context: JobContext }) {
  const finding = useFind(context);
  const change = useJobChange(context.job);
  const feeds = slotFeeds(context);
  const tapped = tappedFeeds(context);
  const complete = tapped.length === feeds.length;
  if (finding.advice === undefined) return <Loading what="the candidates" />;
  return (
    <Screen
      testID="choose"
      bottom={
        <ActionButton
          kind="next"
          label={complete ? 'Size fuse and wire' : `${tapped.length} of ${feeds.length} chosen`}
          disabled={!complete || change.busy}
          testID="go-size"
          onPress={() => void change.goTo('size')}
        />
      }
    >
      {change.problem !== undefined && <Caution testID="job-problem">{change.problem}</Caution>}
      {feeds.map((feed) => (
        <FeedCard
          key={feed.id}
          feed={feed}
          context={context}
          finding={finding}
          onChoose={(slotId) =>
            void change.setPlan(withFeedPlan(context.job.plan, { feedId: feed.id, slotId }))
          }
        />
      ))}
      <NeverTap context={context} />
    </Screen>
  );
}

function FeedCard(props: {
  feed: SlotFeed;
  context: JobContext;
  finding: Finding;
  onChoose: (slotId: string) => void;
}) {
  const { feed, context, finding } = props;
  const verdicts = useVerdicts(finding);
  const { candidates } = useRanking(context, verdicts, feed);
  const slots = useMemo(
    () => new Map(slotsOf(context.model).map((slot) => [slot.id, slot])),
    [context.model],
  );
  const tapped = tappedFeeds(context).find((one) => one.feed.id === feed.id);
  return (
    <Card testID={`feed-${feed.id}`}>
      <Words kind="title">{feed.name}</Words>
      <Words soft>
        {`${ROLE_WORDS[feed.role]}, ${feed.currentA} A at 12 V${feed.leadColour === undefined ? '' : `, ${feed.leadColour} lead of this kit`}`}
      </Words>
      {candidates.length === 0 && (
        <Words>No slot fits yet. Go back to Find and read some more.</Words>
      )}
      <CandidateList
        feedId={feed.id}
        candidates={candidates}
        verdicts={verdicts}
        slots={slots}
        chosenId={tapped?.slot.id}
        onChoose={props.onChoose}
      />
      {tapped !== undefined && (
        <OrientationCard context={context} finding={finding} tapped={tapped} />
      )}
    </Card>
  );
}

const ROLE_WORDS: Record<SlotFeed['role'], string> = {
  constant: 'Live always, asleep and cranking too',
  switched: 'Live with the key on, dead without it',
  illumination: 'Live with the lamps',
};

function useVerdicts(finding: Finding): ReadonlyMap<string, Verdict> {
  return useMemo(
    () => new Map(finding.advice?.verdicts.map((verdict) => [verdict.sourceId, verdict]) ?? []),
    [finding.advice],
  );
}

function useRanking(
  context: JobContext,
  verdicts: ReadonlyMap<string, Verdict>,
  feed: SlotFeed,
): { readonly candidates: readonly Candidate[]; readonly blocked: readonly Blocked[] } {
  return useMemo(() => {
    const need = needsOf(context.job.device).find((one) => one.id === feed.id);
    if (need === undefined) return { candidates: [], blocked: [] };
    const others = context.job.plan
      .filter((one) => one.feedId !== feed.id)
      .map((one) => one.slotId);
    return rankCandidates({
      slots: slotsOf(context.model).filter((slot) => !others.includes(slot.id)),
      verdicts,
      need,
      currentA: feed.currentA,
      loggedSlotIds: new Set(
        context.taps.filter((tap) => tap.jobId !== context.job.id).map((tap) => tap.slotId),
      ),
    });
  }, [context, verdicts, feed]);
}

/** The circuits that must stay untouched, with their reasons. */
function NeverTap({ context }: { readonly context: JobContext }) {
  const blocked = useMemo(
    () =>
      rankCandidates({
        slots: slotsOf(context.model),
        verdicts: new Map(),
        need: { id: 'any', role: 'constant' },
        currentA: 0,
        loggedSlotIds: new Set(),
      }).blocked,
    [context.model],
  );
  const names = new Map(
    slotsOf(context.model).map((slot) => [slot.id, `${slot.position} ${slot.legend ?? ''}`]),
  );
  return (
    <View style={styles.never} testID="never-tap">
      <Words kind="heading">Never tap</Words>
      {blocked.map((one) => (
        <Caution key={one.slotId}>{`${names.get(one.slotId) ?? ''}: ${one.reason}`}</Caution>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({ never: { gap: SPACE.s } });
