import type { CircuitFunction, StitchPlace } from '../../vehicle';
import { CIRCUIT_FUNCTIONS, STANDING_FUNCTIONS, SWITCHED_FUNCTIONS, placeOf } from '../../vehicle';
import type { LabelReading, Written } from '../legend/readLabel';
import { headlineOf } from './headline';
import type { Verdict, VerdictStatus } from './verdict';
import type { Contradiction } from './contradictions';
import { findContradictions } from './contradictions';
import type { LookAlike } from '../circuit/lookAlikes';
import { LOOK_ALIKES } from '../circuit/lookAlikes';
import type { Reading } from '../reading/reading';
import { isPlain, senseOf } from '../reading/reading';
import { isAt, isPopped, poppedAs } from '../belief/pairEvidence';
import type { Posterior } from '../belief/posterior';
import { HYPOTHESES, isLive } from '../circuit/hypotheses';
import { fenceOf } from './fence';
import type { LoggedClaim, ProbeSource } from '../reading/source';
import { TRUSTED_CLAIM } from '../reading/source';
import type { Belief } from '../belief/sourcePrior';
import { sourcePrior } from '../belief/sourcePrior';
import { stitchOf } from '../reading/stitch';

/** A function is named only from here up. */
const NAMED = 0.95;
/** A group of look-alikes is named only from here up. */
const GROUP_NAMED = 0.9;
/** Functions below this are not worth showing. */
const TRACE = 0.005;

/** How a verdict gets at legends and chances, and what is believed beforehand; the panel's own belief when left out. */
export interface JudgeReckoner {
  /** Reads what is written at the source. */
  readonly read: (written: Written) => LabelReading;
  /** Bayes’ rule over its readings. */
  readonly posterior: (prior: Belief, readings: readonly Reading[]) => Posterior;
  /** What is believed of it beforehand. */
  readonly belief?: Belief;
}

/**
 * What the readings of a source say it is. Never names a constant whose sleep, or an accessory whose crank or door,
 * nobody has seen: then it says what is unresolved.
 */
export function judge(
  source: ProbeSource,
  readings: readonly Reading[],
  reckoner: JudgeReckoner,
): Verdict {
  const own = readings.filter((reading) => isAt(source.id, reading));
  const label = reckoner.read(source);
  const reckoned = reckoner.posterior(reckoner.belief ?? sourcePrior({ ...source, label }), own);
  const popped = poppedAs(source.id, own);
  const given = popped === undefined ? reckoned : { ...reckoned, popped };
  const ranked = rankFunctions(given);
  const leading = ranked[0]?.function ?? 'none';
  const certainty = given.functions[leading];
  const missing = missingFor(source, leading, { own, given });
  const contradictions = findContradictions(given.evidence, leading);
  const status = statusOf({ own, given, certainty, leading, missing, contradictions });
  return {
    sourceId: source.id,
    status,
    function: status === 'resolved' ? leading : undefined,
    leading,
    certainty,
    headline: headlineOf(status, leading, missing),
    ranked,
    missing,
    ...splitReadings(leading, given, own),
    contradictions,
    stitch: stitchOf(own),
    posterior: given,
    fence: fenceOf(source, label, given),
    claim: source.logged,
    confirmsLog: source.logged !== undefined && isConfirmedClaim(source.logged, leading, own),
  };
}

function rankFunctions(given: Posterior): Verdict['ranked'] {
  return CIRCUIT_FUNCTIONS.filter((name) => given.functions[name] >= TRACE)
    .map((name) => ({ function: name, probability: given.functions[name] }))
    .sort((left, right) => right.probability - left.probability);
}

/** Places seen here or, for the function that the log claims and a live reading here confirms, in the log. */
function missingFor(
  source: ProbeSource,
  leading: CircuitFunction,
  { own, given }: { readonly own: readonly Reading[]; readonly given: Posterior },
): readonly LookAlike[] {
  // A speaker was heard: whatever place the wire was not read at, it is no data line.
  if (leading === 'speaker' && given.popped !== undefined) return [];
  const seen = new Set<StitchPlace>(own.filter(isPlain).map((one) => placeOf(one.state)));
  if (source.logged !== undefined && isConfirmedClaim(source.logged, leading, own))
    for (const place of source.logged.seen) seen.add(place);
  return [...LOOK_ALIKES[leading], ...dimmerOf(leading, given)].filter(
    (one) => !seen.has(one.place),
  );
}

/** A fuse before the dimmer never follows it; of a wire behind a radio only the dimmer tells. */
function dimmerOf(leading: CircuitFunction, given: Posterior): readonly LookAlike[] {
  return leading === 'lamps' && given.functions.dimmedIllumination > 1 - NAMED
    ? [{ place: 'dimmed', separates: ['dimmedIllumination'] }]
    : [];
}

/** Whether a claim can be trusted, agrees with the readings, and was seen live here. */
function isConfirmedClaim(
  claim: LoggedClaim,
  leading: CircuitFunction,
  own: readonly Reading[],
): boolean {
  return claim.probability >= TRUSTED_CLAIM && claim.function === leading && isConfirmed(own);
}

/** Whether the installer has seen the source live with their own instrument; a dead reading confirms little. */
export function isConfirmed(own: readonly Reading[]): boolean {
  return own.some((one) => isPlain(one) && senseOf(one) === 'live');
}

function statusOf(known: {
  own: readonly Reading[];
  given: Posterior;
  certainty: number;
  leading: CircuitFunction;
  missing: readonly LookAlike[];
  contradictions: readonly Contradiction[];
}): VerdictStatus {
  if (known.given.evidence.length === 0) return 'unread';
  if (known.contradictions.length > 0) return 'contradicted';
  const named = known.leading !== 'none' && known.certainty >= NAMED;
  if (named && known.missing.length === 0) return 'resolved';
  if (named || groupMass(known.leading, known.given) >= GROUP_NAMED) return 'unresolved';
  return 'open';
}

function groupOf(leading: CircuitFunction): readonly CircuitFunction[] {
  if (SWITCHED_FUNCTIONS.includes(leading)) return SWITCHED_FUNCTIONS;
  return STANDING_FUNCTIONS.includes(leading) ? STANDING_FUNCTIONS : [leading];
}

function groupMass(leading: CircuitFunction, given: Posterior): number {
  return groupOf(leading).reduce((sum, name) => sum + given.functions[name], 0);
}

function splitReadings(
  leading: CircuitFunction,
  given: Posterior,
  own: readonly Reading[],
): Pick<Verdict, 'support' | 'against'> {
  const best = likeliestVariant(leading, given);
  const support: string[] = [];
  const against: string[] = [];
  for (const reading of own) {
    if (leading === 'speaker' && isPopped(reading)) support.push(reading.id);
    if (!isPlain(reading) || best === undefined) continue;
    const expected = isLive(best, reading.state) ? 'live' : 'dead';
    (senseOf(reading) === expected ? support : against).push(reading.id);
  }
  return { support, against };
}

function likeliestVariant(
  leading: CircuitFunction,
  given: Posterior,
): (typeof HYPOTHESES)[number] | undefined {
  let best = -1;
  HYPOTHESES.forEach((hypothesis, index) => {
    if (hypothesis.function !== leading) return;
    if (best < 0 || (given.hypotheses[index] ?? 0) > (given.hypotheses[best] ?? 0)) best = index;
  });
  return HYPOTHESES[best];
}
