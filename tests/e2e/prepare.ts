import { execFileSync } from 'node:child_process';
import { PHOTOGRAPHS } from './photographs';

/** What several files of tests share is made once, and only when what it is made from has changed. */
export default async function prepare(): Promise<void> {
  const { onlyIfChanged } = await import('../../scripts/lib.mjs');
  onlyIfChanged(
    'photographs',
    ['scripts/photographs.ts', 'src/core/camera', 'src/core/photo', 'src/core/colour', 'src/core/film'],
    '.cache/photographs/card.json',
    () => {
      execFileSync(process.execPath, ['scripts/photographs.mjs'], {
        env: { ...process.env, BRICOLAGE_PHOTOGRAPHS: PHOTOGRAPHS },
      });
    },
  );
}
