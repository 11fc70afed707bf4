import { writeFileSync } from 'node:fs';
import path from 'node:path';
import { PHOTOGRAPHS } from './photographs';
import { expect, expectBigTargets, expectNoSideways, follow, test } from './server';

/** A desk with a laminate top and the system the planner recommends for it. */
async function makeDesk(url: string): Promise<void> {
  const stated = { substrate: 'hpl_laminate', finish: 'factory_film' };
  const treatment = {
    prep: 'scuff_150',
    primer: 'bonding_primer_wb',
    coats: 1,
    paint: 'wb_alkyd_enamel',
    paint_coats: 2,
  };
  await fetch(`${url}/api/pieces/p-1`, {
    method: 'PUT',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify({
      format: 'bricolage.dossier/1',
      piece: { id: 'p-1', name: 'Reading desk', kind: 'desk', history: { era: 'since_2000' } },
      zones: [{ id: 'top', name: 'Top', role: 'top', area_m2: 1, stated }],
      goal: { priority: 'cheapest' },
      chosen: { at: '2026-03-01T10:00:00Z', zones: [{ id: 'top', treatment }] },
    }),
  });
}

test('a panel is designed, read from a photograph, put right in two squares; the gate closes and the plan changes', async ({
  page,
  shop,
  strangers,
}) => {
  const errors: string[] = [];
  page.on('pageerror', (error) => errors.push(error.message));
  await makeDesk(shop.url);
  await page.goto(`${shop.url}/piece/p-1/prove`);

  // Design: too small a face is refused, a seed draws another order, then it is made and started.
  const designer = page.getByRole('region', { name: 'Test panel' });
  await expect(designer.getByRole('button', { name: /^Strip A1/ })).toBeVisible();
  await designer.getByLabel('Width, mm').fill('40');
  await expect(designer.getByText(/^Too small: these strips need \d+ mm × \d+ mm/)).toBeVisible();
  await designer.getByLabel('Width, mm').fill('300');
  await expectBigTargets(page);
  await expectNoSideways(page);
  await designer.getByRole('button', { name: 'Make this panel' }).click();
  const panel = page.getByRole('region', { name: /^Panel/ });
  await panel.getByRole('button', { name: /^First coat is on/ }).click();
  await expect(panel.getByText(/^Next: read the primer/)).toBeVisible();

  // The map and the calendar are there to be saved.
  await panel.getByRole('button', { name: /^Times, map to print/ }).click();
  const href = await panel.getByRole('link', { name: 'Save the times (calendar)' }).getAttribute('href');
  expect(decodeURIComponent(href!)).toContain('BEGIN:VCALENDAR');
  const svg = await panel.getByRole('link', { name: 'Save the map (SVG)' }).getAttribute('href');
  expect(decodeURIComponent(svg!)).toContain('width="328mm"');

  // Read the strip of the treatment taken from a photograph.
  const strip = panel.getByRole('button', { name: /^Strip .*waterborne bonding primer/ }).first();
  await strip.click();
  await expect(strip).toHaveAttribute('aria-pressed', 'true');
  const form = page.getByRole('region', { name: 'Log a test' });
  await form.getByRole('radio', { name: /^Cross-cut/ }).click();
  const choosing = page.waitForEvent('filechooser');
  await form.getByRole('button', { name: 'Read it from a photograph' }).click();
  await (await choosing).setFiles(path.join(PHOTOGRAPHS, 'lattice-failed.jpg'));
  const result = form.getByText(/^\d+\.\d % bare: ISO class/);
  await expect(result).toHaveText(/^2[12]\.\d % bare: ISO class 3, ASTM 2B$/, { timeout: 30_000 });

  // A corner moves by the arrow keys; two squares are put right.
  await form.getByRole('slider', { name: 'Corner top left' }).press('ArrowRight');
  await expect(form.getByText('Reading the squares…')).toHaveCount(0);
  await expect(result).toBeVisible();
  const squares = form.getByRole('group', { name: 'Squares of the lattice' }).getByRole('checkbox');
  await expect(squares).toHaveCount(25);
  const whole = form.getByRole('checkbox', { name: / 0 % bare$/ });
  await whole.nth(0).click();
  await whole.nth(0).click();
  await expect(form.getByText('2 squares put right by you.')).toBeVisible();
  await expect(result).toHaveText(/^(29|30)\.\d % bare: ISO class 3, ASTM 2B$/);
  await form.getByRole('button', { name: 'Use this reading' }).click();
  await form.getByRole('radio', { name: 'Primer off the surface' }).click();
  await form.getByLabel('Age of the patch, hours').fill('24');
  await form.getByRole('button', { name: 'Log this test' }).click();

  // The gate closes, says what is next best and what it costs, and the plan leaves the treatment out.
  const gate = page.getByRole('status', { name: 'Gate: closed' });
  await expect(gate.getByText(/Next best: /)).toBeVisible({ timeout: 20_000 });
  await expect(gate.getByText(/^What it costs: 24 h of waiting/)).toBeVisible();
  await expect(gate.getByText(/Next best: .*scuff 150, waterborne bonding primer$/)).toHaveCount(0);
  const stored = async () => {
    const { tests = [], photos = [] } = (await (await fetch(`${shop.url}/api/pieces/p-1`)).json()) as {
      tests?: { reading: { by: string }; photo: string; strip: string }[];
      photos?: { id: string }[];
    };
    return tests.map(({ reading, photo, strip }) => [reading.by, photo === photos[0]?.id, /^[A-C]\d$/.test(strip)]);
  };
  await expect.poll(stored).toEqual([['photo_corrected', true, true]]);

  // Findings know of it.
  await follow(page, `${shop.url}/findings`);
  await page.getByRole('button', { name: /^Waterborne bonding primer/ }).click();
  await expect(page.getByRole('link', { name: 'Reading desk, top' })).toBeVisible();
  expect(errors).toEqual([]);
  expect(strangers).toEqual([]);
});

test('bad pictures are refused with a reason, and nothing of them stays', async ({ page, shop }) => {
  await makeDesk(shop.url);
  await page.goto(`${shop.url}/piece/p-1/prove`);
  const form = page.getByRole('region', { name: 'Log a test' });
  await form.getByRole('radio', { name: /^Cross-cut/ }).click();
  const notes = test.info().outputPath('notes.jpg');
  writeFileSync(notes, 'this is not a picture');
  const pick = async (name: string, file: string) => {
    const choosing = page.waitForEvent('filechooser');
    await form.getByRole('button', { name }).click();
    await (await choosing).setFiles(file);
  };
  await pick('Read it from a photograph', notes);
  await expect(form.getByText(/^This is not a picture that can be read/)).toBeVisible();
  await pick('Read it from a photograph', path.join(PHOTOGRAPHS, 'lattice-glare.jpg'));
  await expect(form.getByText('Not good enough to go by')).toBeVisible({ timeout: 30_000 });
  await expect(form.getByRole('button', { name: 'Use this reading' })).toHaveAttribute('aria-disabled', 'true');
  // A corner follows the finger there and back.
  const corner = form.getByRole('slider', { name: 'Corner top left' });
  const across = async (): Promise<number> => Number(await corner.getAttribute('aria-valuenow'));
  await corner.evaluate((handle) => handle.scrollIntoView({ block: 'center' }));
  const [before, box] = [await across(), (await corner.boundingBox())!];
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + 24, y, { steps: 3 });
  await expect.poll(across).toBeGreaterThan(before + 20);
  await page.mouse.move(x, y, { steps: 3 });
  await page.mouse.up();
  await expect.poll(across).toBe(before);
  const stored = (await (await fetch(`${shop.url}/api/pieces/p-1`)).json()) as { photos?: unknown };
  expect(stored.photos).toBeUndefined();
});

test('a picture that cannot go waits with the test it is of, and two quick taps log one test', async ({
  page,
  shop,
}) => {
  await makeDesk(shop.url);
  await page.goto(`${shop.url}/piece/p-1/prove`);
  const form = page.getByRole('region', { name: 'Log a test' });
  await form.getByRole('radio', { name: /^Cross-cut/ }).click();
  const choosing = page.waitForEvent('filechooser');
  await form.getByRole('button', { name: 'Read it from a photograph' }).click();
  await (await choosing).setFiles(path.join(PHOTOGRAPHS, 'lattice-failed.jpg'));
  await expect(form.getByText(/^\d+\.\d % bare: ISO class/)).toBeVisible({ timeout: 30_000 });
  await form.getByRole('button', { name: 'Use this reading' }).click();
  await form.getByRole('radio', { name: 'Primer off the surface' }).click();
  await form.getByLabel('Age of the patch, hours').fill('24');
  const stored = async () => {
    const { tests = [], photos = [] } = (await (await fetch(`${shop.url}/api/pieces/p-1`)).json()) as {
      tests?: { photo?: string }[];
      photos?: { id: string }[];
    };
    return { tests: tests.length, photos: photos.length, joined: tests[0] && tests[0].photo === photos[0]?.id };
  };

  // The picture does not get through: the test is logged here, and both wait, over a reload, until it does.
  const upload = '**/api/pieces/p-1/photos/**';
  await page.route(upload, (route) => route.abort('connectionrefused'));
  const button = form.getByRole('button', { name: /^(Log this test|Keeping the picture…)$/ });
  await button.click();
  await button.click({ force: true });
  await expect(page.getByText('Offline: 1 change and 1 picture are kept here')).toBeVisible();
  expect(await stored()).toEqual({ tests: 0, photos: 0 });
  await page.reload();
  await expect(page.getByText('Offline: 1 change and 1 picture are kept here')).toBeVisible();
  await page.unroute(upload);
  await expect.poll(stored, { timeout: 20_000 }).toEqual({ tests: 1, photos: 1, joined: true });
  await expect(page.getByText(/^Offline/)).toBeHidden();
  await page.waitForTimeout(500);
  expect(await stored()).toEqual({ tests: 1, photos: 1, joined: true });
});

test('a panel of ten strips is read in a grid with a tap a strip, and ranked under it', async ({ page, shop }) => {
  const strips = ['A', 'B', 'C', 'D', 'E'].flatMap((letter, column) =>
    [1, 2].map((replicate) => ({
      code: `${letter}${replicate}`,
      treatment: {
        prep: 'scuff_150',
        primer: ['none', 'shellac_primer', 'bonding_primer_wb', 'stainblock_primer_wb', 'allpurpose_primer_wb'][column],
        coats: column === 0 ? 0 : 1,
      },
      control: column === 0,
      replicate,
      x_mm: column * 40,
      y_mm: (replicate - 1) * 80,
      width_mm: 35,
      height_mm: 70,
    })),
  );
  await fetch(`${shop.url}/api/pieces/grid`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({
      format: 'bricolage.dossier/1',
      piece: { id: 'grid', name: 'Grid desk', kind: 'desk' },
      zones: [{ id: 'top', name: 'Top', role: 'top', stated: { substrate: 'melamine_board', finish: 'factory_film' } }],
      panels: [
        {
          id: 'p',
          zone: 'top',
          seed: 1,
          width_mm: 300,
          height_mm: 200,
          kinds: ['nail'],
          strips,
          coated_at: '2026-11-20T08:00:00Z',
        },
      ],
    }),
  });
  await page.goto(`${shop.url}/piece/grid/prove`);
  const grid = page.getByRole('group', { name: 'Read the strips' });
  const cell = (strip: string) => grid.getByRole('button', { name: new RegExp(`^Strip ${strip}, `) });
  await expect(cell('A1')).toBeVisible();
  await expectBigTargets(page);
  await expectNoSideways(page);
  let taps = 0;
  for (const { code } of strips) {
    // The control lets go: that is a second tap.
    for (let tapped = 0; tapped < (code.startsWith('A') ? 2 : 1); tapped += 1) {
      await cell(code).click();
      taps += 1;
    }
    await expect(cell(code)).toHaveAccessibleName(code.startsWith('A') ? /let go$/ : /held$/);
  }
  expect(taps).toBeLessThanOrEqual(14);
  await expect(page.getByText(/cannot be told apart yet|is best/).first()).toBeVisible();
  await expect(page.getByText(/^A: 2 failed/)).toBeVisible();
  const stored = async (): Promise<string[]> => {
    const { tests = [] } = (await (await fetch(`${shop.url}/api/pieces/grid`)).json()) as {
      tests?: { strip: string; reading: { score: number } }[];
    };
    return tests.map(({ strip, reading }) => `${strip} ${reading.score}`).sort();
  };
  await expect.poll(stored).toEqual(strips.map(({ code }) => `${code} ${code.startsWith('A') ? 4 : 0}`).sort());

  // The last tap takes a reading back.
  await cell('A1').click();
  await expect(cell('A1')).toHaveAccessibleName(/not read$/);
  await expect.poll(async () => (await stored()).length).toBe(9);
});
