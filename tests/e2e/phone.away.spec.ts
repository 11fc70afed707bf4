import {
  appendFileSync,
  cpSync,
  mkdirSync,
  mkdtempSync,
  readFileSync,
  rmSync,
  symlinkSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { brotliCompressSync } from 'node:zlib';
import type { Page } from '@playwright/test';
import { PHOTOGRAPHS } from './photographs';
import { expect, expectNoSideways, nearAgain, test, waitForPieces } from './server';

/* Without the server: what the browser keeps of the program and of the shop. */
test.use({ serviceWorkers: 'allow', demo: true });

/** The program and the pieces are laid by a few seconds after the first screen stands. */
async function waitUntilKept(page: Page): Promise<void> {
  await page.evaluate(() => navigator.serviceWorker.ready.then(() => undefined));
  await waitForPieces(page);
}

/** Pictures that wait in the browser. */
const countPictures = (page: Page): Promise<number> =>
  page.evaluate(async () => {
    const [own] = (await indexedDB.databases()).filter(({ name = '' }) => name.endsWith('-pictures'));
    const db = await new Promise<IDBDatabase>((resolve) => {
      const opening = indexedDB.open(own!.name!);
      opening.onsuccess = () => resolve(opening.result);
    });
    return new Promise<number>((resolve) => {
      const counting = db.transaction('pictures').objectStore('pictures').count();
      counting.onsuccess = () => resolve(counting.result);
    }).finally(() => db.close());
  });

const answersOf = async (url: string): Promise<number> => {
  const piece = await (await fetch(`${url}/api/pieces/demo-toy-chest`)).json();
  return piece.zones.flatMap(({ observations = [] }: { observations?: unknown[] }) => observations).length;
};

test('the app opens after the server has gone, judges what was never opened here, and sends what was made once it is back', async ({
  page,
  shop,
}) => {
  await page.goto(shop.url);
  await expect(page.getByRole('heading', { level: 1, name: 'Today' })).toBeVisible();
  await waitUntilKept(page);
  const before = await answersOf(shop.url);
  await shop.stop();

  await page.goto(`${shop.url}/piece/demo-toy-chest/read`);
  await expect(page.getByText('Offline: shown as it was last heard')).toBeVisible();
  await expect(page.getByRole('region', { name: 'Verdict' })).toBeVisible();
  await page.getByRole('region', { name: 'Check' }).getByRole('radio').first().click();
  await expect(page.getByText('Offline: 1 change is kept here')).toBeVisible();
  await page.getByRole('button', { name: 'What waits' }).click();
  await expect(page.getByRole('dialog', { name: 'What waits' }).getByRole('listitem')).toHaveCount(1);
  await page.keyboard.press('Escape');
  await expectNoSideways(page);
  for (const [place, heading] of [
    ['Today', 'Today'],
    ['Pieces', 'Pieces'],
    ['Findings', 'Findings'],
    ['Shelf', 'Shelf'],
  ]) {
    await page.getByRole('navigation', { name: 'Bricolage' }).getByRole('link', { name: place! }).click();
    await expect(page.getByRole('heading', { level: 1, name: heading! })).toBeVisible();
  }
  // The list of pieces is worked out here: it is searched by words that were never asked of the server.
  await page.getByRole('navigation', { name: 'Bricolage' }).getByRole('link', { name: 'Pieces' }).click();
  await expect(page.getByRole('link', { name: /issue desk/i })).toBeVisible();
  await page.getByLabel('Find a piece').fill('toy');
  await expect(page.getByRole('link', { name: /toy chest/i })).toBeVisible();
  await expect(page.getByRole('link', { name: /issue desk/i })).toBeHidden();
  await page.goto(`${shop.url}/piece/demo-sewing-cabinet/choose`);
  // Searched here, by the worker that was laid by with the program.
  await expect(page.getByText('Shellac primer ×2').first()).toBeVisible({ timeout: 20_000 });
  await page.goto(`${shop.url}/piece/demo-media-cupboard/prove`);
  await expect(page.getByRole('status', { name: /^Gate/ }).first()).toBeVisible();
  await page.goto(`${shop.url}/piece/demo-toy-chest/read`);
  await expect(page.getByText('Offline: 1 change is kept here')).toBeVisible();

  await shop.restart();
  await nearAgain(page);
  await expect(page.getByText(/^Offline/)).toBeHidden({ timeout: 20_000 });
  await expect.poll(() => answersOf(shop.url)).toBe(before + 1);
});

test('a patch is read from a photograph without the server, and picture and test arrive once', async ({
  page,
  shop,
}) => {
  await page.goto(shop.url);
  await expect(page.getByRole('heading', { level: 1, name: 'Today' })).toBeVisible();
  await waitUntilKept(page);
  const piece = async () => (await fetch(`${shop.url}/api/pieces/demo-media-cupboard`)).json();
  const { tests: before = [], photos = [] } = await piece();
  await shop.stop();

  await page.goto(`${shop.url}/piece/demo-media-cupboard/read`);
  const pick = async (button: string, file: string): Promise<void> => {
    const choosing = page.waitForEvent('filechooser');
    await page.getByRole('button', { name: button }).first().click();
    await (await choosing).setFiles(path.join(PHOTOGRAPHS, file));
  };
  await pick('Add a picture', 'lattice-held.jpg');
  await expect(page.getByRole('img', { name: /that waits to be sent$/ })).toBeVisible();
  await expect(page.getByText('Offline: 1 picture is kept here')).toBeVisible();
  await page.goto(`${shop.url}/piece/demo-media-cupboard/prove`);
  const form = page.getByRole('region', { name: 'Log a test' });
  await form.getByRole('radio', { name: /^Cross-cut/ }).click();
  await pick('Read it from a photograph', 'lattice-held.jpg');
  await expect(form.getByText(/^\d+\.\d % bare: ISO class/)).toBeVisible({ timeout: 30_000 });
  await form.getByRole('button', { name: 'Use this reading' }).click();
  await form.getByLabel('Age of the patch, hours').fill('24');
  await form.getByRole('button', { name: 'Log this test' }).click();
  await expect(page.getByText('Offline: 1 change and 2 pictures are kept here')).toBeVisible();
  await page.reload();
  await expect(page.getByText('Offline: 1 change and 2 pictures are kept here')).toBeVisible();

  await shop.restart();
  await nearAgain(page);
  await expect(page.getByText(/^Offline/)).toBeHidden({ timeout: 20_000 });
  await expect.poll(async () => (await piece()).tests.length).toBe(before.length + 1);
  const after = await piece();
  expect(after.photos).toHaveLength(photos.length + 2);
  expect(after.tests.at(-1).photo).toBe(after.photos.at(-1).id);
  // What was sent is kept by the workshop, and not twice.
  await expect.poll(() => countPictures(page)).toBe(0);
});

test('what was made for one shop never goes to another that answers at the same address', async ({ page, shop }) => {
  await page.goto(`${shop.url}/piece/demo-toy-chest/read`);
  await expect(page.getByRole('region', { name: 'Check' })).toBeVisible();
  await waitUntilKept(page);
  const before = await answersOf(shop.url);
  await shop.stop();
  await page.getByRole('region', { name: 'Check' }).getByRole('radio').first().click();
  await expect(page.getByText('Offline: 1 change is kept here')).toBeVisible();

  await shop.restart('other.sqlite');
  await nearAgain(page);
  await expect(page.getByText(/^Offline/)).toBeHidden({ timeout: 20_000 });
  await page.goto(shop.url);
  await expect(page.getByRole('heading', { level: 1, name: 'Today' })).toBeVisible();
  expect(await answersOf(shop.url)).toBe(before);

  await shop.restart();
  await page.goto(shop.url);
  await expect.poll(() => answersOf(shop.url), { timeout: 20_000 }).toBe(before + 1);
});

test('two tabs without the server each keep what was made in them, and all of it arrives once', async ({
  page,
  shop,
}) => {
  const other = await page.context().newPage();
  for (const [tab, piece] of [
    [page, 'demo-toy-chest'],
    [other, 'demo-issue-desk'],
  ] as const) {
    await tab.goto(`${shop.url}/piece/${piece}/read`);
    await expect(tab.getByRole('region', { name: 'Check' })).toBeVisible();
  }
  await waitUntilKept(page);
  const before = await answersOf(shop.url);
  const sent: string[] = [];
  // What the server took: a try that meets no server yet is made again.
  page.context().on('response', (response) => {
    if (response.request().method() === 'PUT') sent.push(new URL(response.url()).pathname);
  });
  await shop.stop();
  await page.getByRole('region', { name: 'Check' }).getByRole('radio').first().click();
  await expect(page.getByText('Offline: 1 change is kept here')).toBeVisible();
  await other.getByRole('region', { name: 'Check' }).getByRole('radio').first().click();
  // Each sees what waits in both.
  for (const tab of [page, other]) await expect(tab.getByText('Offline: 2 changes are kept here')).toBeVisible();
  await page.reload();
  await expect(page.getByText('Offline: 2 changes are kept here')).toBeVisible();

  sent.length = 0;
  await shop.restart();
  for (const tab of [page, other]) {
    await nearAgain(tab);
    await expect(tab.getByText(/^Offline/)).toBeHidden({ timeout: 40_000 });
  }
  expect(await answersOf(shop.url)).toBe(before + 1);
  expect(sent.length).toBe(new Set(sent).size);
  await other.close();
});

test('what is refused is laid aside with the reason, over a reload, and is sent again or thrown away when told', async ({
  page,
  shop,
}) => {
  await page.goto(`${shop.url}/piece/demo-toy-chest/read`);
  const check = page.getByRole('region', { name: 'Check' });
  await expect(check).toBeVisible();
  const before = await answersOf(shop.url);
  let refuses = true;
  await page.route('**/observations/**', (route) =>
    refuses
      ? route.fulfill({ status: 422, json: { error: { code: 'unknown_code', message: 'result: Not a known value.' } } })
      : route.continue(),
  );
  await check.getByRole('radio').first().click();
  await expect(page.getByText('A change was not stored')).toBeVisible();
  await expect(page.getByText('result: Not a known value.')).toBeVisible();
  await page.reload();
  await page.getByRole('button', { name: 'See why' }).click();
  const sheet = page.getByRole('dialog', { name: 'See why' });
  await expect(sheet.getByRole('listitem')).toHaveCount(1);
  await sheet.getByRole('button', { name: /^Send again/ }).click();
  // Refused once more, it is laid aside once more.
  await page.getByRole('button', { name: 'See why' }).click();
  await expect(sheet.getByText(/Not a known value/)).toBeVisible();
  // It shows what it holds, and can be kept as a file.
  await sheet.getByRole('button', { name: 'What it holds' }).click();
  await expect(sheet.getByText(/^check: [\w ]+$/)).toBeVisible();
  const saving = page.waitForEvent('download');
  await sheet.getByRole('button', { name: /^Save as a file/ }).click();
  const saved = JSON.parse(readFileSync(await (await saving).path(), 'utf8'));
  expect(saved).toMatchObject({ pieceId: 'demo-toy-chest', change: { type: 'observation_recorded', zoneId: 'body' } });
  refuses = false;
  await sheet.getByRole('button', { name: /^Send again/ }).click();
  await expect(page.getByText('A change was not stored')).toBeHidden();
  expect(await answersOf(shop.url)).toBe(before + 1);
  refuses = true;
  await check.getByRole('radio').first().click();
  await page.getByRole('button', { name: 'See why' }).click();
  await sheet.getByRole('button', { name: /^Throw away/ }).click();
  await expect(page.getByText('A change was not stored')).toBeHidden();
  expect(await answersOf(shop.url)).toBe(before + 1);
});

test('a browser without room says so before anything is lost', async ({ page, shop }) => {
  await page.goto(`${shop.url}/piece/demo-toy-chest/read`);
  await expect(page.getByRole('region', { name: 'Check' })).toBeVisible();
  const before = await answersOf(shop.url);
  await page.evaluate(() => {
    let chunk = 'x'.repeat(2 ** 20);
    for (let i = 0; chunk.length > 0; i += 1)
      try {
        localStorage.setItem(`filler-${i}`, chunk);
      } catch {
        chunk = chunk.slice(0, Math.floor(chunk.length / 2));
      }
  });
  await shop.stop();
  await page.getByRole('region', { name: 'Check' }).getByRole('radio').first().click();
  await expect(page.getByText('This browser has no room left')).toBeVisible();
  await shop.restart();
  await nearAgain(page);
  await expect.poll(() => answersOf(shop.url), { timeout: 40_000 }).toBe(before + 1);
  await expect(page.getByText('This browser has no room left')).toBeHidden();
});

test('storage that is cleared under an open page takes nothing that waits, and is told', async ({ page, shop }) => {
  await page.goto(`${shop.url}/piece/demo-toy-chest/read`);
  await expect(page.getByRole('region', { name: 'Check' })).toBeVisible();
  const before = await answersOf(shop.url);
  await shop.stop();
  await page.getByRole('region', { name: 'Check' }).getByRole('radio').first().click();
  await expect(page.getByText('Offline: 1 change is kept here')).toBeVisible();
  await page.evaluate(() => {
    localStorage.clear();
    dispatchEvent(new Event('focus'));
  });
  await expect(page.getByText('What this browser kept was cleared')).toBeVisible();
  expect(await page.evaluate(() => Object.keys(localStorage).filter((key) => key.includes('.change.')).length)).toBe(1);
  await shop.restart();
  await nearAgain(page);
  await expect.poll(() => answersOf(shop.url), { timeout: 20_000 }).toBe(before + 1);
  await page.getByRole('button', { name: 'Got it' }).click();
  await expect(page.getByText('What this browser kept was cleared')).toBeHidden();
});

test.describe('a newer version', () => {
  const root = mkdtempSync(path.join(tmpdir(), 'bricolage-build-'));
  mkdirSync(path.join(root, 'src/server/db'), { recursive: true });
  symlinkSync(path.resolve('src/server/db/migrations'), path.join(root, 'src/server/db/migrations'));
  test.use({ root });
  test.beforeAll(() => cpSync('dist', path.join(root, 'dist'), { recursive: true }));
  test.afterAll(() => rmSync(root, { recursive: true, force: true }));

  test('waits until it is taken, and breaks no open page', async ({ page, shop }) => {
    await page.goto(shop.url);
    await waitUntilKept(page);
    // The same program, one remark longer, is another to the browser.
    const worker = path.join(root, 'dist/sw.js');
    appendFileSync(worker, '\n// newer\n');
    writeFileSync(`${worker}.br`, brotliCompressSync(readFileSync(worker)));
    await page.evaluate(async () => (await navigator.serviceWorker.getRegistration())!.update());
    const bar = page.getByRole('region', { name: 'A newer Bricolage' });
    await expect(bar.getByText('A new version is ready')).toBeVisible();
    await bar.getByRole('button', { name: 'Later' }).click();
    await expect(bar).toBeHidden();
    await page.getByRole('link', { name: 'Shelf' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Shelf' })).toBeVisible();
    await page.reload();
    await expect(bar.getByText('A new version is ready')).toBeVisible({ timeout: 15_000 });
    const taken = page.waitForEvent('load');
    await bar.getByRole('button', { name: 'Take it now' }).click();
    await taken;
    await expect(page.getByRole('heading', { level: 1, name: 'Shelf' })).toBeVisible();
    expect(await page.evaluate(async () => (await navigator.serviceWorker.getRegistration())!.waiting === null)).toBe(
      true,
    );
  });
});
