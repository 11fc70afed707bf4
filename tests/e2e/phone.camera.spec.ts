import sharp from 'sharp';
import { photographCheck } from '@/core/camera';
import { DOSSIER_FORMAT, type Dossier } from '@/core/dossier';
import { expect, expectBigTargets, listViolations, test } from './server';

const DESK: Dossier = {
  format: DOSSIER_FORMAT,
  piece: { id: 'desk', kind: 'desk', name: 'Ledger desk', history: { era: 'since_2000' } },
  zones: [{ id: 'top', role: 'top', name: 'Top', area_m2: 0.8 }],
};

test('a photograph proposes whether the pattern comes again; what is taken of it is kept as such a look', async ({
  page,
  shop,
}) => {
  const piece = `${shop.url}/api/pieces/desk`;
  await fetch(piece, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(DESK),
  });
  const { data, width, height } = photographCheck('pattern_repeat', 'repeats', 600, 4)!;
  const buffer = await sharp(Buffer.from(data.buffer), { raw: { width, height, channels: 4 } })
    .png()
    .toBuffer();
  await page.goto(`${shop.url}/piece/desk/read?zone=top`);
  const look = page.getByRole('region', { name: 'Look with the camera' });
  if ((await page.getByRole('heading', { name: 'Does the pattern come again?' }).count()) === 0) {
    await page.getByRole('button', { name: 'Make another check' }).click();
    await page.getByRole('radio', { name: 'Does the pattern come again?' }).click();
  }
  const chooser = page.waitForEvent('filechooser');
  await look.getByRole('button', { name: 'Look with the camera' }).click();
  await (await chooser).setFiles({ name: 'face.png', mimeType: 'image/png', buffer });
  await look.getByRole('button', { name: 'Look at it' }).click();
  await expect(look.getByText(/^The pattern comes again after/)).toBeVisible({ timeout: 15_000 });
  await expect(look.getByRole('img', { name: 'The face as it was taken' })).toBeVisible();
  await expect(look.getByText(/It counts as that, and never alone/)).toBeVisible();
  await expectBigTargets(page);
  expect(await listViolations(page, 'look with the camera')).toEqual([]);
  await look.getByRole('button', { name: 'Take it: It repeats' }).click();
  await expect
    .poll(async () => ((await (await fetch(piece)).json()) as Dossier).zones![0]!.observations)
    .toMatchObject([{ check: 'pattern_repeat', result: 'repeats', by: 'camera' }]);
});
