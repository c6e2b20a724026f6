import { eq } from 'drizzle-orm';
import type { Database } from '../db/database';
import { shops, users } from '../db/schema';

/** A person with their shop. */
export interface User {
  readonly id: string;
  readonly shopId: string;
  readonly shopName: string;
  readonly name: string;
  readonly role: 'installer' | 'lead';
}

/** A person and the hash of their password. */
export interface Credentials extends User {
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
  passwordHash: users.passwordHash,
};
