import type { JobView, ModelView, ProblemDocument, TapPage } from '@lucky-thread/contract';
import { v7 as uuidv7 } from 'uuid';
import type { Answer, TestServer, Visitor } from '../testing/testServer';
import { jobBody, problemPaths, readingBody, startTestServer } from '../testing/testServer';

let server: TestServer;
let visitor: Visitor;
beforeAll(async () => {
  server = await startTestServer();
  visitor = await server.visitor();
});
afterAll(() => server.stop());

const HEAD =
  'id,source,function,supply_contact,year_from,year_to,trim,market,grade,fuse_a,wire_awg,note,logged_by,logged_at';

function split(
  of: string,
  fromYear: number,
  id = uuidv7(),
): Promise<Answer<ModelView & ProblemDocument>> {
  return visitor.put(`/models/${id}/split`, { of, fromYear, generation: 'III' });
}

async function taps(id: string) {
  const { body } = await visitor.get<TapPage>(`/models/${id}/taps`);
  return body.taps.map(({ sourceId, yearFrom, yearTo, grade }) => [
    sourceId,
    yearFrom,
    yearTo,
    grade,
  ]);
}

/** Longboat is 2015 to 2021: a tap point before 2019, one after, and one over the break. */
async function longboat(): Promise<ModelView> {
  const model = await visitor.model('Longboat');
  const row = (source: string, from: number, to: number): string =>
    `${uuidv7()},dash/${source},accessory,a,${from},${to},,,forum,5,18,,,`;
  const rows = [row('F5', 2016, 2016), row('F6', 2020, 2020), row('F3', 2017, 2021)];
  await visitor.send('POST', `/models/${model.id}/taps.csv`, [HEAD, ...rows].join('\n'), {
    type: 'text/csv',
  });
  return model;
}

it('makes two models of one, each with its years, places, jobs and tap points', async () => {
  const old = await longboat();
  const job = (year: number) => {
    const body = jobBody(old.id) as { vehicle: object; device: object };
    return visitor.put<JobView>(`/jobs/${uuidv7()}`, {
      ...body,
      vehicle: { ...body.vehicle, year },
    });
  };
  const [early, late] = [(await job(2018)).body, (await job(2020)).body];
  await visitor.put(`/jobs/${late.id}/readings/${uuidv7()}`, readingBody('dash/F5'));
  const id = uuidv7();
  const { body } = await split(old.id, 2019, id);
  expect(old.body).not.toBeNull();
  expect(body.body).toEqual(old.body);
  expect(body).toMatchObject({ yearFrom: 2019, yearTo: old.yearTo, generation: 'III' });
  expect(body.simulated).toBe(true);
  expect(body.places.map((place) => place.sources)).toEqual(
    old.places.map((place) => place.sources),
  );
  const before = (await visitor.get<ModelView>(`/models/${old.id}`)).body;
  expect([before.yearFrom, before.yearTo]).toEqual([old.yearFrom, 2018]);
  expect(await taps(old.id)).toEqual([
    ['dash/F3', 2017, 2018, 'forum'],
    ['dash/F5', 2016, 2016, 'forum'],
  ]);
  expect(await taps(id)).toEqual([
    ['dash/F3', 2019, 2021, 'asserted'],
    ['dash/F6', 2020, 2020, 'forum'],
  ]);
  const modelOf = async (jobId: string) =>
    (await visitor.get<JobView>(`/jobs/${jobId}`)).body.vehicle.modelId;
  expect(await modelOf(early.id)).toBe(old.id);
  expect(await modelOf(late.id)).toBe(id);
  // Sent again, and once more for a year that is no longer in it.
  expect((await split(old.id, 2019, id)).status).toBe(200);
  expect(await taps(id)).toHaveLength(2);
  expect(problemPaths(await split(old.id, 2019))).toEqual(['fromYear']);
});

it('is refused where it parts nothing, and where there is nothing to part', async () => {
  const model = await visitor.model('Petrel');
  expect(problemPaths(await split(model.id, model.yearFrom))).toEqual(['fromYear']);
  expect(problemPaths(await split(model.id, model.yearTo + 1))).toEqual(['fromYear']);
  expect((await split(uuidv7(), 2019)).status).toBe(404);
  expect((await split(model.id, model.yearFrom + 1, model.id)).status).toBe(409);
});
