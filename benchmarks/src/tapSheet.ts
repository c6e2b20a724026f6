import { readFileSync } from 'node:fs';
import http from 'node:http';
import type { AddressInfo } from 'node:net';
import { text } from 'node:stream/consumers';
import type { ModelSummary } from '@lucky-thread/contract';
import express from 'express';
import pg from 'pg';
import { line, measure } from './measure';
import { signIn } from './signIn';

const ROUNDS = 600;
/** Its rows alone, without what they were read with and what later jobs saw. */
const ROWS_SQL = `select t.*, u.name from tap_points t join users u on u.id = t.logged_by
  where t.model_id = $1 and not t.retired order by t.source_id`;
/** The SQL that a tap sheet needs at the least. */
const BARE_SQL = readFileSync(
  new URL('../../server/src/taps/bareSheet.sql', import.meta.url),
  'utf8',
);

/**
 * A tap-sheet call against the bare SQL that it needs, and against an empty Express route, for what the network and the
 * server's frame cost alone. What the sheet itself costs without them: `server/src/taps/sheetCost.test.ts`.
 */
export async function tapSheetBenchmark(base: string, databaseUrl: string): Promise<void> {
  const pool = new pg.Pool({ connectionString: databaseUrl, max: 2 });
  const empty = express()
    .get('/', (_request, response) => {
      response.json([]);
    })
    .listen(0, '127.0.0.1');
  await new Promise((resolve) => empty.once('listening', resolve));
  const { port } = empty.address() as AddressInfo;
  const agent = new http.Agent({ keepAlive: true });
  try {
    const cookie = await signIn(base);
    const headers = { cookie };
    const models = (await (
      await fetch(`${base}/api/models`, { headers })
    ).json()) as ModelSummary[];
    const modelId = models.find((one) => one.model === 'Longboat')?.id ?? '';
    await importTaps(base, cookie, modelId);
    const get = (url: string) => read(url, { agent, headers });
    const times = await measure(ROUNDS, {
      call: () => get(`${base}/api/models/${modelId}/taps`),
      fetched: async () => (await fetch(`${base}/api/models/${modelId}/taps`, { headers })).text(),
      least: () => get(`${base}/api/session`),
      rows: () => pool.query(ROWS_SQL, [modelId]),
      sql: () => pool.query(BARE_SQL, [modelId]),
      planned: () => pool.query({ name: 'bare', text: BARE_SQL, values: [modelId] }),
      route: () => get(`http://127.0.0.1:${port}/`),
      routeFetched: async () => (await fetch(`http://127.0.0.1:${port}/`)).text(),
    });
    const { call, fetched, least, rows, sql, planned, route, routeFetched } = times;
    if (!call || !fetched || !routeFetched || !least || !rows || !sql || !planned || !route)
      throw new Error('nothing was measured');
    line('tap sheet of a model, 12 tap points: median', `${call.median.toFixed(2)} ms`);
    line(
      '  bare SQL, the same planned once, an empty route, the least call',
      [sql, planned, route, least].map(({ median }) => median.toFixed(2)).join(', '),
    );
    line(
      '  an empty route and the bare SQL alone, to the bare SQL',
      ((route.median + sql.median) / sql.median).toFixed(2),
    );
    line('  ratio to its rows alone', (call.median / rows.median).toFixed(1));
    line('  ratio to the bare SQL', (call.median / sql.median).toFixed(2));
    line(
      '  the same asked with fetch, which takes so much longer for an empty route, ms',
      `${(fetched.median / sql.median).toFixed(2)}, ${(routeFetched.median - route.median).toFixed(2)}`,
    );
    line(
      '  ratio to the bare SQL and an empty Express route',
      (call.median / (sql.median + route.median)).toFixed(2),
    );
    line('  ratio to an empty Express route', (call.median / route.median).toFixed(1));
  } finally {
    agent.destroy();
    empty.closeAllConnections();
    empty.close();
    await pool.end();
  }
}

/** The body of an answer, read on a connection that stays open: less of it is the asker's own work than with fetch. */
function read(
  url: string,
  options: { readonly agent: http.Agent; readonly headers: Readonly<Record<string, string>> },
): Promise<string> {
  return new Promise((resolve, reject) => {
    http
      .get(url, options, (response) => {
        text(response).then(resolve, reject);
      })
      .on('error', reject);
  });
}

async function importTaps(base: string, cookie: string, modelId: string): Promise<void> {
  const head =
    'id,slot,function,supply_contact,year_from,year_to,trim,market,grade,fuse_a,wire_awg,note,logged_by,logged_at';
  const slots = ['F3', 'F4', 'F5', 'F6', 'F8', 'F9', 'F10', 'F12', 'F13', 'F14', 'F15', 'F18'];
  const rows = slots.map(
    (slot, index) =>
      `01890a5d-ac96-774b-bcce-b302099a80${String(10 + index)},dash/${slot},constant,a,2016,2020,,,forum,5,18,,,`,
  );
  const response = await fetch(`${base}/api/models/${modelId}/taps.csv`, {
    method: 'POST',
    headers: { cookie, 'content-type': 'text/csv' },
    body: [head, ...rows].join('\n'),
  });
  if (!response.ok)
    throw new Error(`the tap points could not be imported: ${await response.text()}`);
}
