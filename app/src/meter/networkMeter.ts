import type { Cone, Glow } from '@lucky-thread/core/identify';
import { CONES, GLOWS } from '@lucky-thread/core/identify/reading';
import type { Taken } from './readingRequest';
import type { Meter, MeterAnswer, MeterTouch } from './meter';

/** How the connection stands; `lost` means that it was there and dropped. */
export type MeterLink = 'closed' | 'connecting' | 'open' | 'lost';

/** A meter at the other end of a WebSocket that speaks the line protocol of docs/meter-protocol.md. */
export interface NetworkMeter extends Meter<void> {
  /** How the line to the meter stands. */
  readonly link: () => MeterLink;
}

/** The part of a WebSocket that the meter uses. */
export interface MeterSocket {
  /** Called once the line stands. */
  onopen: (() => void) | null;
  /** Called with each line that comes. */
  onmessage: ((event: { readonly data: unknown }) => void) | null;
  /** Called once the line is gone. */
  onclose: (() => void) | null;
  /** Sends a line. */
  readonly send: (line: string) => void;
  /** Gives it up; what is under way ends. */
  readonly close: () => void;
}

/** An answer later than this counts as none, ms. */
const PATIENCE_MS = 8000;
const NOT_CONNECTED =
  'The meter is not connected. Your readings are safe; type this one or try the meter again.';

/**
 * A networked meter. It connects at the first reading and again after a drop; a reading that got no answer is reported,
 * never made up.
 *
 * @param connect opens a socket
 * @param onLink called whenever the connection changes
 */
export function networkMeter(
  connect: () => MeterSocket,
  onLink: (link: MeterLink) => void,
): NetworkMeter {
  let socket: MeterSocket | undefined;
  let link: MeterLink = 'closed';
  let waiting: ((line: string | undefined) => void)[] = [];
  const setLink = (next: MeterLink): void => {
    link = next;
    onLink(next);
  };
  const giveUp = (): void => {
    const left = waiting;
    waiting = [];
    for (const resolve of left) resolve(undefined);
  };
  const opened = (): Promise<MeterSocket | undefined> => {
    if (socket !== undefined && link === 'open') return Promise.resolve(socket);
    return new Promise((resolve) => {
      const fresh = connect();
      socket = fresh;
      setLink('connecting');
      fresh.onopen = () => {
        setLink('open');
        resolve(fresh);
      };
      fresh.onmessage = (event) => waiting.shift()?.(String(event.data));
      fresh.onclose = () => {
        if (socket !== fresh) return;
        socket = undefined;
        setLink(link === 'closed' ? 'closed' : 'lost');
        resolve(undefined);
        giveUp();
      };
    });
  };
  const ask = (to: MeterSocket, line: string): Promise<string | undefined> =>
    new Promise((resolve) => {
      if (socket !== to) {
        resolve(undefined);
        return;
      }
      // A late answer would be taken for the next one's: the connection is dropped and made anew.
      const late = setTimeout(() => {
        resolve(undefined);
        to.close();
      }, PATIENCE_MS);
      waiting.push((answer) => {
        clearTimeout(late);
        resolve(answer);
      });
      to.send(line);
    });
  const readNow = async (touch: MeterTouch): Promise<MeterAnswer> => {
    const to = await opened();
    if (to === undefined) return { ok: false, problem: NOT_CONNECTED };
    const answers = [];
    for (const line of linesFor(touch)) answers.push(await ask(to, line));
    return answerFrom(touch, answers);
  };
  // One reading at a time: probe and state are the meter's, not the question's.
  let last: Promise<unknown> = Promise.resolve();
  return {
    link: () => link,
    read: (touch) => {
      const reading = last.then(() => readNow(touch));
      last = reading;
      return reading;
    },
    close: () => {
      setLink('closed');
      socket?.close();
    },
  };
}

/** The lines that bring probe, clip and car where they are, and the question. */
export function linesFor(touch: MeterTouch): string[] {
  const lines = [`SIM:STAT ${JSON.stringify(touch.state)}`];
  if (touch.measure === 'pop')
    return [...lines, `SIM:POP? "${touch.sourceId}","${touch.otherId ?? ''}"`];
  const contact = touch.contact === undefined ? '' : `,"${touch.contact}"`;
  lines.push(`SIM:PROB "${touch.sourceId}"${contact}`);
  lines.push(touch.clipId === undefined ? 'SIM:CLIP' : `SIM:CLIP "${touch.clipId}"`);
  const other = touch.otherId === undefined ? '' : ` "${touch.otherId}"`;
  return [...lines, QUESTIONS[touch.measure ?? 'volts'] + other];
}

const QUESTIONS = { volts: 'MEAS:VOLT:DC?', ohms: 'MEAS:RES?', lamp: 'SIM:LAMP?' } as const;
/** SCPI's overload: no continuity. */
const OVERLOAD = 9e37;

function answerFrom(touch: MeterTouch, answers: readonly (string | undefined)[]): MeterAnswer {
  if (answers.includes(undefined)) return { ok: false, problem: NOT_CONNECTED };
  const refused = answers.find((answer) => /^-\d+,/.test(answer ?? ''));
  if (refused !== undefined) return { ok: false, problem: `The meter refused: ${refused}` };
  const taken = takenFrom(touch.measure ?? 'volts', answers.at(-1) ?? '');
  return taken === undefined
    ? { ok: false, problem: `The meter answered “${answers.at(-1) ?? ''}”, which is no reading.` }
    : { ok: true, taken };
}

function takenFrom(measure: NonNullable<MeterTouch['measure']>, line: string): Taken | undefined {
  switch (measure) {
    case 'volts': {
      const [volts, highVolts] = line.split(',').map(Number);
      if (volts === undefined || Number.isNaN(volts)) return undefined;
      return {
        instrument: 'simulatedMeter',
        volts: rounded(volts),
        ...(highVolts === undefined ? {} : { highVolts: rounded(highVolts) }),
      };
    }
    case 'ohms': {
      const ohms = Number(line);
      if (Number.isNaN(ohms)) return undefined;
      return { instrument: 'ohmmeter', ...(ohms >= OVERLOAD ? {} : { ohms }) };
    }
    case 'lamp': {
      const glow = GLOWS.find((one) => one === line.trim().toLowerCase()) as Glow | undefined;
      return glow === undefined ? undefined : { instrument: 'lamp', glow };
    }
    case 'pop': {
      const [, word = '', speaker = ''] = /^(\w+),"([^"]*)"/.exec(line) ?? [];
      const cone = CONES.find((one) => one === word.toLowerCase()) as Cone | undefined;
      if (cone === undefined) return undefined;
      return { instrument: 'pop', cone, ...(speaker === '' ? {} : { speaker }) };
    }
  }
}

/** Two digits after the point: what a meter's display shows. */
function rounded(volts: number): number {
  return Number(volts.toFixed(2));
}
