import { expect, test } from '@playwright/test';
import { measurePdf } from '../testing/measurePdf.js';
import { contentOf, exported, following, ledger, newBuild, saved, station, revisions } from './helpers.js';

test('a wheel measured by its roll-out, and the trail that follows', async ({ page }) => {
  await newBuild(page, 'Roll-out');
  await page.getByRole('button', { name: 'Front wheel, change' }).click();
  await page.getByRole('combobox', { name: 'How the wheel is known' }).click();
  await page.getByRole('option', { name: /roll-out/ }).click();
  await page.getByLabel('One turn on the ground').fill('2.1 m');
  await page.getByLabel('Tyre width').fill('28');
  await page.getByLabel('Sag of the loaded tyre').fill('2');
  await page.getByRole('button', { name: 'Use this wheel' }).click();
  const radius = 2100 / (2 * Math.PI) - 2;
  const H = (72.5 * Math.PI) / 180;
  expect(await following(page, 'Trail')).toBe(Number(((radius * Math.cos(H) - 47) / Math.sin(H)).toFixed(1)));
});

test('patterns on Letter, for one piece, with thicker paper', async ({ page }) => {
  await newBuild(page, 'Letter');
  await station(page, 'Patterns');
  await page.getByRole('combobox', { name: 'Sheet size' }).click();
  await page.getByRole('option', { name: 'Letter' }).click();
  await page.getByLabel('Paper thickness, mm').fill('0.3');
  await page.keyboard.press('Tab');
  await page.getByRole('combobox', { name: 'Pieces' }).click();
  await page.getByRole('option', { name: /^5/ }).click();
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Download PDF' }).click(),
  ]);
  expect(download.suggestedFilename()).toMatch(/^letter-piece-5-(after-)?r\d+-[\d-]{10}\.pdf$/);
  const [sheet, ...others] = measurePdf(await contentOf(download));
  expect(others).toEqual([]);
  expect([sheet!.width, sheet!.height].map((size) => Number(size.toFixed(1)))).toEqual([215.9, 279.4]);
  // Girth of a 28.6 mm tube under paper of 0.3 mm.
  const girth = Math.PI * 28.9;
  const chords = sheet!.lines
    .filter((line) => line.length > 300)
    .map((line) => Math.hypot(line.at(-1)![0] - line[0]![0], line.at(-1)![1] - line[0]![1]));
  expect(chords.length).toBeGreaterThan(0);
  for (const chord of chords) expect(chord).toBeCloseTo(girth, 1);
});

test('another revision beside this one: dashed, and the readings say the change', async ({ page }) => {
  await newBuild(page, 'Compared');
  await ledger(page, 'Fork offset, mm').fill('57');
  await page.keyboard.press('Enter');
  // Ten millimetres more offset: trail falls by 10 / sin H.
  const change = (10 / Math.sin((72.5 * Math.PI) / 180)).toFixed(1);
  await expect(page.getByLabel('Readings')).toContainText(`−${change}`);
  await expect(page.getByText('dashed: revision 1')).toBeVisible();
  await saved(page);
  await revisions(page);
  await page
    .getByRole('row', { name: /edited/ })
    .first()
    .getByRole('button', { name: 'Compare' })
    .click();
  await expect(page.getByLabel('Readings')).not.toContainText(`−${change}`);
});

test('all by keyboard: a figure on the drawing, a finding, the stations', async ({ page }) => {
  await newBuild(page, 'Keyboard');
  await page.getByLabel('Reach on the drawing, mm').focus();
  await page.keyboard.press('Control+a');
  await page.keyboard.type('330');
  await page.keyboard.press('Enter');
  await expect(ledger(page, 'Reach, mm')).toHaveValue('330');
  await expect(page.getByRole('heading', { name: /Toe meets the front tyre/ })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(ledger(page, 'Reach, mm')).toHaveValue('390');
  await page
    .getByRole('navigation', { name: 'Stations' })
    .getByRole('link', { name: /Joints/ })
    .focus();
  await page.keyboard.press('Enter');
  await page
    .getByRole('row', { name: /second end of 4/ })
    .getByRole('button')
    .focus();
  await page.keyboard.press('Enter');
  await expect(page.getByRole('complementary')).toContainText('Piece 4, second end');
});

test('an edit just before leaving is saved', async ({ page }) => {
  await newBuild(page, 'Left at once');
  await ledger(page, 'Reach, mm').fill('391');
  await page.keyboard.press('Enter');
  await page.getByRole('link', { name: 'Larchwood' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Left at once' })).toContainText('revision 2');
  await page.getByRole('link', { name: 'Left at once', exact: true }).click();
  await expect(ledger(page, 'Reach, mm')).toHaveValue('391');
  await expect(page.getByText('had not reached the server')).toBeHidden();
});

test('notes are part of the build: saved, undone, exported', async ({ page }) => {
  await newBuild(page, 'Noted');
  await revisions(page);
  await page.getByLabel('Notes about this build').fill('For the canal. Fork from the shelf.');
  await saved(page);
  expect((await exported(page)).document.notes).toBe('For the canal. Fork from the shelf.');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Notes about this build')).toHaveValue('');
});
