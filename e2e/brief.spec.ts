import { expect, test, type Page } from '@playwright/test';
import { choose, exported, following, ledger, newBrief, saved, station } from './helpers.js';

const start = (page: Page) => page.getByRole('complementary', { name: 'Starting stance' });

test('a rider’s leg room sets a kart’s wheelbase, a limit stops it, and the stance stays once it is worked on', async ({
  page,
}) => {
  await newBrief(page, 'For the tall one', { kind: 'Kart' });
  await page.getByRole('button', { name: 'Add a rider' }).click();
  await page.getByLabel('Rider 1, name').fill('Tall one');
  await page.getByLabel('Tall one, stature, mm').fill('1900');
  await page.getByLabel('Tall one, mass, kg').fill('187 lb');
  await page.keyboard.press('Enter');
  // Half of the 150 mm above 1750 goes to the legs: 930 + 75; the wheelbase follows by as much.
  await expect(start(page)).toContainText('fitted to Tall one');
  await expect(start(page).getByText('1005')).toBeVisible();
  await expect(page.getByLabel('Readings')).toContainText('1145');
  await choose(page, 'Add a limit', 'Wheelbase');
  await page.getByLabel('Wheelbase at most, mm').fill('1100');
  await page.getByLabel('Limit 1, where it comes from').fill('class rule');
  await expect(page.getByText('broken: it is 1145')).toBeVisible();
  await station(page, 'Stance');
  const finding = page.getByRole('article').filter({ hasText: 'Wheelbase breaks a limit' });
  await expect(finding).toContainText('at most 1100 mm wanted (class rule)');
  await finding.getByRole('button', { name: 'Hold it at the limit' }).click();
  await expect(finding).toBeHidden();
  await expect(ledger(page, 'Wheelbase, mm')).toHaveValue('1100');
  // Worked on: the brief may change and the stance stays, until it is asked for.
  await station(page, 'Brief');
  await expect(start(page)).toContainText('The stance has been worked on since');
  await page.getByLabel('Tall one, stature, mm').fill('1700');
  await page.keyboard.press('Enter');
  await expect(page.getByLabel('Readings')).toContainText('1100');
  await page.getByRole('button', { name: 'Start again from the brief' }).click();
  await expect(page.getByLabel('Readings')).toContainText('1045');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Readings')).toContainText('1100');
  await saved(page);
  const { brief } = (await exported(page)).document;
  expect(brief.riders).toEqual([{ name: 'Tall one', stature: 1700, mass: expect.closeTo(84.8218, 3) }]);
  expect(brief.limits).toEqual([{ dimension: 'wheelbase', bound: 'most', value: 1100, rule: 'class rule' }]);
});

test('forks, wheels and an engine from the shelf settle a motorcycle; another fork is noticed', async ({
  page,
}) => {
  await newBrief(page, 'Shelf', { kind: 'Motorcycle' });
  await choose(page, 'Put a part on the shelf', 'Fork');
  await page.getByLabel('Part 1, name').fill('Old fork');
  await page.getByLabel('Old fork, Fork length, mm').fill('610');
  await page.getByLabel('Old fork, Clamp offset, mm').fill('30');
  await page.keyboard.press('Enter');
  // The clamp offset is held now, and trail follows: (Rf cos H - o) / sin H.
  await expect(start(page)).toContainText('Old fork. Trail was let go and follows.');
  await choose(page, 'Put a part on the shelf', 'Front wheel');
  const marking = page.getByLabel('Front wheel, tyre marking');
  await marking.fill('90/90-');
  await expect(page.getByRole('alert')).toContainText('is not a tyre marking');
  await marking.fill('90/90-21');
  await expect(page.getByRole('alert')).toBeHidden();
  const radius = (21 * 25.4 + 2 * 0.9 * 90) / 2;
  await choose(page, 'Put a part on the shelf', 'Engine');
  await page.getByLabel('Engine, long, mm').fill('900');
  await page.keyboard.press('Enter');
  await station(page, 'Stance');
  const H = (64 * Math.PI) / 180;
  expect(await following(page, 'Trail')).toBe(Number(((radius * Math.cos(H) - 30) / Math.sin(H)).toFixed(1)));
  await expect(page.getByRole('article').filter({ hasText: 'engine is longer than its room' })).toBeVisible();
  await ledger(page, 'Fork length, mm').fill('560');
  await page.keyboard.press('Enter');
  const finding = page
    .getByRole('article')
    .filter({ hasText: 'Not the fork length of the part on the shelf' });
  await finding.getByRole('button', { name: 'Hold it as the part has it' }).click();
  await expect(ledger(page, 'Fork length, mm')).toHaveValue('610');
});

test('bad input of the brief is answered at its place; rows go and come back', async ({ page }) => {
  await newBrief(page, 'Bad brief', { kind: 'Tandem' });
  for (let rider = 0; rider < 3; rider += 1) await page.getByRole('button', { name: 'Add a rider' }).click();
  await page.getByLabel('Rider 3, stature, mm').fill('12');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('alert')).toContainText('between 500 mm (19.69 in) and 2500 mm');
  await page.getByLabel('Rider 2, name').fill('');
  await expect(page.getByRole('alert').filter({ hasText: 'It needs a name.' })).toBeVisible();
  await page.getByLabel('Rider 2, mass, kg').fill('heavy');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('alert').filter({ hasText: 'is not a mass' })).toBeVisible();
  // Refused text moves with its row.
  await page.getByRole('button', { name: 'Take out Rider 1' }).click();
  await expect(page.getByLabel('Rider 3, stature, mm')).toHaveValue('12');
  await expect(page.getByRole('alert')).toHaveCount(3);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByLabel('Rider 1, stature, mm')).toHaveValue('1750');
  // Another starting set restarts a stance that nobody has worked on.
  await newBrief(page, 'Set', { kind: 'Tadpole trike' });
  await expect(page.getByLabel('Readings')).toContainText('1080');
  await choose(page, 'Starting set', 'Three small wheels');
  await expect(page.getByLabel('Readings')).toContainText('1020');
});
