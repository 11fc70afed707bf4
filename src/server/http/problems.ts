import type { ErrorRequestHandler, Response } from 'express';
import type { Logger } from 'pino';
import { explainProblem, type ErrorBody } from '@/contract';
import { fail, type Problem, type ProblemCode } from '@/core/shared';

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
  wrong_reading: 422,
  not_after: 422,
  unknown_time_zone: 422,
  piece_not_found: 404,
  zone_not_found: 404,
  id_taken: 409,
  photo_not_found: 404,
  not_a_picture: 415,
  picture_too_large: 413,
  body_too_large: 413,
  foreign_origin: 403,
  no_such_endpoint: 404,
  internal: 500,
};

export function sendProblem(response: Response, problem: Problem): void {
  const body: ErrorBody = { error: { ...problem, message: explainProblem(problem) } };
  response.status(STATUS[problem.code]).json(body);
}

/** The last handler: what the body parser refused, and broken invariants. No stack leaves the server. */
export function makeErrorHandler(log: Logger): ErrorRequestHandler {
  return (error: { type?: string; message?: string; limit?: number }, _request, response, _next) => {
    if (error.type === 'entity.too.large')
      return sendProblem(
        response,
        fail('body_too_large', '', { max: `${Math.round((error.limit ?? 0) / 2 ** 20)} MB` }).problem,
      );
    if (error.type === 'entity.parse.failed')
      return sendProblem(response, fail('not_json', '', { detail: error.message ?? '' }).problem);
    if (error.type !== undefined || error instanceof URIError)
      return sendProblem(response, fail('wrong_type', '', { expected: 'a readable request' }).problem);
    log.error({ err: error }, 'request failed');
    return sendProblem(response, fail('internal').problem);
  };
}
