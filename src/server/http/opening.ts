import { create } from 'qrcode';
import { Router } from 'express';
import type { Logger } from 'pino';
import { openingSchema, passphraseSchema, type OpeningState, type PairingInvitation } from '@/contract';
import { idSchema, readWith } from '@/core/dossier';
import { fail } from '@/core/shared';
import type { Session, ShopStore } from '../db';
import { checkPassphrase, hashPassphrase, type Door, type Pairing } from '../opening';
import { sendProblem } from './problems';

interface OpeningParts {
  shop: ShopStore;
  door: Door;
  pairing: Pairing;
  now: () => string;
  log: Logger;
}

/** The door for phones and who was let in through it: asked and changed at the computer itself alone. */
export function makeOpeningRouter({ shop, door, pairing, now, log }: OpeningParts): Router {
  const router = Router();
  const tell = async (): Promise<OpeningState> => ({
    open: door.urls().length > 0,
    urls: door.urls(),
    ...(await tellAuthority(shop.list(now()))),
    passphrase: shop.passphrase() !== null,
    devices: shop.list(now()),
  });
  /** Its fingerprint, and when it was made anew as long as a device is in that came before. */
  const tellAuthority = async (
    devices: readonly Session[],
  ): Promise<Pick<OpeningState, 'fingerprint' | 'remade_at'>> => {
    const authority = await door.authority().catch(() => null);
    const remade = authority?.remadeAt ?? null;
    const strangers = remade !== null && devices.some(({ made_at }) => made_at < remade);
    return { fingerprint: authority?.fingerprint ?? null, ...(strangers ? { remade_at: remade } : {}) };
  };

  router.get('/', async (_request, response) => void response.json(await tell()));

  router.put('/', async (request, response) => {
    const asked = readWith(openingSchema, request.body);
    if (!asked.ok) return sendProblem(response, asked.problem);
    const { open } = asked.value;
    if (open) {
      const opened = await door.open();
      if (!opened.ok) {
        // Told that it stays shut, it does not open by itself later.
        if (!shop.isOpen()) await door.close();
        return sendProblem(response, opened.problem);
      }
    } else await door.close();
    shop.setOpen(open);
    log.info({ open }, 'door for phones');
    response.json(await tell());
  });

  /** A code for one device, and the picture of the address with it, as rows of dark and light. */
  router.post('/code', (_request, response) => {
    const [url] = door.urls();
    if (url === undefined) return sendProblem(response, fail('no_network').problem);
    const { code, secret, until } = pairing.make();
    // Behind the hash, the secret goes to the phone's own page and into no record of addresses asked.
    const address = `${url}/enter#${secret}`;
    const { modules } = create(address, { errorCorrectionLevel: 'M' });
    const qr = Array.from({ length: modules.size }, (_, row) =>
      Array.from({ length: modules.size }, (_cell, column) => (modules.get(row, column) ? '1' : '0')).join(''),
    );
    response.json({ code, until, url, address, qr } satisfies PairingInvitation);
  });

  router.put('/passphrase', async (request, response) => {
    const asked = readWith(passphraseSchema, request.body);
    if (!asked.ok) return sendProblem(response, asked.problem);
    const fit = asked.value.passphrase === null ? null : await checkPassphrase(asked.value.passphrase);
    if (fit && !fit.ok) return sendProblem(response, fit.problem);
    shop.setPassphrase(fit ? await hashPassphrase(fit.value) : null);
    const ends = asked.value.end_passes === true;
    if (ends) shop.end(null, now());
    log.info({ ends }, 'passphrase changed');
    response.json(await tell());
  });

  router.delete('/devices', async (_request, response) => {
    shop.end(null, now());
    log.info('all passes ended');
    response.json(await tell());
  });
  router.delete('/devices/:id', async (request, response) => {
    const id = readWith(idSchema, request.params.id);
    if (!id.ok) return sendProblem(response, id.problem);
    shop.end(id.value, now());
    log.info({ session: id.value }, 'pass ended');
    response.json(await tell());
  });
  return router;
}
