import { DOSSIER_FORMAT, startWishes, type Dossier } from '@/core/dossier';
import { buildTemplate, KIND_TEMPLATES } from '@/core/templates';
import { makePiece } from '../properties/shop-data';
import { expect, expectNoSideways, test } from './server';

/* One date by the owner's evenings wherever it is told, and a day's list that stays as it was first shown. */
test.use({ demo: false, timezoneId: 'Europe/Lisbon' });

const JSON_TYPE = { 'Content-Type': 'application/json' };
const NOW = '2026-11-30T08:00:00Z';

function makeKitchen(due: string): Dossier {
  const { zones } = buildTemplate('kitchen_run', KIND_TEMPLATES.kitchen_run.size, { doors: 14 });
  const stated = { substrate: 'melamine_board' as const, finish: 'factory_film' as const };
  const doors = zones.filter(({ role }) => role === 'door').map((zone) => ({ ...zone, stated }));
  return {
    format: DOSSIER_FORMAT,
    piece: {
      id: 'kitchen',
      name: 'Kitchen',
      kind: 'kitchen_run',
      counts: { doors: 14 },
      history: { era: 'since_2000' },
    },
    zones: doors,
    goal: { ...startWishes(doors), due },
  };
}
const put = (url: string, dossier: Dossier) =>
  fetch(`${url}/api/pieces/${dossier.piece.id}`, { method: 'PUT', headers: JSON_TYPE, body: JSON.stringify(dossier) });

test.describe('by the evenings', () => {
  test.use({ serverClock: NOW });
  // Dates are searched for by a worker: on a busy machine that takes its time.
  test.setTimeout(150_000);

  test('a kitchen wanted by a day that is too soon is told so everywhere, with the same day', async ({
    page,
    shop,
  }) => {
    await put(shop.url, makeKitchen('2026-12-02'));
    await put(shop.url, makePiece('rack'));
    await page.clock.install({ time: new Date(NOW) });
    await page.goto(`${shop.url}/piece/kitchen/choose`);
    const card = page.getByRole('article').first();
    const late = card.getByText(/^Too late for Wed 2 Dec by \d+ days?$/);
    await expect(late).toBeVisible({ timeout: 40_000 });
    const day = (await card.getByText(/^(Mon|Tue|Wed|Thu|Fri|Sat|Sun) \d+ (Nov|Dec|Jan)$/).textContent())!;
    await expectNoSideways(page);
    await card.getByRole('button', { name: 'Take this one' }).click();
    await expect(page.getByRole('heading', { name: 'Kitchen' })).toBeVisible();

    // Taken, it is in the plan of the shop: the same day on Today, when it is asked for, and on Choose.
    await page.goto(shop.url);
    const collected = page.getByRole('region', { name: /collected/ });
    await expect(collected.getByText('Too late for Wed 2 Dec')).toBeVisible({ timeout: 40_000 });
    await expect(collected.getByText(day, { exact: true })).toBeVisible();
    await page.getByLabel('All by').fill('2026-12-02');
    await page.getByRole('button', { name: 'Can they?' }).click();
    await expect(page.getByText('Not all by Wed 2 Dec')).toBeVisible({ timeout: 40_000 });
    await page.goto(`${shop.url}/piece/kitchen/choose`);
    await expect(card.getByText(day, { exact: true })).toBeVisible({ timeout: 40_000 });
    await expect(late).toBeVisible();
  });

  test('the list of tonight does not flip: not under a slow planner, nor for a better order found later', async ({
    page,
    shop,
  }) => {
    for (const id of ['rack', 'bench', 'stool']) await put(shop.url, makePiece(id, ['top', 'legs']));
    await page.route('**/api/lists/order', async (route) => {
      await new Promise((resolve) => setTimeout(resolve, 1500));
      await route.continue();
    });
    await page.clock.install({ time: new Date(NOW) });
    const listens = page.waitForRequest('**/api/events**');
    await page.goto(shop.url);
    const first = page.getByRole('region', { name: 'Do next' }).getByRole('listitem').first();
    await expect(page.getByRole('heading', { name: 'Tonight from 19:00' })).toBeVisible({ timeout: 40_000 });
    const shown = await first.textContent();
    await listens;
    await expect(page.getByText(/^Moved: /)).toHaveCount(0);
    // All pages are told of a new order: another device has brought a piece that wants hands as soon.
    await put(shop.url, makePiece('desk', ['top', 'legs', 'shelf']));
    const order = async (): Promise<string> => (await fetch(`${shop.url}/api/lists/order`)).text();
    await expect.poll(order, { timeout: 40_000 }).toContain('desk/');
    await expect(page.getByText(/desk/i).first()).toBeVisible({ timeout: 40_000 });
    for (let looks = 0; looks < 15; looks += 1) {
      expect(await first.textContent()).toBe(shown);
      await page.waitForTimeout(200);
    }
  });
});
