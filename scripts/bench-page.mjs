/* A first visit on a slow phone, and a list of five thousand pieces: for `npm run bench`. */
import { chromium } from '@playwright/test';
import { spawn } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { findChromium, root } from './lib.mjs';

/** When a thing first stands in the page, ms since the visit began: told by the page, for a locator looks only now and then. */
const watchFor = (page, selector) =>
  page.addInitScript((wanted) => {
    window.stoodAt = new Promise((resolve) => {
      const look = () => {
        if (!document.querySelector(wanted)) return;
        watcher.disconnect();
        requestAnimationFrame(() => resolve(performance.now()));
      };
      const watcher = new MutationObserver(look);
      watcher.observe(document, { childList: true, subtree: true });
    });
  }, selector);

const SATURDAY = '2026-11-28T09:12:00.000Z';
const CPU_SLOWDOWN = 4;
const NETWORKS = [
  { name: '1.6 Mbit/s', kilobits: 1600, latencyMs: 150, target: '< 4' },
  { name: '30 Mbit/s', kilobits: 30_000, latencyMs: 20, target: '< 2' },
];

async function startServer(demo) {
  const folder = mkdtempSync(path.join(tmpdir(), 'bricolage-bench-'));
  const env = {
    ...process.env,
    BRICOLAGE_DB: path.join(folder, 'bench.sqlite'),
    PORT: '0',
    ...(demo ? { BRICOLAGE_DEMO: path.join(root, 'demo/dossiers'), BRICOLAGE_DEMO_NOW: SATURDAY } : {}),
  };
  const server = spawn(process.execPath, ['dist-server/main.cjs'], {
    cwd: root,
    env,
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const base = await new Promise((resolve) =>
    server.stdout.on('data', (chunk) => {
      const found = /http:\/\/\S+/.exec(chunk.toString());
      if (found) resolve(found[0]);
    }),
  );
  return {
    base,
    stop: () => {
      server.kill();
      rmSync(folder, { recursive: true });
    },
  };
}

/** `photographs`: a picture of 12 megapixels for each look with the camera, by check: `{ title, files }`. */
export async function measureVisits(add, photographs, colour) {
  const browser = await chromium.launch({ executablePath: findChromium(), args: ['--no-sandbox', '--disable-gpu'] });
  const shop = await startServer(true);
  for (const network of NETWORKS) {
    const visits = [];
    for (let i = 0; i < 3; i += 1) visits.push(await visit(browser, shop.base, network));
    const middle = (of) => visits.map(of).sort((a, b) => a - b)[1];
    const about = `first visit to Today, 390 × 844, ${CPU_SLOWDOWN}× slower CPU, ${network.name}; median of 3`;
    add(`largest paint, ${network.name}`, middle(({ largest }) => largest) / 1000, 's', network.target, about);
    add(`heading, ${network.name}`, middle(({ heading }) => heading) / 1000, 's', '', about);
    add(`what is to be done now, ${network.name}`, middle(({ day }) => day) / 1000, 's', '', about);
    add(
      `longest task, ${network.name}`,
      middle(({ longest }) => longest),
      'ms',
      '< 300',
      about,
    );
  }
  shop.stop();
  await measureManyPieces(add, browser);
  await measureOrder(add);
  await measureCameraLooks(add, browser, photographs);
  await measureMatch(add, browser, colour);
  await browser.close();
}

async function visit(browser, base, { kilobits, latencyMs }) {
  const context = await browser.newContext({ viewport: { width: 390, height: 844 }, hasTouch: true, isMobile: true });
  const page = await context.newPage();
  const session = await context.newCDPSession(page);
  await session.send('Network.enable');
  await session.send('Network.emulateNetworkConditions', {
    offline: false,
    latency: latencyMs,
    downloadThroughput: (kilobits * 1000) / 8,
    uploadThroughput: (kilobits * 1000) / 8,
  });
  await session.send('Emulation.setCPUThrottlingRate', { rate: CPU_SLOWDOWN });
  await page.addInitScript(() => {
    window.seen = { largest: 0, longest: 0 };
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) window.seen.largest = Math.max(window.seen.largest, entry.startTime);
    }).observe({ type: 'largest-contentful-paint', buffered: true });
    new PerformanceObserver((list) => {
      for (const entry of list.getEntries()) window.seen.longest = Math.max(window.seen.longest, entry.duration);
    }).observe({ type: 'longtask', buffered: true });
  });
  // The moment the demo is told for: what the day holds, and how large its words are, hangs on it.
  await page.clock.setFixedTime(new Date(SATURDAY));
  await watchFor(page, 'h1');
  await page.goto(base);
  const heading = await page.evaluate(() => window.stoodAt);
  await page.getByRole('region', { name: 'Do now' }).waitFor({ timeout: 60_000 });
  const day = await page.evaluate(() => performance.now());
  await page.waitForTimeout(1500);
  const seen = await page.evaluate(() => window.seen);
  await context.close();
  return { ...seen, heading, day };
}

const MANY = 5000;

/** Five thousand pieces, as an old shop has them: the list is fetched a stretch at a time. */
async function measureManyPieces(add, browser) {
  const shop = await startServer(false);
  for (let i = 0; i < MANY; i += 1) {
    const piece = {
      format: 'bricolage.dossier/1',
      piece: { kind: 'desk', name: `Desk ${i}` },
      zones: [{ id: 'top', role: 'top' }],
    };
    await fetch(`${shop.base}/api/pieces/p-${i}`, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(piece),
    });
  }
  const ask = async (from) => {
    const started = performance.now();
    await (await fetch(`${shop.base}/api/lists/summaries?from=${from}&count=24`)).text();
    return performance.now() - started;
  };
  const cold = await ask(0);
  // What is worked out of a piece is kept: the first look at a stretch is told apart.
  for (let i = 1; i < 8; i += 1) await ask(i * 24);
  const times = [];
  for (let i = 0; i < 200; i += 1) times.push(await ask((i % 8) * 24));
  const p99 = times.sort((a, b) => a - b)[Math.floor(times.length * 0.99)];
  const about = `${MANY} pieces, 24 at a time`;
  add('list of pieces: endpoint, 99th of 100', p99, 'ms', '< 20', `${about}; median ${times[100].toPrecision(2)} ms`);
  add('list of pieces: endpoint, first look at 24 pieces', cold, 'ms', '', about);
  const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
  await watchFor(page, '[role=listitem]');
  await page.goto(`${shop.base}/pieces`);
  add('list of pieces: first card', (await page.evaluate(() => window.stoodAt)) / 1000, 's', '< 1', about);
  await page.close();
  shop.stop();
}

const IN_WORK = 60;

/** The order of the day's work with sixty pieces in work, asked for while it is worked out anew again and again. */
async function measureOrder(add) {
  const shop = await startServer(false);
  const folder = path.join(root, 'demo/dossiers');
  const taken = readdirSync(folder)
    .filter((name) => name.endsWith('.json'))
    .map((name) => JSON.parse(readFileSync(path.join(folder, name), 'utf8')))
    .filter(({ chosen, outcomes }) => chosen && !outcomes?.length)
    .map(({ photos: _photos, ...piece }) => piece);
  const put = (url, body) =>
    fetch(shop.base + url, {
      method: 'PUT',
      headers: { 'Content-Type': 'application/json' },
      body: JSON.stringify(body),
    });
  for (let i = 0; i < IN_WORK; i += 1) await put(`/api/pieces/w-${i}`, taken[i % taken.length]);
  const ask = async () => {
    const started = performance.now();
    await (await fetch(`${shop.base}/api/lists/order`)).text();
    return performance.now() - started;
  };
  const first = await ask();
  const times = [];
  for (let i = 0; i < 150; i += 1) {
    if (i % 10 === 0) await put(`/api/pieces/w-${i % IN_WORK}/goal`, { priority: i % 20 ? 'soonest' : 'surest' });
    times.push(await ask());
    await new Promise((resolve) => setTimeout(resolve, 20));
  }
  const p99 = times.sort((a, b) => a - b)[Math.floor(times.length * 0.99)];
  const about = `${IN_WORK} pieces in work, one changed every 0.2 s`;
  add(
    "order of the day's work: endpoint, 99th of 100",
    p99,
    'ms',
    '< 100',
    `${about}; median ${times[75].toPrecision(2)} ms`,
  );
  add(
    "order of the day's work: the first of all",
    first / 1000,
    's',
    '',
    'on the first start: later ones find it kept',
  );
  shop.stop();
}

const watchTasks = (page) =>
  page.evaluate(() => {
    window.longest = 0;
    new PerformanceObserver((list) => {
      for (const { duration } of list.getEntries()) window.longest = Math.max(window.longest, duration);
    }).observe({ type: 'longtask' });
  });

/** From picking a photograph of a colour to the tins that come nearest. */
async function measureMatch(add, browser, colour) {
  const shop = await startServer(true);
  const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
  await page.goto(`${shop.base}/shelf`);
  await page.getByRole('button', { name: 'Which tin meets a colour?' }).click();
  const sheet = page.getByRole('dialog');
  const pick = sheet.getByRole('button', { name: /picture$/ }).last();
  await pick.waitFor();
  await page.waitForTimeout(1000);
  await watchTasks(page);
  const chooser = page.waitForEvent('filechooser');
  await pick.click();
  const picked = await chooser;
  const started = performance.now();
  await picked.setFiles(colour);
  const read = sheet.getByRole('button', { name: 'Read the colour' });
  await read.click();
  await sheet.getByRole('list', { name: 'Tins, nearest first' }).waitFor();
  const about = 'one of 12 MP, opened, read and ranked';
  add('colour matched from a photograph', (performance.now() - started) / 1000, 's', '< 1.5', about);
  add('colour matched: longest task', await page.evaluate(() => window.longest), 'ms', '< 50', about);
  await page.close();
  shop.stop();
}

/** From picking a photograph to what it proposes, and what the page could not be tapped for meanwhile. */
async function measureCameraLooks(add, browser, photographs) {
  const shop = await startServer(false);
  await fetch(`${shop.base}/api/pieces/desk`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({
      format: 'bricolage.dossier/1',
      piece: { kind: 'desk', history: { era: 'since_2000' } },
      zones: [{ id: 'top', role: 'top' }],
    }),
  });
  for (const { title, files } of photographs) {
    const page = await browser.newPage({ viewport: { width: 390, height: 844 } });
    await page.goto(`${shop.base}/piece/desk/read?zone=top`);
    await page.getByRole('button', { name: 'Make another check' }).waitFor();
    if ((await page.getByRole('heading', { name: title }).count()) === 0) {
      await page.getByRole('button', { name: 'Make another check' }).click();
      await page.getByRole('radio', { name: title }).click();
    }
    const look = page.getByRole('region', { name: 'Look with the camera' });
    await page.waitForTimeout(1000);
    await watchTasks(page);
    let spent = 0;
    for (const [i, file] of files.entries()) {
      const chooser = page.waitForEvent('filechooser');
      await look.getByRole('button', { name: i === 0 ? 'Look with the camera' : 'Take it again, tilted' }).click();
      const picked = await chooser;
      const started = performance.now();
      await picked.setFiles(file);
      await page.getByRole('status').filter({ hasText: 'Opening' }).waitFor({ state: 'detached' });
      const next = i < files.length - 1 ? 'Take it again, tilted' : 'Look at it';
      await look.getByRole('button', { name: next }).waitFor();
      spent += performance.now() - started;
    }
    const started = performance.now();
    await look.getByRole('button', { name: 'Look at it' }).click();
    await look.getByRole('button', { name: /^Take it:/ }).waitFor();
    spent += performance.now() - started;
    const about = `${title} ${files.length} of 12 MP, opened and read`;
    add(`look with the camera: ${title}`, spent / 1000, 's', `< ${1.5 * files.length}`, about);
    add(`look with the camera: ${title} longest task`, await page.evaluate(() => window.longest), 'ms', '< 50', about);
    await page.close();
  }
  shop.stop();
}
