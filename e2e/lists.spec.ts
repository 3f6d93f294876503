import { expect, test, type Page } from '@playwright/test';
import { expectAccessible, newBrief, station, tab } from './helpers.js';
import { itemsOf, keepItem, removeItem } from './lists.js';

const kerf = (page: Page) => page.getByLabel(/^Saw’s cut, /);
const stored = async (page: Page) => (await itemsOf(page, 'sawing')).usual;
const USUAL = { kerf: 2, trim: 5, keep: 150 };
test.beforeEach(async ({ page }) => {
  await removeItem(page, 'sawing', 'usual');
  await keepItem(page, 'sawing', 'usual', USUAL);
});

async function stock(page: Page, name: string, at: Parameters<typeof newBrief>[2]): Promise<void> {
  await newBrief(page, name, at);
  await station(page, 'Cuts');
  await tab(page, 'Stock');
  await expect(kerf(page)).not.toHaveValue('');
}
const type = async (page: Page, value: string) => {
  await kerf(page).fill(value);
  await page.keyboard.press('Enter');
};

test('the workshop’s lists without a server: kept over leaving the page, and sent when it answers', async ({
  page,
}) => {
  await stock(page, 'No answer', { kind: 'Bicycle', set: 'Road' });
  const away = 'is kept in this browser, and sent as soon as it does';
  await page.route('**/api/shop/**', (route) => route.abort());
  await type(page, '2.4');
  await expect(page.getByText(away)).toBeVisible();
  await expect(kerf(page)).toHaveValue('2.4');
  // Left, and come back to, before there is a server.
  await page.reload();
  await expect(kerf(page)).toHaveValue('2.4');
  await page.unroute('**/api/shop/**');
  await expect.poll(async () => (await stored(page))?.kerf, { timeout: 15_000 }).toBe(2.4);
  await expect(page.getByText(away)).toHaveCount(0);
});

test('a kart in fractions: what two changed in the lists is put together, and asked about where it is the same', async ({
  page,
  browser,
}) => {
  await stock(page, 'Two at the saw', { kind: 'Kart', set: 'Perimeter', units: 'Inches, fractions' });
  const second = await (await browser.newContext()).newPage();
  await second.goto(page.url());
  await tab(second, 'Stock');
  await expect(kerf(second)).not.toHaveValue('');
  // What one changes the other sees at once.
  await type(page, '1/8');
  await expect(page.getByText('Changed elsewhere')).toHaveCount(0);
  await expect(kerf(second)).toHaveValue('1/8');
  await expect(second.getByText('Changed elsewhere, and taken in here: Sawing.')).toBeVisible();
  // Both change, and hear nothing of each other: another field is taken in, the same one is asked about.
  let held: (() => void) | undefined;
  await second.route('**/api/shop/sawing/**', async (route) => {
    if (held === undefined) await new Promise<void>((go) => (held = go));
    await route.continue();
  });
  await type(second, '1/16');
  await expect.poll(() => held !== undefined).toBe(true);
  await type(page, '3/32');
  await expect.poll(async () => (await stored(page))?.kerf).toBeCloseTo(25.4 * (3 / 32), 6);
  held!();
  const dialog = second.getByRole('dialog');
  await expect(dialog.getByRole('row', { name: /Saw’s cut/ })).toContainText(/1\/16 in.*3\/32 in/);
  await expectAccessible(second, 'this view');
  await dialog.getByRole('button', { name: 'Keep mine' }).click();
  await expect(kerf(page)).toHaveValue('1/16');
  await second.context().close();
});

test('undo takes back what was changed last, in the build or in the lists', async ({ page }) => {
  await stock(page, 'One step after another', { kind: 'Motorcycle' });
  await type(page, '3');
  await type(page, '4');
  await expect.poll(async () => (await stored(page))?.kerf).toBe(4);
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(kerf(page)).toHaveValue('3');
  await page.getByRole('button', { name: 'Redo', exact: true }).click();
  await expect(kerf(page)).toHaveValue('4');
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(kerf(page)).toHaveValue('2');
  await expect.poll(async () => (await stored(page))?.kerf).toBe(2);
});
