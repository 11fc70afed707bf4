import { z } from 'zod';
import {
  choiceSchema,
  climateSchema,
  defectSchema,
  drawingSchema,
  dossierSchema,
  goalSchema,
  hardwareSchema,
  idSchema,
  LIMITS,
  logEntrySchema,
  mixSchema,
  observationSchema,
  outcomeSchema,
  overrideSchema,
  panelSchema,
  partSchema,
  pieceFactsSchema,
  shelfItemSchema,
  testSchema,
  zoneFactsSchema,
  zoneSchema,
  type PieceChange,
  type ShelfChange,
} from '@/core/dossier';
import { assertNever } from '@/core/shared';
import { airSchema, pinSchema, setupSchema, type WorkshopChange } from '@/core/workshop';

/*
 * One route per change. Every write is a PUT or DELETE under an id that the client made, so sending it twice does what
 * sending it once does.
 */

export const bodies = {
  pieceMet: dossierSchema,
  pieceFacts: pieceFactsSchema,
  zoneFacts: zoneFactsSchema,
  observation: observationSchema,
  skips: z.looseObject({ checks: zoneSchema.shape.skipped_checks.unwrap() }),
  defects: z.looseObject({ defects: z.array(defectSchema).max(LIMITS.defects) }),
  goal: goalSchema,
  climate: climateSchema,
  choice: choiceSchema,
  test: testSchema,
  override: overrideSchema,
  panel: panelSchema,
  outcome: outcomeSchema,
  work: z.looseObject({ entries: z.array(logEntrySchema).min(1).max(LIMITS.zones) }),
  parts: z.looseObject({ parts: z.array(partSchema).max(LIMITS.parts) }),
  hardware: z.looseObject({ hardware: z.array(hardwareSchema).max(LIMITS.hardware) }),
  mix: mixSchema,
  tin: shelfItemSchema.omit({ drawn: true }),
  drawing: drawingSchema,
  setup: setupSchema,
  air: airSchema,
  pin: pinSchema,
} as const;

export const paramIdSchema = idSchema;

export interface ApiRequest {
  method: 'PUT' | 'DELETE';
  path: string;
  body?: unknown;
}

/** The request that stores a change. The server's routes are the other half of this table. */
export function toRequest(pieceId: string, change: PieceChange): ApiRequest {
  const base = `/api/pieces/${pieceId}`;
  switch (change.type) {
    case 'piece_met':
      return { method: 'PUT', path: base, body: change.dossier };
    case 'piece_facts_set':
      return { method: 'PUT', path: `${base}/facts`, body: change.piece };
    case 'zone_set':
      return { method: 'PUT', path: `${base}/zones/${change.zoneId}`, body: change.facts };
    case 'zone_removed':
      return { method: 'DELETE', path: `${base}/zones/${change.zoneId}` };
    case 'observation_recorded':
      return {
        method: 'PUT',
        path: `${base}/zones/${change.zoneId}/observations/${change.observation.id}`,
        body: change.observation,
      };
    case 'observation_withdrawn':
      return { method: 'DELETE', path: `${base}/zones/${change.zoneId}/observations/${change.observationId}` };
    case 'skips_set':
      return { method: 'PUT', path: `${base}/zones/${change.zoneId}/skips`, body: { checks: change.checks } };
    case 'defects_set':
      return { method: 'PUT', path: `${base}/zones/${change.zoneId}/defects`, body: { defects: change.defects } };
    case 'goal_set':
      return { method: 'PUT', path: `${base}/goal`, body: change.goal };
    case 'climate_set':
      return { method: 'PUT', path: `${base}/climate`, body: change.climate };
    case 'photo_withdrawn':
      return { method: 'DELETE', path: `${base}/photos/${change.photoId}` };
    case 'choice_taken':
      return { method: 'PUT', path: `${base}/choice`, body: change.choice };
    case 'test_logged':
      return { method: 'PUT', path: `${base}/tests/${change.test.id}`, body: change.test };
    case 'test_withdrawn':
      return { method: 'DELETE', path: `${base}/tests/${change.testId}` };
    case 'gate_overridden':
      return { method: 'PUT', path: `${base}/overrides/${change.override.id}`, body: change.override };
    case 'panel_set':
      return { method: 'PUT', path: `${base}/panels/${change.panel.id}`, body: change.panel };
    case 'panel_removed':
      return { method: 'DELETE', path: `${base}/panels/${change.panelId}` };
    case 'outcome_recorded':
      return { method: 'PUT', path: `${base}/outcomes/${change.outcome.id}`, body: change.outcome };
    case 'work_logged':
      return { method: 'PUT', path: `${base}/work/${change.work}`, body: { entries: change.entries } };
    case 'work_withdrawn':
      return { method: 'DELETE', path: `${base}/work/${change.work}` };
    case 'parts_set':
      return { method: 'PUT', path: `${base}/parts`, body: { parts: change.parts } };
    case 'hardware_set':
      return { method: 'PUT', path: `${base}/hardware`, body: { hardware: change.hardware } };
    case 'mix_set':
      return { method: 'PUT', path: `${base}/mixes/${change.mix.id}`, body: change.mix };
    case 'mix_removed':
      return { method: 'DELETE', path: `${base}/mixes/${change.mixId}` };
    default:
      return assertNever(change);
  }
}

/** The request that stores a change of the shop's shelf. */
export function toShelfRequest(change: ShelfChange): ApiRequest {
  switch (change.type) {
    case 'tin_set':
      return { method: 'PUT', path: `/api/shelf/${change.tin.id}`, body: change.tin };
    case 'tin_removed':
      return { method: 'DELETE', path: `/api/shelf/${change.tinId}` };
    case 'tin_drawn': {
      const { work } = change.drawing;
      return { method: 'PUT', path: `/api/shelf/${change.tinId}/drawings/${work}`, body: change.drawing };
    }
    case 'tin_given_back':
      return { method: 'DELETE', path: `/api/shelf/${change.tinId}/drawings/${change.work}` };
    default:
      return assertNever(change);
  }
}

/** The request that stores a change of the workshop. */
export function toWorkshopRequest(change: WorkshopChange): ApiRequest {
  const base = '/api/workshop';
  switch (change.type) {
    case 'setup_set':
      return { method: 'PUT', path: `${base}/setup`, body: change.setup };
    case 'air_recorded':
      return { method: 'PUT', path: `${base}/air/${encodeURIComponent(change.air.at)}`, body: change.air };
    case 'air_withdrawn':
      return { method: 'DELETE', path: `${base}/air/${encodeURIComponent(change.at)}` };
    case 'task_pinned':
      return { method: 'PUT', path: `${base}/pins/${encodeURIComponent(change.pin.task)}`, body: change.pin };
    case 'task_unpinned':
      return { method: 'DELETE', path: `${base}/pins/${encodeURIComponent(change.task)}` };
    default:
      return assertNever(change);
  }
}

/** Where a picture's bytes are sent, and where they are read by their hash. */
export const photoUploadPath = (pieceId: string, photoId: string, zoneId?: string): string =>
  `/api/pieces/${pieceId}/photos/${photoId}${zoneId === undefined ? '' : `?zone=${zoneId}`}`;
export const photoPath = (sha256: string): string => `/api/photos/${sha256}`;

export interface ErrorBody {
  error: { code: string; path: string; params: Record<string, unknown>; message: string };
}
