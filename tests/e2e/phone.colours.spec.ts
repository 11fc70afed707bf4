import { readFileSync } from 'node:fs';
import path from 'node:path';
import type { Page } from '@playwright/test';
import { freezeSystem, planPiece } from '@/core/systems';
import { listTasks, logTask } from '@/core/work';
import type { Dossier, LogEntry } from '@/core/dossier';
import { PHRASES } from '@/words';
import { PHOTOGRAPHS } from './photographs';
import { expect, expectBigTargets, expectNoSideways, follow, listViolations, test } from './server';

test.use({ timezoneId: 'Europe/Lisbon' });

const put = async (url: string, body: unknown): Promise<void> => {
  const answer = await fetch(url, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  });
  expect(answer.status).toBeLessThan(300);
};
const read = async (url: string): Promise<Dossier> => (await (await fetch(url)).json()) as Dossier;

/** axe finds nothing, in light or in dark. */
async function expectNoViolations(page: Page, where: string): Promise<void> {
  expect(await listViolations(page, where)).toEqual([]);
  await page.emulateMedia({ colorScheme: 'dark' });
  // The theme changes in one turn of the page.
  await page.waitForTimeout(200);
  expect(await listViolations(page, `${where} dark`, ['color-contrast'])).toEqual([]);
  await page.emulateMedia({ colorScheme: 'light' });
}

const WOOD = { substrate: 'closed_grain_hardwood', finish: 'varnish_oil' } as const;
const kitchen = (goal: Dossier['goal'] = {}): Dossier => ({
  format: 'bricolage.dossier/1',
  piece: {
    id: 'galley',
    name: 'Galley',
    kind: 'kitchen_run',
    counts: { doors: 3, drawers: 0 },
    history: { era: 'since_2000' },
  },
  zones: [
    { id: 'doors', name: 'Doors', role: 'door', area_m2: 1.8, stated: WOOD },
    { id: 'frame', name: 'Carcass', role: 'frame', area_m2: 1.1, stated: WOOD },
    { id: 'end_panels', name: 'End panels', role: 'side', area_m2: 0.9, stated: WOOD },
  ],
  goal: { colour: '#F3EFE6', paint: 'wb_alkyd_enamel', ...goal },
});

test('a kitchen in two colours, from the wishes on its drawing to what is bought and done', async ({ page, shop }) => {
  await put(`${shop.url}/api/pieces/galley`, kitchen());
  await page.goto(`${shop.url}/piece/galley/choose`);
  await expect(page.getByRole('heading', { name: /^Best on balance/ })).toBeVisible();
  const scopes = page.getByRole('radiogroup', { name: 'What is coloured' });
  await scopes.getByRole('radio', { name: 'Doors' }).click();
  await page.getByRole('radiogroup', { name: 'Colour of the doors' }).getByRole('radio', { name: 'Ink' }).click();
  await expect(page.getByText(/apart in lightness: a strong contrast/)).toBeVisible();
  await expect
    .poll(async () => (await read(`${shop.url}/api/pieces/galley`)).goal?.zones)
    .toEqual({
      doors: { colour: '#2B3A42' },
    });
  await page.getByRole('button', { name: 'A second colour on the doors' }).click();
  await page.getByRole('radiogroup', { name: 'Where it lies' }).getByRole('radio', { name: 'Level bands' }).click();
  const width = page.getByRole('group', { name: 'Band 1' }).getByLabel(/^Width/);
  await width.fill('40');
  await width.blur();
  await expect(page.getByText(/^Takes \d+ % of it, .* of tape\.$/)).toBeVisible();
  // Two bands that would lie on each other are not kept.
  await page.getByRole('button', { name: 'One more band' }).click();
  const second = page.getByRole('group', { name: 'Band 2' }).getByLabel(/^From the lower edge/);
  const kept = await second.inputValue();
  await second.fill('0.5');
  await second.blur();
  await page.getByRole('button', { name: 'Remove band 2' }).click();
  expect(Number(kept)).toBeGreaterThan(40);
  // The band is drawn up the face by hand, and the numbers follow.
  const start = page.getByRole('group', { name: 'Band 1' }).getByLabel(/^From the lower edge/);
  const before = Number(await start.inputValue());
  const face = page.getByRole('img', { name: 'The face with its second colour' });
  await face.evaluate((drawing) => drawing.scrollIntoView({ block: 'center' }));
  const box = (await face.boundingBox())!;
  // It lies about the middle of the face until it is moved.
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2);
  await page.mouse.down();
  await page.mouse.move(box.x + box.width / 2, box.y + box.height / 2 - 20, { steps: 4 });
  await page.mouse.up();
  await expect.poll(async () => Number(await start.inputValue())).toBeGreaterThan(before);
  await expectNoViolations(page, 'wishes');
  await expectBigTargets(page);
  await expectNoSideways(page);

  await page
    .getByRole('button', { name: /^To buy/ })
    .first()
    .click();
  const toBuy = page
    .getByRole('list')
    .filter({ has: page.getByText(/for all zones/) })
    .first();
  await expect(toBuy.getByText('#2B3A42', { exact: false })).toBeVisible();
  await expect(toBuy.getByText('#F3EFE6', { exact: false }).first()).toBeVisible();
  await page.getByRole('button', { name: /^Work of the hand/ }).click();
  await expect(page.getByText(/A sharp edge is a sealed edge/)).toBeVisible();
  await page.getByRole('switch', { name: /^Leave out: stand the parts/ }).click();
  await expect(page.getByText('Each side waits for the other to dry: about a day more.')).toBeVisible();

  await page.getByRole('button', { name: 'Take this one' }).first().click();
  await expect(page).toHaveURL(/\/prove$/);
  const { chosen, goal } = await read(`${shop.url}/api/pieces/galley`);
  expect(goal?.without).toEqual(['stand']);
  const steps = chosen!.zones.flatMap(({ steps: own }) => own!);
  expect(new Set(steps.flatMap(({ colour }) => colour ?? []))).toEqual(new Set(['#2B3A42', '#F3EFE6']));
  expect(steps.some(({ hand }) => hand === 'tape_second')).toBe(true);
  expect(steps.some(({ hand }) => hand === 'stand')).toBe(false);
  await follow(page, `${shop.url}/piece/galley/work`);
  const job = page.getByRole('region', { name: 'The job' });
  await expect(job.getByText(/dark greyish blue/).first()).toBeVisible();
  await expect(job.getByText(/cream/).first()).toBeVisible();
});

/** A kitchen with a band on its doors, worked up to the coat that the tape lies along. */
function workUpTo(at: string): Dossier {
  const piece = kitchen({
    zones: { doors: { second: { colour: '#2B3A42', lies: 'level', bands: [{ at_mm: 80, width_mm: 40 }] } } },
  });
  const [system] = planPiece(piece).systems;
  const chosen = freezeSystem(system!, '2026-11-01T08:00:00Z', PHRASES);
  const overrides = piece.zones!.flatMap(({ id }) =>
    (['prime_to_paint', 'bleed'] as const).map((gate) => ({
      id: `${id}-${gate}`,
      zone: id,
      gate,
      reason: 'Proved on the last one',
      at: '2026-11-02T08:00:00Z',
    })),
  );
  const taken: Dossier = { ...piece, chosen, overrides };
  const tasks = listTasks(taken, [], { temperature_c: 20, humidity_pct: 50 });
  const last = tasks.findIndex(({ hand }) => hand === 'pull_tape');
  const log: LogEntry[] = tasks
    .slice(0, last)
    .flatMap((task, i) =>
      logTask(task, { at: i === last - 1 ? at : `2026-11-${String(4 + i).padStart(2, '0')}T10:00:00Z` }),
    )
    .map((entry, i) => ({ ...entry, id: `l-${i}`, work: `w-${entry.task}`.replaceAll(/[^A-Za-z0-9._-]/g, '-') }));
  return { ...taken, log };
}

test.describe('at the end of the last coat', () => {
  test.use({ serverClock: '2026-11-28T12:00:00.000Z' });

  test('the tape is pulled in time, with its drawing beside it', async ({ page, shop }) => {
    await page.clock.install({ time: new Date('2026-11-28T10:00:00Z') });
    await put(`${shop.url}/api/pieces/galley`, workUpTo('2026-11-28T09:40:00Z'));
    await page.goto(`${shop.url}/piece/galley/work`);
    const step = page.getByRole('region', { name: 'This step' });
    await expect(step.getByRole('heading', { name: 'Pull the tape' })).toBeVisible();
    await expect(step.getByRole('img', { name: 'Back over itself at 45°' })).toBeVisible();
    await expect(step.getByText(/Dry already\? Score along it/)).toBeVisible();
    await expect(step.getByText(/Common practice/).first()).toBeVisible();
    await expectNoViolations(page, 'the step');
    await expect(step.getByText('Until 11:40 only', { exact: false })).toBeVisible();
    await expect(step.getByText(/leave the tape until .*, and score along it first/)).toBeVisible();
    await page.getByRole('button', { name: /^Done: / }).click();
    await expect
      .poll(async () =>
        (await read(`${shop.url}/api/pieces/galley`)).log?.some(({ task }) => task?.includes('pull_tape')),
      )
      .toBe(true);
  });
});

test('the gun is set on a card: what is seen says what to change, and what went well is kept', async ({
  page,
  shop,
}) => {
  const piece = workUpTo('2026-11-28T09:40:00Z');
  const sprayed: Dossier = { ...piece, goal: { ...piece.goal, application: 'spray' } };
  await put(`${shop.url}/api/shelf/mine`, {
    class: 'wb_alkyd_enamel',
    name: 'Mine',
    volume_ml: 2000,
    max_thinning_pct: 5,
  });
  // Without the last coat it is the next step.
  const log = sprayed.log!.filter(({ task }) => !task?.startsWith('12-paint'));
  await put(`${shop.url}/api/pieces/galley`, { ...sprayed, log });
  await page.goto(`${shop.url}/piece/galley/work`);
  await page
    .getByRole('button', { name: /^Cabinet enamel, coat 1/ })
    .first()
    .click();
  const gun = page.getByRole('region', { name: 'The gun' });
  await expect(gun.getByText(/Thin by 5 % of the paint at most/)).toBeVisible();
  await gun.getByLabel(/^Air at the gun/).fill('0.8');
  await expect(gun.getByText('Foreseen on card: Spider legs')).toBeVisible();
  await gun.getByRole('radio', { name: 'Spider legs' }).click();
  await expect(gun.getByText('1. A little more air.')).toBeVisible();
  await expectNoViolations(page, 'the gun');
  await expectBigTargets(page);
  await gun.getByLabel(/^Air at the gun/).fill('2.1');
  await gun.getByRole('radio', { name: 'Even from end to end' }).click();
  await gun.getByRole('button', { name: 'Keep this with the tin' }).click();
  await expect
    .poll(async () => (await (await fetch(`${shop.url}/api/shelf`)).json()).tins[0].spray)
    .toMatchObject({ gun: 'compressor', air_bar: 2.1 });
});

test.describe('from a photograph', () => {
  const pick = async (page: Page, file: string): Promise<void> => {
    const choosing = page.waitForEvent('filechooser');
    await page
      .getByRole('dialog')
      .getByRole('button', { name: /picture$/ })
      .last()
      .click();
    await (await choosing).setFiles(path.join(PHOTOGRAPHS, file));
  };

  test('tins stand by how near they come, a card sets how well a tin hides, and a bad picture is refused', async ({
    page,
    shop,
  }) => {
    const enamel = { class: 'wb_alkyd_enamel', volume_ml: 500 };
    await put(`${shop.url}/api/shelf/sage`, { ...enamel, name: 'Sage', colour: '#9DB0A5' });
    await put(`${shop.url}/api/shelf/ink`, { ...enamel, name: 'Ink', colour: '#2B3A42' });
    await page.goto(`${shop.url}/shelf`);
    await page.getByRole('button', { name: 'Which tin meets a colour?' }).click();
    const sheet = page.getByRole('dialog');
    await pick(page, 'colour-dark.jpg');
    await sheet.getByRole('button', { name: 'Read the colour' }).click();
    await expect(sheet.getByText(/The white paper is too dark/)).toBeVisible({ timeout: 20_000 });
    // A box is drawn anew with the finger.
    const picture = sheet.getByRole('application');
    const marked = (await picture.getAttribute('aria-label'))!.replace('Box for ', '');
    const frame = (await picture.boundingBox())!;
    await page.mouse.move(frame.x + 20, frame.y + 30);
    await page.mouse.down();
    await page.mouse.move(frame.x + 60, frame.y + 60, { steps: 4 });
    await page.mouse.up();
    await expect
      .poll(async () => Math.abs((await picture.getByText(marked, { exact: true }).boundingBox())!.y - frame.y - 30))
      .toBeLessThan(8);
    await pick(page, 'colour.jpg');
    await sheet.getByRole('button', { name: 'Read the colour' }).click();
    const tins = sheet.getByRole('list', { name: 'Tins, nearest first' }).getByRole('listitem');
    await expect(tins.first()).toContainText('Sage', { timeout: 20_000 });
    await expect(tins.first()).toContainText('It is lighter');
    await expectNoViolations(page, 'the match');
    await expectBigTargets(page);
    await expectNoSideways(page);
    await sheet.getByRole('button', { name: 'Close' }).click();

    await page.getByRole('button', { name: 'Does one coat of Sage hide?' }).click();
    await pick(page, 'card.jpg');
    await sheet.getByRole('button', { name: 'Read the card' }).click();
    await sheet.getByRole('button', { name: 'Keep it with the tin' }).click({ timeout: 20_000 });
    const { ratio } = JSON.parse(readFileSync(path.join(PHOTOGRAPHS, 'card.json'), 'utf8')) as { ratio: number };
    const kept = async (): Promise<number> => {
      const { tins: all } = (await (await fetch(`${shop.url}/api/shelf`)).json()) as {
        tins: { id: string; contrast_ratio?: number }[];
      };
      return all.find(({ id }) => id === 'sage')?.contrast_ratio ?? 0;
    };
    await expect.poll(async () => Math.abs((await kept()) - ratio) < 0.02).toBe(true);
  });

  test('a mix is corrected after its trial, its rest kept, and made again for another piece', async ({
    page,
    shop,
  }) => {
    const enamel = { class: 'wb_alkyd_enamel', volume_ml: 2500 };
    await put(`${shop.url}/api/shelf/white`, { ...enamel, name: 'White', colour: '#F4F1E8' });
    await put(`${shop.url}/api/shelf/green`, { ...enamel, name: 'Green', colour: '#2F5B3A' });
    const mix = {
      id: 'harbour',
      kind: 'colour',
      name: 'Harbour mix',
      class: 'wb_alkyd_enamel',
      parts: [
        { name: 'White', parts: 450, tin: 'white', colour: '#F4F1E8' },
        { name: 'Green', parts: 50, tin: 'green', colour: '#2F5B3A' },
      ],
      volume_ml: 500,
      colour: '#B7C4B6',
      target: '#C4CEC4',
    };
    await put(`${shop.url}/api/pieces/galley`, { ...workUpTo('2026-11-28T09:40:00Z'), mixes: [mix] });
    const other = kitchen();
    await put(`${shop.url}/api/pieces/pantry`, {
      ...workUpTo('2026-11-28T09:40:00Z'),
      piece: { ...other.piece, id: 'pantry', name: 'Pantry' },
    });
    await page.goto(`${shop.url}/piece/galley/work`);
    await page.getByRole('button', { name: /^Mixes/ }).click();
    await page.getByRole('button', { name: 'Correct it after a trial: Harbour mix' }).click();
    await pick(page, 'colour.jpg');
    const sheet = page.getByRole('dialog');
    await sheet.getByRole('button', { name: 'Read the colour' }).click();
    await expect(sheet.getByText(/^It came out darker/)).toBeVisible({ timeout: 20_000 });
    await sheet.getByRole('button', { name: 'Take these shares' }).click();
    const mixOf = async (id: string) => (await read(`${shop.url}/api/pieces/${id}`)).mixes?.[0];
    await expect.poll(async () => (await mixOf('galley'))?.trials?.length).toBe(1);
    const share = (parts: readonly { name: string; parts: number }[]): number =>
      parts.find(({ name }) => name === 'Green')!.parts / parts.reduce((sum, own) => sum + own.parts, 0);
    // It came out darker than wanted: less of the dark tin.
    expect(share((await mixOf('galley'))!.parts)).toBeLessThan(0.1);
    await page.getByRole('button', { name: /^Keep 50 ml of Harbour mix/ }).click();
    await follow(page, `${shop.url}/shelf`);
    await expect(page.getByRole('list', { name: 'Tins' }).getByText('Harbour mix', { exact: true })).toBeVisible();
    await expect(
      page.getByRole('list', { name: 'Mixed colours' }).getByText('Harbour mix', { exact: true }),
    ).toBeVisible();
    await follow(page, `${shop.url}/piece/pantry/work`);
    await page.getByRole('button', { name: /^Mixes/ }).click();
    await page.getByRole('button', { name: 'A colour that was mixed before' }).click();
    await sheet.getByRole('button', { name: /^Make .* for this piece$/ }).click();
    await expect.poll(async () => (await mixOf('pantry'))?.recipe).toBe('harbour');
    await follow(page, `${shop.url}/shelf`);
    await expect(
      page.getByRole('list', { name: 'Mixed colours' }).getByRole('button', { name: /for Pantry$/ }),
    ).toBeVisible();
  });
});
