import type { FoundSource, SearchAnswer } from '@lucky-thread/contract';
import { modelName } from '@lucky-thread/contract';
import type { SQL } from 'drizzle-orm';
import { and, desc, eq, ilike, sql } from 'drizzle-orm';
import type { Database } from '../db/database';
import { models, places, sources } from '../db/schema';
import { SUMMARY, withTapCounts } from './modelRepository';

/** Models and sources that one search names at most. */
const MOST_FOUND = 30;
/** How like a word must be, 0 to 1, shared groups of three letters to all: one letter wrong in seven leaves about 0.4. */
const LIKE_ENOUGH = 0.35;
/** Shorter words are parts of too many legends. */
const LEAST_LETTERS = 2;

/**
 * Models and slots by what somebody types: words of make, model, generation and use, with letters missing or wrong, a year
 * that lies within a model's, or a legend. Every word must fit a model, in any order.
 */
export async function search(db: Database, shopId: string, typed: string): Promise<SearchAnswer> {
  const words = typed
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
  if (words.length === 0) return { models: [], sources: [] };
  const [found, legends] = await Promise.all([
    modelsBy(db, shopId, words),
    sourcesBy(db, shopId, typed.trim()),
  ]);
  return { models: found, sources: legends };
}

async function modelsBy(db: Database, shopId: string, words: readonly string[]) {
  const rows = await db
    .select(SUMMARY)
    .from(models)
    .where(and(eq(models.shopId, shopId), ...words.map(fits)))
    .orderBy(
      desc(words.map(score).reduce((all, one) => sql`${all} + ${one}`)),
      models.make,
      models.model,
    )
    .limit(MOST_FOUND);
  return withTapCounts(db, shopId, rows);
}

const YEAR = /^(?:19|20)\d\d$/;

/** Of shorter words nearly any two share their groups of letters: they must begin a word as they are. */
const SHORT = 4;

function fits(word: string): SQL {
  const like =
    word.length < SHORT
      ? sql`(' ' || ${models.search}) like ${`% ${escaped(word)}%`}`
      : sql`(${models.search} like ${`%${escaped(word)}%`} or word_similarity(${word}, ${models.search}) >= ${LIKE_ENOUGH})`;
  return YEAR.test(word)
    ? sql`(${Number(word)} between ${models.yearFrom} and ${models.yearTo} or ${like})`
    : like;
}

/** A word that stands there beats one that is like one. */
function score(word: string): SQL<number> {
  return sql<number>`(case when ${models.search} like ${`%${escaped(word)}%`} then 2 else word_similarity(${word}, ${models.search}) end)`;
}

async function sourcesBy(db: Database, shopId: string, typed: string): Promise<FoundSource[]> {
  if (typed.length < LEAST_LETTERS) return [];
  const rows = await db
    .select({
      modelId: models.id,
      make: models.make,
      model: models.model,
      generation: models.generation,
      sourceId: sources.id,
      name: sources.name,
      legend: sources.legend,
      placeName: places.name,
    })
    .from(sources)
    .innerJoin(models, eq(models.id, sources.modelId))
    .innerJoin(places, and(eq(places.modelId, sources.modelId), eq(places.id, sources.placeId)))
    .where(and(eq(models.shopId, shopId), ilike(sources.legend, `%${escaped(typed)}%`)))
    .limit(MOST_FOUND);
  return rows.map(({ make, model, generation, legend, ...row }) => ({
    ...row,
    legend: legend ?? '',
    modelName: modelName({ make, model, generation }),
  }));
}

/** Signs that mean something to LIKE stand for themselves. */
function escaped(text: string): string {
  return text.replace(/[\\%_]/g, (sign) => `\\${sign}`);
}
