import { createServer } from 'node:net';

/** Ports above 1023 that browsers refuse to open. WHATWG Fetch, "bad port", from memory. */
const REFUSED_BY_BROWSERS = new Set([
  1719, 1720, 1723, 2049, 3659, 4045, 4190, 5060, 5061, 6000, 6566, 6665, 6666, 6667, 6668, 6669,
  6679, 6697, 10080,
]);

/** What is wrong with a port as the address of a page; undefined when nothing is. */
export function portProblem(text) {
  const port = Number(text);
  if (!Number.isInteger(port) || port < 1024 || port > 65535)
    return `PORT=${text} is no port from 1024 to 65535`;
  return REFUSED_BY_BROWSERS.has(port) ? `browsers refuse to open port ${port}` : undefined;
}

/** Whether a port on loopback can be listened on. */
export function isFree(port) {
  return new Promise((resolve) => {
    const server = createServer();
    server.once('error', () => resolve(false));
    server.listen(port, '127.0.0.1', () => server.close(() => resolve(true)));
  });
}

/** A free port on loopback: `wanted` if it is free, else one that the system picks. */
export async function freePort(wanted) {
  if (wanted !== undefined && (await isFree(wanted))) return wanted;
  return new Promise((resolve, reject) => {
    const server = createServer();
    server.once('error', reject);
    server.listen(0, '127.0.0.1', () => {
      const { port } = server.address();
      server.close(() => resolve(port));
    });
  });
}
