import type { Page } from '@playwright/test';
import { expect, expectNoSideways, follow, listViolations, test, unfold } from './server';

test.use({ demo: true });

const SCREENS = [
  '/',
  '/pieces',
  '/ahead',
  '/workshop',
  '/new',
  '/shelf',
  '/phones',
  '/copies',
  '/put-away',
  '/enter',
  '/piece/demo-issue-desk/meet',
  '/piece/demo-issue-desk/read',
  '/piece/demo-hall-bench/read',
  '/piece/demo-sewing-cabinet/choose',
  '/piece/demo-kitchenette-doors/choose',
  '/piece/demo-media-cupboard/prove',
  '/piece/demo-issue-desk/prove',
  '/piece/demo-reading-table/prove',
  '/findings',
  '/piece/demo-lending-counter/work',
  '/piece/demo-media-cupboard/work',
  '/piece/demo-magazine-chest/mend',
  '/piece/demo-landing-press/meet',
  '/piece/demo-card-cabinet/let-go',
  '/piece/demo-landing-press/let-go',
  '/earned',
  '/piece/demo-magazine-chest/mend?trouble=mx1&part=happened',
  '/piece/demo-magazine-chest/mend?trouble=mx1&part=way_out',
];

/** Folded parts that are opened on a screen; long lists repeat themselves. */
const MOST_OPENED = 14;

/** The colour of the first heading: what tells that the other theme is on. */
const readInk = (page: Page): Promise<string> =>
  page
    .getByRole('heading')
    .first()
    .evaluate((heading) => getComputedStyle(heading).color);

// Half of the screens each, so that two can go side by side. In the dark only colours differ: their rule is asked again.
for (const half of [0, 1])
  test(`every screen passes axe, in light and in dark (${half + 1} of 2)`, async ({ page, shop, strangers }) => {
    test.setTimeout(180_000);
    let light: string | undefined;
    for (const path of SCREENS.filter((_path, i) => i % 2 === half)) {
      await page.emulateMedia({ colorScheme: 'light' });
      await follow(page, shop.url + path);
      await expect(page.getByRole('heading').first()).toBeVisible();
      await expect(page.getByRole('status', { name: 'Loading' })).toHaveCount(0);
      light ??= await readInk(page);
      await expect.poll(() => readInk(page)).toBe(light);
      // Once more for what is folded away in what was opened.
      for (const most of [MOST_OPENED, MOST_OPENED / 2]) await unfold(page, most);
      if (path === '/findings')
        await page
          .getByRole('button', { name: /^Shellac primer/ })
          .first()
          .click();
      expect(await listViolations(page, path)).toEqual([]);
      await expectNoSideways(page);
      await page.emulateMedia({ colorScheme: 'dark' });
      await expect.poll(() => readInk(page)).not.toBe(light);
      expect(await listViolations(page, `${path} dark`, ['color-contrast'])).toEqual([]);
    }
    expect(strangers).toEqual([]);
  });
