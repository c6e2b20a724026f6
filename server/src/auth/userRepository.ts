import { eq } from 'drizzle-orm';
import type { Database } from '../db/database';
import { shops, users } from '../db/schema';

/** A person with their shop. */
export interface User {
  /** UUID. */
  readonly id: string;
  /** The shop whose things they see; nobody sees those of another. */
  readonly shopId: string;
  /** As the screens name it. */
  readonly shopName: string;
  /** As others see it beside what they logged. */
  readonly name: string;
  /** A lead may also change the shop's settings. */
  readonly role: 'installer' | 'lead';
  /** The transaction that last changed what the shop's tap sheets show. */
  readonly logStamp: number;
}

/** A person and the hash of their password. */
export interface Credentials extends User {
  /** As `hashPassword` wrote it, with its salt and cost. */
  readonly passwordHash: string;
}

/** Who has a login. */
export async function findByLogin(db: Database, login: string): Promise<Credentials | undefined> {
  const [row] = await db
    .select(credentialColumns)
    .from(users)
    .innerJoin(shops, eq(users.shopId, shops.id))
    .where(eq(users.login, login));
  return row;
}

/** What is read of a person with their shop. */
export const credentialColumns = {
  id: users.id,
  shopId: users.shopId,
  shopName: shops.name,
  name: users.name,
  role: users.role,
  logStamp: shops.logStamp,
  passwordHash: users.passwordHash,
};
