import { expect, test } from '@playwright/test';
import { choose, contentOf, newBrief, saved, station, tab, table } from './helpers.js';

test('a kart’s two rails get their holes and marks, in fractions, and an axle that does not go in is told', async ({
  page,
}) => {
  await newBrief(page, 'Drilled rails', { kind: 'Kart', set: 'Ladder', units: 'Inches, fractions' });
  await station(page, 'Cuts');
  await tab(page, 'Holes');
  await choose(page, 'Piece', /Rail/);
  await choose(page, 'Add a hole', 'bearing and its bolts');
  await choose(page, 'On the face that looks', 'outside');
  const marks = table(page, 'Holes, where each is marked').getByRole('row');
  await expect(marks).toHaveCount(7);
  await expect(marks.nth(1)).toContainText(/outside.*2.*3.*⁄.*8/);
  await expect(marks.nth(2)).toContainText(/inside, far wall.*1.*1.*⁄.*2/);
  await expect(page.getByText(/Clamp both of .* together/)).toBeVisible();
  await choose(page, 'Measured from', 'its start');
  const at = page.getByLabel('At, in', { exact: true });
  await at.fill('12 1/4');
  await page.keyboard.press('Enter');
  await expect(marks.nth(1)).toContainText(/12.*1.*⁄.*4/);
  await at.fill('by the seat');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('alert')).toBeVisible();
  await expect(at).toHaveValue('by the seat');
  await at.fill('1/2');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/bearing runs out over the end/)).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByText(/bearing runs out over the end/)).toHaveCount(0);
  await choose(page, 'Add a hole', 'axle slot');
  await page.getByLabel('Axle, or across its flats, in').fill('1/2');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/the axle does not enter/)).toBeVisible();
  await page.getByLabel('Its length between the faces is known').check();
  await page.getByLabel('Between its faces, in').fill('30');
  await page.keyboard.press('Enter');
  await expect(page.getByText(/the axle is too long to go in/)).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByText(/the axle is too long to go in/)).toHaveCount(0);
  await saved(page);
  await page.reload();
  await expect(marks).toHaveCount(9);
  const [pdf] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Holes to mark' }).click(),
  ]);
  expect((await contentOf(pdf)).length).toBeGreaterThan(5000);
});

test('a bearing of a kart in fractions begins at the rear axle, outside, so far from it as is typed', async ({
  page,
}) => {
  await newBrief(page, 'Bearing', { kind: 'Kart', set: 'Ladder', units: 'Inches, fractions' });
  await station(page, 'Cuts');
  await tab(page, 'Holes');
  await choose(page, 'Piece', /Rail/);
  await choose(page, 'Add a hole', 'bearing and its bolts');
  await expect(page.getByRole('combobox', { name: 'Measured from' })).toHaveText('Rear axle');
  const holes = table(page, 'Holes, where each is marked').getByRole('row');
  const bearing = holes.filter({ hasText: 'outside' }).first();
  const marked = () => bearing.getByRole('cell').nth(2).innerText();
  const before = await marked();
  await page.getByLabel(/^From there, towards its end/).fill('1/2');
  await page.keyboard.press('Enter');
  await expect.poll(marked).not.toBe(before);
  await page.getByLabel(/^From there, towards its end/).fill('half an inch');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert').first()).toBeVisible();
  await page.keyboard.press('Escape');
  await choose(page, 'Measured from', 'its end');
  await expect(page.getByLabel(/^At, /)).toBeVisible();
});
