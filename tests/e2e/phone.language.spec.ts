import type { Browser, Page } from '@playwright/test';
import { rmSync } from 'node:fs';
import path from 'node:path';
import { buildMadeUp, makeUp } from './made-up';
import { expect, follow, test, unfold } from './server';

// Within the project, where its server finds packages.
const folder = path.resolve(`.cache/made-up-${process.env.TEST_PARALLEL_INDEX ?? 0}`);
const SATURDAY = '2026-11-28T09:12:00.000Z';
// Days are named in the language of the words, in the order and by the clock of the reader's device.
const LOCALE = 'en-GB';

test.use({ demo: true, serverClock: SATURDAY, root: folder, locale: LOCALE });
test.beforeAll(() => {
  // Accents on every letter, nothing left as it was, and two fifths longer.
  expect(makeUp('Choose a system')).toMatch(/^[^a-z]+$/i);
  expect(makeUp('Choose')).toHaveLength(9);
  rmSync(folder, { recursive: true, force: true });
  expect(buildMadeUp(folder)).toBeGreaterThan(3000);
});
test.afterAll(() => rmSync(folder, { recursive: true, force: true }));

const SHOP_SCREENS = [
  '/',
  '/pieces',
  '/findings',
  '/practice',
  '/earned',
  '/shelf',
  '/new',
  '/search',
  '/compare',
  '/ahead',
  '/workshop',
  '/copies',
  '/phones',
  '/put-away',
  '/glossary',
  '/notices',
];
const STAGES = ['meet', 'read', 'choose', 'prove', 'work', 'mend', 'let-go'];

type Box = Pick<DOMRect, 'left' | 'right' | 'top' | 'bottom'>;

interface Found {
  english: string[];
  cut: string[];
  overlapping: string[];
  sideways: number;
}

/** What is wrong with the words of a screen. `own`: what is the shop's own or the browser's and not ours, longest first. */
function inspect(own: string[]): Found {
  const english = new Set<string>();
  const tell = (text: string): void => {
    if (!/(?<!\p{L})[A-Za-z]{3,}(?!\p{L})/u.test(text)) return;
    const rest = own.reduce((left, value) => left.replaceAll(value, ' '), text.toLowerCase());
    const left = rest.match(/[\p{L}\p{M}]+/gu)?.filter((word) => /^[a-z]{3,}$/.test(word)) ?? [];
    if (left.length > 0) english.add(`${left.join(' ')} | ${text.slice(0, 90)}`);
  };
  const shown: { text: string; element: Element; boxes: DOMRect[]; seenBoxes: Box[] }[] = [];
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
    const element = node.parentElement!;
    const text = node.textContent!.trim();
    if (text === '' || element.closest('script, style, noscript, option')) continue;
    const style = getComputedStyle(element);
    if (style.visibility === 'hidden' || !element.checkVisibility()) continue;
    const range = document.createRange();
    range.selectNodeContents(node);
    const boxes = [...range.getClientRects()].filter(({ width, height }) => width > 1 && height > 1);
    // What is rolled or folded away is not there.
    const seenBoxes = boxes.map((box) => {
      let [left, right, top, bottom] = [box.left, box.right, box.top, box.bottom];
      for (let up: Element | null = element; up && up !== document.body; up = up.parentElement) {
        const own = getComputedStyle(up);
        if (own.overflowX === 'visible' && own.overflowY === 'visible') continue;
        const limit = up.getBoundingClientRect();
        [left, right] = [Math.max(left, limit.left), Math.min(right, limit.right)];
        [top, bottom] = [Math.max(top, limit.top), Math.min(bottom, limit.bottom)];
      }
      return { left, right, top, bottom };
    });
    tell(text);
    shown.push({ text, element, boxes, seenBoxes });
  }
  for (const element of document.querySelectorAll('[aria-label], [placeholder], [title], [alt]'))
    for (const name of ['aria-label', 'placeholder', 'title', 'alt'])
      if (element.getAttribute(name)) tell(element.getAttribute(name)!);
  const cut = new Set<string>();
  for (const { text, element, boxes } of shown) {
    for (let up: Element | null = element; up && up !== document.body; up = up.parentElement) {
      const { overflowX, overflowY } = getComputedStyle(up);
      const box = up.getBoundingClientRect();
      // What is for the ear alone has no size.
      if (box.width <= 1 || box.height <= 1) break;
      const rolls = /auto|scroll/.test(overflowX + overflowY);
      const wide = /hidden|clip/.test(overflowX) || up.matches('button, [role=button], [role=radio], [role=tab], a');
      // A space at the end of a line hangs over it.
      const { whiteSpace, fontSize } = getComputedStyle(element);
      const spare = 1.5 + (whiteSpace === 'pre-wrap' ? 0.3 * parseFloat(fontSize) : 0);
      const high = !rolls && /hidden|clip/.test(overflowY);
      for (const { left, right, top, bottom } of boxes)
        // A name of the owner's may end in an ellipsis; our words may not.
        if (
          [...text].some((letter) => letter > '~') &&
          ((wide && (right > box.right + spare || left < box.left - 1.5)) ||
            (high && (bottom > box.bottom + 3 || top < box.top - 3)))
        )
          cut.add(
            `${text.slice(0, 60)} | in ${up.tagName.toLowerCase()} ${up.getAttribute('aria-label') ?? ''}`.trim(),
          );
      if (rolls) break;
    }
  }
  const overlapping = new Set<string>();
  const seen = shown.filter(({ element, boxes: [box] }) => {
    const at = document.elementFromPoint(box!.left + box!.width / 2, box!.top + box!.height / 2);
    return at !== null && (at === element || at.contains(element) || element.contains(at));
  });
  seen.forEach(({ text, element, seenBoxes }, i) => {
    for (const other of seen.slice(i + 1)) {
      if (other.element === element) continue;
      for (const a of seenBoxes)
        for (const b of other.seenBoxes) {
          const wide = Math.min(a.right, b.right) - Math.max(a.left, b.left);
          const high = Math.min(a.bottom, b.bottom) - Math.max(a.top, b.top);
          if (wide > 3 && high > 5) overlapping.add(`${text.slice(0, 40)} × ${other.text.slice(0, 40)}`);
        }
    }
  });
  const { scrollWidth, clientWidth } = document.documentElement;
  return {
    english: [...english],
    cut: [...cut],
    overlapping: [...overlapping],
    sideways: Math.max(0, scrollWidth - clientWidth),
  };
}

/** Every text in a value that is no code: names, and what holds a space or a capital. */
function collectTexts(value: unknown, into: Set<string>, key = ''): void {
  if (typeof value === 'string') {
    if ((key === 'name' || /[A-Z ]/.test(value)) && /[A-Za-z]{3}/.test(value)) into.add(value.toLowerCase());
  } else if (typeof value === 'object' && value !== null)
    for (const [name, own] of Object.entries(value)) collectTexts(own, into, name);
}

async function listOwn(url: string): Promise<{ own: string[]; pieces: string[] }> {
  const ask = async (at: string): Promise<unknown> => (await fetch(url + at)).json();
  const { pieces } = (await ask('/api/pieces')) as { pieces: { piece: { id: string; kind: string } }[] };
  const texts = new Set<string>([
    'bricolage',
    'utc',
    'astm',
    'iso',
    'csv',
    'json',
    'zip',
    'url',
    'https',
    'qr',
    ' and ',
  ]);
  for (const at of ['/api/shelf', '/api/workshop', '/api/lists/recipes']) collectTexts(await ask(at), texts);
  collectTexts(pieces, texts);
  for (const length of ['long', 'short'] as const)
    for (const part of [{ weekday: length }, { month: length }])
      for (let day = 0; day < 366; day += 1)
        texts.add(new Intl.DateTimeFormat(LOCALE, part).format(Date.UTC(2026, 0, day)).toLowerCase());
  const own = [...texts].sort((a, b) => b.length - a.length);
  return { own, pieces: pieces.map(({ piece }) => piece.id) };
}

const SIZES = [
  ['phone', { width: 390, height: 3200 }],
  ['desk', { width: 1280, height: 2400 }],
] as const;

async function lookAt(browser: Browser, url: string, paths: string[], own: string[]) {
  const page: Page = await browser.newPage({
    viewport: SIZES[0][1],
    locale: LOCALE,
    reducedMotion: 'reduce',
    serviceWorkers: 'block',
  });
  page.setDefaultTimeout(15_000);
  await page.clock.setFixedTime(new Date(SATURDAY));
  const wrong: Record<string, Partial<Found>> = {};
  for (const at of paths) {
    await page.setViewportSize(SIZES[0][1]);
    await follow(page, url + at);
    await page.getByRole('heading').first().waitFor();
    await expect(page.getByRole('status', { name: makeUp('Loading') })).toHaveCount(0);
    await page.evaluate(() => document.fonts.ready.then(() => undefined));
    await page.waitForTimeout(200);
    // What is being worked out is waited for, but not for ever.
    await page
      .waitForFunction(() => !document.querySelector('[aria-busy=true]'), null, { timeout: 10_000 })
      .catch(() => undefined);
    for (const [name, size] of SIZES) {
      await page.setViewportSize(size);
      await unfold(page);
      await page.waitForTimeout(150);
      const { english, cut, overlapping, sideways } = await page.evaluate(inspect, own);
      const found = {
        // Packages are called what they are called.
        ...(english.length > 0 && at !== '/notices' ? { english } : {}),
        ...(cut.length > 0 ? { cut } : {}),
        ...(overlapping.length > 0 ? { overlapping } : {}),
        ...(sideways > 0 ? { sideways } : {}),
      };
      if (Object.keys(found).length > 0) wrong[`${at} (${name})`] = found;
    }
  }
  await page.close();
  return wrong;
}

test('in a made-up language nothing is cut, nothing overlaps and nothing is left in English, on a phone and at a desk', async ({
  browser,
  shop,
}) => {
  test.setTimeout(300_000);
  const { own, pieces } = await listOwn(shop.url);
  const paths = [
    ...SHOP_SCREENS,
    ...STAGES.flatMap((stage) => pieces.slice(0, 2).map((id) => `/piece/${id}/${stage}`)),
  ];
  expect(await lookAt(browser, shop.url, paths, own)).toEqual({});
});
