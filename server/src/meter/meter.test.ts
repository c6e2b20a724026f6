import { once } from 'node:events';
import type { JobView, ReadingView } from '@lucky-thread/contract';
import { leadPointId, stateAt } from '@lucky-thread/core/vehicle';
import { v7 as uuidv7 } from 'uuid';
import WebSocket from 'ws';
import { wiresAt } from '@lucky-thread/work';
import type { TestServer, Visitor } from '../testing/testServer';
import { jobBody, startTestServer } from '../testing/testServer';

let server: TestServer;
let visitor: Visitor;
beforeAll(async () => {
  server = await startTestServer();
  visitor = await server.visitor();
});
afterAll(() => server.stop());

function connect(jobId: string, cookie: string, origin?: string): WebSocket {
  const url = `${server.base.replace('http', 'ws')}/jobs/${jobId}/meter`;
  return new WebSocket(url, { headers: { cookie, ...(origin === undefined ? {} : { origin }) } });
}

async function talk(jobId: string, lines: readonly string[]): Promise<string[]> {
  const socket = connect(jobId, visitor.cookieHeader);
  await once(socket, 'open');
  const answers: string[] = [];
  for (const line of lines) {
    socket.send(line);
    const [data] = (await once(socket, 'message')) as [Buffer];
    answers.push(data.toString());
  }
  socket.close();
  return answers;
}

async function refusal(jobId: string, cookie: string, origin?: string): Promise<string> {
  const [error] = (await once(connect(jobId, cookie, origin), 'error')) as [Error];
  return error.message;
}

describe('the simulated meter', () => {
  const run = `SIM:STAT ${JSON.stringify(stateAt('run'))}`;
  const off = `SIM:STAT ${JSON.stringify(stateAt('off'))}`;

  it('reads the simulated car in the state it was told', async () => {
    const job = await visitor.job();
    const answers = await talk(job.id, [
      '*idn?',
      'SIM:PROB "dash/F5"',
      run,
      'MEAS:VOLT:DC?',
      off,
      'MEAS:VOLT:DC?',
      run,
      'SIM:PROB "dash/F5","b"',
      'MEAS:VOLT:DC?',
      'SIM:PROB "dash/F5"',
      'SIM:LAMP?',
    ]);
    expect(answers[0]).toMatch(/LUCKY THREAD/);
    expect(Number(answers[3])).toBeGreaterThan(11.5);
    expect(Number(answers[5])).toBeLessThan(0.5);
    expect(answers[10]).toBe('LIT');
  });

  it('measures ohms and pops on the bunch behind the radio', async () => {
    const job = await visitor.job();
    const { places } = await visitor.model('Longboat');
    const wires = places.flatMap(wiresAt).map((wire) => wire.id);
    const answers = await talk(job.id, [
      ...wires.flatMap((id) => [`SIM:PROB "${id}"`, 'MEAS:RES?']),
      `SIM:POP? "${wires[0] ?? ''}","${wires[1] ?? ''}"`,
    ]);
    const ohms = answers.filter((_, index) => index % 2 === 1).map(Number);
    expect(Math.min(...ohms)).toBeLessThan(10);
    expect(answers.at(-1)).toMatch(/^(OUT|IN|NONE),/);
  });

  it.each([
    ['MEAS:CURR?', '-113'],
    ['MEAS:VOLT:DC?', '-221'],
    ['SIM:PROB "dash/F99"', '-220'],
    ['SIM:STAT {"key":"sideways"}', '-220'],
    ['SIM:STAT nonsense', '-220'],
    ['SIM:POP? "dash/F5","dash/F6"', '-220'],
    ['x'.repeat(1200), '-102'],
  ])('refuses %.40s with %s', async (line, code) => {
    const job = await visitor.job();
    expect((await talk(job.id, [line]))[0]).toContain(code);
  });

  it('reads what a converter gives behind its lead, and nothing where its feed is dead', async () => {
    const model = await visitor.model('Longboat');
    const { body: job } = await visitor.put<JobView>(`/jobs/${uuidv7()}`, {
      ...jobBody(model.id),
      device: {
        name: 'Charger',
        feeds: [{ id: 'usb', name: 'Supply', role: 'switched', currentA: 2.9, outputV: 5 }],
      },
    });
    expect(job.device.feeds[0]?.outputV).toBe(5);
    const plan = [{ feedId: 'usb', sourceId: 'dash/F5', oneWayM: 2 }];
    await visitor.change(job.id, { plan });
    const at = (spot: 'output' | 'end'): string =>
      `SIM:PROB "${leadPointId(spot, 'usb', 'dash/F5')}"`;
    const answers = await talk(job.id, [
      at('output'),
      run,
      'MEAS:VOLT:DC?',
      off,
      'MEAS:VOLT:DC?',
      at('end'),
      run,
      'MEAS:VOLT:DC?',
    ]);
    expect(Number(answers[2])).toBeCloseTo(5, 6);
    expect(Number(answers[4])).toBe(0);
    // Before the converter the car’s own volts.
    expect(Number(answers[7])).toBeGreaterThan(11);
    // A proof like the others: without it the feed is not proved.
    await visitor.prove(job.id);
    const { body: readings } = await visitor.get<ReadingView[]>(`/jobs/${job.id}/readings`);
    expect(readings.some(({ sourceId }) => sourceId.startsWith('lead:output:usb'))).toBe(true);
  });

  it('opens to signed-in people of the shop only, and to no other origin', async () => {
    const job = await visitor.job();
    expect(await refusal(job.id, '')).toMatch(/401/);
    expect(await refusal(uuidv7(), visitor.cookieHeader)).toMatch(/404/);
    expect(await refusal('not-an-id', visitor.cookieHeader)).toMatch(/404/);
    expect(await refusal(job.id, visitor.cookieHeader, 'http://elsewhere.example')).toMatch(/403/);
  });
});
