import type {
  ClosingFound,
  FeedInput,
  FeedPlanInput,
  HarnessWireInput,
  ProofView,
  SlotSeen,
  StepDone,
} from '@lucky-thread/contract';
import { sql } from 'drizzle-orm';
import { jobs, models, users } from '../db/schema';

/** A proof as a statement hands it on: its moment as PostgreSQL writes it. */
export type ProofJson = ProofView;

/** What a list shows of jobs, from jobs with their model. */
export const SUMMARY_COLUMNS = {
  job: jobs,
  model: {
    make: models.make,
    model: models.model,
    generation: models.generation,
    yearFrom: models.yearFrom,
    yearTo: models.yearTo,
  },
  // To the microsecond, as a page's end must name it.
  touched: sql<string>`${jobs.updatedAt}::text`,
  done: sql<boolean>`(${jobs.reopened} is null and not exists (
    select from job_feeds f where f.job_id = ${jobs.id} and f.role not in ('ground', 'speakerPlus', 'speakerMinus') and f.optional is not true and not exists (
      select from tap_points t where t.job_id = f.job_id and t.feed_id = f.id and not t.retired)))`,
};

/** What a job's view is made of, from jobs with their model and maker: its rows come along as lists, in one statement. */
export const JOB_COLUMNS = {
  job: jobs,
  model: SUMMARY_COLUMNS.model,
  createdBy: users.name,
  feeds: sql<FeedInput[]>`(
    select coalesce(json_agg(json_strip_nulls(json_build_object('id', f.id, 'name', f.name, 'role', f.role,
      'currentA', f.current_a, 'inrushA', f.inrush_a, 'inrushS', f.inrush_s, 'standbyA', f.standby_a,
      'leadColour', f.lead_colour, 'holdsCranking', f.holds_cranking, 'liveInAcc', f.live_in_acc,
      'polarity', f.polarity, 'optional', f.optional, 'direction', f.direction, 'leftOff', f.left_off,
      'outputV', f.output_v, 'speaker', f.speaker, 'setAt', f.set_at))
      order by f.position), '[]')
    from job_feeds f where f.job_id = ${jobs.id})`,
  plan: sql<FeedPlanInput[]>`(
    select coalesce(json_agg(json_strip_nulls(json_build_object('feedId', p.feed_id, 'sourceId', p.source_id,
      'alsoAt', p.also_at, 'oneWayM', p.one_way_m, 'returnPath', p.return_path, 'reason', p.reason, 'measuredA', p.measured_a,
      'sharedA', p.shared_a, 'feedFuseA', p.feed_fuse_a, 'fedBy', p.fed_by, 'ground', p.ground, 'sizing', p.sizing))
      order by f.position), '[]')
    from feed_plans p join job_feeds f on f.job_id = p.job_id and f.id = p.feed_id
    where p.job_id = ${jobs.id} and p.source_id is not null)`,
  planVersions: sql<Record<string, string>>`(
    select coalesce(json_object_agg(p.feed_id, p.command_id) filter (where p.command_id is not null), '{}')
    from feed_plans p where p.job_id = ${jobs.id})`,
  proofs: sql<ProofJson[]>`(
    select coalesce(json_agg(json_build_object('id', s.id, 'feedId', s.feed_id, 'kind', s.kind, 'shownBy', u.name,
      'shownAt', s.shown_at, 'readingIds', s.reading_ids) order by s.shown_at, s.id), '[]')
    from proofs s join users u on u.id = s.shown_by where s.job_id = ${jobs.id} and s.withdrawn_at is null)`,
  wires: sql<HarnessWireInput[]>`(
    select coalesce(json_agg(json_strip_nulls(json_build_object('id', w.id, 'name', w.name, 'colour', w.colour,
      'tapedWith', w.taped_with)) order by w.position), '[]')
    from job_wires w where w.job_id = ${jobs.id})`,
  seen: sql<SlotSeen[]>`(
    select coalesce(json_agg(json_strip_nulls(json_build_object('placeId', s.place_id, 'position', s.position,
      'legend', s.legend, 'ratingA', s.rating_a)) order by s.command_id), '[]')
    from job_slots s where s.job_id = ${jobs.id})`,
  steps: sql<StepDone[]>`(
    select coalesce(json_agg(json_build_object('stepId', s.step_id, 'by', u.name, 'at', s.done_at, 'reason', s.reason)
      order by s.done_at, s.id), '[]')
    from job_steps s join users u on u.id = s.done_by where s.job_id = ${jobs.id} and s.undone_at is null)`,
  closing: sql<ClosingFound[]>`(
    select coalesce(json_agg(json_build_object('item', c.item, 'value', c.value, 'by', u.name, 'at', c.at)
      order by c.item), '[]')
    from job_closing c join users u on u.id = c.by where c.job_id = ${jobs.id})`,
  loggedFeedIds: sql<string[]>`(
    select coalesce(json_agg(t.feed_id order by t.logged_at, t.id), '[]') from tap_points t
    where t.job_id = ${jobs.id} and t.feed_id is not null and not t.retired)`,
};
