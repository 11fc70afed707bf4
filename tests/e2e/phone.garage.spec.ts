import readCode from 'jsqr';
import sharp from 'sharp';
import type { Browser, Page } from '@playwright/test';
import { expect, expectBigTargets, expectNoSideways, test } from './server';

/* A desk and a phone: two browsers, one on the loopback, the other by the door for phones. */

/** A phone that has been told to trust the workshop's authority. */
async function takePhone(browser: Browser): Promise<Page> {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true,
    ignoreHTTPSErrors: true,
  });
  return context.newPage();
}

/** What a camera reads in a picture on the screen. */
async function readPicture(page: Page): Promise<string> {
  const shot = await page.getByRole('img', { name: /^Picture of/ }).screenshot();
  const { data, info } = await sharp(shot).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  return readCode(new Uint8ClampedArray(data), info.width, info.height)!.data;
}

async function openDoor(page: Page, url: string): Promise<void> {
  await page.goto(`${url}/workshop`);
  await page.getByRole('button', { name: 'Phones' }).click();
  await page.getByRole('switch', { name: 'Let phones in' }).click();
  await expect(page.getByRole('heading', { name: 'Phones in the house can come in' })).toBeVisible();
}

const addressOf = async (page: Page): Promise<string> => (await page.getByText(/^https:\/\/127/).textContent())!;

/** A phone that was let in, with the same screen as the desk, both listening. */
async function openBoth(page: Page, url: string, browser: Browser, screen: string): Promise<Page> {
  await openDoor(page, url);
  await page.getByRole('button', { name: 'Show a code' }).click();
  const address = await readPicture(page);
  const phone = await takePhone(browser);
  await phone.goto(address);
  await phone.getByLabel('What this device is called').fill('Phone at the bench');
  await phone.getByRole('button', { name: 'Come in' }).click();
  await expect(phone.getByRole('heading', { level: 1, name: 'Today' })).toBeVisible();
  const lines = [page, phone].map((own) => own.waitForResponse(/\/api\/events/));
  await page.goto(url + screen);
  await phone.goto(new URL(address).origin + screen);
  await Promise.all(lines);
  return phone;
}

test.describe('with the demo workshop', () => {
  test.use({ demo: true });

  test('a phone comes in by the picture, its pass is ended at the desk, and what it made meanwhile is not lost', async ({
    page,
    shop,
    browser,
  }) => {
    await openDoor(page, shop.url);
    await expectBigTargets(page);
    await page.getByRole('button', { name: 'Show a code' }).click();
    const address = await readPicture(page);
    expect(address).toMatch(/^https:\/\/127\.0\.0\.2:\d+\/enter#[\w-]{43}$/);
    await expectNoSideways(page);

    const phone = await takePhone(browser);
    const started = Date.now();
    await phone.goto(address);
    await phone.getByLabel('What this device is called').fill('Phone at the bench');
    await expectBigTargets(phone);
    await phone.getByRole('button', { name: 'Come in' }).click();
    await expect(phone.getByRole('heading', { level: 1, name: 'Today' })).toBeVisible();
    test.info().annotations.push({ type: 'from the picture to Today', description: `${Date.now() - started} ms` });
    expect(await phone.evaluate(() => [isSecureContext, typeof crypto.randomUUID])).toEqual([true, 'function']);

    await page.reload();
    const who = page.getByRole('region', { name: 'Who is in' });
    await expect(who).toContainText('Phone at the bench');

    await phone.goto(`${new URL(address).origin}/piece/demo-reading-table/read`);
    await expect(phone.getByRole('region', { name: 'Check' })).toBeVisible();
    await who.getByRole('button', { name: 'End the pass of Phone at the bench' }).click();
    await expect(who).toContainText('No phone yet');
    await phone.getByRole('region', { name: 'Check' }).getByRole('button').first().click();
    await expect(phone.getByRole('heading', { name: 'Come into the workshop' })).toBeVisible();
    await expect(phone.getByText('1 change waits on this device')).toBeVisible();

    const before = JSON.stringify(await (await fetch(`${shop.url}/api/pieces/demo-reading-table`)).json());
    await page.getByRole('button', { name: 'Show a code' }).click();
    const code = (await page.getByText(/^\d{3} \d{3} \d{3}$/).textContent())!;
    await phone.getByLabel('Code').fill(code.replace(' ', ''));
    await phone.getByRole('button', { name: 'Come in' }).click();
    await expect(phone.getByRole('heading', { level: 1, name: 'Today' })).toBeVisible();
    await expect
      .poll(async () => JSON.stringify(await (await fetch(`${shop.url}/api/pieces/demo-reading-table`)).json()))
      .not.toBe(before);
    await phone.goto(`${new URL(address).origin}/phones`);
    await expect(phone.getByRole('region', { name: 'This device' })).toBeVisible();
    await phone.getByRole('button', { name: 'Leave the workshop on this device' }).click();
    await expect(phone.getByRole('heading', { name: 'Come into the workshop' })).toBeVisible();
    await phone.context().close();
  });

  test('a wrong passphrase is slowed on the phone, and the desk goes on', async ({ page, shop, browser }) => {
    await openDoor(page, shop.url);
    const guard = page.getByRole('region', { name: 'Passphrase' });
    await guard.getByLabel('Passphrase').fill('password');
    await guard.getByRole('button', { name: 'Keep it' }).click();
    await expect(guard.getByText(/Too easily guessed: at least 12 letters/)).toBeVisible();
    await guard.getByLabel('Passphrase').fill('sanded to one eighty along the grain');
    await guard.getByRole('button', { name: 'Keep it' }).click();
    await expect(guard.getByRole('button', { name: 'No passphrase' })).toBeVisible();

    const phone = await takePhone(browser);
    await phone.goto(await addressOf(page));
    const form = phone.getByRole('region', { name: 'Come in' });
    for (let i = 0; i < 6; i += 1) {
      await form.getByLabel('Or the passphrase').fill(`wrong words ${i}`);
      await form.getByRole('button', { name: 'Come in' }).click();
      await expect(form.getByText(/That is not the code or passphrase/)).toBeVisible();
    }
    await form.getByLabel('Or the passphrase').fill('sanded to one eighty along the grain');
    await form.getByRole('button', { name: 'Come in' }).click();
    await expect(form.getByText(/Too many wrong tries. Wait 15 minutes/)).toBeVisible();
    await page.goto(shop.url);
    await expect(page.getByRole('heading', { level: 1, name: 'Today' })).toBeVisible();
    await phone.context().close();
  });

  test('the shop of yesterday is put back at the desk, and today’s can be had again', async ({ page, shop }) => {
    await page.goto(`${shop.url}/workshop`);
    await page.getByRole('button', { name: 'Copies' }).click();
    const copies = page.getByRole('region', { name: 'Copies of the shop' });
    await expect(copies.getByRole('button', { name: /^Put back/ })).toHaveCount(1);
    await expectBigTargets(page);
    await expectNoSideways(page);
    await fetch(`${shop.url}/api/pieces/p-late`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify({ format: 'bricolage.dossier/1', piece: { kind: 'desk', name: 'A late desk' } }),
    });
    await copies.getByRole('button', { name: /^Put back/ }).click();
    await page.getByRole('button', { name: 'Put the shop back' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Today' })).toBeVisible();
    expect((await fetch(`${shop.url}/api/pieces/p-late`)).status).toBe(404);
    await page.goto(`${shop.url}/copies`);
    await expect(copies.getByRole('button', { name: /^Put back/ })).toHaveCount(2);
    await copies
      .getByRole('button', { name: /^Put back/ })
      .first()
      .click();
    await page.getByRole('button', { name: 'Put the shop back' }).click();
    await expect(page.getByRole('heading', { level: 1, name: 'Today' })).toBeVisible();
    expect((await fetch(`${shop.url}/api/pieces/p-late`)).status).toBe(200);
    await page.goto(`${shop.url}/copies`);
    const saved = page.waitForEvent('download');
    await page.getByRole('link', { name: /Save the whole shop/ }).click();
    expect((await saved).suggestedFilename()).toMatch(/^bricolage-\d{4}-\d{2}-\d{2}\.zip$/);
  });

  test('two people see what the other does, each at their own screen, without touching it', async ({
    page,
    shop,
    browser,
  }) => {
    const phone = await openBoth(page, shop.url, browser, '/piece/demo-toy-chest/read');
    const checkOf = (own: Page) => own.getByRole('region', { name: 'Check' });
    for (const [one, other] of [
      [phone, page],
      [page, phone],
    ] as const) {
      const before = await checkOf(other).innerText();
      await checkOf(one).getByRole('radio').first().click();
      await expect.poll(() => checkOf(other).innerText(), { timeout: 2000 }).not.toBe(before);
      await expect.poll(async () => (await checkOf(one).innerText()) === (await checkOf(other).innerText())).toBe(true);
    }
    await phone.context().close();
  });

  test('two people who wish different things lose nothing, and who is overruled is told by whom', async ({
    page,
    shop,
    browser,
  }) => {
    const phone = await openBoth(page, shop.url, browser, '/piece/demo-toy-chest/choose');
    const goal = async () => (await (await fetch(`${shop.url}/api/pieces/demo-toy-chest`)).json()).goal;
    const wish = (own: Page, title: string, name: string) =>
      own.getByRole('radiogroup', { name: title }).getByRole('radio', { name }).click();

    // The phone is out of reach, and both go on: each wishes for something else of the same piece.
    await phone.context().setOffline(true);
    await wish(phone, 'Wood grain', 'Hide it');
    await wish(page, 'What counts most', 'Surest');
    await expect.poll(async () => (await goal())?.priority).toBe('surest');
    await phone.context().setOffline(false);
    await expect.poll(goal, { timeout: 20_000 }).toMatchObject({ grain: 'hide', priority: 'surest' });

    // The same thing: the later holds, and the other is told what it replaced, and by whom.
    await wish(page, 'Wood grain', 'May show');
    const told = phone.getByRole('region', { name: 'Replaced by another' });
    await expect(told).toContainText('The computer changed what you had set');
    await expect(told).toContainText('grain: yours hide, now show');
    await expectBigTargets(phone);
    await expectNoSideways(phone);
    await told.getByRole('button', { name: 'Put mine back' }).click();
    await expect.poll(async () => (await goal()).grain).toBe('hide');
    await expect(told).toBeHidden();
    const desk = page.getByRole('region', { name: 'Replaced by another' });
    await expect(desk).toContainText('Phone at the bench changed what you had set');
    await desk.getByRole('button', { name: 'Leave it so' }).click();
    await expect(desk).toBeHidden();
    await phone.context().close();
  });

  test('a phone whose clock is wrong is asked about it, and goes by the computer from then on', async ({
    page,
    shop,
  }) => {
    await page.clock.install({ time: new Date(Date.now() - 3 * 3_600_000 - 60_000) });
    await page.goto(`${shop.url}/piece/demo-toy-chest/read`);
    const asked = page.getByRole('region', { name: 'Which clock is right' });
    await expect(asked).toContainText("This device's clock is 3 h 1 min behind the workshop's computer");
    await expectBigTargets(page);
    await asked.getByRole('button', { name: 'Go by the computer' }).click();
    await expect(asked).toBeHidden();
    await page.getByRole('region', { name: 'Check' }).getByRole('radio').first().click();
    const last = async (): Promise<number> => {
      const piece = await (await fetch(`${shop.url}/api/pieces/demo-toy-chest`)).json();
      const times = piece.zones.flatMap((zone: { observations?: { at?: string }[] }) =>
        (zone.observations ?? []).map(({ at }) => Date.parse(at ?? '')),
      );
      return Math.abs(Math.max(...times) - Date.now());
    };
    await expect.poll(last).toBeLessThan(60_000);
  });
});
