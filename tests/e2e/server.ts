import { test as base, expect, type Page } from '@playwright/test';
import type axeCore from 'axe-core';
import { existsSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type * as Program from '../../src/server/serve';

export interface Shop {
  url: string;
  /** Where its records lie. */
  folder: string;
  stop: () => Promise<void>;
  /** Stops the server and starts it again on the same port, on the same records or on others in its folder. */
  restart: (records?: string) => Promise<void>;
}

/** The built server: it runs in the process of the tests, which load it once. A build of its own may bring its own along. */
async function start(env: Record<string, string>): Promise<Program.Serving> {
  const own = path.resolve(env.BRICOLAGE_ROOT ?? '.', 'dist-server/main.cjs');
  const program: typeof Program = await import(existsSync(own) ? own : path.resolve('dist-server/main.cjs'));
  return program.serve(env);
}

interface Fixtures {
  shop: Shop;
  demo: boolean;
  /** The moment the server's clock stands at, where the page's is set too: later than it, for nothing is logged ahead. */
  serverClock: string;
  /** A folder with a build of its own to serve; the project's without it. */
  root: string;
  /** Addresses the page asked that are not the shop's. */
  strangers: string[];
}

/** Each test has a shop of its own: the real server on a free port with a real file; `demo` fills it. */
export const test = base.extend<Fixtures>({
  demo: [false, { option: true }],
  serverClock: ['', { option: true }],
  root: ['', { option: true }],
  shop: async ({ demo, serverClock, root }, provide) => {
    const folder = mkdtempSync(path.join(tmpdir(), 'bricolage-e2e-'));
    const env = {
      BRICOLAGE_DB: path.join(folder, 'shop.sqlite'),
      // A second address of the loopback stands in for the network of the house.
      BRICOLAGE_ADDRESSES: '127.0.0.2',
      OPEN_PORT: '0',
      ...(root === '' ? {} : { BRICOLAGE_ROOT: root }),
      ...(demo ? { BRICOLAGE_DEMO: path.resolve('demo/dossiers') } : {}),
      ...(serverClock === '' ? {} : { BRICOLAGE_DEMO_NOW: serverClock }),
    };
    let running = await start({ ...env, PORT: '0' });
    const port = new URL(running.url).port;
    const shop: Shop = {
      url: running.url,
      folder,
      stop: () => running.stop(),
      restart: async (records = 'shop.sqlite') => {
        await running.stop();
        running = await start({ ...env, PORT: port, BRICOLAGE_DB: path.join(folder, records) });
      },
    };
    await provide(shop);
    await running.stop();
    rmSync(folder, { recursive: true, force: true });
  },
  strangers: async ({ page, shop }, provide) => {
    const strangers: string[] = [];
    page.on('request', (request) => {
      const url = request.url();
      if (!url.startsWith(shop.url) && !url.startsWith('data:') && !url.startsWith('blob:')) strangers.push(url);
    });
    await provide(strangers);
  },
});

export { expect };

/** No button, link or field a thumb must hit may be smaller than 48 px in height (inline links in text excepted). */
export async function expectBigTargets(page: Page): Promise<void> {
  const small = await page
    .locator('button:visible, a:visible:not([data-in-text]), input:visible, summary:visible')
    .evaluateAll((elements) =>
      elements
        .map((element) => ({
          name: element.getAttribute('aria-label') ?? element.textContent,
          height: element.getBoundingClientRect().height,
        }))
        .filter(({ height }) => height > 0 && height < 48),
    );
  expect(small).toEqual([]);
}

/** Nothing may be wider than the screen. */
export async function expectNoSideways(page: Page): Promise<void> {
  const wider = await page.evaluate(() => document.documentElement.scrollWidth - document.documentElement.clientWidth);
  expect(wider).toBeLessThanOrEqual(0);
}

/** Goes to an address as a link of the program does, without loading it anew, once it is loaded. */
export async function follow(page: Page, url: string): Promise<void> {
  if (new URL(page.url()).origin !== new URL(url).origin) {
    await page.goto(url);
    return;
  }
  await page.evaluate((to) => {
    for (const main of document.querySelectorAll('main')) main.dataset.old = '';
    history.pushState(null, '', to);
    dispatchEvent(new PopStateEvent('popstate', { state: null }));
  }, url);
  await expect(page.locator('main').first()).toBeAttached();
  await expect(page.locator('main[data-old]')).toHaveCount(0);
}

/** The pieces of the demo are laid by in the browser a few seconds after the first screen stands. */
export async function waitForPieces(page: Page): Promise<void> {
  await expect
    .poll(
      () =>
        page.evaluate(async () => {
          const [own] = (await indexedDB.databases()).filter(({ name = '' }) =>
            /^bricolage-(?!.*-pictures$)/.test(name),
          );
          if (!own) return 0;
          const db = await new Promise<IDBDatabase>((resolve) => {
            const opening = indexedDB.open(own.name!);
            opening.onsuccess = () => resolve(opening.result);
          });
          return new Promise<number>((resolve) => {
            const counting = db.transaction('pieces').objectStore('pieces').count();
            counting.onsuccess = () => resolve(counting.result);
          }).finally(() => db.close());
        }),
      { timeout: 20_000 },
    )
    .toBeGreaterThanOrEqual(13);
}

/** What a browser says when the device is in a network again: what waits for the server need not wait its turn. */
export const nearAgain = (page: Page): Promise<void> => page.evaluate(() => void dispatchEvent(new Event('online')));

/** Opens what is folded away on a screen, the first `most` of it, but for what opens over it. */
export const unfold = (page: Page, most = Infinity): Promise<void> =>
  page.evaluate((limit) => {
    const folded = document.querySelectorAll<HTMLElement>('main [aria-expanded=false]:not([aria-haspopup])');
    for (const more of [...folded].slice(0, limit)) more.click();
  }, most);

const AXE = readFileSync(require.resolve('axe-core/axe.min.js'), 'utf8');

/** What axe finds, said so that it can be found again. Axe itself is brought once to a page that is not loaded anew. */
export async function listViolations(page: Page, path: string, rules?: string[]): Promise<string[]> {
  if (!(await page.evaluate(() => 'axe' in window))) await page.evaluate(AXE);
  const violations = await page.evaluate(async (values) => {
    const { axe } = window as unknown as { axe: typeof axeCore };
    // Only what is wrong is described: for what passes that would take most of the time.
    const found = await axe.run({
      resultTypes: ['violations'],
      ...(values ? { runOnly: { type: 'rule', values } } : {}),
    });
    return found.violations.map(({ id, nodes }) => ({ id, nodes: nodes.map(({ html }) => html.slice(0, 160)) }));
  }, rules);
  return violations.map(({ id, nodes }) => `${path} ${id}: ${nodes.join(' | ')}`);
}
