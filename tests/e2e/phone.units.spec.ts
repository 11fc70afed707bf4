import { expect, follow, test } from './server';

test.use({ demo: true, locale: 'en-US' });

test('measures are the device’s, money is the shop’s, and the clock is the owner’s', async ({
  page,
  shop,
  browser,
}) => {
  await page.goto(`${shop.url}/shelf`);
  await expect(page.getByText(/ml left$/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Measures and money' }).click();
  await page.getByRole('radio', { name: 'US', exact: true }).click();
  await page.getByLabel('Currency of the shop').selectOption('USD');
  await expect(page.getByText(/fl oz left$/).first()).toBeVisible();
  await expect(page.getByText(/ft²\/gal · \$62/)).toBeVisible();

  // A tin that is looked at in other units is not changed by it.
  const before = await (await page.request.get(`${shop.url}/api/shelf`)).json();
  await page.getByRole('button', { name: /^Correct White enamel/ }).click();
  await expect(page.getByLabel('Paid, USD')).toHaveValue('62');
  await page.getByRole('button', { name: 'Keep it so' }).click();
  await expect(page.getByRole('dialog')).toBeHidden();
  await page.waitForLoadState('networkidle');
  expect(await (await page.request.get(`${shop.url}/api/shelf`)).json()).toEqual(before);

  await follow(page, `${shop.url}/workshop`);
  await page.getByLabel('Air, °F').fill('68');
  await page.getByLabel(/^Humidity/).fill('50');
  await expect(page.getByText(/^Dew point 49 °F, surface 19\.\d °F above it$/)).toBeVisible();
  // Too hot for any air is refused in the owner's own degrees.
  await page.getByLabel('Air, °F').fill('200');
  await expect(page.getByText('From -40 to 140 °F.')).toBeVisible();
  await page.getByRole('region', { name: 'Places' }).getByRole('button', { name: 'More' }).first().click();
  await expect(page.getByLabel('Large, as for a dresser')).toHaveValue('3');
  await page.getByLabel('Large, as for a dresser').press('ArrowDown');
  await expect(page.getByLabel('Large, as for a dresser')).toHaveValue('2');

  await follow(page, `${shop.url}/ahead`);
  await expect(page.getByText(/\d:\d\d\sPM/).first()).toBeVisible();

  // Another device of the shop has its money, and measures of its own.
  const other = await browser.newPage({ locale: 'en-GB' });
  await other.goto(`${shop.url}/shelf`);
  await expect(other.getByText(/m²\/L · US\$62/)).toBeVisible();
  await other.close();

  // A device that writes decimals with a comma has them so, and may type them so.
  const comma = await browser.newPage({ locale: 'de-DE' });
  await comma.goto(`${shop.url}/workshop`);
  await comma.getByLabel('Air, °C').fill('20,5');
  await comma.getByLabel(/^Humidity/).fill('50');
  await expect(comma.getByText(/^Dew point 9,7 °C, surface 10,\d °C above it$/)).toBeVisible();
  await comma.close();
});
