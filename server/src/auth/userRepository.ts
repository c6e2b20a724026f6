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
  const [row] = await rows(db).where(eq(users.login, login));
  return row;
}

/** Who has an id. */
export async function findUser(db: Database, id: string): Promise<Credentials | undefined> {
  // Asked with every request: each connection plans it once.
  const [row] = await rows(db).where(eq(users.id, id)).prepare('user_by_id').execute();
  return row;
}

function rows(db: Database) {
  return db
    .select({
      id: users.id,
      shopId: users.shopId,
      shopName: shops.name,
      name: users.name,
      role: users.role,
      passwordHash: users.passwordHash,
    })
    .from(users)
    .innerJoin(shops, eq(users.shopId, shops.id))
    .$dynamic();
}
