import type { JobView } from '@lucky-thread/contract';
import type { LoggedLead, Popped, Reading } from '@lucky-thread/core/identify';
import { isAt, isSpeakerLead, poppedAs } from '@lucky-thread/core/identify';
import type { Conductor } from '@lucky-thread/core/vehicle';
import { isConductor } from '@lucky-thread/core/vehicle';
import type { PlacedSource } from './sources';
import { BUNCH_PLACE, jobSourcesOf, placeIdOf } from './sources';
import type { Placed } from './sources';

/** A lead of a speaker with the wire that a pop has shown to be its partner. */
export interface SpeakerWire extends Pick<PlacedSource, 'place'> {
  /** The car's wire. */
  readonly source: Conductor;
  /** Whether the cone was seen; otherwise plus and minus are a guess. */
  readonly proved: boolean;
}

/** The cut wires of a job's speakers, by the feed's id; what no pop has shown yet is left out. */
export function speakerWiresOf(
  of: { readonly job: Pick<JobView, 'device' | 'harness'>; readonly model: Placed },
  readings: readonly Reading[],
): ReadonlyMap<string, SpeakerWire> {
  const feeds = of.job.device.feeds.filter(({ role }) => isSpeakerLead(role));
  if (feeds.length === 0) return new Map();
  const popped = jobSourcesOf(of).flatMap(({ source, place }) => {
    if (!isConductor(source) || placeIdOf(source.id) !== BUNCH_PLACE) return [];
    const own = readings.filter((one) => isAt(source.id, one));
    const is = poppedAs(source.id, own);
    return is === undefined ? [] : [{ source, place, is }];
  });
  return new Map(
    feeds.flatMap(({ id, role, speaker }) => {
      const found = popped.find(({ is }) => is.speaker === speaker && ROLES[is.end] === role);
      if (found === undefined) return [];
      const { source, place, is } = found;
      return [[id, { source, place, proved: is.proved }] as const];
    }),
  );
}

/** Which speaker's lead it is, e.g. "Front left speaker +". */
export function leadWords({ speaker, end }: LoggedLead): string {
  const name = speaker.charAt(0).toUpperCase() + speaker.slice(1);
  return `${name} speaker ${end === 'plus' ? '+' : '−'}`;
}

/** The role of the lead that drives an end of a speaker. */
const ROLES: Record<Popped['end'], string> = { plus: 'speakerPlus', minus: 'speakerMinus' };
