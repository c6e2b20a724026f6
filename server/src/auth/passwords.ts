import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';

/** Cost of one hash; N, r, p as OWASP's password storage cheat sheet gives them for scrypt, from memory. */
const COST = { N: 2 ** 16, r: 8, p: 2, maxmem: 256 * 1024 * 1024 };
const KEY_BYTES = 32;
const SALT_BYTES = 16;

/** A salted hash of a password, as `scrypt$salt$key`. */
export async function hashPassword(password: string): Promise<string> {
  const salt = randomBytes(SALT_BYTES);
  const key = await derive(password, salt);
  return `scrypt$${salt.toString('base64url')}$${key.toString('base64url')}`;
}

/** Whether a password belongs to a hash. */
export async function passwordMatches(password: string, hash: string): Promise<boolean> {
  const [scheme, salt, key] = hash.split('$');
  if (scheme !== 'scrypt' || salt === undefined || key === undefined) return false;
  const expected = Buffer.from(key, 'base64url');
  const got = await derive(password, Buffer.from(salt, 'base64url'));
  return expected.length === got.length && timingSafeEqual(expected, got);
}

function derive(password: string, salt: Buffer): Promise<Buffer> {
  return new Promise((resolve, reject) => {
    scrypt(password, salt, KEY_BYTES, COST, (error, key) => (error ? reject(error) : resolve(key)));
  });
}
