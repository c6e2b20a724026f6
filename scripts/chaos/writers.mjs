import { randomBytes } from 'node:crypto';
import { setTimeout as wait } from 'node:timers/promises';

const DEMO = { login: 'installer', password: 'pull-the-right-thread' };
const SLOTS = ['dash/F3', 'dash/F4', 'dash/F5', 'dash/F6'];
/** Writers that share a job: a job takes so many readings and no more. */
const WRITERS_A_JOB = 5;
/** A request without an answer counts as lost after this, ms. */
const PATIENCE_MS = 10_000;
/** Rest after a reading was stored, and after it was not, ms. */
const REST_MS = 150;
const RETRY_MS = 100;

/** People who take readings without pause, and send each until it is acknowledged. */
export async function openWriters(base, count) {
  const cookie = await signIn(base);
  const jobs = [];
  for (let made = 0; made < count; made += WRITERS_A_JOB) jobs.push(await newJob(base, cookie));
  const acknowledged = new Map();
  let going = true;
  const work = Array.from({ length: count }, (_, writer) =>
    write(jobs[Math.floor(writer / WRITERS_A_JOB)], writer),
  );
  return {
    /** What was acknowledged, by id. */
    acknowledged,
    stop: async () => {
      going = false;
      await Promise.all(work);
    },
    /** What is stored, by id; throws when an id is there twice. */
    stored: async () => {
      const all = new Map();
      for (const job of jobs)
        for (const reading of await (
          await send(base, cookie, 'GET', `/jobs/${job}/readings`)
        ).json()) {
          if (all.has(reading.id)) throw new Error(`reading ${reading.id} is stored twice`);
          all.set(reading.id, { ...reading, job });
        }
      return all;
    },
  };

  async function write(job, writer) {
    for (let number = 0; going; number += 1) {
      const id = newId();
      const body = readingOf(writer, number);
      if (await deliver(job, id, body)) acknowledged.set(id, { ...body, job });
      await wait(REST_MS);
    }
  }

  /** Sends the same reading until the server says that it has it; false when the writer was stopped before. */
  async function deliver(job, id, body) {
    while (going) {
      const answer = await send(base, cookie, 'PUT', `/jobs/${job}/readings/${id}`, body).catch(
        () => undefined,
      );
      if (answer?.status === 200) return true;
      if (answer !== undefined && answer.status < 500)
        throw new Error(`a reading was refused with ${answer.status}: ${await answer.text()}`);
      await wait(RETRY_MS);
    }
    return false;
  }
}

/** What of the acknowledged readings is not stored as it was sent. */
export function differences(acknowledged, stored) {
  const lost = [...acknowledged].filter(([id]) => !stored.has(id));
  const changed = [...acknowledged].filter(([id, sent]) => {
    const kept = stored.get(id);
    return (
      kept !== undefined &&
      (kept.job !== sent.job ||
        kept.volts !== sent.volts ||
        kept.sourceId !== sent.sourceId ||
        kept.takenAt !== sent.takenAt)
    );
  });
  return { lost: lost.length, changed: changed.length };
}

/** A reading that no other is like. */
function readingOf(writer, number) {
  return {
    sourceId: SLOTS[number % SLOTS.length],
    state: {
      key: 'run',
      lamps: false,
      driverDoor: 'open',
      doorOpenedSinceKeyOff: false,
      asleep: false,
    },
    instrument: 'meter',
    volts: Number((writer / 10 + (number % 1000) / 100_000).toFixed(5)),
    takenAt: new Date(Date.UTC(2026, 4, 4) + number * 1000).toISOString(),
  };
}

async function signIn(base) {
  const answer = await send(base, '', 'POST', '/session', DEMO);
  const [cookie] = answer.headers.getSetCookie();
  if (answer.status !== 200 || cookie === undefined)
    throw new Error('the demo could not be entered');
  return cookie.split(';')[0];
}

async function newJob(base, cookie) {
  const answered = await send(base, cookie, 'GET', '/models');
  const models = await answered.json();
  if (answered.status !== 200) throw new Error(`no models: ${JSON.stringify(models)}`);
  const modelId = models.find((one) => one.model === 'Longboat').id;
  const id = newId();
  const answer = await send(base, cookie, 'PUT', `/jobs/${id}`, {
    vehicle: { modelId, year: 2020, trim: '', market: '', steering: 'right' },
    device: {
      name: 'Dashcam',
      feeds: [{ id: 'a', name: 'Supply', role: 'switched', currentA: 0.6 }],
    },
  });
  if (answer.status !== 200) throw new Error(`no job could be made: ${await answer.text()}`);
  return id;
}

function send(base, cookie, method, path, body) {
  return fetch(`${base}/api${path}`, {
    method,
    headers: { cookie, ...(body === undefined ? {} : { 'content-type': 'application/json' }) },
    body: body === undefined ? undefined : JSON.stringify(body),
    signal: AbortSignal.timeout(PATIENCE_MS),
  });
}

/** A UUID of version 7 (RFC 9562). */
function newId() {
  const bytes = randomBytes(16);
  bytes.writeUIntBE(Date.now(), 0, 6);
  bytes[6] = 0x70 | (bytes[6] & 0x0f);
  bytes[8] = 0x80 | (bytes[8] & 0x3f);
  const hex = bytes.toString('hex');
  return [0, 8, 12, 16, 20].map((at, i, all) => hex.slice(at, all[i + 1])).join('-');
}
