import sharp from 'sharp';
import type { Locator, Page } from '@playwright/test';
import { photographCheck, photographShine } from '@/core/camera';
import { DOSSIER_FORMAT, type Dossier } from '@/core/dossier';
import { expect, expectBigTargets, listViolations, test } from './server';

const DESK: Dossier = {
  format: DOSSIER_FORMAT,
  piece: { id: 'desk', kind: 'desk', name: 'Ledger desk', history: { era: 'since_2000' } },
  zones: [{ id: 'top', role: 'top', name: 'Top', area_m2: 0.8 }],
};

type Picture = NonNullable<ReturnType<typeof photographCheck>>;
const encode = async ({ data, width, height }: Picture) => ({
  name: 'face.png',
  mimeType: 'image/png',
  buffer: await sharp(Buffer.from(data.buffer), { raw: { width, height, channels: 4 } })
    .png()
    .toBuffer(),
});

/** The piece on the server, its screen open at a check. */
async function openCheck(
  page: Page,
  url: string,
  title: string,
): Promise<{ look: Locator; read: () => Promise<Dossier> }> {
  const piece = `${url}/api/pieces/desk`;
  await fetch(piece, { method: 'PUT', headers: { 'Content-Type': 'application/json' }, body: JSON.stringify(DESK) });
  await page.goto(`${url}/piece/desk/read?zone=top`);
  await page.getByRole('button', { name: 'Make another check' }).waitFor();
  if ((await page.getByRole('heading', { name: title }).count()) === 0) {
    await page.getByRole('button', { name: 'Make another check' }).click();
    await page.getByRole('radio', { name: title }).click();
  }
  return {
    look: page.getByRole('region', { name: 'Look with the camera' }),
    read: async () => (await (await fetch(piece)).json()) as Dossier,
  };
}

async function shoot(page: Page, button: Locator, picture: Picture): Promise<void> {
  const chooser = page.waitForEvent('filechooser');
  await button.click();
  await (await chooser).setFiles(await encode(picture));
}

test('a photograph proposes whether the pattern comes again; what is taken of it is kept as such a look', async ({
  page,
  shop,
}) => {
  const { look, read } = await openCheck(page, shop.url, 'Does the pattern come again?');
  const picture = photographCheck('pattern_repeat', 'repeats', 600, 4)!;
  await shoot(page, look.getByRole('button', { name: 'Look with the camera' }), picture);
  await look.getByRole('button', { name: 'Look at it' }).click();
  await expect(look.getByText(/^The pattern comes again after/)).toBeVisible({ timeout: 15_000 });
  await expect(look.getByRole('img', { name: 'The face as it was taken' })).toBeVisible();
  await expect(look.getByText(/It counts as that, and never alone/)).toBeVisible();
  await expectBigTargets(page);
  expect(await listViolations(page, 'look with the camera')).toEqual([]);
  await look.getByRole('button', { name: 'Take it: It repeats' }).click();
  await expect
    .poll(async () => (await read()).zones![0]!.observations)
    .toMatchObject([{ check: 'pattern_repeat', result: 'repeats', by: 'camera' }]);
  // Looked at after all: from then on it counts as the owner's, and tells how good such pictures are.
  await page.getByRole('button', { name: /^Why\? One answer/ }).click();
  await page.getByRole('button', { name: 'I looked myself: it is so' }).click();
  await expect.poll(async () => (await read()).zones![0]!.observations![0]!.proposed).toBe('repeats');
  const { zones, misreadings } = await read();
  expect(zones![0]!.observations![0]!.by).toBeUndefined();
  expect(misreadings!['camera:pattern_repeat']).toBeGreaterThan(0);
});

test('pores are proposed by a picture; an own answer beside it tells whether it was right', async ({ page, shop }) => {
  const { look, read } = await openCheck(page, shop.url, 'Drag a fingernail across the grain');
  const picture = photographCheck('pores', 'open_felt', 600, 4)!;
  await shoot(page, look.getByRole('button', { name: 'Look with the camera' }), picture);
  await look.getByRole('button', { name: 'Look at it' }).click();
  await expect(look.getByText(/^The grain runs at \d+° across the picture/)).toBeVisible({ timeout: 15_000 });
  await page.getByRole('radio', { name: /^Fine grooves/ }).click();
  await expect
    .poll(async () => (await read()).zones![0]!.observations)
    .toMatchObject([{ check: 'pores', result: 'medium_felt', proposed: 'open_felt' }]);
});

test('gloss is proposed by the lamp’s spot in two pictures', async ({ page, shop }) => {
  const { look, read } = await openCheck(page, shop.url, 'How does it shine?');
  const [first, second] = photographShine('high_gloss', 600, 2);
  await shoot(page, look.getByRole('button', { name: 'Look with the camera' }), first);
  await shoot(page, look.getByRole('button', { name: 'Take it again, tilted' }), second);
  await look.getByRole('button', { name: 'Look at it' }).click();
  await expect(look.getByText(/^The lamp's spot moves with the phone/)).toBeVisible({ timeout: 15_000 });
  await look.getByRole('button', { name: 'Take it: High gloss' }).click();
  await expect
    .poll(async () => (await read()).zones![0]!.observations)
    .toMatchObject([{ check: 'gloss_look', result: 'high_gloss', by: 'camera' }]);
});
