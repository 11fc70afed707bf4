import type { Page } from '@playwright/test';
import sharp from 'sharp';
import { expect, expectBigTargets, expectNoSideways, listViolations, test } from './server';

/** What one sees on each zone of a sideboard with a laminate top, foil-wrapped doors and veneered sides. */
const SIDEBOARD: Record<string, Record<string, RegExp>> = {
  Top: {
    'Look where the face meets the edge': /^Dark line/,
    'Look at a damaged corner': /^Brittle chip/,
    'Follow the face round the edge with a nail': /^A seam/,
    'Look at the inside of the board': /^Chips/,
  },
  Doors: {
    'Look where the face meets the edge': /^Wraps, no line/,
    'Look at a damaged corner': /^Plastic skin/,
    'Follow the face round the edge with a nail': /^One skin/,
    'Look at the inside of the board': /^Fine brown felt/,
  },
  Sides: {
    'Does the pattern come again?': /^Never the same/,
    'Drag a fingernail across the grain': /^Fine grooves/,
    'Look where the face meets the edge': /^Thin wood skin/,
    'Look at a damaged corner': /^Flake of wood/,
    'Follow the face round the edge with a nail': /^Wood at the edge/,
    'Look at the inside of the board': /^Chips/,
  },
};
const ON_ANY: Record<string, RegExp> = {
  'Does the pattern come again?': /^It repeats/,
  'Drag a fingernail across the grain': /^Seen, not felt/,
  'Wipe with mineral spirits': /^Rag stays clean/,
  'Rub with a damp white rag': /^Rag stays clean/,
  'Press firm tape on and pull it off sharply': /^Tape is clean/,
  'Put a drop of water on it': /^It beads/,
  'Dab white waterborne paint on a suspect spot': /^Stays white/,
  'Press a thumbnail in, somewhere hidden': /^No mark/,
  'Rub with lacquer thinner': /^Nothing happens/,
  'Lift a corner, or take a drawer out': /^Heavy/,
  'How does it shine?': /^Satin/,
  'See where the pattern ends': /^No pattern/,
  'What colour is it where no paint is?': /^Grey, white, plain/,
};

async function addSideboard(page: Page, url: string): Promise<string> {
  await page.goto(`${url}/new`);
  await page.getByRole('button', { name: 'Sideboard' }).click();
  await page.getByRole('radio', { name: 'Since 2000' }).click();
  await page
    .getByRole('radiogroup', { name: 'Has it been painted before?' })
    .getByRole('radio', { name: 'No', exact: true })
    .click();
  await page.getByRole('button', { name: 'Read its surfaces' }).click();
  await expect(page.getByRole('region', { name: 'Check' })).toBeVisible();
  return /piece\/([^/]+)/.exec(page.url())![1]!;
}

const zones = (page: Page) => page.getByRole('radiogroup', { name: 'Zone', exact: true });

/** Answers what is asked of a zone until nothing is left to ask. */
async function readZone(page: Page, name: string): Promise<number> {
  await zones(page)
    .getByRole('radio', { name: new RegExp(`^${name}`) })
    .click();
  const check = page.getByRole('region', { name: 'Check' });
  const done = page.getByText('Nothing left to ask would change the plan');
  const seen = { ...ON_ANY, ...SIDEBOARD[name] };
  for (let asked = 0; ; asked += 1) {
    await expect(check.or(done).first()).toBeVisible();
    if (await done.isVisible()) return asked;
    const title = (await check.getByRole('heading').first().textContent()) ?? '';
    expect(Object.keys(seen), `${name}: asks "${title}"`).toContain(title);
    await check.getByRole('radio', { name: seen[title]! }).click();
    await expect(check.getByRole('heading', { name: title, exact: true })).toBeHidden();
    expect(asked).toBeLessThan(12);
  }
}

test('a sideboard of three materials is read zone by zone', async ({ page, shop, strangers }) => {
  const id = await addSideboard(page, shop.url);
  const verdict = page.getByRole('region', { name: 'Verdict' });
  const expected: [string, RegExp][] = [
    ['Top', /^Laminate sheet, (nearly always|[6-9] in 10)/],
    // Which foil it is changes nothing in the plan: it is not asked to the end.
    ['Doors', /^(Vinyl foil on MDF|Printed foil), (nearly always|1 in 2|[6-9] in 10)/],
    ['Sides', /^Wood veneer, (nearly always|[6-9] in 10)/],
  ];
  for (const [name, words] of expected) {
    expect(await readZone(page, name)).toBeGreaterThan(0);
    await expect(verdict.getByText(words)).toBeVisible();
    await expect(zones(page).getByRole('radio', { name: `${name} ✓` })).toBeVisible();
  }
  await expectBigTargets(page);
  await expectNoSideways(page);

  // The frame is of the same stuff as the sides: one tap, and it is read.
  await page.getByRole('button', { name: 'Other zones are just like it' }).click();
  await page.getByRole('switch', { name: 'Frame and plinth' }).click();
  await zones(page)
    .getByRole('radio', { name: /^Frame and plinth/ })
    .click();
  await expect(verdict.getByText(/^Wood veneer, (nearly always|[5-9] in 10)/)).toBeVisible();
  await expect(page.getByText('Read like sides', { exact: false })).toBeVisible();

  const stored = await (await page.request.get(`${shop.url}/api/pieces/${id}`)).json();
  const frame = stored.zones.find((zone: { id: string }) => zone.id === 'frame');
  expect(frame).toMatchObject({ like: 'sides' });
  expect(frame.observations).toBeUndefined();
  expect(strangers).toEqual([]);
});

test('answers that clash are shown, and the doubted one can be weakened or made again', async ({ page, shop }) => {
  await addSideboard(page, shop.url);
  await zones(page).getByRole('radio', { name: /^Top/ }).click();
  const check = page.getByRole('region', { name: 'Check' });
  const make = async (title: string, answer: RegExp): Promise<void> => {
    if (!(await check.getByRole('heading', { name: title, exact: true }).isVisible())) {
      await page.getByRole('button', { name: 'Make another check' }).click();
      await page
        .getByRole('radiogroup', { name: 'Other checks' })
        .getByRole('radio', { name: title, exact: true })
        .click();
    }
    await check.getByRole('radio', { name: answer }).click();
  };
  await make('Look where the face meets the edge', /^Dark line/);
  await make('Does the pattern come again?', /^It repeats/);
  await make('Look at a damaged corner', /^Brittle chip/);
  await make('Count the knots', /^Many/);
  await expect(page.getByText('These answers do not fit together')).toBeVisible();
  await expect(page.getByText('“Many” hardly fits.', { exact: false })).toBeVisible();
  await expect(zones(page).getByRole('radio', { name: 'Top ?' })).toBeVisible();
  await page.getByRole('button', { name: 'Take it back and ask again' }).click();
  await expect(page.getByText('These answers do not fit together')).toBeHidden();

  await page.getByRole('button', { name: /^Why\?/ }).click();
  await page.getByRole('button', { name: 'I am not sure of it' }).first().click();
  await expect(page.getByText('Doubtful: counts for less')).toBeVisible();

  // What the owner knows is believed, and what speaks against it is shown.
  await page.getByRole('button', { name: 'I know what this is' }).click();
  await page
    .getByRole('radiogroup', { name: 'The material, as you know it' })
    .getByRole('radio', { name: 'Wood veneer' })
    .click();
  await expect(page.getByRole('button', { name: 'You said: wood veneer' })).toBeVisible();
  await expect(
    page.getByText(/The checks speak against what you said|These answers do not fit together/).first(),
  ).toBeVisible();
});

test.describe('with the demo workshop', () => {
  test.use({ demo: true });

  test('damage has its place, and pictures are kept without the place they were taken', async ({ page, shop }) => {
    await page.goto(`${shop.url}/piece/demo-sewing-cabinet/read?zone=sides`);
    await page.getByRole('button', { name: 'Add damage or a stain' }).click();
    await page.getByRole('radio', { name: 'Gouge' }).click();
    await page.getByRole('button', { name: 'Gouge: one more' }).click();
    await page.getByRole('button', { name: 'Where?' }).last().click();
    await page.getByRole('button', { name: 'Tap the place on the drawing' }).click({ position: { x: 180, y: 120 } });
    await expect(page.getByRole('button', { name: 'Move it' })).toBeVisible();

    const picture = await sharp({ create: { width: 2600, height: 1300, channels: 3, background: '#7a5a3a' } })
      .withExif({ IFD3: { GPSLatitudeRef: 'N', GPSLatitude: '51/1 30/1 0/1' } })
      .jpeg()
      .toBuffer();
    const pick = async (name: string, file: { name: string; mimeType: string; buffer: Buffer }): Promise<void> => {
      const [chooser] = await Promise.all([
        page.waitForEvent('filechooser'),
        page.getByRole('button', { name }).last().click(),
      ]);
      await chooser.setFiles(file);
    };
    await pick('Add a picture', { name: 'notes.jpg', mimeType: 'image/jpeg', buffer: Buffer.from('not a picture') });
    await expect(page.getByText('This is not a picture that can be read.', { exact: false })).toBeVisible();
    await pick('Add a picture', { name: 'side.jpg', mimeType: 'image/jpeg', buffer: picture });
    await expect(page.getByRole('img', { name: 'Picture 1 of the sides' })).toBeVisible();

    const stored = await (await page.request.get(`${shop.url}/api/pieces/demo-sewing-cabinet`)).json();
    expect(stored.photos).toMatchObject([{ zone: 'sides', width: 2048, height: 1024 }]);
    const bytes = await (await page.request.get(`${shop.url}/api/photos/${stored.photos[0].sha256}`)).body();
    expect((await sharp(bytes).metadata()).exif).toBeUndefined();
    const gouge = stored.zones.find((zone: { id: string }) => zone.id === 'sides').defects.at(-1);
    expect(gouge).toMatchObject({ code: 'gouge', extent: 'spot', count: 2 });
    expect(gouge.place.x).toBeGreaterThan(0);
    expect(gouge.place.y).toBeLessThan(1);
  });

  test('a drawer that is different is split off, named, and joined again', async ({ page, shop }) => {
    await page.goto(`${shop.url}/piece/demo-issue-desk/meet`);
    await page.getByRole('button', { name: 'Zones, areas and size' }).click();
    await page.getByRole('button', { name: 'Change Drawer fronts' }).click();
    await page.getByRole('switch', { name: 'Face 1', exact: true }).click();
    await page.getByRole('button', { name: 'Make this face a zone of its own' }).click();
    await page.getByRole('button', { name: 'Change Drawer fronts, apart' }).click();
    await page.getByLabel('Name').fill('Bottom drawer');
    await page.getByLabel('Name').blur();
    await expect(page.getByRole('button', { name: 'Close Bottom drawer' })).toBeVisible();
    await page.getByRole('button', { name: 'Close Bottom drawer' }).click();
    await page.getByRole('button', { name: 'Change Drawer fronts' }).click();
    const areaOf = async (id: string): Promise<number> => {
      const { zones } = (await (await page.request.get(`${shop.url}/api/pieces/demo-issue-desk`)).json()) as {
        zones: { id: string; name?: string; area_m2: number }[];
      };
      return zones.find((zone) => zone.id === id || zone.name === id)?.area_m2 ?? 0;
    };
    const apart = await areaOf('drawer_fronts');
    await page
      .getByRole('radiogroup', { name: 'Join into Drawer fronts' })
      .getByRole('radio', { name: 'Bottom drawer' })
      .click();
    await expect(page.getByRole('button', { name: 'Change Bottom drawer' })).toBeHidden();

    // What was joined is not lost: it comes back with its face and its area, taken from the zone it went to.
    await expect.poll(() => areaOf('Bottom drawer')).toBe(0);
    await expect.poll(() => areaOf('drawer_fronts')).toBeGreaterThan(apart);
    const joined = await areaOf('drawer_fronts');
    await page.getByRole('button', { name: 'Bring back Bottom drawer' }).click();
    await expect(page.getByRole('button', { name: 'Change Bottom drawer' })).toBeVisible();
    await expect(page.getByRole('region', { name: 'Zones taken away' })).toBeHidden();
    await expect.poll(() => areaOf('Bottom drawer')).toBeGreaterThan(0);
    expect((await areaOf('Bottom drawer')) + (await areaOf('drawer_fronts'))).toBeCloseTo(joined, 1);
    await page.getByRole('button', { name: 'Add a zone' }).click();
    await page.getByRole('radio', { name: 'Inside' }).click();
    await expect(page.getByRole('button', { name: 'Change Inside' })).toBeVisible();
  });

  test('damp wood is judged by the room', async ({ page, shop }) => {
    await page.goto(`${shop.url}/piece/demo-knotty-settle/read?zone=top`);
    const more = page.getByRole('button', { name: 'Make another check' });
    const sheet = page.getByRole('dialog', { name: 'Make another check' });
    await more.click();
    await expect(sheet).toBeVisible();
    expect(await listViolations(page, 'make another check')).toEqual([]);
    await page.keyboard.press('Escape');
    await expect(sheet).toBeHidden();
    await expect(more).toBeFocused();
    await more.click();
    await sheet.getByRole('radio', { name: 'Moisture meter' }).click();
    await expect(sheet).toBeHidden();
    await page.getByRole('button', { name: 'Keep this reading' }).click();
    await expect(page.getByText('A number from 0 to 60.')).toBeVisible();
    await page.getByLabel(/^The meter says/).fill('14');
    await page.getByLabel(/^Humidity/).fill('40');
    await expect(page.getByText('Wood in this room settles at about 7.', { exact: false })).toBeVisible();
    await page.getByRole('button', { name: 'Keep this reading' }).click();
    await expect(page.getByText('too damp to paint', { exact: false })).toBeVisible();
    await expect(page.getByText('Let it dry out')).toBeVisible();
  });

  test('a lead test is recorded with its kind, and a positive one says whom to turn to', async ({ page, shop }) => {
    await page.goto(`${shop.url}/piece/demo-painted-door/read?zone=panels`);
    // A look comes first; the kit is a tap away.
    const askForKit = async (): Promise<void> => {
      await page.getByRole('button', { name: 'Make another check' }).click();
      await page.getByRole('radio', { name: 'Test the old coat for lead' }).click();
    };
    await askForKit();
    await page.getByRole('radio', { name: 'Paint chip sent to a laboratory' }).click();
    await page.getByRole('radio', { name: 'Negative' }).click();
    await expect(page.getByText('No lead was found (paint chip sent to a laboratory)', { exact: false })).toBeVisible();
    await page.getByRole('button', { name: /^Take back/ }).click();
    await askForKit();
    await page.getByRole('radio', { name: 'Positive' }).click();
    await expect(page.getByText('Lead found: stop here')).toBeVisible();
    await expect(page.getByText('Ask the local health or building authority', { exact: false })).toBeVisible();
    await expect(page.getByRole('region', { name: 'Check' })).toBeHidden();
    await expect(zones(page).getByRole('radio', { name: 'Panels ✕' })).toBeVisible();
  });
});
