import { useRouter } from 'expo-router';
import { memo, useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { v7 as uuidv7 } from 'uuid';
import { useShopCommand } from '../../store/useShopCommand';
import { ActionButton } from '../../ui/ActionButton';
import { Card } from '../../ui/Card';
import { Caution } from '../../ui/Caution';
import { Field } from '../../ui/Field';
import { Screen } from '../../ui/Screen';
import { NotWorkedOut } from '../../ui/States';
import { Stitch } from '../../ui/Stitch';
import { SPACE } from '../../ui/tokens';
import { Words } from '../../ui/Words';
import type { Finding } from '../../work/useFind';
import { useFind } from '../../work/useFind';
import { JobStanding } from '../../shell/JobStanding';
import { MissingTaps } from '../../shell/MissingTaps';
import type { FindAdvice, Reading, Verdict } from '@lucky-thread/core/identify';
import type { FeedProofs, TappedFeed, JobContext } from '@lucky-thread/work';
import {
  feedProofsOf,
  handOverLeft,
  missingProofs,
  isWholeJob,
  tappedFeeds,
  feedSizeOf,
  isAtSlot,
  supplyLandmarkOf,
  logFindingsOf,
  titleOf,
} from '@lucky-thread/work';
import { TapPointCard } from '../../panel/TapPointCard';
import type { ReadingRow } from '../../work/jobReadings';
import { coreReadings } from '../../work/jobReadings';
import { useSteadyList } from '../../workers/useSteady';
import { useChangesWaiting } from '../../work/useJobChange';
import { SpeakerLog, openSpeakers } from './SpeakerLog';

/** Log: what was proven becomes the model's knowledge. */
export function LogScreen({ context }: { readonly context: JobContext }) {
  const router = useRouter();
  const finding = useFind(context);
  const tapped = tappedFeeds(context);
  const logged = context.taps.filter((tap) => tap.jobId === context.job.id);
  const isLogged = (feedId: string): boolean => context.job.loggedFeedIds.includes(feedId);
  const open = tapped.filter(({ feed }) => !isLogged(feed.id));
  const evidence = useEvidence(context, finding);
  const cards = useSteadyList(
    useMemo(
      () => toBeLogged(context, finding.advice, evidence),
      [context, finding.advice, evidence],
    ),
    feedIdOf,
  );
  const speakers = openSpeakers(context, evidence.readings);
  // What nobody saw the cone of is left as it is.
  const done = open.length === 0 && !speakers.some(({ proved }) => proved);
  const waiting = useUnsaved(context, finding.rows);
  if (!isWholeJob(context)) return <MissingTaps />;
  return (
    <Screen
      testID="log"
      bottom={
        done ? (
          <ActionButton
            kind="next"
            label="See the model’s tap points"
            testID="go-model"
            onPress={() => router.navigate(`/vehicles/${context.model.id}`)}
          />
        ) : undefined
      }
    >
      {done && (
        <Words kind="instruction" testID="all-logged">
          Logged. The next job on this model starts with {logged.length === 1 ? 'it' : 'them'}.
        </Words>
      )}
      <NotWorkedOut what="What each slot is" problem={finding.problem} onRetry={finding.retry} />
      {[...cards.values()].map((one, index) => (
        <LogCard
          key={one.tapped.feed.id}
          of={one}
          jobId={context.job.id}
          waiting={waiting}
          first={index === 0}
        />
      ))}
      {speakers.length > 0 && <SpeakerLog context={context} leads={speakers} waiting={waiting} />}
      {done && <Afterwards job={context.job} />}
      {logged.map((tap) => (
        <TapPointCard key={tap.id} tap={tap} model={context.model} />
      ))}
    </Screen>
  );
}

/** What the taps of a job rest on. */
interface Evidence {
  readonly readings: readonly Reading[];
  /** By id of the feed. */
  readonly proofs: ReadonlyMap<string, FeedProofs>;
}

/** Worked out once for all cards: it sizes every feed. */
function useEvidence(context: JobContext, { rows, advice }: Finding): Evidence {
  return useMemo(() => {
    const readings = coreReadings(rows);
    const proofs = feedProofsOf({ context, readings, verdicts: advice?.verdicts ?? [] });
    return { readings, proofs: new Map(proofs.map((one) => [one.tapped.feed.id, one])) };
  }, [context, rows, advice]);
}

/** Whether some of a job's evidence is still on its way. */
function useUnsaved({ job }: Pick<JobContext, 'job'>, rows: readonly ReadingRow[]): boolean {
  const unsent = useChangesWaiting(job.id);
  return unsent || rows.some((row) => row.saved === 'unsaved' || row.saved === 'sending');
}

/** What can still come of a job that is logged: a fault, a customer who comes back. */
function Afterwards({ job }: Pick<JobContext, 'job'>) {
  const router = useRouter();
  return (
    <>
      <ActionButton
        kind="quiet"
        label="Something does not work: find out why"
        testID="find-fault"
        onPress={() =>
          router.navigate({ pathname: '/tools/[tool]', params: { tool: 'fault', job: job.id } })
        }
      />
      <JobStanding job={job} />
    </>
  );
}

/** A tap that is not in the log yet, with all that its card says. */
interface ToBeLogged {
  readonly tapped: TappedFeed;
  readonly verdict: Verdict | undefined;
  /** Fuse and wire as they are to be written; undefined where nothing fits. */
  readonly size: { readonly fuseA: number; readonly awg: number } | undefined;
  /** Where the supply enters; empty at a wire. */
  readonly supply: string;
  /** Why it can't be written yet, by what is proven. */
  readonly unproven: string | undefined;
  /** And by what is known. */
  readonly missing: string | undefined;
}

/** What is to be logged of a job, in the device's order. */
function toBeLogged(
  context: JobContext,
  advice: FindAdvice | undefined,
  { readings, proofs }: Evidence,
): ToBeLogged[] {
  const [untried] = handOverLeft(context.job);
  return tappedFeeds(context)
    .filter(({ feed }) => !context.job.loggedFeedIds.includes(feed.id))
    .map((tapped) => {
      const { feed, source } = tapped;
      const verdict = advice?.verdicts.find((one) => one.sourceId === source.id);
      const size = feedSizeOf(tapped, context.settings);
      const found = logFindingsOf(context, source, { verdict, readings });
      const own = proofs.get(feed.id);
      const read = own !== undefined && missingProofs(own).length === 0;
      return {
        ...{ tapped, verdict },
        size: size?.ok === true ? { fuseA: size.fuseA, awg: size.awg } : undefined,
        supply: isAtSlot(tapped)
          ? ` · supply at the ${supplyLandmarkOf(context, readings, tapped) ?? '(not read)'}`
          : '',
        unproven: unprovenBecause(read, untried?.test.what),
        missing: advice !== undefined && !found.ok ? found.problem.message : undefined,
      };
    });
}

function unprovenBecause(read: boolean, untried: string | undefined): string | undefined {
  if (!read) return 'Not all closing proofs have been shown: go back to Prove.';
  return untried === undefined
    ? undefined
    : `Not tried yet before the hand-over: ${untried} Go back to Prove.`;
}

function feedIdOf({ tapped }: ToBeLogged): string {
  return tapped.feed.id;
}

/** One tap and what stands in its way. Drawn anew only where something of its own changes: writing one leaves the others as they are. */
const LogCard = memo(function LogCard(props: {
  readonly of: ToBeLogged;
  readonly jobId: string;
  readonly waiting: boolean;
  readonly first: boolean;
}) {
  const { tapped, verdict, size, supply, unproven, missing } = props.of;
  const { jobId, waiting } = props;
  const [logTap, { busy, said }] = useShopCommand('tap');
  const [note, setNote] = useState('');
  // One id for all tries, so that a try whose answer was lost is not logged twice.
  const [id] = useState(() => uuidv7());
  const { feed, source } = tapped;
  const write = (): void => {
    if (size === undefined) return;
    void logTap({ jobId, id, request: { feedId: feed.id, ...size, note } });
  };
  const isOpen = unproven !== undefined || missing !== undefined || size === undefined;
  return (
    <Card testID={`log-${feed.id}`}>
      <View style={styles.head}>
        <View style={styles.grow}>
          <Words kind="heading">{titleOf(source)}</Words>
          <Words>{verdict?.headline ?? ''}</Words>
          <Words kind="small" soft>
            {`${feed.name}${supply}${size === undefined ? '' : ` · ${size.fuseA} A fuse, ${size.awg} AWG`}`}
          </Words>
        </View>
        {verdict !== undefined && <Stitch stitch={verdict.stitch} named step={24} />}
      </View>
      {unproven !== undefined && <Caution testID={`unproven-${feed.id}`}>{unproven}</Caution>}
      {missing !== undefined && <Caution testID={`missing-${feed.id}`}>{missing}</Caution>}
      {waiting && (
        <Words kind="small">Some of it is not saved yet; it is part of the evidence.</Words>
      )}
      <Field
        label="Note for the next installer"
        value={note}
        onChange={setNote}
        testID={`note-${feed.id}`}
      />
      {said !== undefined && <Caution testID={`log-problem-${feed.id}`}>{said}</Caution>}
      <ActionButton
        kind={props.first ? 'next' : 'plain'}
        label="Write it into the log"
        testID={`write-${feed.id}`}
        disabled={isOpen || busy || waiting}
        onPress={write}
      />
    </Card>
  );
});

const styles = StyleSheet.create({
  head: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.m },
  grow: { flex: 1, minWidth: 180 },
});
