import { expect, expectBigTargets, expectNoSideways, listViolations, test } from './server';

test('a round of practice by thumb: a surface is looked at, named and explained, and what was measured may count', async ({
  page,
  shop,
}) => {
  await page.goto(`${shop.url}/practice`);
  await expect(page.getByRole('button', { name: 'Start ten minutes' })).toBeVisible();
  expect(await listViolations(page, 'practice')).toEqual([]);
  await page.getByRole('radio', { name: /^Name the surface/ }).click();
  await page.getByRole('button', { name: 'Start ten minutes' }).click();
  await page.getByRole('button', { name: 'Take a first look' }).click();
  await page.getByRole('radio', { name: /^Look where the face meets the edge/ }).click();
  const picture = page.getByRole('img', { name: 'What is to be seen' });
  await expect(picture).toBeVisible();
  await expect.poll(() => picture.evaluate((img) => (img as HTMLImageElement).naturalWidth)).toBeGreaterThan(100);
  expect(await listViolations(page, 'look')).toEqual([]);
  await page.getByRole('radio', { name: /^Dark line/ }).click();
  await expect(page.getByRole('list', { name: 'Looks so far' })).toContainText('dark line');
  await page
    .getByRole('radiogroup', { name: 'What is it made of, and what is on it?' })
    .getByRole('radio')
    .first()
    .click();
  await expectBigTargets(page);
  await page.getByRole('button', { name: 'Guessing' }).click();
  await expect(page.getByRole('status').filter({ hasText: /^(Right|Not so)/ })).toBeVisible();
  await expect(page.getByRole('list', { name: 'Looks of the diagnosis' })).toBeVisible();
  await expectNoSideways(page);
  expect(await listViolations(page, 'explained')).toEqual([]);
  const stored = async () => (await (await fetch(`${shop.url}/api/workshop`)).json()).practice;
  await expect.poll(async () => (await stored()).length).toBe(1);
  expect((await stored())[0]).toMatchObject({
    kind: 'surface',
    confidence: 'guessing',
    looks: [{ said: 'dark_line' }],
  });
  await page.getByRole('button', { name: 'Stop here' }).click();
  // What was measured counts only once it is asked for, and no longer when that is taken back.
  await page.getByRole('switch', { name: 'Count it in my diagnoses' }).click();
  const counts = async () => (await (await fetch(`${shop.url}/api/workshop`)).json()).setup.own_misreadings;
  await expect.poll(counts).toBe(true);
  await page.getByRole('switch', { name: 'Count it in my diagnoses' }).click();
  await expect.poll(counts).toBeUndefined();
});

test('a round of practice by keys alone, each kind once, also while the server is away', async ({ page, shop }) => {
  await page.goto(`${shop.url}/practice`);
  await expect(page.getByRole('button', { name: 'Start ten minutes' })).toBeVisible();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('radiogroup').first()).toBeVisible({ timeout: 15_000 });
  await shop.stop();
  const seen = new Set<string>();
  for (let asked = 0; asked < 7; asked += 1) {
    const title = page.locator('section[aria-label]').first();
    await expect(page.getByRole('radiogroup').first()).toBeVisible({ timeout: 15_000 });
    seen.add((await title.getAttribute('aria-label')) ?? '');
    await page.keyboard.press('1');
    await expect(page.getByRole('region', { name: 'How sure are you?' })).toBeVisible();
    await page.keyboard.press('f');
    await expect(page.getByRole('button', { name: 'Next exercise' })).toBeVisible();
    await page.keyboard.press('Enter');
    await expect(page.getByText(`${asked + 1} answered`)).toBeVisible();
  }
  expect(seen.size).toBe(7);
  await page.keyboard.press('Escape');
  await expect(page.getByRole('region', { name: 'How sure you may be' })).toContainText('fairly sure');
});
