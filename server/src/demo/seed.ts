import { randomBytes } from 'node:crypto';
import type { DemoAccount } from '@lucky-thread/contract';
import { and, eq, isNotNull, sql } from 'drizzle-orm';
import { v7 as uuidv7 } from 'uuid';
import { hashPassword } from '../auth/passwords';
import type { Database } from '../db/database';
import { devices, models, shops, users } from '../db/schema';
import { insertPlaces } from '../vehicles/placeRepository';
import { DEVICE_CATALOGUE } from './deviceCatalogue';
import type { DemoVehicle } from './demoVehicle';
import { drover } from './vehicles/drover';
import { fairway } from './vehicles/fairway';
import { fulmar } from './vehicles/fulmar';
import { longboat } from './vehicles/longboat';
import { petrel } from './vehicles/petrel';

/** The demo accounts; offered on the sign-in screen in demo mode. */
export const DEMO_ACCOUNTS: readonly (DemoAccount & { role: 'installer' | 'lead' })[] = [
  { login: 'installer', password: 'pull-the-right-thread', name: 'Installer', role: 'installer' },
  { login: 'lead', password: 'prove-it-once', name: 'Lead', role: 'lead' },
];
/** The demo vehicles. */
export const DEMO_VEHICLES: readonly DemoVehicle[] = [longboat, petrel, drover, fairway, fulmar];

/** What seeding left to say. */
export interface Seeded {
  /** Accounts that the sign-in screen may offer. */
  readonly demoAccounts: readonly DemoAccount[];
  /** Password of the first account, only when it was made just now without demo data. */
  readonly firstPassword: string | undefined;
}

/** Fills an empty database: the demo shop, or with `demo` off a shop with one account and the device catalogue. */
export async function seed(db: Database, demo: boolean): Promise<Seeded> {
  const demoAccounts = demo
    ? DEMO_ACCOUNTS.map(({ login, password, name }) => ({ login, password, name }))
    : [];
  const [shop] = await db.select().from(shops).limit(1);
  if (shop !== undefined) {
    if (demo) await layOutBunches(db);
    return { demoAccounts, firstPassword: undefined };
  }

  const firstPassword = demo ? undefined : randomBytes(9).toString('base64url');
  const accounts = demo
    ? DEMO_ACCOUNTS
    : [{ login: 'lead', password: firstPassword ?? '', name: 'Lead', role: 'lead' as const }];
  const hashes = await Promise.all(accounts.map((account) => hashPassword(account.password)));
  await db.transaction(async (tx) => {
    const shopId = uuidv7();
    await tx.insert(shops).values({ id: shopId, name: demo ? 'Saltwind Fitting' : 'My shop' });
    await tx.insert(users).values(
      accounts.map(({ login, name, role }, index) => ({
        id: uuidv7(),
        shopId,
        login,
        name,
        role,
        passwordHash: hashes[index] as string,
      })),
    );
    await tx
      .insert(devices)
      .values(
        DEVICE_CATALOGUE.map((entry, position) => ({ id: uuidv7(), shopId, position, ...entry })),
      );
    if (demo)
      for (const { places, ...vehicle } of DEMO_VEHICLES) {
        const id = uuidv7();
        await tx.insert(models).values({ id, shopId, ...vehicle });
        await insertPlaces(tx, id, places);
      }
  });
  return { demoAccounts, firstPassword };
}

/** Demo shops from before the bunches of wires were known get theirs, and the simulated wires behind them. */
async function layOutBunches(db: Database): Promise<void> {
  for (const { model, generation, places: all, bench } of DEMO_VEHICLES) {
    const bare = await db
      .select({ id: models.id })
      .from(models)
      .where(
        and(
          eq(models.model, model),
          eq(models.generation, generation),
          isNotNull(models.bench),
          sql`not exists (select from places p where p.model_id = ${models.id} and p.id = 'harness')`,
        ),
      );
    for (const { id } of bare) {
      await insertPlaces(
        db,
        id,
        all.filter((place) => place.kind === 'loom'),
      );
      await db.update(models).set({ bench }).where(eq(models.id, id));
    }
  }
}
