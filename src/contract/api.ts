import { idSchema, PIECE_CHANGES, readWith, SHELF_CHANGES, type PieceChange, type ShelfChange } from '@/core/dossier';
import { bodyOf, succeed, type ChangeRecord, type Result } from '@/core/shared';
import { WORKSHOP_CHANGES, type WorkshopChange } from '@/core/workshop';
import { z } from 'zod';

/*
 * One route per change, as its record says. Every write is a PUT or DELETE under an id that the client made, or a
 * PATCH of facts with what they are to be, so sending it twice does what sending it once does.
 */

export interface ApiRequest {
  method: 'PUT' | 'PATCH' | 'DELETE';
  path: string;
  body?: unknown;
}

export type AnyRecord = Pick<ChangeRecord<never, never>, 'route' | 'carries'>;
type AnyChange = { type: string } & Record<string, unknown>;

const METHODS = { put: 'PUT', patch: 'PATCH', delete: 'DELETE' } as const satisfies Record<
  string,
  ApiRequest['method']
>;

/** The request of a change: its record's route with the fields of the change in it, and what it carries. */
function toRequestOf(base: string, { route, carries }: AnyRecord, change: AnyChange): ApiRequest {
  const [method, template] = route;
  const path = template.replaceAll(/:(\w+)/g, (_, name: string) => {
    const field = change[name];
    const key = carries?.field === name ? (field as Record<string, unknown>)[carries.key ?? 'id'] : field;
    return encodeURIComponent(String(key));
  });
  const body = bodyOf({ carries }, change);
  return { method: METHODS[method], path: `${base}${path}`, ...(carries ? { body } : {}) };
}

/** The request that stores a change. The server's routes are made from the same records. */
export function toRequest(pieceId: string, change: PieceChange): ApiRequest {
  const base = `/api/pieces/${pieceId}`;
  if (change.type === 'piece_met') return { method: 'PUT', path: base, body: change.dossier };
  return toRequestOf(base, PIECE_CHANGES[change.type], change);
}

/** The request that stores a change of the shop's shelf. */
export const toShelfRequest = (change: ShelfChange): ApiRequest =>
  toRequestOf('/api/shelf', SHELF_CHANGES[change.type], change);

/** The request that stores a change of the workshop. */
export const toWorkshopRequest = (change: WorkshopChange): ApiRequest =>
  toRequestOf('/api/workshop', WORKSHOP_CHANGES[change.type], change);

/**
 * The change that a request asks for: the other way round. `params` are what its path names, an id each but for those in
 * `KEYS`.
 */
export function readChange(
  type: string,
  { carries }: AnyRecord,
  params: Readonly<Record<string, unknown>>,
  body: unknown,
): Result<AnyChange> {
  const change: AnyChange = { type };
  for (const [name, value] of Object.entries(params)) {
    if (name === carries?.field) continue;
    const key = readWith(KEYS[name] ?? idSchema, value);
    if (!key.ok) return { ok: false, problem: { ...key.problem, path: name } };
    change[name] = key.value;
  }
  if (!carries) return succeed(change);
  const { field, schema, key = 'id', named } = carries;
  if (field in params) {
    if (key === 'id') {
      const id = readWith(idSchema, params[field]);
      if (!id.ok) return { ok: false, problem: { ...id.problem, path: `${field}.id` } };
    }
    const record = typeof body === 'object' ? { ...body, [key]: params[field] } : body;
    const read = readWith(schema, record);
    return read.ok ? succeed({ ...change, [field]: read.value }) : read;
  }
  const read = readWith(named ? z.looseObject({ [field]: schema }) : schema, body);
  if (!read.ok) return read;
  return succeed({ ...change, [field]: named ? (read.value as Record<string, unknown>)[field] : read.value });
}

/** Names in a path that are no ids of ours: moments, and jobs of the plan. */
const KEYS: Readonly<Record<string, z.ZodType<string>>> = {
  at: z.string().max(40),
  task: z.string().min(1).max(160),
};

/** Where a picture's bytes are sent, and where they are read by their hash. */
export const photoUploadPath = (pieceId: string, photoId: string, zoneId?: string): string =>
  `/api/pieces/${pieceId}/photos/${photoId}${zoneId === undefined ? '' : `?zone=${zoneId}`}`;
export const photoPath = (sha256: string): string => `/api/photos/${sha256}`;

export interface ErrorBody {
  error: { code: string; path: string; params: Record<string, unknown>; message: string };
}
