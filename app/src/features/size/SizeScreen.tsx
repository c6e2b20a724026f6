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
import { FeedSheetCard } from './FeedSheetCard';
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

/** Size: one sheet per tapped feed, from source to fuse, wire and joint. */
export function SizeScreen({ context }: { readonly context: JobContext }) {
  const dispatch = useAppDispatch();
  const units = useAppSelector((state) => state.prefs.units);
  const change = useJobChange(context.job);
  const { rows } = useJobReadings(context.job.id);
  const tapped = tappedFeeds(context);
  const drafts = useAppSelector((state) => state.drafts[context.job.id]);
  const { answer: routes, problem, retry } = useAnswer(usePlanned(context), askRoutes);
  if (!isWholeJob(context)) return <MissingTaps />;

  const sheets = tapped.map((one) => {
    const byRouteM = routes?.route.lengths.get(one.feed.id)?.cutM;
    const plan = draftOf(one, drafts, byRouteM);
    const problems = planProblems(plan, units);
    const clean = Object.keys(problems).length === 0;
    return {
      one,
      plan,
      problems,
      size: clean ? feedSizeOf(one, context.settings, plan) : undefined,
    };
  });
  const refused = sheets.some(({ size }) => size?.ok === false);
  const ready = sheets.every(({ size }) => size?.ok === true);
  return (
    <Screen
      testID="size"
      roomy
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
      <JobProblem jobId={context.job.id} />
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
            onPlan={(changed) => dispatch(planDrafted({ jobId: context.job.id, plan: changed }))}
          />
        ))}
      </SideBySide>
    </Screen>
  );
}
