import { randomBytes, scrypt, timingSafeEqual } from 'node:crypto';

/** Cost of a hash with scrypt (RFC 7914). */
interface Cost {
  /** Binary logarithm of N, what memory goes by. */
  readonly logN: number;
  readonly r: number;
  readonly p: number;
}

/** As OWASP's password storage cheat sheet gives it among its equals, from memory: the one with the least memory. */
const COST: Cost = { logN: 14, r: 8, p: 5 };
/** Cost of hashes from before it was written into them. */
const COST_BEFORE: Cost = { logN: 16, r: 8, p: 2 };
/** Costs beyond these are not worked out, whoever wrote them: 256 MB, and seconds. */
const LIMITS: Cost = { logN: 17, r: 8, p: 16 };
const MAX_MEMORY = 256 * 1024 * 1024;
const KEY_BYTES = 32;
const SALT_BYTES = 16;

/** A salted hash of a password, as `scrypt$logN$r$p$salt$key`. */
export async function hashPassword(password: string): Promise<string> {
  const salt = randomBytes(SALT_BYTES);
  return written(salt, await derive(password, salt, COST));
}

/** A hash that no password belongs to, without the work of making one; comparing with it takes as long as with any other. */
export function unmatchedHash(): string {
  return written(randomBytes(SALT_BYTES), randomBytes(KEY_BYTES));
}

function written(salt: Buffer, key: Buffer): string {
  const { logN, r, p } = COST;
  return ['scrypt', logN, r, p, salt.toString('base64url'), key.toString('base64url')].join('$');
}

/** Whether a password belongs to a hash. */
export async function passwordMatches(password: string, hash: string): Promise<boolean> {
  const parts = partsOf(hash);
  if (parts === undefined) return false;
  const expected = Buffer.from(parts.key, 'base64url');
  const got = await derive(password, Buffer.from(parts.salt, 'base64url'), parts.cost);
  return expected.length === got.length && timingSafeEqual(expected, got);
}

function partsOf(
  hash: string,
): { readonly cost: Cost; readonly salt: string; readonly key: string } | undefined {
  const [scheme, ...rest] = hash.split('$');
  if (scheme !== 'scrypt') return undefined;
  if (rest.length === 2) return { cost: COST_BEFORE, salt: rest[0] ?? '', key: rest[1] ?? '' };
  const [logN = 0, r = 0, p = 0] = rest.slice(0, 3).map(Number);
  const [salt, key] = rest.slice(3);
  const fits = logN >= 1 && logN <= LIMITS.logN && r >= 1 && r <= LIMITS.r;
  if (!fits || !(p >= 1 && p <= LIMITS.p) || salt === undefined || key === undefined)
    return undefined;
  return { cost: { logN, r, p }, salt, key };
}

function derive(password: string, salt: Buffer, { logN, r, p }: Cost): Promise<Buffer> {
  const options = { N: 2 ** logN, r, p, maxmem: MAX_MEMORY };
  return new Promise((resolve, reject) => {
    scrypt(password, salt, KEY_BYTES, options, (error, key) =>
      error ? reject(error) : resolve(key),
    );
  });
}
