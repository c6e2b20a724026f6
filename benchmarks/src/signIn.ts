/** Signs in as the demo's lead; answers the cookie. */
export async function signIn(base: string): Promise<string> {
  const response = await fetch(`${base}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ login: 'lead', password: 'prove-it-once' }),
  });
  return response.headers.getSetCookie()[0]?.split(';')[0] ?? '';
}
