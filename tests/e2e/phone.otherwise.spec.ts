import { DOSSIER_FORMAT, startWishes, type Dossier } from '@/core/dossier';
import { freezeSystem, planPiece } from '@/core/systems';
import { buildTemplate, KIND_TEMPLATES } from '@/core/templates';
import { listTasks, logTask } from '@/core/work';
import { PHRASES } from '@/words';
import { expect, expectBigTargets, expectNoSideways, test } from './server';

/* What was really done: nine of fourteen doors, primed with another tin, yesterday evening; and planned on from there. */
test.use({ timezoneId: 'Europe/Lisbon' });

const JSON_TYPE = { 'Content-Type': 'application/json' };
const DAY_MS = 86_400_000;
const ago = (days: number): string => new Date(Date.now() - days * DAY_MS).toISOString();

/** A kitchen of fourteen doors that is washed, dulled and dusted. */
function makeKitchen(): Dossier {
  const counts = { doors: 14 };
  const { zones: all } = buildTemplate('kitchen_run', KIND_TEMPLATES.kitchen_run.size, counts);
  const zones = all
    .filter(({ role }) => role === 'door')
    .map((zone) => ({ ...zone, stated: { substrate: 'melamine_board' as const, finish: 'factory_film' as const } }));
  const kitchen: Dossier = {
    format: DOSSIER_FORMAT,
    piece: { id: 'kitchen', name: 'Kitchen', kind: 'kitchen_run', counts, history: { era: 'since_2000' } },
    zones,
    goal: startWishes(zones),
  };
  const taken = { ...kitchen, chosen: freezeSystem(planPiece(kitchen).systems[0]!, ago(4), PHRASES) };
  const washed = listTasks(taken, [], { temperature_c: 21, humidity_pct: 50 }).slice(0, 99);
  const until = washed.findIndex(({ op }) => op === 'proof');
  const log = washed
    .slice(0, until)
    .flatMap((task, i) => logTask(task, { at: ago(3 - i * 0.1) }).map((entry) => ({ ...entry, work: `w${i}` })));
  return { ...taken, log };
}

test('nine of fourteen doors are primed with another tin, yesterday, and planned on', async ({ page, shop }) => {
  const { url } = shop;
  const kitchen = makeKitchen();
  const [doors] = kitchen.zones!;
  const planned = kitchen.chosen!.zones[0]!.treatment.primer!;
  await fetch(`${url}/api/pieces/kitchen`, { method: 'PUT', headers: JSON_TYPE, body: JSON.stringify(kitchen) });
  const tin = { class: 'bonding_primer_oil', name: 'Grey oil primer', volume_ml: 2500, size_ml: 2500 };
  expect(planned).not.toBe(tin.class);
  await fetch(`${url}/api/shelf/grey`, { method: 'PUT', headers: JSON_TYPE, body: JSON.stringify(tin) });

  await page.goto(`${url}/piece/kitchen/work`);
  await page
    .getByRole('button', { name: /^(.*, )?Prime.*: to do|primer.*: to do/i })
    .first()
    .click();
  const seen = page.getByRole('button', { name: /^Seen: / });
  while (await seen.isVisible()) await seen.click();
  await page.getByRole('button', { name: 'Something else, or earlier' }).click();
  await page.getByRole('radio', { name: 'Yesterday evening' }).click();
  await page.getByLabel('With what').selectOption({ label: 'Grey oil primer' });
  for (let part = 1; part <= 9; part += 1) await page.getByRole('switch', { name: String(part), exact: true }).click();
  await expectNoSideways(page);
  await expectBigTargets(page);
  await page.getByRole('button', { name: 'Done, like this' }).click();

  await expect(page.getByText('Not as it was planned')).toBeVisible();
  await expect(page.getByText(/\(9\): .*oil adhesion primer, where the plan had/i)).toBeVisible();
  await expect(page.getByText(/^Logged: .*The plan goes on from there/)).toBeVisible();
  const read = async (): Promise<Dossier> => (await (await fetch(`${url}/api/pieces/kitchen`)).json()) as Dossier;
  await expect.poll(async () => (await read()).chosen?.system).toBe('as_logged');
  const after = await read();
  const nine = after.zones!.find(({ id }) => id !== doors!.id)!;
  expect(nine.parts).toHaveLength(9);
  const [entry] = after.log!.filter(({ op }) => op === 'prime');
  expect(entry).toMatchObject({ zone: nine.id, class: 'bonding_primer_oil', product: 'grey', coats: 1 });
  expect(Date.parse(entry!.at!)).toBeLessThan(Date.now() - 3_600_000);
  expect(entry!.logged_at).toBeDefined();
  const treatments = new Map(after.chosen!.zones.map(({ id, treatment }) => [id, treatment.primer]));
  expect([treatments.get(nine.id), treatments.get(doors!.id)]).toEqual(['bonding_primer_oil', planned]);
  // The other five are still to be primed as they were planned.
  await expect(
    page
      .getByRole('button', { name: /to do/ })
      .filter({ hasText: /Prime|primer/i })
      .first(),
  ).toBeVisible();
});

test('in a shop of one’s own no instrument is offered that is not there', async ({ page, shop }) => {
  const { url } = shop;
  await page.goto(`${url}/workshop`);
  await expect(page.getByRole('region', { name: 'Air' })).toBeVisible();
  await expect(page.getByRole('button', { name: /instrument/i })).toHaveCount(0);
  await page.getByLabel('Air, °C').fill('18');
  await page.getByLabel('Humidity, %').fill('55');
  await page.getByRole('button', { name: 'Record this air' }).click();
  const air = async () =>
    ((await (await fetch(`${url}/api/workshop`)).json()) as { air: { source: string }[] }).air.map(
      ({ source }) => source,
    );
  await expect.poll(air).toEqual(['owner']);
});
