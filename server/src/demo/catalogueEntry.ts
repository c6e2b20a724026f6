import type { CatalogueDevice, CatalogueLeadInput, FeedRole } from '@lucky-thread/contract';
import type { LeadFamily } from '@lucky-thread/core/choose';

/** A catalogue entry to start from. Currents are common practice; the device's own label comes first. */
export interface CatalogueEntry {
  /** The device with its leads. */
  readonly device: CatalogueDevice;
  /** What the catalogue says about it; may be empty. */
  readonly note: string;
}

const GROUND = {
  id: 'ground',
  name: 'Ground',
  role: 'ground',
  currentA: 1,
  leadColour: 'black',
} as const;

/** A device that wants setting up, by the guide that is named. */
export function withSetUp(
  setUp: NonNullable<CatalogueDevice['setUp']>,
  { device, note }: CatalogueEntry,
): CatalogueEntry {
  return { device: { ...device, setUp }, note };
}

/** A device whose leads depend on what the car or the kit has. */
export function withOptions(
  options: NonNullable<CatalogueDevice['options']>,
  { device, note }: CatalogueEntry,
): CatalogueEntry {
  return { device: { ...device, options }, note };
}

/** A device with its ground lead. */
export function entry(
  name: string,
  note: string,
  family: LeadFamily | undefined,
  feeds: readonly CatalogueLeadInput[],
): CatalogueEntry {
  return {
    device: {
      name,
      ...(family === undefined ? {} : { family }),
      feeds: [...feeds, { ...GROUND }],
    },
    note,
  };
}

/** A signal's lead; inputs draw next to nothing. */
export function signal(
  id: string,
  name: string,
  role: FeedRole,
  more: Partial<CatalogueLeadInput>,
): CatalogueLeadInput {
  return { id, name, role, currentA: 0.05, ...more };
}
