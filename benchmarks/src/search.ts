import pg from 'pg';
import { line, measure } from './measure';
import { signIn } from './signIn';

const ROUNDS = 120;
/** Models that are there, each with a panel of so many slots: 200 000 sources. */
const MODELS = 2500;
const SLOTS = 80;
/** What is typed: words with letters wrong, a year, a legend, a part of one, nothing that is there. */
const TYPED = ['marlin 2019', 'crosswind', 'coastr van', 'RR DEF', 'acc', 'dunlin 2', 'zzyx'];
/** What the two statements behind a search are at the least: the models that every word fits, and the slots of that legend. */
const MODELS_SQL = `select m.id, m.make, m.model, m.generation, m.year_from, m.year_to, m.trims, m.markets, m.steering,
    m.key_type, m.use from models m
  where m.shop_id = $1 and (m.search like '%' || $2 || '%' or word_similarity($2, m.search) >= 0.35)
  order by (case when m.search like '%' || $2 || '%' then 2 else word_similarity($2, m.search) end) desc, m.make, m.model limit 30`;
const SOURCES_SQL = `select s.id, s.name, s.legend, p.name, m.make, m.model from sources s
  join models m on m.id = s.model_id join places p on p.model_id = s.model_id and p.id = s.place_id
  where m.shop_id = $1 and s.legend ilike '%' || $2 || '%' limit 30`;

/** A search over 200 000 sources through the API, against the statements that it needs. */
export async function searchBenchmark(base: string, databaseUrl: string): Promise<void> {
  const pool = new pg.Pool({ connectionString: databaseUrl, max: 2 });
  try {
    const shopId = await fill(pool);
    const headers = { cookie: await signIn(base) };
    let turn = 0;
    const typed = (): string => TYPED[turn % TYPED.length] ?? '';
    const times = await measure(ROUNDS, {
      call: async () => {
        turn += 1;
        await (
          await fetch(`${base}/api/search?q=${encodeURIComponent(typed())}`, { headers })
        ).text();
      },
      // Both at once, as the server asks them.
      sql: () =>
        Promise.all([
          pool.query(MODELS_SQL, [shopId, typed().toLowerCase().split(' ')[0]]),
          pool.query(SOURCES_SQL, [shopId, typed()]),
        ]),
    });
    const { call, sql } = times;
    if (call === undefined || sql === undefined) throw new Error('nothing was measured');
    const { rows } = await pool.query<{ n: string }>('select count(*) n from sources');
    line(
      `search over ${rows[0]?.n ?? '?'} sources: median, p95`,
      `${call.median.toFixed(1)} ms, ${call.p95.toFixed(1)} ms`,
    );
    line('  ratio to the bare SQL: median', (call.median / sql.median).toFixed(2));
    line('  ratio to the bare SQL: p95', (call.p95 / sql.p95).toFixed(2));
  } finally {
    await pool.end();
  }
}

/** Fills the demo shop with models whose names and legends are made of a few parts each. */
async function fill(pool: pg.Pool): Promise<string> {
  const { rows } = await pool.query<{ id: string }>('select id from shops limit 1');
  const shopId = rows[0]?.id ?? '';
  await pool.query(
    `insert into models (id, shop_id, make, model, generation, year_from, year_to, trims, markets, steering, key_type, use)
     select gen_random_uuid(), $1,
       (array['Marlin','Crosswind','Tern','Coaster','Harrier','Skerry'])[1 + i % 6] || ' ' || i % 37,
       (array['Dunlin','Van','Pilot','Estate','Drift','Sound','Bight'])[1 + i % 7] || ' ' || i, '', 1995 + i % 25, 1999 + i % 25,
       '[]', '[]', '["left"]', 'key', ''
     from generate_series(1, $2) i`,
    [shopId, MODELS],
  );
  await pool.query(
    `insert into places (model_id, id, position, kind, name, location)
     select id, 'bench', 0, 'fusePanel', 'Dash panel', 'somewhere' from models where shop_id = $1 and use = ''
     on conflict do nothing`,
    [shopId],
  );
  await pool.query(
    `insert into sources (model_id, id, place_id, position, kind, name, legend, rating_a, family, grid_column, grid_row, lie,
       landmark_a, landmark_b, clearance)
     select p.model_id, 'bench/F' || i, 'bench', i, 'slot', 'F' || i,
       (array['RADIO','CIG','ACC','RR DEF','ABS','DOME','WIPER','ECU','HORN','SUNROOF'])[1 + (i * 7) % 10] || ' ' || i % 9,
       10, 'mini', i % 10, i / 10, 'tall', 'upper', 'lower', 'clear'
     from places p, generate_series(1, $1) i where p.id = 'bench'`,
    [SLOTS],
  );
  await pool.query('analyze');
  return shopId;
}
