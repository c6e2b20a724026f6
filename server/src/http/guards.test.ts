import http from 'node:http';
import type { TestServer, Visitor } from '../testing/testServer';
import { startTestServer } from '../testing/testServer';
import { isLoopbackHost } from './guards';

let server: TestServer;
let visitor: Visitor;
beforeAll(async () => {
  server = await startTestServer();
  visitor = await server.visitor();
});
afterAll(() => server.stop());

it.each(['localhost', 'localhost:4180', '127.0.0.1:4180', '[::1]:80', 'LOCALHOST'])(
  'the demo is %s',
  (host) => expect(isLoopbackHost(host)).toBe(true),
);
it.each([
  undefined,
  '',
  'evil.example',
  'localhost.evil.example',
  '127.0.0.1.nip.example',
  '0.0.0.0',
])('the demo is not %p', (host) => expect(isLoopbackHost(host)).toBe(false));

/** The status of a request that names another host. */
function statusAs(host: string, path: string): Promise<number> {
  const { hostname, port } = new URL(server.base);
  return new Promise((resolve, reject) => {
    http
      .get({ hostname, port, path, headers: { host } }, (response) => {
        response.resume();
        resolve(response.statusCode ?? 0);
      })
      .on('error', reject);
  });
}

it('refuses a page of elsewhere whose name was pointed here', async () => {
  expect(await statusAs('evil.example', '/api/session')).toBe(421);
  expect(await statusAs('localhost:1', '/api/session')).toBe(200);
});

it('lets no cache keep what the API says, and no form of the page go elsewhere', async () => {
  for (const path of ['/session', '/jobs', '/nowhere', '/health']) {
    const { headers } = await visitor.get(path);
    expect(headers.get('cache-control')).toBe('no-store');
    expect(headers.get('content-security-policy')).toContain("form-action 'self'");
    expect(headers.get('x-request-id')).toMatch(/^[0-9a-f-]{36}$/);
  }
});
