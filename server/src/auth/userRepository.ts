import { eq, sql } from 'drizzle-orm';
import type { Database } from '../db/database';
import { onceFor } from '../db/onceFor';
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
  const [row] = await userById(db).execute({ id });
  return row;
}

/** Asked with every request: put together once, and each connection plans it once. */
const userById = onceFor((db: Database) =>
  rows(db)
    .where(eq(users.id, sql.placeholder('id')))
    .prepare('user_by_id'),
);

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
