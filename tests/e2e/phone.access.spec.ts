import { AxeBuilder } from '@axe-core/playwright';
import { expect, expectNoSideways, test } from './server';

test.use({ demo: true });

const SCREENS = [
  '/',
  '/pieces',
  '/ahead',
  '/workshop',
  '/new',
  '/shelf',
  '/piece/demo-issue-desk/meet',
  '/piece/demo-issue-desk/read',
  '/piece/demo-oak-hall-bench/read',
  '/piece/demo-sewing-cabinet/choose',
  '/piece/demo-media-cupboard/prove',
  '/piece/demo-issue-desk/prove',
  '/piece/demo-reading-table/prove',
  '/findings',
  '/piece/demo-lending-counter/work',
  '/piece/demo-media-cupboard/work',
];

/** Folded parts that are opened on a screen; long lists repeat themselves. */
const MOST_OPENED = 14;

for (const scheme of ['light', 'dark'] as const) {
  test(`every screen passes axe in ${scheme}`, async ({ page, shop, strangers }) => {
    test.setTimeout(180_000);
    await page.emulateMedia({ colorScheme: scheme });
    for (const path of SCREENS) {
      await page.goto(shop.url + path.replace('oak-hall-bench', 'hall-bench'));
      await expect(page.getByRole('heading').first()).toBeVisible();
      await expect(page.getByRole('status', { name: 'Loading' })).toHaveCount(0);
      const folded = page.locator('main [aria-expanded="false"]');
      for (let opened = 0; opened < MOST_OPENED && (await folded.count()) > 0; opened += 1)
        await folded.first().click();
      if (path === '/findings')
        await page
          .getByRole('button', { name: /^Shellac primer/ })
          .first()
          .click();
      const { violations } = await new AxeBuilder({ page }).analyze();
      expect(
        violations.map(({ id, nodes }) => `${path} ${id}: ${nodes.map(({ html }) => html.slice(0, 160)).join(' | ')}`),
      ).toEqual([]);
      await expectNoSideways(page);
    }
    expect(strangers).toEqual([]);
  });
}
