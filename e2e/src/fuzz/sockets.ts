import net from 'node:net';
import type { Random } from './random';
import { oddValue } from './values';

/** How long a socket is waited for before it is let go, ms. */
const PATIENCE_MS = 300;

/** Opens the meter's socket below any library and sends it something odd; how it ends does not matter. */
export async function attackSocket(
  base: string,
  of: { readonly cookie: string; readonly jobId: string },
  random: Random,
): Promise<void> {
  const { hostname, port } = new URL(base);
  const socket = net.connect({ host: hostname, port: Number(port) });
  socket.on('error', () => socket.destroy());
  socket.setTimeout(PATIENCE_MS, () => socket.destroy());
  await first(socket, 'connect', 'close');
  const path = random.chance(0.8)
    ? `/api/jobs/${of.jobId}/meter`
    : random.pick(['/', '/api/jobs/%00/meter', '*', `/${'x'.repeat(3000)}`]);
  const cookie = random.chance(0.9) ? `Cookie: ${of.cookie}\r\n` : '';
  socket.write(
    `GET ${path} HTTP/1.1\r\nHost: 127.0.0.1\r\nConnection: Upgrade\r\nUpgrade: ${random.pick(['websocket', 'websocket', 'websocket', 'h2c', '\u00ff'])}\r\n` +
      `Sec-WebSocket-Version: 13\r\nSec-WebSocket-Key: ${random.pick(['dGhlIHNhbXBsZSBub25jZQ==', 'x'])}\r\n${cookie}\r\n`,
  );
  if (random.chance(0.1)) {
    socket.resetAndDestroy();
    return;
  }
  await first(socket, 'data', 'close');
  for (let frame = 0; frame < 4 && !socket.destroyed; frame += 1) socket.write(oddFrame(random));
  if (random.chance(0.5)) socket.resetAndDestroy();
  else socket.end(Buffer.from([0x88, 0x80, 0, 0, 0, 0]));
  await first(socket, 'close');
}

/** Resolves at the first of some events; at once when the socket is gone already. */
function first(socket: net.Socket, ...events: readonly string[]): Promise<void> {
  return new Promise((resolve) => {
    if (socket.destroyed) return resolve();
    for (const event of events) socket.once(event, () => resolve());
  });
}

const LINES = [
  '*IDN?',
  'SIM:PROB "dash/F5"',
  'MEAS:VOLT:DC?',
  'MEAS:RES? "__proto__"',
  'SIM:LAMP?',
  'SIM:CLIP "constructor"',
  '\n\n\n',
];

function oddFrame(random: Random): Buffer {
  const line = random.chance(0.5)
    ? random.pick(LINES)
    : `SIM:STAT ${(JSON.stringify(oddValue(random)) ?? '').slice(0, 3000)}`;
  const payload = random.chance(0.85) ? Buffer.from(line) : Buffer.from([0xff, 0xfe, 0x00]);
  const opcode = random.chance(0.85) ? 1 : random.below(16);
  const reserved = random.chance(0.95) ? 0x80 : 0xf0;
  const masked = random.chance(0.95) ? 0x80 : 0;
  const head =
    payload.length < 126
      ? [reserved | opcode, masked | payload.length]
      : [reserved | opcode, masked | 126, payload.length >> 8, payload.length & 0xff];
  return Buffer.concat([Buffer.from(head), Buffer.alloc(masked === 0 ? 0 : 4), payload]);
}
