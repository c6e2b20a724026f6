import { createServer } from 'node:net';

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
