/*
 * `npm run shots`: remakes the pictures of docs/screenshots from the demo workshop, in a throwaway file. With names behind
 * it (`npm run shots -- today read`), only those.
 */
import { chromium } from '@playwright/test';
import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { build, findChromium, install, root, say } from './lib.mjs';

const PHONE = { viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true, locale: 'en-GB' };
const WIDE = { viewport: { width: 1280, height: 800 }, locale: 'en-GB' };
/** The morning the demo tells of. */
const SATURDAY = '2026-11-28T09:12:00.000Z';
const SHOTS = [
  { name: 'today', path: '/', ...PHONE },
  { name: 'work', path: '/piece/demo-lending-counter/work', ...PHONE },
  { name: 'mend', path: '/piece/demo-magazine-chest/mend?trouble=mx1', ...PHONE },
  {
    name: 'practice',
    path: '/practice',
    ...PHONE,
    press: [
      ['radio', /^Which layer/],
      ['button', 'Start ten minutes'],
    ],
    show: /^From the top$/,
  },
  {
    name: 'mend-way-out-dark',
    path: '/piece/demo-magazine-chest/mend?trouble=mx1&part=way_out',
    ...PHONE,
    colorScheme: 'dark',
    show: /^Way out$/,
  },
  { name: 'ahead-wide', path: '/ahead', ...WIDE },
  { name: 'pieces', path: '/pieces', ...PHONE },
  { name: 'meet', path: '/piece/demo-landing-press/meet', ...PHONE },
  { name: 'let-go', path: '/piece/demo-card-cabinet/let-go', ...PHONE },
  { name: 'earned-wide', path: '/earned', ...WIDE },
  { name: 'read', path: '/piece/demo-issue-desk/read?zone=pedestal', ...PHONE },
  {
    name: 'faults',
    path: '/piece/demo-knotty-settle/read?zone=top',
    ...PHONE,
    press: [['button', 'Add damage or a stain']],
    show: /^Likely here/,
  },
  { name: 'wishes', path: '/piece/demo-kitchenette-doors/choose', ...PHONE, show: /^Your wishes$/ },
  { name: 'choose', path: '/piece/demo-sewing-cabinet/choose', ...PHONE },
  { name: 'shelf', path: '/shelf', ...PHONE },
  { name: 'prove', path: '/piece/demo-issue-desk/prove', ...PHONE, show: /^Panel$/ },
  { name: 'findings-wide', path: '/findings', ...WIDE },
  {
    name: 'phones',
    path: '/phones',
    ...PHONE,
    press: [
      ['switch', 'Let phones in'],
      ['button', 'Show a code'],
    ],
  },
  { name: 'choose-wide', path: '/piece/demo-sewing-cabinet/choose', ...WIDE },
];

const asked = process.argv.slice(2);
await install();
build();
const folder = mkdtempSync(path.join(tmpdir(), 'bricolage-shots-'));
const env = {
  ...process.env,
  BRICOLAGE_DB: path.join(folder, 'shots.sqlite'),
  BRICOLAGE_DEMO: path.join(root, 'demo/dossiers'),
  BRICOLAGE_DEMO_NOW: SATURDAY,
  PORT: '0',
  // What a home network gives is not to be seen in a picture.
  BRICOLAGE_ADDRESSES: '127.0.0.2',
};
const server = spawn(process.execPath, ['dist-server/main.cjs'], {
  cwd: root,
  env,
  stdio: ['ignore', 'pipe', 'inherit'],
});
const base = await new Promise((resolve) =>
  server.stdout.on('data', (chunk) => resolve(/http:\S+/.exec(chunk.toString())[0])),
);
const browser = await chromium.launch({
  executablePath: findChromium(),
  // Letters as wide as in a browser with a window.
  args: ['--no-sandbox', '--disable-gpu', '--disable-background-networking', '--font-render-hinting=none'],
});
for (const { name, path: address, press = [], show, ...options } of SHOTS) {
  if (asked.length > 0 && !asked.includes(name)) continue;
  const page = await browser.newPage({ ...options, reducedMotion: 'reduce', timezoneId: 'Europe/Lisbon' });
  await page.clock.setFixedTime(SATURDAY);
  await page.goto(base + address, { waitUntil: 'networkidle' });
  // The network can be quiet before the screen's own chunk has drawn anything.
  await page.getByRole('heading').first().waitFor();
  // A plan is searched in a worker.
  await page.getByText('Looking through every way that holds.').waitFor({ state: 'hidden' });
  for (const [role, label] of press)
    await page
      .getByRole(role, { name: label, exact: typeof label === 'string' })
      .first()
      .click();
  if (show)
    await page
      .getByText(show)
      .first()
      .evaluate((element) => element.scrollIntoView({ block: 'start' }));
  await page.waitForTimeout(1500);
  // A date is a while in coming.
  await page.waitForFunction(() => !document.body.innerText.includes('Date …'), null, { timeout: 30_000 });
  await page.screenshot({ path: path.join(root, `docs/screenshots/${name}.png`) });
  say(`docs/screenshots/${name}.png`);
  await page.close();
}
await browser.close();
server.kill('SIGTERM');
rmSync(folder, { recursive: true, force: true });
