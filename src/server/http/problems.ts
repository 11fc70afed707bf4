import express, { type ErrorRequestHandler, type RequestHandler, type Response } from 'express';
import type { Logger } from 'pino';
import type { ErrorBody } from '@/contract';
import { isDeeperThan, MOST_DEEP } from '@/core/dossier';
import { fail, findTooMuch, type Problem, type ProblemCode } from '@/core/shared';
import { explainProblem } from '@/words';
import { findStorageProblem } from '../db';

/** Total on purpose: a new problem code does not compile until it has a status. */
const STATUS: Record<ProblemCode, number> = {
  not_json: 400,
  not_readable: 400,
  wrong_format: 422,
  unknown_code: 422,
  wrong_type: 422,
  missing_field: 422,
  out_of_range: 422,
  too_long: 422,
  empty_text: 422,
  bad_pattern: 422,
  duplicate_id: 422,
  unknown_zone: 422,
  unknown_tin: 422,
  unknown_part: 422,
  unknown_clue: 422,
  too_fine: 422,
  before: 422,
  wrong_reading: 422,
  not_after: 422,
  bands_overlap: 422,
  unknown_time_zone: 422,
  piece_not_found: 404,
  zone_not_found: 404,
  fact_unknown: 422,
  fact_gone: 409,
  tin_not_found: 404,
  id_taken: 409,
  photo_not_found: 404,
  not_a_picture: 415,
  picture_too_large: 413,
  picture_too_narrow: 422,
  body_too_large: 413,
  foreign_origin: 403,
  not_entered: 401,
  other_shop: 409,
  wrong_pass: 401,
  too_many_tries: 429,
  weak_passphrase: 422,
  local_only: 403,
  no_network: 409,
  door_not_opened: 503,
  visit_not_opened: 503,
  not_a_shop: 422,
  not_as_listed: 422,
  file_exists: 409,
  backup_not_found: 404,
  arrival_not_found: 404,
  no_such_endpoint: 404,
  too_many: 422,
  too_deep: 422,
  in_future: 422,
  before_bought: 422,
  contradicts_itself: 422,
  picture_overladen: 422,
  file_overladen: 422,
  database_unwell: 503,
  database_damaged: 503,
  database_newer: 503,
  database_foreign: 503,
  database_empty: 503,
  records_missing: 503,
  folder_of_other_shop: 503,
  copy_of_other_shop: 409,
  database_in_use: 503,
  database_read_only: 503,
  database_not_opened: 503,
  disk_full: 507,
  internal: 500,
};

export function sendProblem(response: Response, problem: Problem): void {
  const body: ErrorBody = { error: { ...problem, message: explainProblem(problem) } };
  response.status(STATUS[problem.code]).json(body);
}

/** Thrown where a problem has to pass through what knows none. */
class Refused extends Error {
  constructor(readonly problem: Problem) {
    super(problem.code);
  }
}

/** Reads a body as JSON, once its values were counted: a megabyte can name a million. */
export const readBody = (limit: string, mostValues: number): RequestHandler =>
  express.json({
    limit,
    type: () => true,
    verify: (_request, _response, body) => {
      const problem = findTooMuch(body, mostValues);
      if (problem) throw new Refused(problem);
    },
  });

/** Records nested without end would break whatever walks them. */
export const refuseDeep: RequestHandler = (request, response, next) => {
  if (isDeeperThan(request.body, MOST_DEEP))
    return sendProblem(response, fail('too_deep', '', { max: MOST_DEEP }).problem);
  return next();
};

/** zlib, where a body said to be packed is not. */
const isInflateError = ({ code }: { code?: string }): boolean => code?.startsWith('Z_') ?? false;

/** The last handler: what the body parser refused, a store that cannot be written, and broken invariants. No stack leaves the server. */
export function makeErrorHandler(log: Logger): ErrorRequestHandler {
  return (
    error: { type?: string; message?: string; limit?: number; status?: number; code?: string },
    _request,
    response,
    _next,
  ) => {
    if (response.headersSent) return void response.end();
    if (error instanceof Refused) return sendProblem(response, error.problem);
    if (error.type === 'entity.too.large')
      return sendProblem(
        response,
        fail('body_too_large', '', { max: `${Math.round((error.limit ?? 0) / 2 ** 20)} MB` }).problem,
      );
    if (error.type === 'entity.parse.failed')
      return sendProblem(response, fail('not_json', '', { detail: error.message ?? '' }).problem);
    // What the parsers refuse, and what they cannot unpack, is the sender's: a 4xx of its own, never ours.
    const refused = error.status !== undefined && error.status >= 400 && error.status < 500;
    if (refused || error.type !== undefined || error instanceof URIError || isInflateError(error))
      return sendProblem(response, fail('wrong_type', '', { expected: 'a readable request' }).problem);
    log.error({ err: error }, 'request failed');
    const storage = findStorageProblem(error);
    if (storage) return sendProblem(response, storage);
    return sendProblem(response, fail('internal').problem);
  };
}
