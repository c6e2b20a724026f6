import type { PanelInput, SlotLook } from '@lucky-thread/contract';
import type { FuseFamily, Panel, Slot } from '@lucky-thread/core/vehicle';
import type { Corner, TypedPanel } from '@lucky-thread/core/vehicle/typed';
import { USUAL_LANDMARKS, typedPanel, writtenPanel } from '@lucky-thread/core/vehicle/typed';

/** The slots of a fuse panel as they are being typed. */
export interface PanelDraft {
  /** Fuse family of most of its slots. */
  readonly family: FuseFamily;
  /** How its slots lie. */
  readonly lie: Slot['lie'];
  /** Room in front of its fuses. */
  readonly clearance: Slot['clearance'];
  /** What contact a lies towards. */
  readonly landmarkA: string;
  /** What contact b lies towards. */
  readonly landmarkB: string;
  /** Its lid, a line per row. */
  readonly text: string;
  /** The first position. */
  readonly start: string;
  /** The corner that the list begins in. */
  readonly from: Corner;
  /** Whether the list goes by rows or by columns. */
  readonly along: 'rows' | 'columns';
}

/** A panel with nothing but what is usual. */
export const EMPTY_PANEL: PanelDraft = {
  family: 'mini',
  lie: 'tall',
  clearance: 'clear',
  landmarkA: USUAL_LANDMARKS.tall[0],
  landmarkB: USUAL_LANDMARKS.tall[1],
  text: '',
  start: 'F1',
  from: 'upper left',
  along: 'rows',
};

/** The first position where none is typed. */
const USUAL_START = 'F1';

/** The panel as far as what was typed can be read. */
export function readPanel(draft: PanelDraft, id: string): TypedPanel {
  const { family, lie, clearance, landmarkA, landmarkB, from, along } = draft;
  const start = draft.start.trim() === '' ? USUAL_START : draft.start.trim();
  return typedPanel(draft.text, {
    id,
    family,
    lie,
    landmarks: [landmarkA, landmarkB],
    clearance,
    numbering: { start, from, along },
  });
}

/** The panel as a map, as it will be shown while probing. */
export function panelMap(
  head: { readonly id: string; readonly name: string; readonly location: string },
  { columns, rows, slots }: TypedPanel,
): Panel {
  return { ...head, access: [], columns, rows, slots };
}

/**
 * The slots as they are sent.
 *
 * @param stored looks that were stored before, by position: landmarks that cannot be typed stay as they are
 */
export function panelParts(
  draft: PanelDraft,
  { slots }: TypedPanel,
  stored: ReadonlyMap<string, SlotLook>,
): Pick<PanelInput, 'look' | 'slots'> {
  const { family, lie, clearance, landmarkA, landmarkB } = draft;
  const look = { family, lie, landmarkA, landmarkB, clearance };
  return {
    look,
    slots: slots.map((slot) => {
      const { position, legend, ratingA, column, row } = slot;
      const own = ownLook(slot, look, stored.get(position));
      return {
        position,
        column,
        row,
        ...(legend === undefined ? {} : { legend }),
        ...(ratingA === undefined ? {} : { ratingA }),
        ...(own === undefined ? {} : { look: own }),
      };
    }),
  };
}

/** How a slot differs from its panel; undefined where it does not. */
function ownLook(
  { family, lie, clearance, contacts }: Slot,
  panel: SlotLook,
  stored: SlotLook | undefined,
): SlotLook | undefined {
  const same = (look: SlotLook): boolean =>
    look.family === family && look.lie === lie && look.clearance === clearance;
  if (stored !== undefined && same(stored)) return stored;
  if (same(panel)) return undefined;
  return {
    family,
    lie,
    landmarkA: contacts[0].landmark,
    landmarkB: contacts[1].landmark,
    clearance,
  };
}

/** A stored panel as it would be typed. */
export function panelDraft({ look }: Pick<PanelInput, 'look'>, slots: readonly Slot[]): PanelDraft {
  return { ...EMPTY_PANEL, ...look, ...writtenPanel(slots, look) };
}
