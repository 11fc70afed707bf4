import type { Page } from '@playwright/test';
import { expect, expectBigTargets, expectNoSideways, follow, listViolations, test, waitForPieces } from './server';

const tap = async (page: Page, role: 'button' | 'radio' | 'link', name: string | RegExp): Promise<void> =>
  page.getByRole(role, { name }).first().click();

test('an empty shop leads to a first true verdict in few taps, with cards that can be put away for good', async ({
  page,
  shop,
}) => {
  let taps = 0;
  const count = async (role: 'button' | 'radio' | 'link', name: string | RegExp): Promise<void> => {
    taps += 1;
    await tap(page, role, name);
  };
  await page.goto(shop.url);
  await expect(page.getByRole('region', { name: 'Three ways on' })).toBeVisible();
  await expectBigTargets(page);
  expect(await listViolations(page, 'empty shop')).toEqual([]);
  await count('button', 'Bring the first piece in');
  await count('button', /^Sideboard/);
  await expect(page.getByRole('region', { name: 'First steps' })).toContainText('what is it?');
  await count('button', 'I see');
  await expect(page.getByRole('region', { name: 'First steps' })).toHaveCount(0);
  await count('link', 'Read');
  await expect(page.getByRole('region', { name: 'First steps' })).toContainText('look');
  expect(await listViolations(page, 'guide')).toEqual([]);
  await count('button', 'I see');
  // One face is read as whoever sees laminate on chipboard would.
  const sees: Record<string, RegExp> = {
    'Look where the face meets the edge': /^Dark line/,
    'Look at a damaged corner': /^Brittle chip/,
    'Look at the inside of the board': /^Chips/,
    'Does the pattern come again?': /^It repeats/,
    'Test the old coat for lead': /^Negative/,
    'Rub with a damp white rag': /^Rag stays clean/,
    'Wipe with degreaser on a white rag': /^Rag stays clean/,
    'Wipe with mineral spirits': /^Rag stays clean/,
    'Press firm tape on and pull it off sharply': /^Tape is clean/,
    'Dab on waterborne primer and watch it': /^Lies flat/,
    'Put a drop of water on it': /^It beads/,
    'How does it shine?': /^Satin/,
  };
  // A face that is read is marked, and the next one comes by itself.
  const settled = page.getByRole('radio', { name: 'Top ✓' });
  for (let asked = 0; asked < 15; asked += 1) {
    const check = page.getByRole('region', { name: 'Check', exact: true });
    await expect(check.or(settled).first()).toBeVisible();
    if ((await settled.count()) > 0) break;
    const title = (await check.getByRole('heading').first().textContent()) ?? '';
    const answer = sees[title];
    if (answer) await count('radio', answer);
    else await count('button', 'Can’t tell');
    // The next question of this face, or the face is read.
    await expect(settled.or(check.getByRole('heading').filter({ hasNotText: title })).first()).toBeVisible();
  }
  await expect(settled).toBeVisible();
  await count('radio', 'Top ✓');
  await expect(page.getByRole('status', { name: 'Belief' })).toContainText('Laminate sheet');
  expect(taps).toBeLessThanOrEqual(25);
  // Ended on the third card, they do not come again, not even after a reload.
  await tap(page, 'link', 'Choose');
  await tap(page, 'button', 'No more of these');
  await page.reload();
  await tap(page, 'link', 'Prove');
  await expect(page.getByRole('region', { name: 'First steps' })).toHaveCount(0);
});

test('the invented workshop is looked round beside one’s own, which stays as it was', async ({ page, shop }) => {
  await page.goto(shop.url);
  await tap(page, 'button', 'Look round an invented workshop');
  await expect(page.getByRole('region', { name: 'Looking round' })).toBeVisible({ timeout: 15_000 });
  await tap(page, 'link', 'Pieces');
  await expect(page.getByRole('listitem').first()).toBeVisible();
  await expectNoSideways(page);
  expect(await listViolations(page, 'looking round')).toEqual([]);
  // Whoever is not looking round sees their own.
  expect((await (await fetch(`${shop.url}/api/lists/summaries`)).json()).total).toBe(0);
  await tap(page, 'button', 'Back to my shop');
  await expect(page.getByRole('region', { name: 'Three ways on' })).toBeVisible({ timeout: 15_000 });
});

test.describe('with the demo workshop', () => {
  test.use({ demo: true });

  test('anything is found by a few letters, here and while the server is away', async ({ page, shop }) => {
    // Without a service worker the planner is at hand only once it was fetched.
    const planner = page.waitForEvent('worker');
    await page.goto(shop.url);
    await planner;
    await page.getByRole('link', { name: 'Find', exact: true }).click();
    await page.getByLabel('Find anything').fill('shel');
    await expect(page.getByRole('region', { name: 'Pieces' }).getByRole('link').first()).toBeVisible();
    await expect(page.getByRole('region', { name: 'Words' })).toContainText('Shellac');
    await expect(page.getByRole('region', { name: 'Screens' })).toContainText('Shelf');
    await expectBigTargets(page);
    await expectNoSideways(page);
    expect(await listViolations(page, 'find')).toEqual([]);
    await page.getByLabel('Find anything').fill('zzz');
    await expect(page.getByText('Nothing begins with “zzz”')).toBeVisible();
    // What this device keeps is found without the server as well.
    await waitForPieces(page);
    await shop.stop();
    await page.getByLabel('Find anything').fill('settle');
    await expect(page.getByRole('region', { name: 'Pieces' }).getByRole('link').first()).toBeVisible({
      timeout: 40_000,
    });
  });

  test('pieces are narrowed, put in order and compared', async ({ page, shop }) => {
    await page.goto(`${shop.url}/pieces`);
    const list = page.getByRole('list', { name: 'Pieces' });
    await expect(list.getByRole('listitem').first()).toBeVisible();
    await tap(page, 'button', 'Filter and sort');
    await tap(page, 'radio', 'Held back');
    await tap(page, 'radio', 'By name');
    await tap(page, 'button', 'Close');
    await expect(page.getByRole('button', { name: 'Held back, By name' })).toBeVisible();
    const { pieces } = (await (await fetch(`${shop.url}/api/lists/summaries?show=held&sort=name`)).json()) as {
      pieces: { name: string; tone: string }[];
    };
    expect(pieces.length).toBeGreaterThan(0);
    expect(pieces.every(({ tone }) => tone === 'stop')).toBe(true);
    await expect(list.getByRole('listitem')).toHaveCount(pieces.length);
    await expect(list.getByRole('listitem').first()).toContainText(pieces[0]!.name);
    await tap(page, 'button', 'Compare two');
    await expect(page.getByRole('heading', { name: 'The best way' })).toHaveCount(2);
    await expectNoSideways(page);
    expect(await listViolations(page, 'compare')).toEqual([]);
  });

  test('a screen says what it answers, and its words lead to all of them', async ({ page, shop }) => {
    await page.goto(`${shop.url}/shelf`);
    await tap(page, 'button', 'What is this screen for?');
    await expect(page.getByRole('dialog', { name: 'About Shelf' })).toContainText('Contrast ratio');
    expect(await listViolations(page, 'help')).toEqual([]);
    await tap(page, 'button', 'All words');
    await expect(page.getByText('Veneer', { exact: true })).toBeVisible();
    expect(await listViolations(page, 'words')).toEqual([]);
    await follow(page, `${shop.url}/notices`);
    await expect(page.getByText(/of \d+ packages/)).toBeVisible();
    expect(await listViolations(page, 'notices')).toEqual([]);
  });
});
