import { levelOf, type ShelfItem } from '@/core/dossier';
import type { Page } from '@playwright/test';
import { makePiece, plainSteps } from '../properties/shop-data';
import { expect, expectBigTargets, expectNoSideways, follow, test } from './server';

/* A Saturday in the workshop: the page's clock is the test's, and the server's stands later than it. */
test.use({ timezoneId: 'Europe/Lisbon' });

const JSON_TYPE = { 'Content-Type': 'application/json' };
const put = (url: string, body: unknown): Promise<Response> =>
  fetch(url, { method: 'PUT', headers: JSON_TYPE, body: JSON.stringify(body) });

/** Two pieces that want the same tins, Saturday mornings free, a tin of shellac and one of enamel. */
async function openShop(url: string): Promise<void> {
  const steps = plainSteps().map((step) => {
    if (step.op === 'prime')
      return { ...step, label: 'Shellac primer', class: 'shellac_primer', recoat_h: 1, wait_h: 1 };
    return step.op === 'paint'
      ? { ...step, product: 'enamel', coats: 1, wait_h: 16, label: 'Cabinet enamel', ml: 150 }
      : step;
  });
  for (const id of ['rack', 'bench']) {
    const piece = makePiece(id, ['top'], steps);
    const treatment = { prep: 'scuff_150', primer: 'shellac_primer', coats: 1 };
    const chosen = { ...piece.chosen, zones: [{ id: 'top', treatment, steps }] };
    const tests = piece.tests!.map((own) => ({ ...own, treatment }));
    await put(`${url}/api/pieces/${id}`, { ...piece, chosen, tests });
  }
  await put(`${url}/api/shelf/enamel`, {
    class: 'wb_alkyd_enamel',
    name: 'Blue enamel',
    volume_ml: 1000,
    size_ml: 1000,
  });
  await put(`${url}/api/workshop/setup`, {
    time_zone: 'Europe/Lisbon',
    hours: [
      { day: 6, from: '09:00', to: '13:00' },
      { day: 7, from: '10:00', to: '13:00' },
    ],
  });
}

interface LogEntry {
  task: string;
  work: string;
  at: string;
  minutes?: number;
}
async function readLog(url: string, piece: string): Promise<LogEntry[]> {
  const dossier = (await (await fetch(`${url}/api/pieces/${piece}`)).json()) as { log?: LogEntry[] };
  return dossier.log ?? [];
}
const countLogs = async (url: string): Promise<number> =>
  (await readLog(url, 'rack')).length + (await readLog(url, 'bench')).length;

/** Begins what Today puts first, sees its cautions, works so long and says it is done. */
async function doFirst(page: Page, minutes: number): Promise<string> {
  const start = page.getByRole('button', { name: /^Start: / });
  await expect(start).toBeVisible();
  await start.click();
  const step = page.getByRole('region', { name: 'This step' });
  await expect(step).toBeVisible();
  const label = (await step.getByRole('heading', { level: 2 }).textContent())!;
  const caution = page.getByRole('button', { name: /^Seen: / });
  if (await caution.isVisible()) {
    // Nothing can be logged before it was seen.
    await expect(page.getByRole('button', { name: /^Done: / })).toHaveCount(0);
    await caution.click();
  }
  await page.getByRole('button', { name: 'Start the clock' }).click();
  await page.clock.fastForward(minutes * 60_000);
  await page.getByRole('button', { name: /^Done: / }).click();
  await expect(page.getByRole('status').filter({ hasText: `Logged: ${label}` })).toBeVisible();
  return label;
}
const toToday = (page: Page): Promise<void> => page.getByRole('link', { name: 'Today' }).click();

test.use({ serverClock: '2026-11-30T12:00:00.000Z' });

test('a Saturday on two pieces: in order, over a reload and a lost connection, nothing lost and nothing doubled', async ({
  page,
  shop,
  strangers,
}) => {
  test.setTimeout(150_000);
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  await openShop(shop.url);
  await page.clock.install({ time: new Date('2026-11-28T09:00:00Z') });
  await page.goto(shop.url);
  await expect(page.getByRole('heading', { name: 'You have until 13:00' })).toBeVisible();
  const now = page.getByRole('region', { name: 'Do now' });
  await expect(now.getByRole('listitem').first()).toContainText('09:00');
  await expectBigTargets(page);
  await expectNoSideways(page);

  // The first taps: both pieces are wiped before either is scuffed, for wipes dry by themselves.
  const done = [await doFirst(page, 9)];
  await expectBigTargets(page);
  await expectNoSideways(page);
  await toToday(page);
  done.push(await doFirst(page, 11));
  expect(done).toEqual(['Degrease, rinse, dry', 'Degrease, rinse, dry']);
  expect((await readLog(shop.url, 'rack')).length + (await readLog(shop.url, 'bench')).length).toBe(2);

  // Half an hour is left of the first wipe's hour: nothing to do is said, and when it goes on.
  await toToday(page);
  await page.clock.fastForward(60 * 60_000);
  done.push(await doFirst(page, 12));

  // A reload in the middle: the clock, the plan and the log are as they were.
  await page.reload();
  await expect(page.getByText('2 of 5 done').or(page.getByText('2 of 4 done'))).toBeVisible();
  await toToday(page);

  // The connection is lost at the moment of Done: the tap shows, waits, and is stored once.
  await shop.stop();
  done.push(await doFirst(page, 13));
  await expect(page.getByText(/^Offline: \d+ changes? (is|are) kept here/)).toBeVisible();
  await shop.restart();
  await page.clock.fastForward(4000);
  await expect(page.getByText(/^Offline:/)).toBeHidden({ timeout: 20_000 });
  await expect.poll(() => countLogs(shop.url)).toBe(4);

  // Till both are primed, the vapour seen first; then it has to dry, and the step says until when.
  await toToday(page);
  done.push(await doFirst(page, 10));
  await toToday(page);
  done.push(await doFirst(page, 10));
  const each = ['Degrease, rinse, dry', 'Scuff 150', 'Shellac primer'];
  expect([...done].sort()).toEqual([...each, ...each].sort());
  await follow(page, `${shop.url}/piece/rack/work`);
  await expect(page.getByText(/^Not before today 1\d:\d\d/)).toBeVisible();
  await expect(page.getByRole('button', { name: 'Done all the same' })).toBeVisible();

  // The shop’s clock says when it is ready for paint, on whatever screen.
  await page.clock.fastForward(61 * 60_000);
  await expect(page.getByText(/shellac primer is ready for the next coat/).first()).toBeVisible();
  await page.getByRole('button', { name: 'Good' }).first().click();

  // Paint: the tin goes down with it, and up again when the tap is taken back.
  await toToday(page);
  const label = await doFirst(page, 20);
  expect(label).toBe('Cabinet enamel');
  const volume = async (): Promise<number | undefined> =>
    levelOf(((await (await fetch(`${shop.url}/api/shelf`)).json()) as { tins: ShelfItem[] }).tins[0]!);
  await expect.poll(volume).toBe(850);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect.poll(volume).toBe(1000);
  await expect.poll(() => countLogs(shop.url)).toBe(6);

  // Every task was logged once, with the minutes of its clock.
  const logs = [...(await readLog(shop.url, 'rack')), ...(await readLog(shop.url, 'bench'))];
  expect(new Set(logs.map(({ work }) => work)).size).toBe(6);
  expect(new Set((await readLog(shop.url, 'rack')).map(({ task }) => task)).size).toBe(3);
  for (const { minutes } of logs) expect(minutes).toBeGreaterThanOrEqual(9);
  expect(strangers).toEqual([]);
  expect(errors).toEqual([]);
});

test('the plan moves with what happens, answers for a date, and is taken along', async ({ page, shop }) => {
  await openShop(shop.url);
  await page.clock.install({ time: new Date('2026-11-29T18:00:00Z') });
  await page.goto(shop.url);
  await expect(page.getByRole('heading', { name: 'Sat 5 Dec from 09:00' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Do next' }).getByText('Degrease, rinse, dry').first()).toBeVisible();

  // Time that was not foreseen.
  await page.getByRole('radio', { name: '40 min' }).click();
  await expect(page.getByRole('heading', { name: 'You have until 18:40' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Do now' })).toBeVisible();
  // Nothing has happened but what one asked for.
  await expect(page.getByText(/^Moved: /)).toHaveCount(0);

  // By a date: no, and what would save it.
  await page.getByLabel('All by').fill('2026-12-06');
  await page.getByRole('button', { name: 'Can they?' }).click();
  await expect(page.getByText('Not all by Sun 6 Dec')).toBeVisible();
  await expect(page.getByText(/^One more evening a week/).first()).toBeVisible();

  // Cold air closes what is waterborne.
  await page.getByRole('link', { name: 'Hours, places, air' }).click();
  await page.getByLabel('Air, °C').fill('8');
  await page.getByLabel('Humidity, %').fill('70');
  await page.getByRole('button', { name: 'Record this air' }).click();
  await page.getByRole('link', { name: 'Today' }).first().click();
  await expect(page.getByText('Too cold to coat with waterborne')).toBeVisible();
  // That is told in one line, until it was seen; whoever opens the page anew finds the plan as it is.
  const moved = page.getByText(/^Moved: /);
  await expect(moved).toHaveCount(1);
  await page.getByRole('button', { name: 'What moved, and why' }).click();
  await expect(page.getByText(/ → .+\. /).first()).toBeVisible();
  await page.getByRole('button', { name: 'Seen', exact: true }).click();
  await expect(moved).toHaveCount(0);

  // A job pinned stays pinned; the calendar is there to be saved.
  await page.getByRole('link', { name: 'Two weeks ahead' }).click();
  const job = page.getByRole('button', { name: /Scuff 150: (rack|bench)/ }).first();
  await job.click();
  await page.getByRole('button', { name: /^Pin to/ }).click();
  await expect(page.getByText('Pinned', { exact: true })).toBeVisible();
  const saving = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Save as a calendar file' }).click();
  expect((await saving).suggestedFilename()).toBe('workshop.ics');
});

test.describe('with the demo workshop', () => {
  test.use({ demo: true });

  test('parts, handles and mixes have their place, and a log entry is put right', async ({ page, shop }) => {
    await page.goto(`${shop.url}/piece/demo-lending-counter/work`);
    await page.getByRole('button', { name: /^Parts and labels/ }).click();
    const parts = page.getByRole('region', { name: 'Parts and labels' });
    await parts.getByRole('radiogroup', { name: 'Where is Do1?' }).getByRole('radio', { name: 'Refitted' }).click();
    await expect(parts.getByText('Before hanging: scrape paint out of the hinge recesses')).toBeVisible();

    await page.getByRole('button', { name: /^Handles/ }).click();
    const handles = page.getByRole('region', { name: 'Handles' });
    await expect(handles.getByText('Fill the old holes')).toBeVisible();
    await handles.getByLabel('New holes apart, mm').fill('96');
    await expect(handles.getByText('Use the old holes again')).toBeVisible();

    await page.getByRole('button', { name: /^Mixes/ }).click();
    const mixes = page.getByRole('region', { name: 'Mixes' });
    await expect(mixes.getByText('420 ml · 60 %')).toBeVisible();
    await mixes.getByLabel('For another volume, ml').fill('1000');
    await expect(mixes.getByText('600 ml · 60 %')).toBeVisible();

    await page.getByRole('button', { name: /^The log/ }).click();
    await page.getByRole('button', { name: /^Put right: Cabinet enamel, coat 1/ }).click();
    await page.getByLabel('Took, min').fill('about ten');
    await expect(page.getByText('Minutes as a number.')).toBeVisible();
    await page.getByLabel('Took, min').fill('33');
    await page.getByRole('button', { name: 'Keep it so' }).click();
    await expect(page.getByText(/33 min.*put right 1×/)).toBeVisible();
    await expectBigTargets(page);
    await expectNoSideways(page);
  });
});

test('a colour is mixed from a tin and a pot, kept with the piece, and made again at another volume', async ({
  page,
  shop,
}) => {
  await openShop(shop.url);
  await put(`${shop.url}/api/shelf/white`, { class: 'wb_alkyd_enamel', name: 'White enamel', colour: '#F4F1E8' });
  await page.goto(`${shop.url}/piece/rack/work`);
  await page.getByRole('button', { name: /^Mixes/ }).click();
  await page.getByRole('button', { name: 'Mix a colour from tins' }).click();
  const sheet = page.getByRole('dialog');
  await sheet.getByLabel('The colour to match').fill('#C9C6BF');
  await sheet.getByLabel('The colour to match').blur();
  await sheet.getByLabel(/^How much/).fill('500');
  await sheet.getByRole('button', { name: 'A pot that is not on the shelf' }).click();
  const best = sheet.getByRole('list', { name: 'Recipes' }).getByRole('listitem').first();
  await expect(best.getByText('White enamel')).toBeVisible();
  await expect(best.getByText('Pot 1')).toBeVisible();
  await expect(best.getByText(/^\d+( ½)? teaspoons/).first()).toBeVisible();
  await expectBigTargets(page);
  await best.getByRole('button', { name: 'Keep this recipe' }).click();
  await expect(page.getByText('Mix for #C9C6BF', { exact: true })).toBeVisible();
  const mixes = async () => (await (await fetch(`${shop.url}/api/pieces/rack`)).json()).mixes;
  await expect.poll(mixes).toHaveLength(1);
  const [mix] = await mixes();
  expect(mix.parts.map(({ tin }: { tin: string }) => tin)[0]).toBe('white');
  // Made again, more of it: every part grows alike.
  const card = page.getByRole('region', { name: 'Mixes' });
  await card
    .getByLabel(/^For another volume/)
    .first()
    .fill('650');
  await card.getByRole('button', { name: 'Keep this volume' }).click();
  await expect.poll(async () => (await mixes())[0].volume_ml).toBe(650);
});
