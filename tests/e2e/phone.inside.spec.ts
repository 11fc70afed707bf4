import type { Page } from '@playwright/test';
import { findLeaks } from '../properties/find-leaks';
import { expect, test } from './server';

/*
 * Nothing of the inside is said on a screen: no code, no name of a rule, no date as files have it, no number with more digits
 * than anybody would say. Every piece of the demo is walked, each at some of its stages; all of them with `FULL=1`.
 */
const SATURDAY = '2026-11-28T09:12:00.000Z';
test.use({ demo: true, timezoneId: 'Europe/Lisbon', serverClock: SATURDAY });

const STAGES = ['meet', 'read', 'choose', 'prove', 'work', 'mend', 'let-go'];
const PLACES = ['/', '/pieces', '/shelf', '/findings', '/earned', '/ahead', '/workshop', '/copies', '/practice'];
const all = process.env.FULL === '1';
/** Folds lie within folds. */
const DEPTH = 2;

/** What a screen says, with what lies behind its folds. */
async function readScreen(page: Page): Promise<string> {
  const main = page.getByRole('main').first();
  await main.waitFor();
  // A plan is a while in coming.
  if (page.url().endsWith('/choose'))
    await page.getByRole('article').first().or(page.getByText('Nothing to plan')).first().waitFor({ timeout: 20_000 });
  await expect(page.getByText(/^(Searching|Trying it out|Date …)/)).toHaveCount(0, { timeout: 20_000 });
  for (let depth = 0; depth < DEPTH; depth += 1)
    await main.evaluate((own) => {
      for (const fold of own.querySelectorAll<HTMLElement>('[aria-expanded="false"]')) fold.click();
    });
  return main.innerText();
}

test('no screen says anything of the inside', async ({ page, shop }) => {
  test.setTimeout(all ? 600_000 : 240_000);
  const { pieces } = (await (await fetch(`${shop.url}/api/pieces`)).json()) as { pieces: { piece: { id: string } }[] };
  expect(pieces.length).toBeGreaterThan(10);
  const walked = pieces.flatMap(({ piece: { id } }, i) =>
    STAGES.filter((_, k) => all || (i + k) % STAGES.length === 0).map((stage) => `/piece/${id}/${stage}`),
  );
  await page.clock.install({ time: new Date(SATURDAY) });
  const told: Record<string, string[]> = {};
  let words = 0;
  for (const path of [...PLACES, ...walked]) {
    await page.goto(shop.url + path);
    const text = await readScreen(page);
    words += text.split(/\s+/).length;
    const leaks = findLeaks(text);
    if (leaks.length > 0) told[path] = leaks;
    if (all && leaks.length > 0) console.log(path, leaks);
  }
  expect(told).toEqual({});
  expect(words).toBeGreaterThan(5000);
});
