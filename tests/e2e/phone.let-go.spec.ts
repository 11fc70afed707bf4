import type { Page } from '@playwright/test';
import { expect, expectBigTargets, expectNoSideways, follow, nearAgain, test } from './server';

const figure = (page: Page) => page.getByRole('region', { name: 'At the door' }).getByRole('status').first();

test('the kerb takes one thumb: a kind, two prices, a fact, a look, and it is bought', async ({ page, shop }) => {
  await page.request.put(`${shop.url}/api/workshop/setup`, { data: { currency: 'EUR', money: { hour_rate: 15 } } });
  await page.goto(`${shop.url}/new`);
  const begun = Date.now();
  await page.getByRole('button', { name: 'Sideboard' }).click();
  const door = page.getByRole('region', { name: 'At the door' });
  await expect(door.getByText('What does one like it sell for here', { exact: false })).toBeVisible();
  await page.getByLabel(/^They ask/).fill('60');
  await page.getByLabel(/^Sells for about/).fill('480');
  await expect(figure(page)).toContainText(/at most\D*\d+/);
  const first = await figure(page).textContent();
  await page.getByRole('radio', { name: 'Before 1940' }).click();
  await expect(figure(page)).not.toHaveText(first!);
  // As many doors as it has: it is drawn and reckoned anew.
  const before = await figure(page).textContent();
  await page.getByRole('button', { name: 'More: Drawers' }).click();
  await expect(figure(page)).not.toHaveText(before!);
  await expectBigTargets(page);
  await expectNoSideways(page);
  await page.getByRole('button', { name: 'I bought it' }).click();
  await expect(page.getByRole('button', { name: 'I bought it' })).toHaveCount(0);
  expect(Date.now() - begun).toBeLessThan(60_000);

  const { pieces } = await (await page.request.get(`${shop.url}/api/pieces`)).json();
  expect(pieces).toHaveLength(1);
  expect(pieces[0].money).toMatchObject({ asking: 60, sale: { likely: 480 }, bought: { amount: 60 } });
  expect(pieces[0].piece.counts).toMatchObject({ drawers: 1 });
  expect(pieces[0].zones.some(({ id }: { id: string }) => id === 'drawer_fronts')).toBe(true);

  // What is finer than a cent, or below nothing, is named and not kept.
  await page.getByRole('button', { name: 'What it may cost' }).click();
  await page.getByLabel(/^They ask/).fill('12.345');
  await expect(page.getByText(/^Finer than EUR has decimals/)).toBeVisible();
  await page.getByLabel(/^They ask/).fill('-3');
  await expect(page.getByText('Not less than nothing.')).toBeVisible();
});

test.describe('with the demo workshop', () => {
  test.use({ demo: true, serverClock: '2026-11-28T09:12:00Z' });
  test.beforeEach(async ({ page }) => page.clock.setFixedTime(new Date('2026-11-28T09:12:00Z')));

  test('a look moves the figure, also while the server is away', async ({ page, shop }) => {
    await page.goto(`${shop.url}/piece/demo-landing-press/meet`);
    await expect(figure(page)).toContainText(/at most/);
    const look = page.getByRole('region', { name: 'Look first' });
    await expect(look).toBeVisible();
    const [title, before] = [await look.getByRole('heading').textContent(), await figure(page).textContent()];
    await shop.stop();
    await look.getByRole('radio').first().click();
    await expect(figure(page)).not.toHaveText(before!);
    await expect(page.getByText(title!, { exact: true })).toHaveCount(0);
    await shop.restart();
    await nearAgain(page);
    await expect
      .poll(
        async () => {
          const { zones } = await (await page.request.get(`${shop.url}/api/pieces/demo-landing-press`)).json();
          return zones.flatMap(({ observations = [] }: { observations?: unknown[] }) => observations).length;
        },
        { timeout: 20_000 },
      )
      .toBe(1);
  });

  test('a sold piece goes early with a warning, its account adds up, and a complaint opens Mend', async ({
    page,
    shop,
  }) => {
    await page.goto(shop.url);
    await page.getByRole('region', { name: 'Waits for pick-up' }).getByRole('link').click();
    await expect(page.getByText('Sold, and waiting for pick-up')).toBeVisible();
    const sale = page.getByRole('region', { name: 'Sale' });
    await expect(sale.getByText('Not cured yet')).toBeVisible();
    await page.getByRole('checkbox', { name: 'Felt pads under its feet' }).click();
    await expect(page.getByRole('checkbox', { name: 'Felt pads under its feet' })).toBeChecked();
    // What cannot be done yet is not ticked off.
    await expect(page.getByRole('checkbox', { name: /^Doors, drawers and shelves are back/ })).toBeDisabled();
    await sale.getByLabel(/^Fees of selling/).fill('999');
    await expect(sale.getByText('At most 260.')).toBeVisible();
    await sale.getByLabel(/^Fees of selling/).fill('10');
    await sale.getByRole('button', { name: 'Handed over' }).click();
    await expect(sale.getByText(/^Handed over/)).toBeVisible();
    await expect(page.getByText('Handed over', { exact: true }).first()).toBeVisible();
    const money = page.getByRole('region', { name: 'Money' });
    await expect(money.getByText('Fees of selling', { exact: true })).toBeVisible();
    await expectBigTargets(page);

    const told = await (await page.request.get(`${shop.url}/api/lists/earned`)).json();
    await page.getByRole('link', { name: 'Earned' }).click();
    await expect(page.getByText(`before own time, ${told.sums.sold} sold`)).toBeVisible();
    await expect(page.getByText('More like these: chest of drawers.', { exact: false })).toBeVisible();
    await page.getByRole('radio', { name: 'Where bought' }).click();
    await expect(page.getByRole('button', { name: /^House clearance:/ })).toBeVisible();

    await follow(page, `${shop.url}/piece/demo-card-cabinet/let-go`);
    await page.getByRole('button', { name: 'Something is wrong with it' }).click();
    await expect(page).toHaveURL(/\/mend$/);
  });

  test('what is sold before it was bought is refused with its cure', async ({ page, shop }) => {
    await page.goto(`${shop.url}/piece/demo-issue-desk/let-go`);
    const sale = page.getByRole('region', { name: 'Sale' });
    await expect(sale.getByLabel('On')).toHaveValue('2026-11-28');
    await sale.getByLabel(/^For/).fill('90');
    await sale.getByLabel('On').fill('2026-11-01');
    await expect(sale.getByText(/^It was bought on/)).toBeVisible();
    await expect(sale.getByRole('button', { name: 'It is sold' })).toHaveAttribute('aria-disabled', 'true');
    await sale.getByLabel('On').fill('2026-11-27');
    await sale.getByRole('button', { name: 'It is sold' }).click();
    await expect(sale.getByText(/^Sold for/)).toBeVisible();
    await page.reload();
    await expect(sale.getByText(/^Sold for/)).toBeVisible();
  });
});
