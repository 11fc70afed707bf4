import { expect, follow, listViolations, test } from './server';

const SATURDAY = '2026-11-28T09:12:00.000Z';
test.use({ demo: true, serverClock: SATURDAY });
test.beforeEach(({ page }) => page.clock.setFixedTime(new Date(SATURDAY)));

test('pieces are a list and what is known of the one that is picked, by click and by keys', async ({ page, shop }) => {
  await page.goto(`${shop.url}/pieces`);
  const rows = page.getByRole('list', { name: 'Pieces' }).getByRole('button');
  await expect(rows.first()).toHaveAttribute('aria-pressed', 'true');
  const nameOf = async (n: number) => (await rows.nth(n).locator('span').first().textContent())!;
  const [first, second, third] = [await nameOf(0), await nameOf(1), await nameOf(2)];
  await expect(page.getByRole('region', { name: first })).toBeVisible();
  await rows.nth(2).click();
  const glance = page.getByRole('region', { name: third });
  await expect(glance.getByRole('heading', { name: 'Faces' })).toBeVisible();
  await expect(glance.getByRole('button', { name: /^Go on: / })).toBeVisible();
  expect(await listViolations(page, 'pieces at a desk')).toEqual([]);
  await page.keyboard.press('ArrowUp');
  await expect(page.getByRole('region', { name: second })).toBeVisible();
  await page.keyboard.press('ArrowDown');
  await expect(glance).toBeVisible();
  await page.keyboard.press('o');
  await expect(page.getByRole('heading', { level: 1, name: third })).toBeVisible();
});

test('systems keep their names, and the gate stays beside what is logged, however far one scrolls', async ({
  page,
  shop,
}) => {
  await page.goto(`${shop.url}/piece/demo-bookcase/choose`);
  const card = page.getByRole('article').first();
  await card.waitFor({ timeout: 20_000 });
  const title = card.getByRole('heading').first();
  const before = (await title.boundingBox())!.y;
  await page.mouse.move(700, 500);
  await page.mouse.wheel(0, 700);
  await expect.poll(async () => (await title.boundingBox())!.y).toBeLessThan(before);
  await expect(title).toBeInViewport();
  await follow(page, `${shop.url}/piece/demo-bookcase/prove`);
  const gate = page.getByRole('status', { name: /^Gate: / }).first();
  await gate.waitFor();
  await page.getByText('Other kinds of test…').scrollIntoViewIfNeeded();
  await page.mouse.move(1000, 500);
  await page.mouse.wheel(0, 1500);
  await page.waitForTimeout(300);
  await expect(gate).toBeInViewport();
});

test('the day uses both columns: neither ends before the other is half read', async ({ page, shop }) => {
  await page.goto(shop.url);
  await page.getByRole('region', { name: 'Do now' }).waitFor();
  const [left, right] = await page
    .locator('main')
    .first()
    .evaluate((main) => {
      const bottoms = [...main.querySelectorAll('section, a, button')].map((part) => part.getBoundingClientRect());
      const middle = main.getBoundingClientRect().left + main.getBoundingClientRect().width / 2;
      const lowest = (boxes: DOMRect[]): number => Math.max(0, ...boxes.map(({ bottom }) => bottom));
      const inside = bottoms.filter(({ width }) => width > 0);
      return [
        lowest(inside.filter((box) => box.left + box.width / 2 < middle)),
        lowest(inside.filter((box) => box.left + box.width / 2 > middle)),
      ];
    });
  expect(Math.min(left!, right!) / Math.max(left!, right!)).toBeGreaterThan(0.5);
});

test('eight windows of a browser share one line to the server, and each hears what another device does', async ({
  page,
  shop,
}) => {
  const lines: string[] = [];
  page.context().on('request', (request) => {
    if (request.url().includes('/api/events')) lines.push(request.url());
  });
  const windows = [page];
  while (windows.length < 8) windows.push(await page.context().newPage());
  for (const own of windows) await own.goto(`${shop.url}/piece/demo-toy-chest/meet`);
  const name = (own: typeof page) => own.getByRole('heading', { name: 'Chest for the reading room' }).first();
  // The line stands some seconds after the first screen: one window has it, the others wait for their turn.
  const waiting = () => page.evaluate(async () => (await navigator.locks.query()).pending!.length);
  await expect.poll(waiting, { timeout: 15_000 }).toBe(7);
  expect(lines).toHaveLength(1);
  const rename = (to: string) =>
    fetch(`${shop.url}/api/pieces/demo-toy-chest/facts`, {
      method: 'PATCH',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ facts: [{ path: ['piece', 'name'], value: to }] }),
    });
  await rename('Chest for the reading room');
  for (const own of windows) await expect(name(own)).toBeVisible({ timeout: 10_000 });
  expect(lines).toHaveLength(1);
  // Where the one with the line is closed, another takes it up where it stood.
  await page.close();
  await expect.poll(() => lines.length).toBe(2);
  expect(lines[1]).toMatch(/after=/);
});
