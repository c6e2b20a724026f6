import { LRUCache } from 'lru-cache';
import type { Database } from '../db/database';
import { onceFor } from '../db/onceFor';
import { pageOfTaps } from './tapRepository';

/** What all kept pages may take, bytes: about ten thousand tap points. */
const MOST_BYTES = 16 * 1024 * 1024;
/** What keeping a page takes beside its text, bytes. */
const BESIDE_BYTES = 512;

/** A page as it was sent. */
interface KeptPage {
  readonly stamp: number;
  readonly json: Buffer;
}

/** Which page of whose sheet. */
export interface SheetPage {
  /** The shop. */
  readonly shopId: string;
  /** The transaction that last changed the shop's log, as it was when the request came. */
  readonly stamp: number;
  /** The model. */
  readonly modelId: string;
  /** Source, time and id that the page before ended with; undefined for the first. */
  readonly after: readonly string[] | undefined;
}

/**
 * A page of a model's tap sheet as the JSON text of a `TapPage`: no statement as long as nothing in the shop's log has
 * changed. Exact, whoever writes: the stamp is written in the transaction of the change and read before the page, so a
 * page can only be newer than the stamp that it is kept under, and a request after the change asks for another stamp.
 */
export async function sheetPage(db: Database, of: SheetPage): Promise<Buffer> {
  const pages = pagesOf(db);
  const key = JSON.stringify([of.shopId, of.modelId, of.after]);
  const kept = pages.get(key);
  if (kept?.stamp === of.stamp) return kept.json;
  const json = Buffer.from(JSON.stringify(await pageOfTaps(db, of, of.after)));
  pages.set(key, { stamp: of.stamp, json });
  return json;
}

const pagesOf = onceFor(
  () =>
    new LRUCache<string, KeptPage>({
      maxSize: MOST_BYTES,
      sizeCalculation: ({ json }, key) => json.length + key.length + BESIDE_BYTES,
    }),
);
