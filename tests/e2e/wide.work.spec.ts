import { expect, expectNoSideways, test } from './server';

test.use({ demo: true, timezoneId: 'Europe/Lisbon' });

test('at a desk the work goes by keys, the job beside the step, and two weeks are a chart', async ({ page, shop }) => {
  await page.goto(`${shop.url}/piece/demo-newspaper-rack/work`);
  const step = page.getByRole('region', { name: 'This step' });
  await expect(step).toBeVisible();
  const job = page.getByRole('region', { name: 'The job' });
  const [left, right] = await Promise.all([step.boundingBox(), job.boundingBox()]);
  expect(right!.x).toBeGreaterThan(left!.x + left!.width - 1);
  await expectNoSideways(page);

  // d does nothing before the caution was seen.
  await page.keyboard.press('d');
  await expect(page.getByRole('status').filter({ hasText: 'Logged' })).toHaveCount(0);
  await page.getByRole('button', { name: /^Seen: / }).press('Enter');
  await page.keyboard.press('d');
  await expect(page.getByRole('status').filter({ hasText: 'Logged: Shellac primer, coat 2 of 2' })).toBeVisible();
  await expect(page.getByText('8 of 15 done')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).press('Enter');
  await expect(page.getByText('7 of 15 done')).toBeVisible();

  // t leads to Today, and from there to the chart of two weeks.
  await page.keyboard.press('t');
  await expect(page.getByRole('heading', { name: 'Today', level: 1 })).toBeVisible();
  await page.getByRole('link', { name: 'Two weeks ahead' }).click();
  await expect(page.getByRole('img', { name: /^Two weeks: .*Newspaper rack, \d+ days with work/ })).toBeVisible();
  await expectNoSideways(page);
});

test('hours, days that are otherwise and places are kept, and wrong ones are named', async ({ page, shop }) => {
  await page.goto(`${shop.url}/workshop`);
  const hours = page.getByRole('region', { name: 'Your hours' });
  const friday = hours.getByRole('group', { name: 'Friday' });
  await friday.getByRole('button', { name: 'Add a time, Friday' }).click();
  await friday.getByLabel('from', { exact: true }).fill('22:00');
  await expect(friday.getByText('It ends before it begins: pick a later end.')).toBeVisible();
  await expect(hours.getByRole('button', { name: 'Keep these hours' })).toHaveAttribute('aria-disabled', 'true');
  await friday.getByLabel('from', { exact: true }).fill('18:30');
  await friday.getByLabel('to', { exact: true }).fill('20:00');
  await friday.getByRole('button', { name: 'Add a time, Friday' }).click();
  await friday.getByLabel('from', { exact: true }).nth(1).fill('21:00');
  await friday.getByLabel('to', { exact: true }).nth(1).fill('22:00');
  await hours.getByRole('button', { name: 'Keep these hours' }).click();
  const days = page.getByRole('region', { name: 'Days that are otherwise' });
  await days.getByLabel('Date').fill('2026-12-24');
  await days.getByRole('button', { name: 'Add this day' }).click();
  await expect(days.getByText('no time', { exact: true }).first()).toBeVisible();
  await expect(days.getByRole('button', { name: 'Remove Thu 24 Dec' })).toBeVisible();
  await page.reload();
  await expect(friday.getByLabel('from', { exact: true }).first()).toHaveValue('18:30');
  await expect(friday.getByLabel('to', { exact: true }).nth(1)).toHaveValue('22:00');
  await expect(days.getByText('Thu 24 Dec', { exact: true })).toBeVisible();
  const { setup } = (await (await fetch(`${shop.url}/api/workshop`)).json()) as {
    setup: { time_zone: string; hours: { day: number }[]; places: object };
  };
  expect(setup.hours.filter(({ day }) => day === 5)).toHaveLength(2);
  expect(setup.time_zone).toBe('Europe/Lisbon');
  expect(setup.places).toEqual({ large: 2, small: 3 });
});
