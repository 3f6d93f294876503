import { expect, test } from '@playwright/test';
import { choose, exported, ledger, newBrief, newBuild, station, tab } from './helpers.js';

/** What a builder reaches without a mouse, on a narrow window, and on paper. */

test('at 200 % zoom the tipping diagram has height, and a buggy’s joints end where their rows end', async ({
  page,
}) => {
  await page.setViewportSize({ width: 640, height: 400 });
  await newBrief(page, 'Narrow', { kind: 'Off-road kart or buggy' });
  await station(page, 'Seat');
  await tab(page, 'Tipping');
  const diagram = page.getByRole('tabpanel').locator('svg').first();
  await expect.poll(async () => (await diagram.boundingBox())?.height).toBeGreaterThan(150);
  await station(page, 'Joints');
  const empty = await page.evaluate(() => {
    const end = Math.max(
      ...[...document.querySelectorAll('#station *')].map((each) => each.getBoundingClientRect().bottom),
    );
    return document.documentElement.scrollHeight - scrollY - end;
  });
  expect(empty).toBeLessThan(200);
});

test('by keyboard: skip link, shortcuts, a tube added by name, and focus is kept where a row goes', async ({
  page,
}) => {
  await newBuild(page, 'Keys');
  await page.reload();
  await expect(page).toHaveTitle('Stance – Keys – Larchwood');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('link', { name: 'Skip to the station' })).toBeFocused();
  await page.keyboard.press('Enter');
  await expect(page.locator('#station')).toBeFocused();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keyboard shortcuts' })).toBeVisible();
  await page.keyboard.press('Escape');

  // Taken by Enter, given up by Escape.
  const reach = ledger(page, 'Reach, mm');
  await reach.focus();
  await page.keyboard.type('401');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Escape');
  await expect(reach).toHaveValue('390');
  await expect(reach).toBeFocused();

  await station(page, 'Tubes');
  const before = (await exported(page)).document.frame.members.length;
  await page.getByRole('button', { name: 'Add a tube' }).press('Enter');
  await choose(page, 'Where the tube begins', /the middle of 4, Down tube/);
  await page.getByRole('button', { name: 'Begin here' }).press('Enter');
  await choose(page, 'Where the tube ends', /the middle of 3, Seat tube/);
  await page.getByRole('button', { name: 'End here' }).press('Enter');
  expect((await exported(page)).document.frame.members.length).toBe(before + 1);

  await station(page, 'Brief');
  for (let row = 0; row < 2; row += 1) await page.getByRole('button', { name: 'Add a rider' }).press('Enter');
  const remove = page.getByRole('button', { name: /^(Take out|Remove)/ });
  await remove.first().press('Enter');
  await expect(remove).toHaveCount(1);
  expect(await page.evaluate(() => document.activeElement?.tagName)).not.toBe('BODY');
});

test('a station on paper: the drawing and its tables, black on white, nothing to press', async ({ page }) => {
  await page.addInitScript(() => localStorage.setItem('larchwood:theme', 'night'));
  await newBuild(page, 'Paper');
  await page.emulateMedia({ media: 'print' });
  await expect(page.getByRole('navigation', { name: 'Stations' })).toBeHidden();
  await expect(page.getByRole('button', { name: 'Undo' })).toBeHidden();
  await expect(page.getByRole('tab').first()).toBeHidden();
  await expect(page.getByText('Paper: Stance')).toBeVisible();
  await expect(ledger(page, 'Reach, mm')).toBeVisible();
  const colours = await page.evaluate(() => {
    const { backgroundColor, color } = getComputedStyle(document.body);
    return [backgroundColor, color];
  });
  expect(colours).toEqual(['rgb(255, 255, 255)', 'rgb(0, 0, 0)']);
});

test('the workshop: each build with its silhouette and what waits; found by name and by kind', async ({
  page,
}) => {
  await page.goto('/');
  const shelf = page.getByRole('list', { name: 'Builds' });
  const long = shelf.getByRole('listitem').filter({ hasText: 'Long quay' });
  // Builds are looked over as they come into view.
  await long.scrollIntoViewIfNeeded();
  await expect(long.getByRole('img', { name: 'Long quay, from the right' })).toBeVisible();
  await expect(long).toContainText('Length over the wheels breaks a limit');
  await page.getByLabel('Search the builds').fill('delta');
  await expect(shelf.getByRole('listitem')).toContainText(['Market delta']);
  await page.getByLabel('Search the builds').fill('no such thing');
  await page.getByRole('button', { name: 'Show all' }).click();
  await expect(long).toBeVisible();
});

test('in a build of inches weights are pounds, a typed pound stays, and sections are in inches', async ({
  page,
}) => {
  await newBrief(page, 'Pounds', { units: 'Inches, fractions' });
  await page.getByRole('button', { name: 'Add a rider' }).click();
  const mass = page.getByLabel('Rider 1, mass, pounds');
  await mass.fill('210');
  await page.keyboard.press('Enter');
  await expect(mass).toHaveValue('210');
  await mass.blur();
  await mass.fill('nothing');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('is not a mass');
  await mass.fill('900');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('300 kg (661.4 lb)');
  await page.keyboard.press('Escape');
  await expect(mass).toHaveValue('210');
  await station(page, 'Tubes');
  await expect(page.getByRole('complementary')).toContainText('1 1/8 × .035/.024/.035 in, 23.622 in long');
  await expect(page.getByRole('complementary')).toContainText('lb');
});
