import { Router } from 'express';
import type { Logger } from 'pino';
import type { BackupList } from '@/contract';
import { fail } from '@/core/shared';
import type { ShopKeeping } from '../keeping';
import { sendProblem } from './problems';
import { localOnly } from './security';

/** The whole shop out, and copies of it: what is made, listed and put back. */
export function makeKeepingRouter(keeping: ShopKeeping, log: Logger): Router {
  const router = Router();
  const tell = (): BackupList => {
    const left = keeping.lastExport();
    const seen = keeping.clock.doubted();
    return {
      backups: keeping.list().map(({ at, state }) => ({
        at,
        ...(state?.good === false ? { damaged: true } : {}),
        ...(state && state.pictures_missing > 0 ? { pictures_missing: state.pictures_missing } : {}),
      })),
      ...(left && left.missing > 0 ? { left_out: { at: left.at, pictures: left.missing } } : {}),
      ...(seen === null ? {} : { clock_seen: seen }),
    };
  };

  router.get('/shop.zip', async (_request, response) => {
    response.attachment(`bricolage-${keeping.today()}.zip`).type('zip');
    await keeping.exportTo(response).catch((error: unknown) => {
      log.error({ err: error }, 'export failed');
      // A cut connection tells the browser that the file is not whole.
      response.destroy();
    });
  });

  router.use('/backups', localOnly);
  router.get('/backups', (_request, response) => void response.json(tell()));
  router.post('/backups', async (_request, response) => {
    await keeping.makeBackup();
    response.json(tell());
  });
  router.post('/backups/:at/restore', async (request, response) => {
    const backup = keeping.list().find(({ at }) => at === request.params.at);
    if (!backup) return sendProblem(response, fail('backup_not_found').problem);
    const restored = await keeping.restore(backup);
    if (!restored.ok) return sendProblem(response, restored.problem);
    log.warn({ at: backup.at }, 'restored');
    const { pictures_missing } = restored.value;
    return void response.json({ restored: backup.at, ...(pictures_missing > 0 ? { pictures_missing } : {}) });
  });
  router.put('/clock', localOnly, (_request, response) => {
    keeping.clock.confirm();
    log.info('clock confirmed');
    response.json(tell());
  });
  return router;
}
