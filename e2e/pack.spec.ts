import { strFromU8, unzipSync } from 'fflate';
import { expect, test, type Page } from '@playwright/test';
import { arcEntity, dxfText, lineEntity, polylineEntity } from '../testing/dxfText.js';
import { choose, contentOf, exported, expectAccessible, newBrief, saved, station, tab } from './helpers.js';
import { itemsOf, removeItem } from './lists.js';

const files = (page: Page) => page.getByRole('group', { name: 'What goes into the pack' });
const make = (page: Page) => page.getByRole('button', { name: 'Make the pack' });

test('the pack of a kart in fractions: chosen, made, called off, and the same twice', async ({ page }) => {
  test.slow();
  const solids: string[] = [];
  page.on('request', (request) => {
    if (request.url().includes('replicad')) solids.push(request.url());
  });
  await newBrief(page, 'Packed kart', { kind: 'Kart', set: 'Ladder', units: 'Inches, fractions' });
  await saved(page);
  await station(page, 'Pack');
  await expect(files(page).getByLabel('Each piece as a solid, STEP')).toBeChecked();
  // What cannot be made says why, and is not offered.
  await expect(files(page)).toContainText('Nothing of this frame is bent.');
  await expect(files(page).getByLabel('Bend tables')).toHaveCount(0);
  await expectAccessible(page, 'Pack', { whole: true });
  // The modeller is large: nothing fetches it before a solid is asked for.
  expect(solids).toEqual([]);
  await make(page).click();
  await expect(page.getByRole('progressbar')).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(make(page)).toBeEnabled();
  for (const group of [
    'Cuts, bends and flat parts',
    'Patterns',
    'Steering',
    'Fixture and full-size plan',
    'Work and checks',
  ])
    await files(page)
      .locator('section', { has: page.getByRole('heading', { name: group }) })
      .getByRole('button', { name: 'None of these' })
      .click();
  await files(page).getByLabel('Each piece as a solid, STEP').uncheck();
  const packed = async () => {
    const [download] = await Promise.all([
      page.waitForEvent('download', { timeout: 50_000 }),
      make(page).click(),
    ]);
    expect(download.suggestedFilename()).toMatch(/^packed-kart-r\d+-\d{4}-\d\d-\d\d\.zip$/);
    const bytes = await contentOf(download);
    return { bytes, all: unzipSync(bytes) };
  };
  const { bytes, all } = await packed();
  const names = Object.keys(all).map((name) => name.replace(/-r\d+-\d{4}-\d\d-\d\d/, ''));
  expect(names.sort()).toEqual([
    'frame/cut-list.csv',
    'frame/cut-list.xlsx',
    'frame/frame.glb',
    'frame/frame.step',
    'frame/frame.stl',
    'frame/labels.pdf',
    'frame/masses.csv',
    'index.html',
    'packed-kart.larchwood.json',
  ]);
  const text = (part: string) => strFromU8(all[Object.keys(all).find((name) => name.includes(part))!]!);
  expect(text('.step')).toMatch(/^ISO-10303-21;[\s\S]*PRODUCT\('1L Rail, left'/);
  expect(text('index.html')).toContain('Packed kart');
  expect(text('index.html')).not.toContain('Could not be made');
  expect(text('index.html')).toMatch(/\d+ \d+\/\d+ in/);
  const { text: own } = await exported(page);
  expect(text('.larchwood.json')).toBe(own);
  expect((await packed()).bytes.equals(bytes)).toBe(true);
  expect(solids.length).toBeGreaterThan(0);
});

test('a label’s code opens its piece', async ({ page }) => {
  await newBrief(page, 'Labelled bicycle', {});
  const [, id] = /builds\/([^/]+)/.exec(page.url())!;
  await page.goto(`/builds/${id}/joints?piece=6R`);
  await expect(page.getByRole('complementary', { name: /^Piece 6R/ })).toBeVisible();
  await page.goto(`/builds/${id}/joints?piece=99`);
  // A mark that no piece has any more opens the station as ever.
  await expect(page.getByRole('cell', { name: 'Seatstay, left' })).toBeVisible();
});

test('a drawing becomes a frame, and one undo takes it back; what is no drawing is refused', async ({
  page,
}) => {
  await newBrief(page, 'Drawn kart', { kind: 'Kart', set: 'Ladder', units: 'Inches, fractions' });
  await station(page, 'Pack');
  await tab(page, 'Bring in');
  const bring = (name: string, content: string) =>
    page
      .getByLabel('File to bring in')
      .setInputFiles({ name, mimeType: 'text/plain', buffer: Buffer.from(content) });
  await bring('torn.dxf', '0\nSECTION\n2\nENTITIES\n0\nLINE\n');
  await expect(page.getByRole('alert')).toContainText('torn.dxf: This drawing ends in the middle');
  await bring('../../etc/passwd.exe', 'x');
  await expect(page.getByRole('alert')).toContainText('can be brought in');
  await bring('huge.dxf', 'x'.repeat(5_100_000));
  await expect(page.getByRole('alert')).toContainText('5.1 MB');
  // A floor drawn from above, in inches, with a rounded rail.
  const floor = dxfText(
    [
      polylineEntity('rail', [
        [0, 10],
        [40, 10, -Math.tan(Math.PI / 16)],
        [47.0711, 7.0711],
        [62.0711, -7.9289],
      ]),
      lineEntity('cross', [5, 10], [5, -10]),
      lineEntity('cross', [30, 10], [30, -10]),
      arcEntity('cross', [0, 0], 0, 0, 90),
    ],
    1,
  );
  await bring('floor.dxf', floor);
  await expect(page.getByText('3 tubes')).toBeVisible();
  await expect(page.getByText('with 1 bend,')).toBeVisible();
  await expect(page.getByText('It is an arc of no radius.')).toBeVisible();
  await expect(page.getByRole('combobox', { name: 'Drawn in' })).toContainText('inches');
  for (const layer of ['rail', 'cross']) {
    await choose(page, `Layer ${layer}: plane`, 'Plan');
    await page.getByLabel(`Layer ${layer}: lies up by`).fill('5 1/2');
  }
  await expectAccessible(page, 'Pack, a drawing brought in');
  // Looked away from and come back to, it is as it was told.
  await station(page, 'Tubes');
  await station(page, 'Pack');
  await tab(page, 'Bring in');
  await expect(page.getByLabel('Layer rail: lies up by')).toHaveValue('5 1/2');
  await page.getByRole('button', { name: 'Bring them in' }).click();
  await expect(page).toHaveTitle(/^Tubes – /);
  await saved(page);
  const { document } = await exported(page);
  expect(document.frame.members.map(({ name }) => name)).toEqual(['rail 1', 'cross 1', 'cross 2']);
  expect(document.frame.members[0]!.bends[0]!.radius).toBeCloseTo(10 * 25.4, -1);
  expect(document.frame.members[1]!.ends.start.cut).toBe('coped');
  await page.getByRole('button', { name: 'Undo' }).click();
  expect((await exported(page)).document.frame.members.length).toBeGreaterThan(8);
});

test('a table of dimensions in mixed units is held row by row, and undone at once', async ({ page }) => {
  await newBrief(page, 'Told bicycle', {});
  await station(page, 'Pack');
  await tab(page, 'Bring in');
  await page.getByLabel('File to bring in').setInputFiles({
    name: 'dims.csv',
    mimeType: 'text/csv',
    buffer: Buffer.from(
      'Name,Value,Unit\r\nHead angle,71.5,deg\r\nChainstay length,17 1/2,in\r\nTrail,abc\r\nWidth of the moon,3\r\n',
    ),
  });
  const says = page.getByRole('group', { name: 'What the table says' });
  await expect(says.getByRole('row', { name: /Chainstay length/ })).toContainText('444.5');
  await expect(says).toContainText('“abc” is not a length');
  await expect(says).toContainText('row 5: Width of the moon, 3');
  await expect(page.getByRole('combobox', { name: 'It holds' })).toContainText('Dimensions');
  await expectAccessible(page, 'Pack, a table brought in');
  const before = (await exported(page)).document.stance.held;
  await page.getByRole('button', { name: 'Hold them' }).click();
  await saved(page);
  expect((await exported(page)).document.stance.held).toMatchObject({
    headAngle: 71.5,
    chainstayLength: 444.5,
  });
  await page.getByRole('button', { name: 'Undo' }).click();
  expect((await exported(page)).document.stance.held).toEqual(before);
});

test('logs of wheel scales and of a gauge: several rows of one come to their mean', async ({ page }) => {
  await newBrief(page, 'Logged trike', { kind: 'Tadpole trike', units: 'Inches, decimal' });
  await station(page, 'Pack');
  await tab(page, 'Bring in');
  const bring = (name: string, content: string) =>
    page
      .getByLabel('File to bring in')
      .setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(content) });
  const says = page.getByRole('group', { name: 'What the table says' });
  await bring('scales.csv', 'wheel,weight\nFL,31 kg\nfront right,68 lb\nrear,40 kg\nrear,42 kg\nspare,3 kg');
  await expect(page.getByRole('combobox', { name: 'It holds' })).toContainText('Wheel scales');
  await expect(says.getByRole('row', { name: /rear wheel/ })).toContainText('mean of 2 rows');
  await expect(says).toContainText('This vehicle stands on ');
  await page.getByRole('button', { name: 'Take them in' }).click();
  await saved(page);
  const { level } = (await exported(page)).document.mass.scales!;
  expect([level.frontLeft, level.rear]).toEqual([31, 41]);
  expect(level.frontRight).toBeCloseTo(30.844, 3);
  await bring('gauge.csv', 'No,reads\n1,12.5 in\n2,9 in\n2,9.02 in\n400,1');
  await expect(page.getByRole('combobox', { name: 'It holds' })).toContainText('Readings of a gauge');
  await choose(page, 'Read at', 'Tacked');
  await page.getByRole('button', { name: 'Take them in' }).click();
  await saved(page);
  const { measured } = (await exported(page)).document;
  expect(measured!.map(({ stage }) => stage)).toEqual(['tacked', 'tacked']);
  expect(measured!.some(({ spread }) => spread !== undefined)).toBe(true);
});

test('a table of tube sections goes into the workshop’s list, is chosen for a tube, and comes out again', async ({
  page,
}) => {
  await newBrief(page, 'Odd tube kart', { kind: 'Kart' });
  await station(page, 'Pack');
  await tab(page, 'Bring in');
  const bring = () =>
    page.getByLabel('File to bring in').setInputFiles({
      name: 'sections.csv',
      mimeType: 'text/csv',
      buffer: Buffer.from('Name,Shape,OD (in),Wall\nodd lot,round,1 1/4,1.65 mm\nno tube,round,1,15 mm\n'),
    });
  const shop = async () => Object.keys(await itemsOf(page, 'sections'));
  const id = 'own-round-31.75x1.65';
  await bring();
  const says = page.getByRole('group', { name: 'What the table says' });
  await expect(page.getByRole('combobox', { name: 'It holds' })).toContainText('Tube sections');
  await expect(says.getByRole('row', { name: /odd lot/ })).toContainText('round, 31.8 × 1.65');
  await expect(says).toContainText('Twice the wall leaves no bore.');
  const take = page.getByRole('button', { name: 'Take them in' });
  await take.click();
  await expect.poll(shop).toContain(id);
  await page.getByRole('listitem').getByRole('button', { name: 'Undo', exact: true }).click();
  await expect.poll(shop).not.toContain(id);
  await bring();
  await take.click();
  await station(page, 'Tubes');
  await page.getByRole('button', { name: /^1 Side rail/ }).click();
  await choose(page, 'Section', 'odd lot');
  await saved(page);
  const { document } = await exported(page);
  expect(document.frame.sections.find(({ name }) => name === 'odd lot')).toMatchObject({
    ...{ shape: 'round', diameter: 31.75, wall: 1.65 },
  });
  expect(await removeItem(page, 'sections', id)).toBe(true);
});
