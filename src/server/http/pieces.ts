import { Router, type Request, type Response } from 'express';
import type { z } from 'zod';
import { bodies, paramIdSchema } from '@/contract';
import { LIMITS, readDossier, readWith, withShelf, type PieceChange } from '@/core/dossier';
import { withExperience } from '@/core/learning';
import { fail, succeed, type Result } from '@/core/shared';
import type { PieceStore, ShelfStore } from '../db';
import type { ShopExperience } from '../experience';
import { sendProblem } from './problems';

type MakeChange = (request: Request, ids: Record<string, string>) => Result<PieceChange>;

const parse =
  <T>(schema: z.ZodType<T>, toChange: (body: T, ids: Record<string, string>) => PieceChange): MakeChange =>
  (request, ids) => {
    const body = readWith(schema, request.body);
    return body.ok ? succeed(toChange(body.value, ids)) : body;
  };
const withoutBody =
  (toChange: (ids: Record<string, string>) => PieceChange): MakeChange =>
  (_request, ids) =>
    succeed(toChange(ids));

/** The other half of the table in `contract/api`: which change each route makes. */
const CHANGES: readonly (readonly ['put' | 'delete', string, MakeChange])[] = [
  ['put', '/facts', parse(bodies.pieceFacts, (piece) => ({ type: 'piece_facts_set', piece }))],
  ['put', '/goal', parse(bodies.goal, (goal) => ({ type: 'goal_set', goal }))],
  ['put', '/climate', parse(bodies.climate, (climate) => ({ type: 'climate_set', climate }))],
  ['delete', '/photos/:record', withoutBody(({ record }) => ({ type: 'photo_withdrawn', photoId: record! }))],
  ['put', '/choice', parse(bodies.choice, (choice) => ({ type: 'choice_taken', choice }))],
  ['put', '/zones/:zone', parse(bodies.zoneFacts, (facts, { zone }) => ({ type: 'zone_set', zoneId: zone!, facts }))],
  ['delete', '/zones/:zone', withoutBody(({ zone }) => ({ type: 'zone_removed', zoneId: zone! }))],
  [
    'put',
    '/zones/:zone/skips',
    parse(bodies.skips, ({ checks }, { zone }) => ({ type: 'skips_set', zoneId: zone!, checks })),
  ],
  [
    'put',
    '/zones/:zone/defects',
    parse(bodies.defects, ({ defects }, { zone }) => ({ type: 'defects_set', zoneId: zone!, defects })),
  ],
  [
    'put',
    '/zones/:zone/observations/:record',
    parse(bodies.observation, (body, { zone, record }) => ({
      type: 'observation_recorded',
      zoneId: zone!,
      observation: { ...body, id: record! },
    })),
  ],
  [
    'delete',
    '/zones/:zone/observations/:record',
    withoutBody(({ zone, record }) => ({ type: 'observation_withdrawn', zoneId: zone!, observationId: record! })),
  ],
  [
    'put',
    '/tests/:record',
    parse(bodies.test, (body, { record }) => ({ type: 'test_logged', test: { ...body, id: record! } })),
  ],
  ['delete', '/tests/:record', withoutBody(({ record }) => ({ type: 'test_withdrawn', testId: record! }))],
  [
    'put',
    '/overrides/:record',
    parse(bodies.override, (body, { record }) => ({ type: 'gate_overridden', override: { ...body, id: record! } })),
  ],
  [
    'put',
    '/panels/:record',
    parse(bodies.panel, (body, { record }) => ({ type: 'panel_set', panel: { ...body, id: record! } })),
  ],
  ['delete', '/panels/:record', withoutBody(({ record }) => ({ type: 'panel_removed', panelId: record! }))],
  [
    'put',
    '/outcomes/:record',
    parse(bodies.outcome, (body, { record }) => ({ type: 'outcome_recorded', outcome: { ...body, id: record! } })),
  ],
  [
    'put',
    '/work/:record',
    parse(bodies.work, ({ entries }, { record }) => ({ type: 'work_logged', work: record!, entries })),
  ],
  ['delete', '/work/:record', withoutBody(({ record }) => ({ type: 'work_withdrawn', work: record! }))],
  ['put', '/parts', parse(bodies.parts, ({ parts }) => ({ type: 'parts_set', parts }))],
  ['put', '/hardware', parse(bodies.hardware, ({ hardware }) => ({ type: 'hardware_set', hardware }))],
  [
    'put',
    '/mixes/:record',
    parse(bodies.mix, (body, { record }) => ({ type: 'mix_set', mix: { ...body, id: record! } })),
  ],
  ['delete', '/mixes/:record', withoutBody(({ record }) => ({ type: 'mix_removed', mixId: record! }))],
];

/** REST over pieces. A piece is spoken as its dossier; a write answers with the whole piece as it now is. */
export function makePieceRouter(
  store: PieceStore,
  shelf: ShelfStore,
  experience: ShopExperience,
  now: () => string,
): Router {
  const router = Router();

  router.get('/', (_request, response) => {
    response.json({ pieces: store.list() });
  });

  router.get('/:id', (request, response) => {
    const dossier = store.find(request.params.id);
    if (!dossier) return sendProblem(response, fail('piece_not_found').problem);
    response.json(dossier);
  });

  router.get('/:id/dossier', (request, response) => {
    const dossier = store.find(request.params.id);
    if (!dossier) return sendProblem(response, fail('piece_not_found').problem);
    response
      .attachment(`${request.params.id}.dossier.json`)
      .type('json')
      .send(
        `${JSON.stringify(withExperience(withShelf(dossier, shelf.list()), experience.list(request.params.id).slice(0, LIMITS.experience)), null, 2)}\n`,
      );
  });

  const handle =
    (makeChange: MakeChange) =>
    (request: Request, response: Response): void => {
      const ids = readIds(request.params as Record<string, string>);
      if (!ids.ok) return sendProblem(response, ids.problem);
      const change = makeChange(request, ids.value);
      if (!change.ok) return sendProblem(response, change.problem);
      const stored = store.apply(ids.value.id!, change.value, now());
      if (!stored.ok) return sendProblem(response, stored.problem);
      response.json(stored.value);
    };

  router.put('/:id', handle(readMeeting(now)));
  for (const [method, path, makeChange] of CHANGES) router[method](`/:id${path}`, handle(makeChange));
  return router;
}

/** A new piece under the client's id. */
function readMeeting(now: () => string): MakeChange {
  return (request, ids) => {
    const dossier = readDossier(request.body, now());
    if (!dossier.ok) return dossier;
    return succeed({
      type: 'piece_met',
      dossier: { ...dossier.value, piece: { ...dossier.value.piece, id: ids.id! } },
    });
  };
}

function readIds(params: Record<string, string>): Result<Record<string, string>> {
  for (const [name, value] of Object.entries(params)) {
    const id = readWith(paramIdSchema, value);
    if (!id.ok) return { ok: false, problem: { ...id.problem, path: name } };
  }
  return succeed(params);
}
