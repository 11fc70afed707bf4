import { z } from 'zod';
import { byAttempt, factsSchema, putById } from '../shared';
import { findStranger, invertPieceFacts, tryFacts } from './facts-of-piece';
import { removeZone, setZone, withExistingZone } from './bin';
import { LIMITS } from './limits';
import { moneySchema } from './money-schema';
import type { ChangeOfPiece, RecordsOf } from './piece-change';
import {
  climateSchema,
  defectSchema,
  handoverSchema,
  observationSchema,
  pieceFactsSchema,
  zoneFactsSchema,
  zoneSchema,
  type Dossier,
  type Zone,
  type ZoneFacts,
} from './schema';
import { goalSchema } from './goal-schema';

/* What is set on a piece and on its zones, and what is read there. */

const zoneOf = ({ zones }: Dossier, zoneId: string): Zone | undefined => zones?.find(({ id }) => id === zoneId);

/** What an owner sets on a zone, without its readings, which have changes of their own. */
export function toZoneFacts({ id: _id, observations: _o, skipped_checks: _s, defects: _d, ...facts }: Zone): ZoneFacts {
  return facts;
}

export const CHANGES_OF_PIECE: RecordsOf<
  | 'facts_changed'
  | 'piece_facts_set'
  | 'goal_set'
  | 'money_set'
  | 'handover_set'
  | 'climate_set'
  | 'photo_withdrawn'
  | 'zone_set'
  | 'zone_removed'
  | 'observation_recorded'
  | 'observation_withdrawn'
  | 'skips_set'
  | 'defects_set'
> = {
  facts_changed: {
    route: ['patch', '/facts'],
    carries: { field: 'facts', schema: factsSchema, named: true },
    bringsIds: true,
    ...byAttempt((dossier, { facts }) => tryFacts(dossier, facts)),
    invert: (before, { facts }) => [{ type: 'facts_changed', facts: invertPieceFacts(before, facts) }],
  },
  piece_facts_set: {
    byFacts: true,
    route: ['put', '/facts'],
    carries: { field: 'piece', schema: pieceFactsSchema },
    apply: (dossier, { piece }) => ({ ...dossier, piece: { ...piece, id: dossier.piece.id } }),
    invert: ({ piece: { id: _id, ...piece } }) => [{ type: 'piece_facts_set', piece }],
  },
  goal_set: {
    byFacts: true,
    route: ['put', '/goal'],
    carries: { field: 'goal', schema: goalSchema },
    apply: (dossier, { goal }) => ({ ...dossier, goal }),
    invert: ({ goal = {} }) => [{ type: 'goal_set', goal }],
  },
  money_set: {
    byFacts: true,
    route: ['put', '/money'],
    carries: { field: 'money', schema: moneySchema },
    apply: (dossier, { money }) => ({ ...dossier, money }),
    invert: ({ money = {} }) => [{ type: 'money_set', money }],
  },
  handover_set: {
    byFacts: true,
    route: ['put', '/handover'],
    carries: { field: 'handover', schema: handoverSchema },
    apply: (dossier, { handover }) => ({ ...dossier, handover }),
    invert: ({ handover = {} }) => [{ type: 'handover_set', handover }],
  },
  climate_set: {
    route: ['put', '/climate'],
    carries: { field: 'climate', schema: climateSchema },
    apply: (dossier, { climate }) => ({ ...dossier, climate }),
    invert: ({ climate }) => (climate ? [{ type: 'climate_set', climate }] : null),
  },
  photo_withdrawn: {
    route: ['delete', '/photos/:photoId'],
    apply: (dossier, { photoId }) => ({ ...dossier, photos: dossier.photos?.filter(({ id }) => id !== photoId) }),
    // Pictures come in by a door of their own.
    invert: () => null,
  },
  zone_set: {
    byFacts: true,
    route: ['put', '/zones/:zoneId'],
    carries: { field: 'facts', schema: zoneFactsSchema },
    bringsIds: true,
    refuses: ({ zones }, { zoneId, facts: { like } }) =>
      findStranger({ id: zoneId, like }, new Set(zones?.map(({ id }) => id))),
    apply: (dossier, { zoneId, facts }) => setZone(dossier, zoneId, facts),
    invert: (before, { zoneId }) => {
      const zone = zoneOf(before, zoneId);
      return [zone ? { type: 'zone_set', zoneId, facts: toZoneFacts(zone) } : { type: 'zone_removed', zoneId }];
    },
  },
  zone_removed: {
    route: ['delete', '/zones/:zoneId'],
    bringsIds: true,
    apply: (dossier, { zoneId }) => removeZone(dossier, zoneId),
    // It is kept whole, and comes back with all it had when it is set again.
    invert: (before, { zoneId }) => {
      const zone = zoneOf(before, zoneId);
      return zone ? [{ type: 'zone_set', zoneId, facts: toZoneFacts(zone) }] : [];
    },
  },
  observation_recorded: {
    route: ['put', '/zones/:zoneId/observations/:observation'],
    carries: { field: 'observation', schema: observationSchema },
    zones: ({ zoneId }) => [zoneId],
    bringsIds: true,
    apply: (dossier, { zoneId, observation }) =>
      withExistingZone(dossier, zoneId, (zone) => ({
        ...zone,
        observations: putById(zone.observations, observation),
      })),
    invert: (before, { zoneId, observation: { id } }) =>
      recordAgain(before, zoneId, id) ?? [{ type: 'observation_withdrawn', zoneId, observationId: id }],
  },
  observation_withdrawn: {
    route: ['delete', '/zones/:zoneId/observations/:observationId'],
    bringsIds: true,
    apply: (dossier, { zoneId, observationId }) =>
      withExistingZone(dossier, zoneId, (zone) => ({
        ...zone,
        observations: zone.observations?.filter(({ id }) => id !== observationId),
      })),
    invert: (before, { zoneId, observationId }) => recordAgain(before, zoneId, observationId) ?? [],
  },
  skips_set: {
    byFacts: true,
    route: ['put', '/zones/:zoneId/skips'],
    carries: { field: 'checks', schema: zoneSchema.shape.skipped_checks.unwrap(), named: true },
    zones: ({ zoneId }) => [zoneId],
    apply: (dossier, { zoneId, checks }) =>
      withExistingZone(dossier, zoneId, (zone) => ({ ...zone, skipped_checks: checks })),
    invert: (before, { zoneId }) => [
      { type: 'skips_set', zoneId, checks: zoneOf(before, zoneId)?.skipped_checks ?? [] },
    ],
  },
  defects_set: {
    byFacts: true,
    route: ['put', '/zones/:zoneId/defects'],
    carries: { field: 'defects', schema: z.array(defectSchema).max(LIMITS.defects), named: true },
    zones: ({ zoneId }) => [zoneId],
    apply: (dossier, { zoneId, defects }) => withExistingZone(dossier, zoneId, (zone) => ({ ...zone, defects })),
    invert: (before, { zoneId }) => [{ type: 'defects_set', zoneId, defects: zoneOf(before, zoneId)?.defects ?? [] }],
  },
};

function recordAgain(before: Dossier, zoneId: string, id: string): ChangeOfPiece[] | null {
  const observation = zoneOf(before, zoneId)?.observations?.find((own) => own.id === id);
  return observation ? [{ type: 'observation_recorded', zoneId, observation: { ...observation, id } }] : null;
}
