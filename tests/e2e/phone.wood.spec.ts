import type { Dossier } from '@/core/dossier';
import { expect, expectBigTargets, expectNoSideways, test } from './server';

/* A teak sideboard is kept as wood: told so at the door, its drops asked, oiled, proved and logged. */
test.use({ timezoneId: 'Europe/Lisbon' });

const stated = { substrate: 'oily_tropical_wood' as const, finish: 'oil' as const };
const TEAK: Dossier = {
  format: 'bricolage.dossier/1',
  piece: {
    id: 'teak',
    name: 'Long sideboard',
    kind: 'sideboard',
    history: { era: 'since_2000', room: 'living', painted_before: 'no' },
  },
  zones: [
    { id: 'top', name: 'Top', role: 'top', area_m2: 0.7, stated },
    { id: 'sides', name: 'Sides', role: 'side', area_m2: 0.7, stated },
  ],
  money: { currency: 'EUR', hour_rate: 12, asking: 20, sale: { low: 140, likely: 200, high: 280 } },
};

test('teak goes from “worth more as wood” to an oiled top, proved and logged', async ({ page, shop, strangers }) => {
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  await fetch(`${shop.url}/api/pieces/teak`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(TEAK),
  });
  const read = async (): Promise<Dossier> => (await (await fetch(`${shop.url}/api/pieces/teak`)).json()) as Dossier;

  // At the door.
  await page.goto(`${shop.url}/piece/teak/meet`);
  await expect(page.getByText(/^Worth more as wood: /)).toBeVisible({ timeout: 20_000 });

  // Paint, refresh and refinish side by side; one is taken.
  await page.goto(`${shop.url}/piece/teak/choose`);
  const ways = page.getByRole('radiogroup', { name: 'Paint it, or keep the wood?' });
  await expect(ways.getByRole('radio')).toHaveCount(5, { timeout: 20_000 });
  await expect(ways.getByRole('radio', { name: /^Paint( ·|,) ?/ })).toHaveAttribute('aria-checked', 'true');
  await expectBigTargets(page);
  await expectNoSideways(page);
  await ways.getByRole('radio', { name: /^Refinish( ·|,)/ }).click();
  await expect.poll(async () => (await read()).goal?.zones?.top).toEqual({ look: 'clear', keep: 'refinish' });
  // Whoever has a wish finds the ways folded, and the plan below is of it.
  await expect(page.getByRole('button', { name: 'Paint it, or keep the wood?' })).toBeVisible();
  await expect(page.getByText(/^Wiping oil ×2$/).first()).toBeVisible({ timeout: 20_000 });
  await page.getByRole('button', { name: 'Take this one' }).first().click();
  await expect(page).toHaveURL(/\/piece\/teak\/prove$/);

  // A patch of the whole of it, in a hidden place: nail and cross-cut at their age open the gate.
  const taken = (await read()).chosen!.zones[0]!.treatment;
  expect(taken).toMatchObject({ prep: 'scuff_220', primer: 'none', clear: 'wipe_on_oil' });
  await expect(page.getByText(/^No test yet for scuff 220, wiping oil\./).first()).toBeVisible();
  const form = page.getByRole('region', { name: 'Log a test' });
  for (const zone of ['Top', 'Sides']) {
    for (const kind of [/^Thumbnail/, /^Cross-cut/]) {
      await form.getByRole('radio', { name: kind }).click();
      await form.getByRole('radio', { name: /^(Class )?0,/ }).click();
      await form.getByLabel('Age of the patch, hours').fill('72');
      await form.getByRole('button', { name: 'Log this test' }).click();
    }
    await expect(page.getByRole('radio', { name: `${zone} ✓` })).toBeVisible();
    // The next zone is offered, and not switched to.
    if (zone === 'Top') await page.getByRole('button', { name: 'Go on with the sides' }).click();
  }

  // And to the last wipe.
  await page.goto(`${shop.url}/piece/teak/work`);
  await expect(page.getByRole('button', { name: /^Done: / })).toBeVisible();
  for (let step = 0; step < 24; step += 1) {
    const seen = page.getByRole('button', { name: /^Seen: / });
    while (await seen.isVisible()) await seen.click();
    const done = page.getByRole('button', { name: /^Done( all the same)?: / }).first();
    if (!(await done.isVisible())) break;
    const logged = (await read()).log?.length ?? 0;
    await done.click();
    await expect.poll(async () => (await read()).log?.length ?? 0).toBeGreaterThan(logged);
  }
  const { log = [] } = await read();
  expect(log.filter(({ op, class: code }) => op === 'topcoat' && code === 'wipe_on_oil').length).toBeGreaterThan(0);
  expect(log.some(({ op }) => op === 'paint' || op === 'prime')).toBe(false);
  expect(errors).toEqual([]);
  expect(strangers).toEqual([]);
});
