import net from 'node:net';

/** A connection below HTTP, to send what no client library would. */
export function rawSocket(base: string): Promise<net.Socket> {
  const { hostname, port } = new URL(base);
  const socket = net.connect({ host: hostname, port: Number(port) });
  // What the server does to it is looked at by the tests; here it must only not end them.
  socket.on('error', () => undefined);
  return new Promise((resolve) => socket.once('connect', () => resolve(socket)));
}

/** The request that opens a WebSocket. */
export function upgradeRequest(
  path: string,
  headers: Readonly<Record<string, string>> = {},
): string {
  const all: Record<string, string> = {
    Host: '127.0.0.1',
    Connection: 'Upgrade',
    Upgrade: 'websocket',
    'Sec-WebSocket-Version': '13',
    'Sec-WebSocket-Key': 'dGhlIHNhbXBsZSBub25jZQ==',
    ...headers,
  };
  const lines = Object.entries(all).map(([name, value]) => `${name}: ${value}`);
  return `GET ${path} HTTP/1.1\r\n${lines.join('\r\n')}\r\n\r\n`;
}

/** Everything that arrives until the other end closes. */
export async function untilClosed(socket: net.Socket): Promise<Buffer> {
  const chunks: Buffer[] = [];
  socket.on('data', (chunk) => chunks.push(chunk));
  if (!socket.destroyed) await new Promise((resolve) => socket.once('close', resolve));
  return Buffer.concat(chunks);
}

/** A client's frame with an opcode and a zero mask. */
export function frame(opcode: number, payload: Buffer): Buffer {
  const head =
    payload.length < 126
      ? Buffer.from([0x80 | opcode, 0x80 | payload.length])
      : Buffer.from([0x80 | opcode, 0xfe, payload.length >> 8, payload.length & 0xff]);
  return Buffer.concat([head, Buffer.alloc(4), payload]);
}
