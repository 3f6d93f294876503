import { expect, test, type Page } from '@playwright/test';
import type { BuildDocument, Member } from '@larchwood/format';
import { contentOf, exported, newBrief, saved, station, expectAccessible } from './helpers.js';

const panel = (page: Page) => page.getByRole('complementary', { name: 'Tubes' });
const inList = (page: Page, name: string) =>
  panel(page).getByRole('button', { name: new RegExp(`^\\d+ ?${name}`) });
const member = (document: BuildDocument, id: string): Member =>
  document.frame.members.find((each) => each.id === id)!;

/** The figures of a piece's first row in the table of joints. */
async function jointRow(page: Page, name: string): Promise<string> {
  await station(page, 'Joints');
  const text = await page
    .getByRole('row', { name: new RegExp(name) })
    .first()
    .innerText();
  await station(page, 'Tubes');
  return text;
}

test('a brace is added on the sheet, cut to fit both tubes, and undone', async ({ page }) => {
  await newBrief(page, 'Braced');
  await station(page, 'Tubes');
  const before = (await exported(page)).document;
  await page.getByRole('button', { name: 'Add a tube' }).click();
  const press = async (piece: string, share: number) => {
    const box = (await page.locator(`[data-piece="${piece}"]`).boundingBox())!;
    await page.mouse.click(
      box.x + box.width * share,
      box.y + box.height * (piece === 'topTube' ? 0.55 : 1 - share),
    );
  };
  await press('topTube', 0.45);
  await expect(page.getByRole('status').filter({ hasText: 'Press where it ends' })).toBeVisible();
  await press('downTube', 0.55);
  await expect(panel(page).getByRole('textbox', { name: 'Name' })).toHaveValue('New tube');
  const after = (await exported(page)).document;
  const added = after.frame.members.find(({ name }) => name === 'New tube')!;
  expect([added.ends.start, added.ends.end]).toMatchObject([
    { cut: 'coped', hosts: [{ member: 'topTube' }] },
    { cut: 'coped', hosts: [{ member: 'downTube' }] },
  ]);
  await expect(panel(page)).toContainText('Changed by hand');
  expect(await jointRow(page, 'New tube')).toMatch(/5/);
  // Moving its end along the top tube changes its cut.
  const was = await jointRow(page, 'New tube');
  await panel(page)
    .getByLabel(/^On Top tube, start, distance/)
    .fill('300');
  await page.keyboard.press('Enter');
  expect(await jointRow(page, 'New tube')).not.toBe(was);
  for (let step = 0; step < 2; step += 1) await page.getByRole('button', { name: 'Undo' }).click();
  expect((await exported(page)).document.frame).toEqual(before.frame);
});

test('a tube is bent, its host swapped, its section changed: the copes follow', async ({ page }) => {
  await newBrief(page, 'Reshaped');
  await station(page, 'Tubes');
  const straight = await jointRow(page, 'Top tube');
  await inList(page, 'Top tube').click();
  await panel(page).getByRole('button', { name: 'Bend it' }).click();
  await expect(panel(page).getByRole('heading', { name: 'Bends' })).toBeVisible();
  expect(await jointRow(page, 'Top tube')).not.toBe(straight);
  // The seat tube runs through the shell: the shell is cut to fit it instead.
  await inList(page, 'Seat tube').click();
  await panel(page).getByRole('button', { name: 'Let this tube run through' }).first().click();
  const swapped = (await exported(page)).document;
  expect(member(swapped, 'seatTube').ends.start.cut).toBe('plain');
  // A tube that runs on past its joint says what to do first, and nothing changes.
  await inList(page, 'Top tube').click();
  await panel(page).getByRole('button', { name: 'Let this tube run through' }).nth(1).click();
  await expect(panel(page).getByRole('alert')).toContainText('Split it there first');
  expect((await exported(page)).document.frame).toEqual(swapped.frame);
  // A section that is in no list, its wall as a gauge.
  await panel(page).getByRole('button', { name: 'A section that is in no list' }).click();
  await panel(page)
    .getByLabel(/^Diameter/)
    .fill('1 1/8 in');
  const wall = panel(page).getByLabel(/^Wall, or gauge/);
  await wall.fill('99 ga');
  await page.keyboard.press('Tab');
  await expect(panel(page)).toContainText('No gauge 99 here: 7, 8');
  await expect(wall).toHaveValue('99 ga');
  await expect(panel(page).getByRole('button', { name: 'Use it for this tube' })).toBeDisabled();
  await wall.fill('20 ga');
  await panel(page).getByRole('button', { name: 'Use it for this tube' }).click();
  const own = (await exported(page)).document;
  const section = own.frame.sections.find(({ id }) => id === member(own, 'topTube').section)!;
  expect(section).toMatchObject({ shape: 'round', diameter: 28.575 });
  expect(section.wall).toBeCloseTo(0.035 * 25.4, 6);
  await saved(page);
});

test('several tubes at once: one section for all, and a brace across their bay', async ({ page }) => {
  await newBrief(page, 'Trellis', { kind: 'Motorcycle', set: 'Sport' });
  await station(page, 'Tubes');
  await inList(page, 'Upper chord').click();
  await inList(page, 'Lower chord').click({ modifiers: ['Shift'] });
  await expect(panel(page)).toContainText('2 tubes in hand: 3, 4');
  await panel(page).getByRole('button', { name: 'Brace the bay' }).click();
  const braced = (await exported(page)).document;
  expect(braced.frame.members.find(({ name }) => name === 'Brace')).toMatchObject({ mirrored: true });
  await inList(page, 'Upper chord').click();
  await inList(page, 'Lower chord').click({ modifiers: ['Shift'] });
  await panel(page).getByLabel('Section of all of them').click();
  await page.getByRole('option', { name: '28.6 × 2', exact: true }).click();
  const both = (await exported(page)).document;
  expect(['upperChords', 'lowerChords'].map((id) => member(both, id).section)).toEqual([
    'round-28.6x2',
    'round-28.6x2',
  ]);
});

test('a bend with no room and a tube taken out say what to do, and the frame still draws', async ({
  page,
}) => {
  await newBrief(page, 'Bad', { kind: 'Delta trike' });
  await station(page, 'Tubes');
  await inList(page, 'Spine').click();
  await panel(page).getByLabel('Radius of bend 1').fill('2500');
  await page.keyboard.press('Enter');
  await expect(panel(page)).toContainText('has no room');
  await panel(page).getByLabel('Radius of bend 1').fill('0');
  await page.keyboard.press('Enter');
  await expect(panel(page)).toContainText('Must lie between 1 mm (0.04 in) and 3000 mm (118.11 in)');
  await page.keyboard.press('Escape');
  await inList(page, 'Rear cross tube').click();
  await panel(page).getByRole('button', { name: 'Delete' }).click();
  await expect(page.locator('[data-piece="spine"]')).toBeVisible();
  await expect(page.locator('[data-piece="crossTube"]')).toHaveCount(0);
  await station(page, 'Joints');
  await expect(page.getByRole('complementary')).toContainText(
    'fitted the rear cross tube, which was taken out',
  );
  await station(page, 'Tubes');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('[data-piece="crossTube"]')).toBeVisible();
});

test('the builder’s changes stay when the frame is made again from another stance', async ({ page }) => {
  await newBrief(page, 'Again');
  await station(page, 'Tubes');
  await inList(page, 'Top tube').click();
  await panel(page).getByLabel('Section', { exact: true }).click();
  await page.getByRole('option', { name: '31.8 × 1.2', exact: true }).click();
  await station(page, 'Stance');
  await page
    .getByRole('complementary')
    .getByLabel(/^Head-tube length, mm/)
    .fill('190');
  await page.keyboard.press('Enter');
  await station(page, 'Tubes');
  await panel(page)
    .getByRole('button', { name: /Make again, keep my changes/ })
    .click();
  expect(member((await exported(page)).document, 'topTube').section).toBe('round-31.8x1.2');
  await panel(page).getByRole('button', { name: 'Start again with this layout' }).click();
  expect(member((await exported(page)).document, 'topTube').section).not.toBe('round-31.8x1.2');
});

test('in space: a tube is picked and tied to the ledger, taken apart and cut open; files for other programs', async ({
  page,
}) => {
  await newBrief(page, 'Space', { kind: 'Kart' });
  await station(page, 'Tubes');
  await page.getByRole('tab', { name: '3-D' }).click();
  const space = page.getByRole('img', { name: 'The frame in space' });
  await expect(space.locator('canvas')).toBeVisible();
  await inList(page, 'Side rail').click();
  await page.getByLabel('Riders').check();
  await page.getByLabel('Numbers').check();
  await expect(space.getByText('1L', { exact: true })).toBeVisible();
  await page.getByLabel('Apart').fill('0.5');
  await page.getByLabel('Section plane').click();
  await page.getByRole('option', { name: 'Section along' }).click();
  await expect(page.getByLabel('Place of the section')).toBeVisible();
  await expectAccessible(page, 'this view');

  await station(page, 'Patterns');
  for (const [name, file, start] of [
    ['Cut list, CSV', /^space-cut-list-(after-)?r\d+-[\d-]{10}\.csv$/, '\u00ef\u00bb\u00bfPiece,Name'],
    ['Frame in space, glTF', /^space-frame-(after-)?r\d+-[\d-]{10}\.glb$/, 'glTF'],
    ['Frame in space, STL in mm', /^space-frame-(after-)?r\d+-[\d-]{10}\.stl$/, 'Larchwood'],
  ] as const) {
    const [download] = await Promise.all([
      page.waitForEvent('download'),
      page.getByRole('button', { name }).click(),
    ]);
    expect(download.suggestedFilename()).toMatch(file);
    expect((await contentOf(download)).toString('latin1').startsWith(start)).toBe(true);
  }
});
