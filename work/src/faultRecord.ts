import { parkedDrain } from '@lucky-thread/core/prove';
import type { FaultCheckId, LeadRecord } from '@lucky-thread/core/prove/symptoms';
import { placeOf } from '@lucky-thread/core/vehicle';
import { drainOf } from './drain';
import type { JobContext } from './jobContext';
import { isAtSlot } from './jobFeeds';
import { matchingListOf } from './matchingList';
import type { ProvingOf } from './proving';
import { feedProofsOf } from './proving';
import { routeOf } from './route';
import { titleOf } from './titleOf';

/** A job’s added lead as its record knows it, for finding out why it does not work. */
export interface FaultRecord {
  /** The feed that does not work. */
  readonly feedId: string;
  /** What it is called. */
  readonly feedName: string;
  /** What is known of its lead. */
  readonly record: LeadRecord;
  /** It hangs on a constant. */
  readonly constant: boolean;
  /** Where each check is done on this car, and what the plan says there. */
  readonly here: Partial<Record<FaultCheckId, string>>;
}

/** What the record of a job says of one of its leads; undefined for a lead that is not planned. */
export function faultRecordOf(
  { context, readings, verdicts }: Omit<ProvingOf, 'context'> & { readonly context: JobContext },
  feedId: string,
): FaultRecord | undefined {
  const proofs = feedProofsOf({ context, readings, verdicts }).find(
    ({ tapped }) => tapped.feed.id === feedId,
  );
  if (proofs === undefined) return undefined;
  const { feed } = proofs.tapped;
  const drain = drainOf(context.job);
  return {
    feedId,
    feedName: feed.name,
    constant: feed.role === 'constant',
    record: {
      spliced: !isAtSlot(proofs.tapped),
      passed: proofs.proofs
        .flatMap(({ checks }) => checks)
        .filter(({ standing }) => standing.is === 'passed')
        .map(({ check }) => ({ spot: check.spot, place: placeOf(check.state) })),
      drainGood: drain === undefined ? undefined : parkedDrain(drain).good,
    },
    here: placesOf(context, readings, proofs.tapped),
  };
}

function placesOf(
  context: JobContext,
  readings: ProvingOf['readings'],
  tapped: ReturnType<typeof feedProofsOf>[number]['tapped'],
): FaultRecord['here'] {
  const { pairs } = matchingListOf(context, readings);
  const to = pairs.find(({ id }) => id === tapped.feed.id)?.to;
  const ground = pairs.find(({ to: end }) => end?.joint.startsWith('ring ') === true)?.to;
  const route = routeOf(context);
  const laid = route.laid.leads.find(({ id }) => id === tapped.feed.id);
  const { feed, source } = tapped;
  const place = [titleOf(source), to?.place].filter(Boolean).join(', ');
  const fuse = to?.fuseA === undefined ? undefined : `${to.fuseA} A`;
  const side = to?.side === undefined ? '' : `, supply at the ${to.side}`;
  const run = [
    to?.awg === undefined ? undefined : `${to.awg} AWG`,
    to?.lengthM === undefined ? undefined : `${to.lengthM.toFixed(2)} m`,
  ]
    .filter(Boolean)
    .join(', ');
  const way = [...new Set(laid?.passages.map(({ id }) => id.split(' ').slice(0, 2).join(' – ')))];
  const said: FaultRecord['here'] = {
    source: `${place}${side}`,
    crankSource: `${place}${side}`,
    sourceRunning: `${place}${side}`,
    bothSides: place,
    reseat: place,
    seeOriginal: place,
    originalOut: place,
    seeFuse: joined(fuse, place),
    behindFuse: joined(fuse, place),
    inrush: joined(fuse, currentsOf(feed)),
    gauge: run === '' ? undefined : `planned: ${run}`,
    farPair: `at the ${route.mount.name}`,
    farPlus: `at the ${route.mount.name}`,
    groundDrop: joined(ground?.joint, ground?.place),
    standbyLabel:
      feed.standbyA === undefined
        ? undefined
        : `${Math.round(1000 * feed.standbyA)} mA by its label`,
    tug: to?.joint === undefined ? undefined : `${to.joint}, ${place}`,
    ohmsBody: way.length === 0 ? undefined : `it runs ${way.join(', ')}`,
    liftLead: way.length === 0 ? undefined : `it runs ${way.join(', ')}`,
  };
  return Object.fromEntries(Object.entries(said).filter(([, words]) => words !== undefined));
}

function currentsOf(feed: { readonly currentA: number; readonly inrushA?: number }): string {
  return feed.inrushA === undefined
    ? `${feed.currentA} A flow`
    : `${feed.currentA} A flow, ${feed.inrushA} A at switching on`;
}

function joined(...parts: readonly (string | undefined)[]): string | undefined {
  const said = parts.filter((one) => one !== undefined && one !== '');
  return said.length === 0 ? undefined : said.join(', ');
}
