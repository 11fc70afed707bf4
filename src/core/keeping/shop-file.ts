import { z } from 'zod';
import { idSchema } from '../dossier';

export const SHOP_FORMAT = 'bricolage.shop/1';

const sha256 = z.string().regex(/^[0-9a-f]{64}$/);
const count = z.number().int().min(0).max(10_000_000);

/** `shop.json` of a whole shop in one zip: what it is, when it was made, and every file in it with its hash. */
export const shopFileSchema = z.looseObject({
  format: z.literal(SHOP_FORMAT),
  id: idSchema,
  name: z.string().max(80).optional(),
  made_at: z.iso.datetime(),
  counts: z.looseObject({ pieces: count, photos: count, tins: count }),
  /** The pieces in the order of their last change, the newest first. */
  pieces: z
    .array(
      z.object({
        id: idSchema,
        made_at: z.iso.datetime(),
        changed_at: z.iso.datetime(),
        /** Hash of the file it came from: the same file coming again is known by it. */
        met: sha256.optional(),
      }),
    )
    .max(100_000),
  files: z.array(z.looseObject({ path: z.string().max(200), sha256, bytes: count })).max(250_000),
  /** Hashes of pictures that records speak of and that were not found, or not whole, when it was made. */
  missing: z.array(sha256).max(250_000).optional(),
});

export type ShopFile = z.infer<typeof shopFileSchema>;

/** The same without a look into its lists, which may be long: they are read one by one. */
export const shopListsSchema = shopFileSchema.extend({
  pieces: z.array(z.unknown()).max(100_000),
  files: z.array(z.unknown()).max(250_000),
});

/** What may lie in such a zip; a name of any other form is refused. */
export type ShopEntry =
  | { is: 'shop' | 'workshop' | 'shelf' }
  | { is: 'piece'; id: string }
  | { is: 'photo'; sha256: string }
  | { is: 'table'; name: string };

/** What a path in the zip is; null for what has no place there. */
export function readEntryPath(path: string): ShopEntry | null {
  const [, single] = /^(shop|workshop|shelf)\.json$/.exec(path) ?? [];
  if (single) return { is: single as 'shop' | 'workshop' | 'shelf' };
  const [, piece] = /^pieces\/([^/\\]+)\.json$/.exec(path) ?? [];
  if (piece !== undefined) return idSchema.safeParse(piece).success ? { is: 'piece', id: piece } : null;
  const [, photo] = /^photos\/([0-9a-f]{64})\.jpg$/.exec(path) ?? [];
  if (photo) return { is: 'photo', sha256: photo };
  const [, table] = /^csv\/([a-z]{1,20})\.csv$/.exec(path) ?? [];
  return table ? { is: 'table', name: table } : null;
}
