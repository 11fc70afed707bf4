import { Router } from 'express';
import { z } from 'zod';
import { readWith } from '@/core/dossier';
import { FINISHES, PIECE_KINDS, PREP_GROUPS, PRIMERS, SUBSTRATES, TOPCOATS } from '@/core/knowledge';
import { SHOWN, SORTS } from '@/core/work';
import { ACCOUNT_TABLE } from '@/core/earned';
import { toCsv } from '@/core/keeping';
import type { Search } from '../search';
import type { ShopLists } from '../shop-lists';
import type { ShopOrder } from '../shop-order';
import { sendProblem } from './problems';

const whole = (least: number, most: number, otherwise: number) =>
  z.coerce.number().int().min(least).max(most).default(otherwise);
const pageSchema = z.object({
  find: z.string().max(200).default(''),
  from: whole(0, 1_000_000, 0),
  count: whole(1, 100, 40),
  kind: z.enum(PIECE_KINDS).nullable().default(null),
  show: z.enum(SHOWN).default('all'),
  sort: z.enum(SORTS).default('changed'),
});

const findSchema = z.object({ words: z.string().max(200).default(''), count: whole(1, 100, 40) });

/** The mark of an answer before. One of an earlier version is a moment, and tells nothing. */
const changedSchema = z.object({
  since: z
    .string()
    .max(40)
    .default('')
    .transform((text) => {
      const [, life, change] = /^(\d{1,9})-(\d{1,12})$/.exec(text) ?? [];
      return life === undefined ? null : { life: Number(life), change: Number(change) };
    }),
  count: whole(1, 200, 200),
});

const readingsSchema = z.object({
  substrate: z.enum(SUBSTRATES),
  finish: z.enum(FINISHES),
  primer: z.enum([...PRIMERS, 'none']),
  clear: z.enum(TOPCOATS).exclude(['none']).optional(),
  mode: z.enum(['adhesion', 'bleed']),
  prep: z.enum(PREP_GROUPS),
});

const COMMA = Buffer.from(',');

/** Lists over all pieces of the shop, each no longer than what is looked at. */
export function makeListRouter(lists: ShopLists, search: Search, order: ShopOrder, now: () => string): Router {
  const router = Router();
  router.get('/summaries', async (request, response) => {
    const page = readWith(pageSchema, request.query);
    if (!page.ok) return sendProblem(response, page.problem);
    response.json(await lists.listSummaries(page.value));
  });
  router.get('/find', async (request, response) => {
    const asked = readWith(findSchema, request.query);
    if (!asked.ok) return sendProblem(response, asked.problem);
    response.json({ found: await search.find(asked.value.words, asked.value.count) });
  });
  router.get('/in-work', async (_request, response) => {
    const { pieces, total } = await lists.listInWork();
    // As they lie ready: together they are megabytes, which to write anew would keep others waiting.
    const parts = pieces.flatMap((piece, i) => (i === 0 ? [piece] : [COMMA, piece]));
    const body = [Buffer.from('{"pieces":['), ...parts, Buffer.from(`],"total":${total}}`)];
    response.type('json').end(Buffer.concat(body));
  });
  router.get('/order', async (_request, response) => void response.json({ order: await order.read() }));
  router.get('/patterns', async (_request, response) => {
    response.json({ patterns: await lists.listPatterns() });
  });
  router.get('/earned', async (_request, response) => void response.json(await lists.readEarned(now())));
  router.get('/earned.csv', async (_request, response) => {
    const rows = (await lists.listAccounts()).flatMap(ACCOUNT_TABLE.rows);
    response
      .attachment('accounts.csv')
      .type('text/csv')
      .send(toCsv([ACCOUNT_TABLE.columns, ...rows]));
  });
  router.get('/kerb', async (_request, response) => {
    response.json({ kinds: lists.countKinds(), sales: await lists.listSales() });
  });
  router.get('/readings', async (request, response) => {
    const asked = readWith(readingsSchema, request.query);
    if (!asked.ok) return sendProblem(response, asked.problem);
    response.json({ readings: await lists.listReadings(asked.value) });
  });
  router.get('/changed', (request, response) => {
    const asked = readWith(changedSchema, request.query);
    if (!asked.ok) return sendProblem(response, asked.problem);
    response.json(lists.listChanged(asked.value.since, asked.value.count));
  });
  router.get('/put-away', (_request, response) => void response.json(lists.listPutAway()));
  router.get('/recipes', (_request, response) => void response.json({ recipes: lists.listRecipes() }));
  router.get('/times', (_request, response) => void response.json({ times: lists.listTimes() }));
  return router;
}
