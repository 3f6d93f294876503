import { expect, test, type Page } from '@playwright/test';
import { measurePdf, span } from '../testing/measurePdf.js';
import {
  choose,
  contentOf,
  exported,
  newBrief,
  newByDialog,
  newBuild,
  saved,
  station,
  tab,
  expectAccessible,
} from './helpers.js';

const row = (page: Page, name: RegExp) => page.getByRole('row', { name });
const outcome = (page: Page, name: RegExp) => page.getByRole('complementary').getByRole('row', { name });
/** What an outcome is wanted to be, and what it is out by. */
async function figures(page: Page, name: RegExp): Promise<number[]> {
  const text = (await outcome(page, name).innerText()).replaceAll('−', '-');
  return [...text.matchAll(/-?\d+(\.\d+)?/g)].map(([figure]) => Number(figure));
}
async function downloaded(page: Page, button: string) {
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: button }).click(),
  ]);
  return { name: file.suggestedFilename(), content: await contentOf(file) };
}

test('the fixture’s own scales: zero, direction, step and range', async ({ page }) => {
  await newBuild(page, 'Fixture');
  await station(page, 'Fixture');
  const slide = row(page, /Dummy axle, slide/);
  // Road: 435 mm chainstay with 70 mm drop lies 429.33 mm behind the BB.
  await expect(slide).toContainText('429.5 mm');
  await tab(page, 'Profile');
  await choose(page, 'Scale', 'Dummy axle, slide');
  const scale = (what: string) => page.getByLabel(`Dummy axle, slide: ${what}, mm`);
  await scale('smallest step').fill('2');
  await scale('reads, when the distance is zero').fill('1000');
  await choose(page, 'Direction of the scale', 'reads less');
  await expect(page.getByRole('heading', { name: /Dummy axle, slide is out of range/ })).toBeVisible();
  await tab(page, 'Set up');
  await expect(slide).toContainText('570 mm');
  await expect(slide).toContainText('out of range by 10 mm');
  await tab(page, 'Profile');
  await choose(page, 'Scale', 'Dummy axle, slide');
  await scale('highest reading').fill('600');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('heading', { name: /out of range/ })).toBeHidden();
  // Upside down, or without a step, is refused at its field, and what was typed stays.
  await scale('lowest reading').fill('700');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('alert')).toContainText('below the highest');
  await scale('smallest step').fill('0');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('alert').filter({ hasText: 'needs a step' })).toBeVisible();
  await expect(scale('smallest step')).toHaveValue('0');
  await saved(page);
  const [profile] = (await exported(page)).document.fixture.profiles;
  expect(profile!.scales.axleBehind).toEqual({ zero: 1000, direction: -1, step: 2, low: 320, high: 600 });
});

test('a head angle that stops at 72.8: what comes out, what brings trail back, and undo', async ({
  page,
}) => {
  await newBuild(page, 'Deviating');
  await station(page, 'Fixture');
  const head = row(page, /Head post, tilt/).first();
  await expect(head).toContainText('72.5°');
  await page.getByLabel(/Head post, tilt: found at, degrees/).fill('72.8');
  await page.keyboard.press('Enter');
  await expect(page.getByText('What comes out, as set and found')).toBeVisible();
  const [wanted, off, otherwise] = await figures(page, /^Trail/);
  expect(wanted).toBe(57.6);
  // 0.3 degrees steeper takes some 1.9 mm of trail; the other slides bring it back to what their marks allow.
  expect(otherwise).toBeLessThan(-1.3);
  expect(Math.abs(off!)).toBeLessThan(0.4);
  await expect(page.getByText(/^was /).first()).toBeVisible();
  // What is ticked as set stays as it is.
  await page.getByRole('checkbox', { name: /Dummy axle, height: set/ }).check();
  await expect(page.getByText('2 of 8 set')).toBeVisible();
  await saved(page);
  const { readings } = (await exported(page)).document.fixture;
  expect(readings).toEqual(
    expect.arrayContaining([
      { school: 'slide-and-post', setting: 'headAngle', set: false, found: 72.8 },
      { school: 'slide-and-post', setting: 'axleAbove', set: true, at: 172, drawn: expect.any(Number) },
    ]),
  );
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('1 of 8 set')).toBeVisible();
  await page.getByLabel(/Head post, tilt: found at, degrees/).fill('much');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('alert')).toContainText('not an angle');
  await expect(page.getByLabel(/Head post, tilt: found at, degrees/)).toHaveValue('much');
  await page.getByRole('button', { name: 'Begin anew' }).click();
  await expect(page.getByText('0 of 8 set')).toBeVisible();
});

test('a wall-board for a bicycle: washers on hand, a board too small, and the sheets', async ({ page }) => {
  await newBuild(page, 'Board');
  await station(page, 'Fixture');
  await choose(page, 'School of fixture', 'Wall-board');
  await expect(row(page, /Centre line, base edge/).first()).toBeVisible();
  await tab(page, 'Lists');
  await expect(page.getByRole('row', { name: /block 18 mm/ }).first()).toBeVisible();
  // Nothing but blocks of 20: no stack makes the shims; the nearest and the error are told.
  await tab(page, 'Profile');
  const remove = page.getByRole('button', { name: /^Take out .*, row 9$/ });
  await remove.click();
  for (let at = 8; at > 1; at -= 1)
    await page.getByRole('button', { name: new RegExp(`^Take out .*, row ${at}$`) }).click();
  await page.getByLabel('Size of block, row 1, mm').fill('20');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('heading', { name: /its shim cannot be made up/ }).first()).toBeVisible();
  await page.getByLabel('How many of block, row 1').fill('a few');
  await expect(page.getByRole('alert')).toContainText('whole number');
  await page.getByRole('button', { name: 'Back to the standard' }).click();
  await page.getByLabel('Board, length, mm').fill('800');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('heading', { name: 'The board is too small for this frame' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('heading', { name: /too small/ })).toBeHidden();

  await tab(page, 'Paper');
  const sheets = await downloaded(page, 'Download PDF');
  expect(sheets.name).toMatch(/^board-wall-board-sheets-(after-)?r\d+-[\d-]{10}\.pdf$/);
  const words = measurePdf(sheets.content)
    .map(({ text }) => text)
    .join(' ');
  for (const part of ['Settings in setting order', 'Shim stacks', 'Protractor', 'Holes for the clamps'])
    expect(words).toContain(part);
  await choose(page, 'What to print', 'Fixture at full size');
  await choose(page, 'Roll or tiles', 'one roll');
  await expect(page.getByText(/^1 sheet, the first \d+ × 914 mm/)).toBeVisible();
  expect((await downloaded(page, 'DXF in mm')).content.toString('utf8')).toContain('$INSUNITS');
});

test('a kart on a table: its stop-block list, and a school that cannot hold it', async ({ page }) => {
  await newBrief(page, 'Blocks', { kind: 'Kart' });
  await station(page, 'Fixture');
  await expect(row(page, /Block 1, left edge/).first()).toBeVisible();
  await choose(page, 'School of fixture', 'Wall-board');
  await expect(page.getByRole('heading', { name: 'Wall-board: not for this frame' })).toBeVisible();
  await expect(page.getByText(/two kingpins beside the middle plane/)).toBeVisible();
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Flat table with stops' })
    .getByRole('button', { name: 'Use it' })
    .click();
  await tab(page, 'Lists');
  await expect(page.getByRole('heading', { name: /^Stop blocks/ })).toBeVisible();
  const note = await page.getByText(/blocks, .* mm of square tube/).innerText();
  const [, blocks, length] = /^(\d+) blocks, ([\d.]+) mm/.exec(note)!;
  // 80 mm each, or shorter where there is no room; a row for each, and its head.
  const rows = page.getByRole('region', { name: 'Stop blocks' }).getByRole('row');
  await expect(rows).toHaveCount(1 + Number(blocks));
  const lengths = (await rows.locator('td:last-child').allInnerTexts()).map(parseFloat);
  expect(lengths.length).toBe(Number(blocks));
  expect(Math.max(...lengths)).toBe(80);
  expect(Number(length)).toBeCloseTo(
    lengths.reduce((sum, each) => sum + each, 0),
    0,
  );
  await tab(page, 'Paper');
  await choose(page, 'Sheet size', 'Letter');
  const pdf = measurePdf((await downloaded(page, 'Download PDF')).content);
  expect(pdf[0]!.width).toBeCloseTo(279.4, 1);
  expect(pdf.map(({ text }) => text).join(' ')).toContain('Stop blocks');
  const csv = await downloaded(page, 'Settings, CSV');
  // Blocks, and three figures for each of the six points that are held.
  expect(csv.content.toString('utf8').split('\r\n').length).toBe(1 + Number(blocks) + 18);
});

test('a tiled plan of a motorcycle, corrected for the printer from a measured bar', async ({ page }) => {
  await newBrief(page, 'Tiles', { kind: 'Motorcycle' });
  await station(page, 'Fixture');
  await choose(page, 'School of fixture', 'Full-size plan');
  await tab(page, 'Paper');
  await choose(page, 'Sheet size', 'A3');
  const bar = page.getByLabel('The 200 mm bar along the short side, as measured, mm');
  await bar.fill('150');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('alert')).toContainText('more than a printer errs');
  await bar.fill('199');
  await page.keyboard.press('Tab');
  await expect(page.getByText('(0.50 %)')).toBeVisible();
  const { name, content } = await downloaded(page, 'Download PDF');
  expect(name).toMatch(/^tiles-plan-(after-)?r\d+-[\d-]{10}\.pdf$/);
  const [map, ...tiles] = measurePdf(content);
  expect(map!.text).toContain('A3');
  expect(tiles.length).toBeGreaterThan(4);
  for (const tile of tiles) {
    const lengths = tile.lines.filter((line) => line.length === 2).map(span);
    // Along the short side as the printer wants it, along the long one as it is.
    expect(lengths.some((length) => Math.abs(length - (200 * 200) / 199) < 0.05)).toBe(true);
    expect(lengths.some((length) => Math.abs(length - 200) < 0.05)).toBe(true);
  }
  await choose(page, 'Roll or tiles', 'one roll');
  await page.getByLabel('Width of the roll, mm').fill('610');
  await page.keyboard.press('Tab');
  const roll = measurePdf((await downloaded(page, 'Download PDF')).content);
  expect(roll.length).toBe(1);
  expect(roll[0]!.height).toBeCloseTo(610, 1);
});

test('how exact, and the same trike in two schools', async ({ page }) => {
  await newBrief(page, 'Exact', { kind: 'Delta trike' });
  await station(page, 'Fixture');
  await tab(page, 'How exact');
  await expect(page.getByText(/drawn in \d\.\d s/)).toBeVisible({ timeout: 15_000 });
  await expect(page.getByRole('img', { name: /^Trail: 95 of 100 between/ })).toBeVisible();
  await choose(page, 'Ranked by', 'Head tube leans sideways');
  await expect(
    page.getByRole('listitem').filter({ hasText: 'across from the middle line' }).first(),
  ).toBeVisible();
  await tab(page, 'Compare');
  await choose(page, 'Second school', 'Floor line and string');
  const trail = page.getByRole('row', { name: /^Trail/ }).first();
  await expect(trail).toContainText('±');
  await choose(page, 'Second school', 'Stay fixture');
  await expect(page.getByText('Its rear axle carries two wheels', { exact: false })).toBeVisible();
});

test('a profile is kept in the workshop, taken by another build, saved and opened as a file', async ({
  page,
}) => {
  await newBuild(page, 'Owner');
  await station(page, 'Fixture');
  await tab(page, 'Profile');
  await page.getByLabel('Name of the profile').fill('Back room fixture');
  await page.getByLabel('Seat cone height, mm').fill('31');
  await page.keyboard.press('Tab');
  await page.getByRole('button', { name: 'Keep in the workshop' }).click();
  await expect(page.getByText('“Back room fixture” is kept')).toBeVisible();
  const file = await downloaded(page, 'Save as a file');
  expect(file.name).toBe('back-room-fixture.larchwood-profile.json');

  await newBuild(page, 'Other');
  await station(page, 'Fixture');
  await tab(page, 'Profile');
  await page.getByRole('button', { name: 'Take from the workshop' }).click();
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Back room fixture' })
    .getByRole('button', { name: 'Take', exact: true })
    .click();
  await expect(page.getByLabel('Seat cone height, mm')).toHaveValue('31');
  // 540 + 31.
  await tab(page, 'Set up');
  await expect(row(page, /Seat cone, slide/)).toContainText('571 mm');

  await tab(page, 'Profile');
  await page.getByRole('button', { name: 'Back to the standard' }).click();
  await expect(page.getByLabel('Seat cone height, mm')).toHaveValue('25');
  const input = page.getByLabel('Profile file');
  const bad = file.content.toString('utf8').replace('"sizes": {', '"sizes": {\n    "wings": 3,');
  await input.setInputFiles({ name: 'bad.json', mimeType: 'application/json', buffer: Buffer.from(bad) });
  await expect(page.getByRole('dialog')).toContainText('/sizes/wings');
  await page.keyboard.press('Escape');
  await expect(page.getByLabel('Seat cone height, mm')).toHaveValue('25');
  await input.setInputFiles({ name: 'good.json', mimeType: 'application/json', buffer: file.content });
  await expect(page.getByLabel('Seat cone height, mm')).toHaveValue('31');
});

test('every view of a fixture is accessible in both themes', async ({ page }) => {
  test.setTimeout(120_000);
  await newBrief(page, 'Access fixture, both themes', { kind: 'Kart' });
  await station(page, 'Fixture');
  await page.getByLabel(/^3, .*found at/).fill('320');
  await page.keyboard.press('Tab');
  for (const view of ['Set up', 'Lists', 'How exact', 'Compare', 'Paper', 'Profile']) {
    await tab(page, view);
    if (view === 'How exact') await expect(page.getByText(/drawn in/)).toBeVisible({ timeout: 15_000 });
    await expectAccessible(page, view);
  }
  await choose(page, 'School of fixture', 'Stay fixture');
  await tab(page, 'Set up');
  await expectAccessible(page, 'cannot hold');
});

// A bicycle's is in whole-job.spec.ts; a motorcycle's pieces are made in cuts.spec.ts.
for (const [kind, rider] of [
  ['Tadpole trike', 1660],
  ['Kart', 1580],
] as const)
  test(`the main job on a ${kind.toLowerCase()}: from the brief to cut pieces and a set fixture`, async ({
    page,
  }) => {
    test.setTimeout(120_000);
    await newByDialog(page, `Job ${kind}`, { kind });
    await page.getByRole('button', { name: 'Add a rider' }).click();
    await page.getByLabel('Rider 1, stature, mm').fill(String(rider));
    await page.keyboard.press('Tab');
    await station(page, 'Joints');
    await expect(page.getByRole('row').nth(2)).toBeVisible();
    await station(page, 'Patterns');
    const patterns = measurePdf((await downloaded(page, 'Download PDF')).content);
    expect(patterns.length).toBeGreaterThan(1);
    await station(page, 'Fixture');
    const boxes = page.getByRole('checkbox', { name: /: set$/ });
    await expect(boxes.first()).toBeVisible();
    const count = await boxes.count();
    expect(count).toBeGreaterThan(7);
    for (let at = 0; at < count; at += 1) await boxes.nth(at).check();
    await expect(page.getByText(`${count} of ${count} set`)).toBeVisible();
    await saved(page);
    const { document } = await exported(page);
    expect(document.fixture.readings.filter(({ set }) => set).length).toBe(count);
    // Opened again, it stands as it was set.
    await page.reload();
    await expect(page.getByText(`${count} of ${count} set`)).toBeVisible();
  });
