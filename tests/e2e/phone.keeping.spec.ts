import { readFileSync, rmSync, truncateSync } from 'node:fs';
import path from 'node:path';
import { PHOTOGRAPHS } from './photographs';
import { expect, expectBigTargets, expectNoSideways, test } from './server';

/* Pieces that come in from a file, and pieces one is done with. */
test.use({ demo: true });

const dossier = (more: object) => ({
  name: 'piece.json',
  mimeType: 'application/json',
  buffer: Buffer.from(JSON.stringify({ format: 'bricolage.dossier/1', zones: [{ id: 'top', role: 'top' }], ...more })),
});

test('a file is looked at, what is wrong is said by its place, and only then it comes in', async ({ page, shop }) => {
  await page.goto(`${shop.url}/copies`);
  const card = page.getByRole('region', { name: 'Bring pieces in' });
  const pick = async (file: ReturnType<typeof dossier>): Promise<void> => {
    const choosing = page.waitForEvent('filechooser');
    await card.getByRole('button', { name: 'Pick a file' }).click();
    await (await choosing).setFiles(file);
  };
  await pick(dossier({ piece: { kind: 'desk' }, goal: { colour: 'blue' } }));
  await expect(card.getByText(/^goal\.colour: Not in the right form/)).toBeVisible();
  await pick(dossier({ piece: { id: 'p-plant', kind: 'desk', name: 'Plant stand' } }));
  await expect(card.getByText('1 new piece')).toBeVisible();
  await expectBigTargets(page);
  await expectNoSideways(page);
  expect((await fetch(`${shop.url}/api/pieces/p-plant`)).status).toBe(404);
  await card.getByRole('button', { name: 'Bring 1 piece in' }).click();
  await expect(card.getByText('One piece was brought in.')).toBeVisible();
  expect((await fetch(`${shop.url}/api/pieces/p-plant`)).status).toBe(200);

  await pick(dossier({ piece: { id: 'demo-toy-chest', kind: 'desk', name: 'Another' } }));
  await expect(card.getByText('1 piece here otherwise, or in the bin')).toBeVisible();
  await expect(card.getByRole('button', { name: 'Nothing to bring in' })).toHaveAttribute('aria-disabled', 'true');
  await card.getByRole('radio', { name: 'Bring them in beside mine' }).click();
  await card.getByRole('button', { name: 'Bring 1 piece in' }).click();
  await page.getByRole('link', { name: 'Pieces' }).click();
  await expect(page.getByRole('link', { name: /Another, brought in/ })).toBeVisible();
  await expect(page.getByRole('link', { name: /Toy chest/ })).toBeVisible();
});

test('a copy that is damaged is named and cannot be put back; a zip says what it lacks', async ({ page, shop }) => {
  const list = async () => (await (await fetch(`${shop.url}/api/keeping/backups`)).json()).backups;
  const picture = readFileSync(path.join(PHOTOGRAPHS, 'lattice-held.jpg'));
  const sent = await fetch(`${shop.url}/api/pieces/demo-toy-chest/photos/f`, { method: 'PUT', body: picture });
  const { sha256 } = (await sent.json()).photos.at(-1);
  // One was made when the server started.
  await fetch(`${shop.url}/api/keeping/backups`, { method: 'POST' });
  const [newest] = await list();
  // As a disk may leave them: half a copy, and a picture that is gone.
  const own = path.join(shop.folder, 'shop.sqlite-files');
  truncateSync(path.join(own, 'backups', newest.at.replaceAll(':', ''), 'shop.sqlite'), 5000);
  rmSync(path.join(own, 'photos', sha256.slice(0, 2), `${sha256}.jpg`));
  await fetch(`${shop.url}/api/keeping/shop.zip`).then((zip) => zip.arrayBuffer());
  await page.goto(`${shop.url}/copies`);
  const card = page.getByRole('region', { name: 'Copies of the shop' });
  await expect(card.getByText('The last zip is without one picture')).toBeVisible();
  const putBack = card.getByRole('button', { name: /^Put back/ });
  await expect(putBack).toHaveCount(2);
  await putBack.first().click();
  await page.getByRole('button', { name: 'Put the shop back' }).click();
  await expect(page.getByText(/is damaged\. It was not touched/)).toBeVisible();
  await page.keyboard.press('Escape');
  expect((await (await fetch(`${shop.url}/api/health`)).json()).copies.damaged).toBe(1);
  await page.reload();
  await expect(card.getByText('Damaged: it cannot be put back')).toBeVisible();
  await expect(putBack).toHaveCount(1);
  await expectBigTargets(page);
  await expectNoSideways(page);

  // What this browser keeps of the shop goes with it when a copy is put back.
  const keeps = () =>
    page.evaluate(async () => {
      const [own] = (await indexedDB.databases()).filter(({ name = '' }) => /^bricolage-(?!.*-pictures$)/.test(name));
      const db = await new Promise<IDBDatabase>((resolve) => {
        const opening = indexedDB.open(own!.name!);
        opening.onsuccess = () => resolve(opening.result);
      });
      return new Promise<boolean>((resolve) => {
        const asking = db.transaction('pieces').objectStore('pieces').getKey('p-later');
        asking.onsuccess = () => resolve(asking.result !== undefined);
      }).finally(() => db.close());
    });
  const later = { format: 'bricolage.dossier/1', piece: { kind: 'desk' } };
  await fetch(`${shop.url}/api/pieces/p-later`, { method: 'PUT', body: JSON.stringify(later) });
  await page.reload();
  await expect.poll(keeps, { timeout: 15_000 }).toBe(true);
  await putBack.click();
  await page.getByRole('button', { name: 'Put the shop back' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Today' })).toBeVisible();
  await expect.poll(keeps, { timeout: 15_000 }).toBe(false);
});

test('a piece is archived and taken out again, deleted and put back', async ({ page, shop }) => {
  const shown = async (): Promise<number> =>
    (await (await fetch(`${shop.url}/api/lists/summaries`)).json()).total as number;
  const all = await shown();
  const doneWith = async (): Promise<void> => {
    await page.goto(`${shop.url}/piece/demo-toy-chest/meet`);
    await page.getByRole('button', { name: 'Done with it' }).click();
  };
  await doneWith();
  await page.getByRole('button', { name: 'Archive this piece' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Pieces' })).toBeVisible();
  await expect.poll(shown).toBe(all - 1);
  await expect(page.getByText('Archived')).toBeVisible();
  await page.getByRole('button', { name: 'Archive and bin' }).click();
  await expectBigTargets(page);
  await expectNoSideways(page);
  await page.getByRole('button', { name: 'Take Toy chest out of the archive' }).click();
  await expect.poll(shown).toBe(all);

  await doneWith();
  await page.getByRole('button', { name: 'Delete this piece' }).click();
  await page.getByRole('button', { name: 'Delete it' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Pieces' })).toBeVisible();
  expect(await shown()).toBe(all - 1);
  await page.getByRole('button', { name: 'Archive and bin' }).click();
  await expect(page.getByText(/^Gone for good/)).toBeVisible();
  await page.getByRole('button', { name: 'Put Toy chest back' }).click();
  await expect(page.getByText('The bin is empty.', { exact: false })).toBeVisible();
  expect(await shown()).toBe(all);
});
