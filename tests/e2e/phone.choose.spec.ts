import type { Page } from '@playwright/test';
import type { Dossier } from '@/core/dossier';
import { expect, expectBigTargets, expectNoSideways, test, type Shop } from './server';

type Plain = Pick<Dossier, 'piece' | 'zones' | 'goal'>;

/** A piece as another program may hand it over, opened at Choose. */
async function openChoose(page: Page, shop: Shop, dossier: Plain): Promise<void> {
  const body = { format: 'bricolage.dossier/1', ...dossier };
  const answer = await page.request.put(`${shop.url}/api/pieces/${dossier.piece.id}`, {
    data: body,
    headers: { Origin: shop.url },
  });
  expect(answer.status()).toBe(200);
  await page.goto(`${shop.url}/piece/${dossier.piece.id}/choose`);
  await expect(page.getByRole('heading', { name: dossier.piece.name! })).toBeVisible();
}

/** Everything the plan says when a fold of it is opened. */
async function unfold(page: Page, label: RegExp): Promise<void> {
  await page.getByRole('button', { name: label, expanded: false }).first().click();
}

test('knotty pine in white: blocked before the paint, proved for two days, and the rest with reasons', async ({
  page,
  shop,
}) => {
  await openChoose(page, shop, {
    piece: { id: 'settle', name: 'Pine settle', kind: 'chest', history: { era: '1940_1977', painted_before: 'no' } },
    zones: [
      {
        id: 'seat',
        name: 'Seat',
        role: 'top',
        area_m2: 0.6,
        stated: { substrate: 'knotty_softwood', finish: 'varnish_oil' },
        observations: [{ check: 'lead_test', result: 'negative' }],
        defects: [{ code: 'knot', count: 6 }],
      },
    ],
    goal: { colour: '#F3EFE6' },
  });
  await expect(page.getByRole('heading', { name: /^Best on balance/ })).toBeVisible();
  await expectBigTargets(page);
  await expectNoSideways(page);
  await unfold(page, /steps, and why/);
  await unfold(page, /Prove it on a patch/);
  await expect(page.getByText(/watch it for 48 h/)).toBeVisible();
  await unfold(page, /^\d+\. (Shellac|Oil stain|Waterborne stain)/);
  const considered = page.getByRole('list', { name: 'What else was considered' });
  await expect(considered.getByText('Waterborne bonding primer: ruled out')).toBeVisible();
  await expect(considered.getByText(/blocks no stain/).first()).toBeVisible();
  await unfold(page, /^Not these/);
  await expect(page.getByText(/Colour would come through pale paint/).first()).toBeVisible();

  // The same boards in a dark colour bleed where nobody sees it.
  await page.getByRole('radio', { name: 'Ink' }).click();
  await expect(considered.getByText('Waterborne bonding primer: ruled out')).toHaveCount(0);
});

test('a laminated desk with oak edging gets one paint over two grounds, in one list of jobs', async ({
  page,
  shop,
}) => {
  await openChoose(page, shop, {
    piece: { id: 'desk', name: 'Edged desk', kind: 'desk', history: { era: 'since_2000', painted_before: 'no' } },
    zones: [
      {
        id: 'top',
        name: 'Top',
        role: 'top',
        area_m2: 0.9,
        stated: { substrate: 'hpl_laminate', finish: 'factory_film' },
      },
      {
        id: 'edging',
        name: 'Edging',
        role: 'edge',
        area_m2: 0.15,
        stated: { substrate: 'open_grain_hardwood', finish: 'varnish_oil' },
      },
    ],
    goal: { grain: 'hide' },
  });
  await unfold(page, /^The work in order/);
  const jobs = page.getByRole('list').filter({ hasText: 'Degrease, rinse, dry' });
  await expect(jobs.getByText(/spackle/)).toHaveCount(1);
  await expect(jobs.getByRole('listitem').filter({ hasText: /spackle/ })).toContainText('Edging');
  await expect(jobs.getByRole('listitem').filter({ hasText: 'Degrease, rinse, dry' })).toContainText(
    'Every zone that is painted',
  );
  await unfold(page, /^Schools/);
  const filling = page.getByRole('radiogroup', { name: 'Hiding the grain' });
  await expect(filling.getByRole('radio', { name: /Leave it, .*go wrong/ })).toBeVisible();

  // Left as it is, the edging takes no coat.
  await unfold(page, /^More wishes/);
  await page.getByRole('radiogroup', { name: 'Look of the edging' }).getByRole('radio', { name: 'Leave' }).click();
  await expect(jobs.getByText(/spackle/)).toHaveCount(0);
  await expect(jobs.getByText('Clean and leave as it is')).toBeVisible();
});

test('a painted door of unknown age waits for a lead test, and a positive one stops everything', async ({
  page,
  shop,
}) => {
  const door = (id: string, found: boolean): Plain => ({
    piece: {
      id,
      name: found ? 'Leaded door' : 'Old door',
      kind: 'interior_door',
      history: { era: 'unknown', painted_before: 'yes' },
    },
    zones: [
      {
        id: 'face',
        name: 'Face',
        role: 'door',
        area_m2: 1.6,
        stated: { substrate: 'clear_softwood', finish: 'alkyd_paint' },
        ...(found ? { observations: [{ check: 'lead_test', result: 'positive' }] } : {}),
      },
    ],
  });
  await openChoose(page, shop, door('old-door', false));
  await expect(page.getByText('Lead test first')).toBeVisible();
  await expect(page.getByText(/No dry sanding, power sanding or heat until a lead test/)).toBeVisible();
  await openChoose(page, shop, door('leaded-door', true));
  await expect(page.getByText('Stop: lead was found')).toBeVisible();
  await expect(page.getByRole('button', { name: 'Take this one' })).toHaveCount(0);
});

test('stain is refused on printed foil, with a reason one can read aloud', async ({ page, shop }) => {
  await openChoose(page, shop, {
    piece: { id: 'cupboard', name: 'Foil cupboard', kind: 'bookcase', history: { era: 'since_2000' } },
    zones: [
      {
        id: 'side',
        name: 'Side',
        role: 'side',
        area_m2: 1,
        stated: { substrate: 'paper_foil', finish: 'factory_film' },
      },
    ],
    goal: { look: 'stain' },
  });
  await expect(page.getByText('No system is left')).toBeVisible();
  await unfold(page, /^Not these/);
  // Once where it says that nothing is left, and once under what was ruled out.
  await expect(page.getByText(/Only wood takes a stain.*printed picture/)).toHaveCount(2);
  await unfold(page, /^More wishes/);
  await page.getByRole('radiogroup', { name: 'Look of the piece' }).getByRole('radio', { name: 'Paint' }).click();
  await expect(page.getByRole('button', { name: 'Take this one' })).toBeVisible();
});

test('a tin is on the shelf in three taps and is used first; what was taken stays when better is known', async ({
  page,
  shop,
}) => {
  await page.goto(`${shop.url}/shelf`);
  await expect(page.getByText('Nothing on the shelf yet')).toBeVisible();
  await page.getByRole('button', { name: 'Add a tin' }).click();
  await page.getByRole('radio', { name: 'Cabinet enamel' }).click();
  await page.getByRole('radio', { name: '750 ml' }).click();
  const tins = page.getByRole('list', { name: 'Tins' });
  await expect(tins.getByText('750 ml left')).toBeVisible();
  await page.getByRole('button', { name: /^Correct/ }).click();
  await page.getByLabel('Left, ml').fill('minus two');
  await expect(page.getByText('How much is left, 0 or more.')).toBeVisible();
  await page.getByLabel('Left, ml').fill('100');
  await page.getByLabel('Your name for it').fill('The white one');
  await page.getByRole('button', { name: 'Keep it so' }).click();
  await expect(tins.getByText('Running low')).toBeVisible();
  await page.reload();
  await expect(tins.getByText('The white one', { exact: true })).toBeVisible();

  const piece: Plain = {
    piece: { id: 'box', name: 'Maple box', kind: 'chest', history: { era: 'since_2000', painted_before: 'no' } },
    zones: [
      {
        id: 'front',
        name: 'Front',
        role: 'front',
        area_m2: 0.7,
        stated: { substrate: 'closed_grain_hardwood', finish: 'varnish_oil' },
      },
    ],
    goal: { paint: 'wb_alkyd_enamel' },
  };
  await openChoose(page, shop, piece);
  await unfold(page, /^To buy/);
  await expect(page.getByText(/100 ml from the shelf, and /)).toBeVisible();
  await page.getByRole('button', { name: 'Take this one' }).click();
  await expect(page).toHaveURL(/prove$/);
  await page.getByRole('link', { name: 'Choose' }).click();
  await expect(page.getByText(/^Version 1, taken on/)).toBeVisible();
  await expect(page.getByText('Nothing that was learned since speaks against it.')).toBeVisible();

  // A failed patch of that very treatment: the version stays, a rule now forbids it, something else is proposed.
  const stored = (await (await page.request.get(`${shop.url}/api/pieces/box`)).json()) as Dossier;
  const { treatment } = stored.chosen!.zones[0]!;
  await page.request.put(`${shop.url}/api/pieces/box/tests/t-1`, {
    data: { zone: 'front', kind: 'nail', treatment, age_h: 48, reading: { score: 4 } },
    headers: { Origin: shop.url },
  });
  await page.reload();
  await expect(page.getByText(/^Version 1, taken on .*: a rule now forbids it/)).toBeVisible();
  const after = (await (await page.request.get(`${shop.url}/api/pieces/box`)).json()) as Dossier;
  expect(after.chosen).toEqual(stored.chosen);
  await page.getByRole('button', { name: 'Take this one' }).click();
  await expect(page).toHaveURL(/prove$/);
  await page.getByRole('link', { name: 'Choose' }).click();
  await expect(page.getByText(/^Version 2, taken on/)).toBeVisible();
});
