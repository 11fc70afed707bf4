import { type Page } from '@playwright/test';
import { expect, test } from './server';

test.use({ demo: true });

/** Tabs on until the element with this name has the focus, as someone without a mouse would. */
async function tabTo(page: Page, name: RegExp): Promise<void> {
  for (let i = 0; i < 120; i += 1) {
    const focused = await page.evaluate(() => {
      const element = document.activeElement;
      return element ? (element.getAttribute('aria-label') ?? element.textContent ?? '') : '';
    });
    if (name.test(focused)) return;
    await page.keyboard.press('Tab');
  }
  throw new Error(`no way by Tab to ${String(name)}`);
}

test('the keyboard alone leads from the list to a logged test', async ({ page, shop }) => {
  await page.goto(`${shop.url}/pieces`);
  await expect(page.getByText('Issue desk')).toBeVisible();

  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await page.keyboard.press('Escape');
  await expect(page.getByRole('dialog')).toHaveCount(0);

  await page.keyboard.press('/');
  await page.keyboard.type('issue desk');
  await expect(page.getByRole('region', { name: 'Pieces' })).toContainText('Issue desk');
  await tabTo(page, /^Issue desk/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('region', { name: 'Check' })).toBeVisible();

  // Arrows change the zone, numbers answer, u takes back.
  await page.getByRole('radio', { name: /^Top/ }).first().waitFor();
  const current = page.getByRole('radiogroup', { name: 'Zone' }).getByRole('radio', { checked: true });
  const before = await current.textContent();
  await page.keyboard.press('ArrowRight');
  await expect(current).not.toHaveText(before ?? '');
  for (let step = 0; step < 3 && (await current.textContent()) !== 'Drawer fronts'; step += 1)
    await page.keyboard.press('ArrowRight');
  await expect(current).toHaveText('Drawer fronts');
  await page.keyboard.press('1');
  await expect(page.getByRole('button', { name: /^Take back/ })).toBeVisible();
  await page.keyboard.press('u');
  await expect(page.getByRole('button', { name: /^Take back/ })).toHaveCount(0);

  await tabTo(page, /^Choose$/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('article')).toHaveCount(3);
  await tabTo(page, /^Take this one$/);
  const outline = await page.evaluate(() => getComputedStyle(document.activeElement!).outlineWidth);
  expect(parseFloat(outline)).toBeGreaterThanOrEqual(2);
  await page.keyboard.press('Enter');

  await expect(page.getByRole('region', { name: 'Log a test' })).toBeVisible();
  await tabTo(page, /^2, Polished/);
  await page.keyboard.press('Space');
  await tabTo(page, /^Primer off the surface$/);
  await page.keyboard.press('Enter');
  await tabTo(page, /^$/);
  await page.getByLabel(/Age of the patch/).focus();
  await page.keyboard.type('48');
  await tabTo(page, /^Log this test$/);
  await page.keyboard.press('Enter');
  await expect(page.getByRole('status', { name: 'Gate: closed' })).toBeVisible();
});

test('two panes stand side by side, and the first screen is small', async ({ page, shop }) => {
  const sizes: number[] = [];
  page.on('response', async (response) => {
    if (!/\.js$/.test(response.url())) return;
    expect(response.headers()['content-encoding']).toBe('br');
    expect(response.headers()['cache-control']).toContain('immutable');
    sizes.push(Number(response.headers()['content-length']));
  });
  await page.goto(`${shop.url}/piece/demo-issue-desk/read`);
  const verdict = await page.getByRole('region', { name: 'Verdict' }).boundingBox();
  const check = await page.getByRole('region', { name: 'Check' }).boundingBox();
  expect(check!.x).toBeGreaterThan(verdict!.x + verdict!.width - 1);
  expect(sizes.length).toBeGreaterThan(1);
});

test('the program of the first screen stays under 380 kB', async ({ page, shop }) => {
  const sizes: number[] = [];
  page.on('response', (response) => {
    // The planner's worker comes after what is shown, and is none of it.
    if (/\.js$/.test(response.url()) && !/\/planner-/.test(response.url()))
      sizes.push(Number(response.headers()['content-length']));
  });
  await page.goto(shop.url);
  await expect(page.getByRole('heading', { name: 'Today' })).toBeVisible();
  await page.waitForLoadState('networkidle');
  expect(sizes.length).toBeGreaterThan(2);
  expect(sizes.reduce((sum, size) => sum + size, 0)).toBeLessThan(380_000);
});
