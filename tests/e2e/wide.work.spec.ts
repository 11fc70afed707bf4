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
  await expect(page.getByText('9 of 13 done')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).press('Enter');
  await expect(page.getByText('8 of 13 done')).toBeVisible();

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
  await hours.getByLabel('Friday').fill('evening');
  await expect(hours.getByText('Write it as 19:00–21:00; several with a comma, nothing for no time.')).toBeVisible();
  await expect(hours.getByRole('button', { name: 'Keep these hours' })).toHaveAttribute('aria-disabled', 'true');
  await hours.getByLabel('Friday').fill('18.30 to 20, 21-22');
  await hours.getByRole('button', { name: 'Keep these hours' }).click();
  const days = page.getByRole('region', { name: 'Days that are otherwise' });
  await days.getByLabel('Date').fill('2026-12-24');
  await days.getByRole('button', { name: 'Add this day' }).click();
  await expect(days.getByText('no time', { exact: true })).toBeVisible();
  await page.reload();
  await expect(hours.getByLabel('Friday')).toHaveValue('18:30–20:00, 21:00–22:00');
  await expect(days.getByText('2026-12-24', { exact: true })).toBeVisible();
  const { setup } = (await (await fetch(`${shop.url}/api/workshop`)).json()) as {
    setup: { time_zone: string; hours: { day: number }[]; places: object };
  };
  expect(setup.hours.filter(({ day }) => day === 5)).toHaveLength(2);
  expect(setup.time_zone).toBe('Europe/Lisbon');
  expect(setup.places).toEqual({ large: 2, small: 3 });
});
