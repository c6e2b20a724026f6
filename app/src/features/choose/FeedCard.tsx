import type { FeedPlanInput } from '@lucky-thread/contract';
import type { Candidate, Ranking, Unfit } from '@lucky-thread/core/choose';
import type { Verdict } from '@lucky-thread/core/identify';
import type { Source } from '@lucky-thread/core/vehicle';
import { nameOf } from '@lucky-thread/core/vehicle';
import { useState } from 'react';
import { View } from 'react-native';
import { useAppSelector } from '../../store/store';
import { LeadColour } from '../../panel/LeadColour';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { Field } from '../../ui/Field';
import { NumberField } from '../../ui/NumberField';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import type { Finding } from '../../work/useFind';
import type { SlotFeed, JobContext } from '@lucky-thread/work';
import {
  givesToTheKeysWires,
  heavyFeeds,
  isAtSlot,
  isJoined,
  tappedFeeds,
  takenByOthers,
  movedTo,
} from '@lucky-thread/work';
import { fieldProblem } from '../../sizing/fieldProblem';
import { ROLE_WORDS } from '@lucky-thread/core/identify';
import { FeedingFuse } from './FeedingFuse';
import { ChainChoice, Meeting } from './Meeting';
import { CandidateList } from './CandidateList';
import { OrientationCard } from './OrientationCard';

/** Props of {@link FeedCard}. */
export interface FeedCardProps {
  /** The feed that it is about. */
  readonly feed: SlotFeed;
  /** The job with its vehicle, device, shop and log. */
  readonly context: JobContext;
  /** The readings, what they say, and what to do next. */
  readonly finding: Finding;
  /** What is known of each source, by its id. */
  readonly verdicts: ReadonlyMap<string, Verdict>;
  /** The sources that are spoken of, by their id. */
  readonly sources: ReadonlyMap<string, Source>;
  /** The sources from best to worst; undefined until it was worked out. */
  readonly ranking: Ranking | undefined;
  /** Called with the plan that names the chosen source. */
  readonly onChoose: (entry: FeedPlanInput) => void;
}

/** One feed: what could serve it, what it costs to take a legend that warns, and which way round the tap goes. */
export function FeedCard(props: FeedCardProps) {
  const { feed, context, finding, ranking, sources } = props;
  const tapped = tappedFeeds(context).find((one) => one.feed.id === feed.id);
  // A source that serves another feed already is not offered.
  const others = takenByOthers(context, feed);
  const candidates = (ranking?.candidates ?? []).filter((one) => !others.includes(one.sourceId));
  const chosen = candidates.find((one) => one.sourceId === tapped?.source.id);
  return (
    <Card testID={`feed-${feed.id}`}>
      <Words kind="title">{feed.name}</Words>
      <LeadColour family={context.job.device.family} words={feed.leadColour}>
        <Words soft>
          {`${ROLE_WORDS[feed.role].source}, ${feed.currentA} A at 12 V${feed.leadColour === undefined ? '' : `, ${feed.leadColour} lead of this kit`}`}
        </Words>
      </LeadColour>
      {feed.optional === true && tapped === undefined && (
        <Words kind="small">The device works without it: left off, its lead is capped.</Words>
      )}
      {candidates.length === 0 && <Words>{noneBecause(context, feed)}</Words>}
      <CandidateList
        feedId={feed.id}
        candidates={candidates}
        verdicts={props.verdicts}
        sources={sources}
        chosenId={tapped?.source.id}
        onChoose={(sourceId) =>
          props.onChoose(movedTo(tapped?.plan, { feedId: feed.id, sourceId }))
        }
      />
      {tapped !== undefined && chosen !== undefined && (
        <StillAsked
          key={tapped.source.id}
          candidate={chosen}
          plan={tapped.plan}
          onPlan={props.onChoose}
        />
      )}
      {tapped !== undefined && <Meeting context={context} tapped={tapped} />}
      {tapped !== undefined && isJoined(tapped) && (
        <ChainChoice
          tapped={tapped}
          candidates={candidates}
          sources={sources}
          onPlan={props.onChoose}
        />
      )}
      {tapped !== undefined && isJoined(tapped) && (
        <FeedingFuse
          key={`fuse-${tapped.source.id}`}
          source={tapped.source}
          context={context}
          verdicts={props.verdicts}
          plan={tapped.plan}
          onPlan={props.onChoose}
        />
      )}
      <UnfitList feedId={feed.id} unfit={ranking?.unfit ?? []} sources={sources} />
      {tapped !== undefined && isAtSlot(tapped) && (
        <OrientationCard context={context} finding={finding} tapped={tapped} />
      )}
    </Card>
  );
}

/** What the chosen source still asks for: a reason, a reading of what flows there. */
function StillAsked(props: Parameters<typeof Reason>[0]) {
  const { candidate } = props;
  return (
    <>
      {candidate.wantsReason !== undefined && <Reason {...props} />}
      {candidate.headroom.verdict === 'measure' && <Clamp {...props} />}
    </>
  );
}

/** A legend that warns is taken only for a reason, which goes into the log. */
function Reason(props: {
  readonly candidate: Candidate;
  readonly plan: FeedPlanInput;
  readonly onPlan: (plan: FeedPlanInput) => void;
}) {
  const { plan } = props;
  const [text, setText] = useState(plan.reason ?? '');
  const reason = text.trim();
  return (
    <View style={{ gap: SPACE.s }}>
      <Caution>{props.candidate.wantsReason ?? ''}</Caution>
      <Field
        label="Why take it all the same?"
        hint="Goes into the model’s log"
        value={text}
        testID={`reason-${plan.feedId}`}
        onChange={setText}
      />
      <ActionButton
        label={plan.reason === reason && reason !== '' ? '✓ Reason kept' : 'Keep the reason'}
        testID={`keep-reason-${plan.feedId}`}
        disabled={reason.length < 3 || plan.reason === reason}
        onPress={() => props.onPlan({ ...plan, reason })}
      />
    </View>
  );
}

/** A source whose headroom nobody knows: the original circuit is measured with a clamp while it works. */
function Clamp(props: {
  readonly candidate: Candidate;
  readonly plan: FeedPlanInput;
  readonly onPlan: (plan: FeedPlanInput) => void;
}) {
  const { plan } = props;
  const units = useAppSelector((state) => state.prefs.units);
  const [measuredA, setMeasuredA] = useState(plan.measuredA);
  const problem = fieldProblem('originalA', measuredA, units);
  return (
    <View style={{ gap: SPACE.s }} testID={`clamp-${plan.feedId}`}>
      <Words kind="small">{props.candidate.headroom.text}</Words>
      <NumberField
        label="Original circuit, by clamp meter"
        of={{ unit: 'A' }}
        value={measuredA}
        problem={problem}
        testID={`clamped-${plan.feedId}`}
        onValue={setMeasuredA}
      />
      <ActionButton
        label="Keep the measurement"
        testID={`keep-clamped-${plan.feedId}`}
        disabled={measuredA === undefined || problem !== undefined || measuredA === plan.measuredA}
        onPress={() => props.onPlan({ ...plan, ...(measuredA === undefined ? {} : { measuredA }) })}
      />
    </View>
  );
}

/** Sources that would serve but for one thing, with the way out. */
function UnfitList(props: {
  readonly feedId: string;
  readonly unfit: readonly Unfit[];
  readonly sources: ReadonlyMap<string, Source>;
}) {
  const [open, setOpen] = useState(false);
  if (props.unfit.length === 0) return null;
  return (
    <View style={{ gap: SPACE.xs }}>
      <ActionButton
        kind="quiet"
        label={open ? 'Hide what will not do' : `${props.unfit.length} would serve, but…`}
        testID={`unfit-${props.feedId}`}
        onPress={() => setOpen(!open)}
      />
      {open &&
        props.unfit.map((one) => (
          <Words kind="small" key={one.sourceId}>
            {`✕ ${shortName(props.sources.get(one.sourceId)) ?? one.sourceId}: ${one.constraint} ${one.wayOut}`}
          </Words>
        ))}
    </View>
  );
}

function shortName(source: Source | undefined): string | undefined {
  return source === undefined ? undefined : nameOf(source);
}

/** Why nothing is offered for a feed, and what to do. */
function noneBecause(context: FeedCardProps['context'], feed: SlotFeed): string {
  if (!heavyFeeds(context).some((one) => one.id === feed.id))
    return 'No source fits yet. Go back to Find and read some more.';
  return givesToTheKeysWires(feed)
    ? 'The device gives current here: to the wire behind the key, never to a slot. Lay the plug under the column open in Find.'
    : 'No slot here carries it. From the battery through its own fuse and a relay; a switched slot gives the trigger.';
}
