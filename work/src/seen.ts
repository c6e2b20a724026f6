import type { JobView, SlotSeen } from '@lucky-thread/contract';
import { slotSource } from '@lucky-thread/contract';
import type { Place, SlotSource } from '@lucky-thread/core/vehicle';
import { freeCell } from '@lucky-thread/core/vehicle';
import type { Placed } from './sources';

/** How a slot looks that was found beside none: the commonest build, sides by what can be seen. */
const UNKNOWN_LOOK = {
  family: 'mini',
  lie: 'tall',
  landmarkA: 'upper contact',
  landmarkB: 'lower contact',
  clearance: 'clear',
} as const;

/** A panel that a job came upon before anybody had entered it. */
export function foundPanel(id: string): Place {
  return {
    id,
    kind: 'fusePanel',
    name: 'Fuse panel',
    location: 'Where a job came upon it',
    reach: { steps: [], fasteners: [], tools: [] },
    notes: '',
    columns: 0,
    rows: 0,
    sources: [],
  };
}

/** A panel with a slot that was not entered: built like its neighbours, in the next free cell. */
export function withSlot(panel: Place, seen: SlotSeen): Place {
  const slots = panel.sources.filter((one): one is SlotSource => one.kind === 'slot');
  const neighbour = slots.at(-1);
  const look =
    neighbour === undefined
      ? UNKNOWN_LOOK
      : {
          family: neighbour.family,
          lie: neighbour.lie,
          landmarkA: neighbour.contacts[0].landmark,
          landmarkB: neighbour.contacts[1].landmark,
          clearance: neighbour.clearance,
        };
  const cell = freeCell(slots, panel.columns);
  const slot = slotSource(panel.id, { ...marksOf(seen), position: seen.position, ...cell }, look);
  return {
    ...panel,
    columns: Math.max(panel.columns, cell.column + 1),
    rows: Math.max(panel.rows, cell.row + 1),
    sources: [...panel.sources, slot],
  };
}

function marksOf({ legend, ratingA }: SlotSeen) {
  return {
    ...(legend === undefined ? {} : { legend }),
    ...(ratingA === undefined ? {} : { ratingA }),
  };
}

/** A slot as this job saw it; what the handbook says of another legend does not hold for it. */
function asSeen(slot: SlotSource, seen: SlotSeen): SlotSource {
  const { handbook, ...others } = slot;
  const same = (slot.legend ?? '') === (seen.legend ?? '');
  return {
    ...others,
    ...(same && handbook !== undefined ? { handbook } : {}),
    legend: seen.legend,
    ratingA: seen.ratingA,
  };
}

/** A model as one job saw it at the car: what differs from what was entered, and what nobody had entered yet. */
export function seenBy<Of extends Placed>(model: Of, { seen }: Pick<JobView, 'seen'>): Of {
  if (seen.length === 0) return model;
  const places = seen.reduce(withSeen, model.places);
  return { ...model, places };
}

function withSeen(places: readonly Place[], seen: SlotSeen): readonly Place[] {
  const panel = places.find((one) => one.id === seen.placeId);
  if (panel === undefined) return [...places, withSlot(foundPanel(seen.placeId), seen)];
  const known = panel.sources.some((one) => one.id === seenId(seen));
  const changed = known
    ? {
        ...panel,
        sources: panel.sources.map((one) =>
          one.id === seenId(seen) && one.kind === 'slot' ? asSeen(one, seen) : one,
        ),
      }
    : withSlot(panel, seen);
  return places.map((one) => (one === panel ? changed : one));
}

/** The id of the source that was seen. */
export function seenId({ placeId, position }: Pick<SlotSeen, 'placeId' | 'position'>): string {
  return `${placeId}/${position}`;
}

/** The panel that a slot in hand belongs to when none is named: the model's first, else one that is now come upon. */
export function panelInHand({ places }: Placed): string {
  return places.find((one) => one.kind === 'fusePanel')?.id ?? FOUND_PANEL;
}

/** Id of a panel that nobody has entered. */
const FOUND_PANEL = 'panel';
