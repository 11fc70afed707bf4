import type { Response, Router } from 'express';
import { readChange, type AnyRecord } from '@/contract';
import { idSchema, readWith } from '@/core/dossier';
import type { Result } from '@/core/shared';
import { sendProblem } from './problems';

export function answer(response: Response, made: Result<unknown>): void {
  if (made.ok) response.json(made.value);
  else sendProblem(response, made.problem);
}

/**
 * The routes of every change, made from their records: `base` is the path of what is changed, and its parameters are
 * handed on beside the change. What does not fit the record never reaches the store.
 */
export function mountChanges<Change>(
  router: Router,
  base: string,
  records: Readonly<Record<string, AnyRecord>>,
  store: (change: Change, base: Readonly<Record<string, string>>) => Result<unknown>,
): void {
  const named = [...base.matchAll(/:(\w+)/g)].map(([, name]) => name!);
  for (const [type, record] of Object.entries(records)) {
    const [method, path] = record.route;
    router[method](`${base}${path}`, (request, response) => {
      const { ...params } = request.params as Record<string, string>;
      const own: Record<string, string> = {};
      for (const name of named) {
        const id = readWith(idSchema, params[name]);
        if (!id.ok) return sendProblem(response, { ...id.problem, path: name });
        own[name] = id.value;
        delete params[name];
      }
      const change = readChange(type, record, params, request.body);
      return answer(response, change.ok ? store(change.value as Change, own) : change);
    });
  }
}
