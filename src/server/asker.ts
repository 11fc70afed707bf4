import type { RequestHandler } from 'express';
import { AsyncLocalStorage } from 'node:async_hooks';
import { CHANGE_HEADER, MADE_HEADER, PAGE_HEADER } from '@/contract';
import { idSchema } from '@/core/dossier';

/** Who asks, and which change it brings: known wherever a request is answered, without being handed on. */
export interface Asker {
  /** Which open page. */
  page?: string | undefined;
  /** The device that was let in; none on this machine. */
  device?: string | undefined;
  /** The id of the change, by which it is known when it comes again. */
  change?: string | undefined;
  /** When it was made, by the clock of its maker. */
  madeAt?: string | undefined;
}

const asking = new AsyncLocalStorage<Asker>();

export const findAsker = (): Asker => asking.getStore() ?? {};

/** Does something as it is done for whoever asks. */
export const askedBy = <T>(asker: Asker, work: () => T): T => asking.run(asker, work);

/** A name of a page is only compared. */
const LONGEST_NAME = 64;

export const noteAsker: RequestHandler = (request, response, next) => {
  const told = (name: string): string | undefined => request.get(name);
  const change = idSchema.safeParse(told(CHANGE_HEADER));
  const made = Date.parse(told(MADE_HEADER) ?? '');
  const asker: Asker = {
    page: told(PAGE_HEADER)?.slice(0, LONGEST_NAME),
    device: response.locals.device as string | undefined,
    change: change.data,
    madeAt: Number.isNaN(made) ? undefined : new Date(made).toISOString(),
  };
  askedBy(asker, next);
};
