import { Router } from 'express';
import { UpdateShopRequest } from '@lucky-thread/contract';
import type { ShopView } from '@lucky-thread/contract';
import { actorOf } from '../auth/session';
import type { Database } from '../db/database';
import { checked } from '../http/handlers';
import { notFound, stale } from '../http/problem';
import { sameContent } from '../http/sameContent';
import { findShop, updateSettings } from './shopRepository';

/** The shop of whoever is signed in: how it works, and changes to that. */
export function shopRoutes(db: Database): Router {
  const router = Router();
  const shopOf = async (id: string): Promise<ShopView> => {
    const shop = await findShop(db, id);
    if (shop === undefined) throw notFound('Shop');
    return shop;
  };
  router.get('/shop', async (request, response) => {
    response.json(await shopOf(actorOf(request).shopId));
  });
  router.put('/shop', async (request, response) => {
    const { shopId } = actorOf(request);
    const { version, settings } = checked(UpdateShopRequest, request.body);
    const done = await updateSettings(db, shopId, version, settings);
    const now = await shopOf(shopId);
    // Whoever had no answer sends it again: what is so already stays as it is.
    if (!done && !sameContent(now.settings, settings)) throw stale(now);
    response.json(now);
  });
  return router;
}
