import { and, desc, eq, inArray, isNotNull, or } from 'drizzle-orm';
import type { HandbookEntryView } from '@lucky-thread/contract';
import type { Place } from '@lucky-thread/core/vehicle';
import { slotsOf } from '@lucky-thread/work';
import { v7 } from 'uuid';
import type { Database } from '../db/database';
import { handbookEntries, users } from '../db/schema';

/** A model as its entries need it. */
export interface HandbookOf {
  /** The shop whose entries are asked for. */
  readonly shopId: string;
  /** Entries at a slot are of one model. */
  readonly modelId: string;
  /** Entries for a legend are of a make. */
  readonly make: string;
}

/** A legend as the glossary knows it: print differs in case and blanks from lid to lid. */
export function glossaryKey(legend: string | undefined): string | null {
  const key = (legend ?? '').trim().replace(/\s+/g, ' ').toUpperCase();
  return key === '' ? null : key;
}

/** What was looked up for the slots of a model: at the slot itself, or for its legend on another model of the make. */
export async function findHandbook(
  db: Database,
  of: HandbookOf,
  places: readonly Place[],
): Promise<HandbookEntryView[]> {
  const slots = slotsOf({ places });
  const legends = [...new Set(slots.flatMap(({ legend }) => glossaryKey(legend) ?? []))];
  const rows = await db
    .select({
      modelId: handbookEntries.modelId,
      sourceId: handbookEntries.sourceId,
      legend: handbookEntries.legend,
      entry: handbookEntries.entry,
      at: handbookEntries.at,
      by: users.name,
    })
    .from(handbookEntries)
    .innerJoin(users, eq(users.id, handbookEntries.userId))
    .where(
      and(
        eq(handbookEntries.shopId, of.shopId),
        or(
          eq(handbookEntries.modelId, of.modelId),
          legends.length === 0
            ? undefined
            : and(
                eq(handbookEntries.make, of.make),
                inArray(handbookEntries.legend, legends),
                isNotNull(handbookEntries.entry),
              ),
        ),
      ),
    )
    .orderBy(desc(handbookEntries.at));
  return slots.flatMap((slot): HandbookEntryView[] => {
    const key = glossaryKey(slot.legend);
    const own = rows.find((row) => row.modelId === of.modelId && row.sourceId === slot.id);
    const other =
      own ?? rows.find((row) => key !== null && row.legend === key && row.entry !== null);
    if (other === undefined) return [];
    return [
      {
        sourceId: slot.id,
        entry: other.entry,
        by: other.by,
        at: other.at.toISOString(),
        fromGlossary: own === undefined,
      },
    ];
  });
}

/** The places with what was looked up at their slots. */
export function withHandbook<Of extends Place>(
  places: readonly Of[],
  entries: readonly HandbookEntryView[],
): Of[] {
  const bySlot = new Map(entries.map(({ sourceId, entry }) => [sourceId, entry]));
  return places.map((place) => ({
    ...place,
    sources: place.sources.map((source) =>
      source.kind === 'slot' && bySlot.has(source.id)
        ? { ...source, handbook: bySlot.get(source.id) }
        : source,
    ),
  }));
}

/** Enters what the handbook says of a slot, over what was entered before. */
export async function putHandbookEntry(
  db: Database,
  of: HandbookOf,
  found: {
    readonly sourceId: string;
    readonly legend: string | undefined;
    readonly entry: string | null;
    readonly userId: string;
  },
): Promise<void> {
  const written = {
    make: of.make,
    legend: glossaryKey(found.legend),
    entry: found.entry,
    userId: found.userId,
    at: new Date(),
  };
  await db
    .insert(handbookEntries)
    .values({
      id: v7(),
      shopId: of.shopId,
      modelId: of.modelId,
      sourceId: found.sourceId,
      ...written,
    })
    .onConflictDoUpdate({
      target: [handbookEntries.shopId, handbookEntries.modelId, handbookEntries.sourceId],
      set: written,
    });
}
