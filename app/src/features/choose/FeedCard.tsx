import type { FeedPlanInput } from '@lucky-thread/contract';
import type { Candidate, Unfit } from '@lucky-thread/core/choose';
import type { Verdict } from '@lucky-thread/core/identify';
import type { Source } from '@lucky-thread/core/vehicle';
import { nameOf } from '@lucky-thread/core/vehicle';
import type { ReactNode } from 'react';
import { memo, useState } from 'react';
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
import type { JobContext } from '@lucky-thread/work';
import { isJoined, movedTo } from '@lucky-thread/work';
import { fieldProblem } from '../../sizing/fieldProblem';
import { ROLE_WORDS } from '@lucky-thread/core/identify';
import { FeedingFuse } from './FeedingFuse';
import { ChainChoice, Meeting } from './Meeting';
import { CandidateList } from './CandidateList';
import type { FeedChoice } from './feedChoices';

/** Props of {@link FeedCard}. */
export interface FeedCardProps {
  /** The feed, what could serve it, and what does; the same object as long as it says the same. */
  readonly choice: FeedChoice;
  /** The device's family, whose leads have colours of their own. */
  readonly family: JobContext['job']['device']['family'];
  /** The vehicle's model. */
  readonly model: JobContext['model'];
  /** What is known of each source, by its id. */
  readonly verdicts: ReadonlyMap<string, Verdict>;
  /** The sources that are spoken of, by their id. */
  readonly sources: ReadonlyMap<string, Source>;
  /** Called with the plan that names the chosen source. */
  readonly onChoose: (entry: FeedPlanInput) => void;
  /** Which way round the tap goes, where a slot is chosen. */
  readonly children: ReactNode;
}

/**
 * One feed: what could serve it, what it costs to take a legend that warns, and which way round the tap goes. Drawn anew only
 * where something of its own changes: a job has a dozen of them, and each choice changes one or two.
 */
export const FeedCard = memo(function FeedCard(props: FeedCardProps) {
  const { choice, verdicts, sources, onChoose } = props;
  const { feed, tapped, candidates } = choice;
  const chosen = candidates.find((one) => one.sourceId === tapped?.source.id);
  return (
    <Card testID={`feed-${feed.id}`}>
      <Words kind="title">{feed.name}</Words>
      <LeadColour family={props.family} words={feed.leadColour}>
        <Words soft>
          {`${ROLE_WORDS[feed.role].source}, ${feed.currentA} A at 12 V${feed.leadColour === undefined ? '' : `, ${feed.leadColour} lead of this kit`}`}
        </Words>
      </LeadColour>
      {feed.optional === true && tapped === undefined && (
        <Words kind="small">The device works without it: left off, its lead is capped.</Words>
      )}
      {candidates.length === 0 && <Words>{choice.none}</Words>}
      <CandidateList
        feedId={feed.id}
        candidates={candidates}
        verdicts={verdicts}
        sources={sources}
        chosenId={tapped?.source.id}
        onChoose={(sourceId) => onChoose(movedTo(tapped?.plan, { feedId: feed.id, sourceId }))}
      />
      {tapped !== undefined && chosen !== undefined && (
        <StillAsked
          key={tapped.source.id}
          candidate={chosen}
          plan={tapped.plan}
          onPlan={onChoose}
        />
      )}
      {tapped !== undefined && <Meeting feedId={feed.id} names={choice.met} />}
      {tapped !== undefined && isJoined(tapped) && (
        <ChainChoice tapped={tapped} candidates={candidates} sources={sources} onPlan={onChoose} />
      )}
      {tapped !== undefined && isJoined(tapped) && (
        <FeedingFuse
          key={`fuse-${tapped.source.id}`}
          source={tapped.source}
          model={props.model}
          verdicts={verdicts}
          plan={tapped.plan}
          onPlan={onChoose}
        />
      )}
      <UnfitList feedId={feed.id} unfit={choice.unfit} sources={sources} />
      {props.children}
    </Card>
  );
});

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
