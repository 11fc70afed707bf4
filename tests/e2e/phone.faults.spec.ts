import { expect, expectBigTargets, expectNoSideways, follow, test } from './server';

/** A chest that stood in a damp cellar: what it is made of is known, what is wrong with it is found in the test. */
async function putChest(url: string): Promise<void> {
  const stated = { substrate: 'clear_softwood', finish: 'varnish_oil' };
  const answer = await fetch(`${url}/api/pieces/p-1`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({
      format: 'bricolage.dossier/1',
      piece: { id: 'p-1', name: 'Cellar chest', kind: 'chest', history: { era: 'since_2000', room: 'nursery' } },
      zones: [{ id: 'fronts', name: 'Drawer fronts', role: 'drawer_front', area_m2: 0.6, stated }],
      goal: { ventilation: 'good' },
    }),
  });
  expect(answer.status).toBe(200);
}

test('a damp, mouldy chest with a loose runner and old holes, from Read to the first step of Work', async ({
  page,
  shop,
  strangers,
}) => {
  await putChest(shop.url);
  await page.goto(`${shop.url}/piece/p-1/read?zone=fronts`);

  // Damage is offered by what the eye meets, the likely first; each asks its one question.
  const damage = page.getByRole('region', { name: 'Damage and stains' });
  const add = async (name: string): Promise<void> => {
    await damage.getByRole('button', { name: 'Add damage or a stain' }).click();
    await damage.getByRole('radio', { name, exact: true }).click();
  };
  await damage.getByRole('button', { name: 'Add damage or a stain' }).click();
  const likely = damage.getByRole('radiogroup', { name: 'Likely here' }).getByRole('radio');
  await expect(likely).toHaveCount(10);
  await expect(likely.filter({ hasText: 'Loose runner' })).toBeVisible();
  await expect(likely.filter({ hasText: 'Lifting foil' })).toHaveCount(0);
  await expectBigTargets(page);
  await expectNoSideways(page);
  await damage.getByRole('radio', { name: 'Loose runner', exact: true }).click();
  await add('Old hardware holes');
  await damage.getByRole('button', { name: 'Old hardware holes: one more' }).click();
  await add('Mould');
  await expect(page.getByText(/Wet mould comes back through any coat/)).toBeVisible();

  // Choose holds it back, says why and what ends it; each fault has its answer, and small things are on the list.
  await page.getByRole('link', { name: 'Choose', exact: true }).click();
  await expect(page.getByText('Mould: held back')).toBeVisible({ timeout: 20_000 });
  const system = page.getByRole('article').first();
  await system.getByRole('button', { name: 'Drawer fronts: 3 faults, and what is done' }).click();
  for (const text of ['Tighten it', 'Fill hard, in two passes', 'Find the damp, clean, dry'])
    await expect(system.getByText(text)).toBeVisible();
  await expect(system.getByText('Left: the drawer drops and rubs the new paint.')).toBeVisible();
  await expect(system.getByText(/^For a child: use products certified for it/)).toBeVisible();
  await system.getByRole('button', { name: /^To buy/ }).click();
  for (const text of [/^Wood glue, about/, /^Polyester filler, about/, /^Mould cleaner, about/])
    await expect(system.getByText(text)).toBeVisible();
  await expectNoSideways(page);
  await system.getByRole('button', { name: 'Take this one' }).click();

  // Work begins with what may be done while it is alive, and holds the rest.
  await follow(page, `${shop.url}/piece/p-1/work`);
  await expect(page.getByText('Something is still alive here')).toBeVisible({ timeout: 20_000 });
  const step = page.getByRole('region', { name: 'This step' });
  await expect(step.getByRole('heading', { name: 'Take off, label in two places' })).toBeVisible();
  await page.getByRole('button', { name: /^Done: / }).click();
  await expect(step.getByRole('heading', { name: 'Find where the damp comes from' })).toBeVisible();
  await expect(step.getByText(/Mould comes back through anything while the wood is damp/)).toBeVisible();
  await page.getByRole('button', { name: /^Seen: mould/ }).click();
  await page.getByRole('button', { name: /^Done: / }).click();
  const logged = async () => {
    const { log = [] } = (await (await fetch(`${shop.url}/api/pieces/p-1`)).json()) as { log?: { op: string }[] };
    return log.map(({ op }) => op);
  };
  await expect.poll(logged).toEqual(['hardware_off', 'wait']);

  // Dry, and its source ended: the hold is over.
  await follow(page, `${shop.url}/piece/p-1/read?zone=fronts`);
  await damage.getByRole('radio', { name: 'Dry now, source ended' }).click();
  await expect(page.getByText(/Wet mould comes back through any coat/)).toHaveCount(0);
  await follow(page, `${shop.url}/piece/p-1/work`);
  await expect(page.getByRole('region', { name: 'This step' })).toBeVisible({ timeout: 20_000 });
  await expect(page.getByText('Something is still alive here')).toHaveCount(0);
  expect(strangers).toEqual([]);
});
