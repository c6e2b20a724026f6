import type { FeedPlanInput } from '@lucky-thread/contract';
import type { Drafts } from '../../store/draftsSlice';
import { draftsStored, planDrafted } from '../../store/draftsSlice';
import { useAppDispatch, useAppSelector } from '../../store/store';
import { UnitChoice } from '../../sizing/UnitChoice';
import { ActionButton } from '../../ui/ActionButton';
import { Screen } from '../../ui/Screen';
import { NotWorkedOut } from '../../ui/States';
import { SideBySide } from '../../ui/SideBySide';
import { usePlanned } from '../../work/planned';
import { askRoutes } from '../../workers/builder';
import { useAnswer } from '../../workers/useAnswer';
import { useJobReadings } from '../../work/jobReadings';
import { JobProblem } from '../../shell/JobProblem';
import { MissingTaps } from '../../shell/MissingTaps';
import type { TappedFeed, JobContext } from '@lucky-thread/work';
import { isWholeJob, tappedFeeds, feedSizeOf } from '@lucky-thread/work';
import { useJobChange } from '../../work/useJobChange';
import { useCallback, useMemo } from 'react';
import type { FeedSize } from '@lucky-thread/core/size';
import type { UnitSystem } from '@lucky-thread/core/units';
import { useSteadyList } from '../../workers/useSteady';
import { FeedSheetCard } from './FeedSheetCard';
import type { LeadLengthProps } from './LeadLength';
import { planProblems } from './planProblems';

/**
 * The plan as it is being typed; what was typed for another slot is no longer meant. A length that nobody has typed is the
 * route's.
 */
function draftOf(
  { feed, plan }: TappedFeed,
  drafts: Drafts[string] | undefined,
  byRouteM: number | undefined,
): FeedPlanInput {
  const draft = drafts?.[feed.id];
  if (draft?.sourceId === plan.sourceId) return draft;
  return plan.oneWayM === undefined && byRouteM !== undefined
    ? { ...plan, oneWayM: byRouteM }
    : plan;
}

/** A feed's sheet as far as it is typed. */
interface TypedSheet {
  readonly one: TappedFeed;
  readonly plan: FeedPlanInput;
  readonly problems: ReturnType<typeof planProblems>;
  /** Undefined while something typed is wrong or the length is missing. */
  readonly size: FeedSize | undefined;
}

/** The sheets of a job's feeds; one that says what it said is the same object, so that a key draws one of them anew. */
function useSheets(
  context: JobContext,
  typed: {
    readonly drafts: Drafts[string] | undefined;
    readonly route: LeadLengthProps['route'];
    readonly units: UnitSystem;
  },
): readonly TypedSheet[] {
  const { drafts, route, units } = typed;
  const byFeed = useSteadyList(
    useMemo(
      () =>
        tappedFeeds(context).map((one): TypedSheet => {
          const plan = draftOf(one, drafts, route?.lengths.get(one.feed.id)?.cutM);
          const problems = planProblems(plan, units);
          const clean = Object.keys(problems).length === 0;
          const size = clean ? feedSizeOf(one, context.settings, plan) : undefined;
          return { one, plan, problems, size };
        }),
      [context, drafts, route, units],
    ),
    ({ one }) => one.feed.id,
  );
  return useMemo(() => [...byFeed.values()], [byFeed]);
}

/** Size: one sheet per tapped feed, from source to fuse, wire and joint. */
export function SizeScreen({ context }: { readonly context: JobContext }) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.prefs.units);
  const change = useJobChange(context.job);
  const { rows } = useJobReadings(context.job.id);
  const drafts = useAppSelector((state) => state.drafts[context.job.id]);
  const { answer: routes, problem, retry } = useAnswer(usePlanned(context), askRoutes);
  const sheets = useSheets(context, { drafts, route: routes?.route, units });
  const jobId = context.job.id;
  const draft = useCallback(
    (plan: FeedPlanInput) => void dispatch(planDrafted({ jobId, plan })),
    [dispatch, jobId],
  );
  if (!isWholeJob(context)) return <MissingTaps />;

  const refused = sheets.some(({ size }) => size?.ok === false);
  const ready = sheets.every(({ size }) => size?.ok === true);
  return (
    <Screen
      testID="size"
      roomy
      told={<JobProblem jobId={context.job.id} />}
      bottom={
        <ActionButton
          kind="next"
          label={
            ready
              ? 'Plan the work'
              : refused
                ? 'One feed does not work out yet'
                : routes === undefined && problem === undefined
                  ? 'Laying the leads'
                  : 'Give every length'
          }
          testID="go-build"
          disabled={!ready}
          onPress={() => {
            change.goTo(
              'build',
              sheets.map(({ plan }) => plan),
            );
            dispatch(draftsStored(context.job.id));
          }}
        />
      }
    >
      <NotWorkedOut what="The route" problem={problem} onRetry={retry} />
      <UnitChoice />
      <SideBySide>
        {sheets.map(({ one, plan, problems, size }) => (
          <FeedSheetCard
            key={one.feed.id}
            context={context}
            route={routes?.route}
            rows={rows}
            tapped={one}
            plan={plan}
            problems={problems}
            size={size}
            onPlan={draft}
          />
        ))}
      </SideBySide>
    </Screen>
  );
}
