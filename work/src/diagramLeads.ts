import type { DiagramLead } from '@lucky-thread/core/build/diagram';
import { METHOD_FACTS } from '@lucky-thread/core/choose';
import type { Reading } from '@lucky-thread/core/identify';
import type { FeedSize } from '@lucky-thread/core/size';
import { shown } from '@lucky-thread/core/units';
import { feedSizeOf } from './feedSize';
import type { JobContext } from './jobContext';
import { isAtSlot, tappedFeeds } from './jobFeeds';
import type { MatchedLead, MatchedTo } from './matchingList';
import { matchingListOf } from './matchingList';
import { jointOf } from './plannedTaps';

/** The leads of a job as the wiring diagram draws them; those that are joined to nothing are left out. */
export function diagramLeadsOf(
  context: JobContext,
  readings: readonly Reading[],
  units: 'metric' | 'us',
): DiagramLead[] {
  const tapped = new Map(tappedFeeds(context).map((one) => [one.feed.id, one]));
  return matchingListOf(context, readings).pairs.flatMap((pair): DiagramLead[] => {
    const { id, lead, to } = pair;
    if (to === undefined) return [];
    const one = tapped.get(id);
    const size = one === undefined ? undefined : feedSizeOf(one, context.settings);
    const joint = one === undefined ? undefined : jointOf(context, one);
    const own = joint === undefined ? undefined : METHOD_FACTS[joint.method];
    return [
      {
        ...{ id, name: lead.name, colour: lead.colour },
        conductor: conductorOf(to, units),
        fuseA: to.fuseA,
        fuseAt:
          one !== undefined && isAtSlot(one)
            ? 'in the tap, outer place'
            : 'in its holder, near the joint',
        relays: relaysOf(to),
        joint: to.joint,
        source: {
          id: `${to.place} ${to.source}`,
          title: to.source,
          place: to.place,
        },
        sourceColour: to.colour,
        ground: one === undefined,
        why: [
          ...sizeWhy(size),
          ...(joint?.why ?? []),
          ...(own === undefined ? [] : (joint?.cautions ?? [])),
          ...(to.signal === undefined ? [] : [to.signal.because]),
          ...sideWhy(pair),
        ],
      },
    ];
  });
}

function conductorOf({ awg, areaMm2, lengthM }: MatchedTo, units: 'metric' | 'us'): string {
  if (awg === undefined || areaMm2 === undefined) return '';
  const wire = units === 'us' ? `${awg} AWG` : `${areaMm2.toFixed(2)} mm²`;
  return lengthM === undefined ? wire : `${wire}, ${shown('length', lengthM, units)}`;
}

function relaysOf({ signal }: MatchedTo): string | undefined {
  switch (signal?.by) {
    case 'relays':
      return signal.demand.kind === 'reversing' ? '2 relays' : '1 relay';
    case 'resistor':
      return 'resistor to ground';
    case 'module':
      return 'interface module';
    default:
      return undefined;
  }
}

function sizeWhy(size: FeedSize | undefined): string[] {
  return size?.ok === true ? size.reasons.map((reason) => reason.text) : [];
}

function sideWhy({ to }: MatchedLead): string[] {
  return to?.side === undefined
    ? []
    : [`The supply enters at the ${to.side}: the line blade goes there.`];
}
