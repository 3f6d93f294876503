import { expect, test, type Page } from '@playwright/test';
import { choose, expectAccessible, exported, ledger, newBrief, saved, station, tab } from './helpers.js';

const offered = (page: Page) => page.getByRole('group', { name: 'What could be cut elsewhere' });
const rowOf = (page: Page, mark: string) =>
  offered(page)
    .getByRole('row')
    .filter({ has: page.getByText(mark, { exact: true }) });
const toCutting = async (page: Page) => {
  await station(page, 'Pack');
  await tab(page, 'Have it cut');
};

test('a kart’s rails go to be cut in fractions: a refusal is cured, the order is placed, comes, and is not sawn again', async ({
  page,
}) => {
  test.slow();
  await newBrief(page, 'Sent to be cut', { kind: 'Kart', set: 'Ladder', units: 'Inches, fractions' });
  await station(page, 'Cuts');
  await tab(page, 'Holes');
  await choose(page, 'Add a hole', 'cable');
  const wide = ledger(page, 'Width of the slot, in');
  await wide.fill('3/32');
  await wide.press('Enter');
  await toCutting(page);
  const rail = rowOf(page, '1L');
  await expect(rail).toContainText('0.094 in is too small for our beam, 0.098 in at least');
  await expectAccessible(page, 'Have it cut', { whole: true });
  await rail.getByRole('button', { name: 'Change the hole' }).click();
  await wide.fill('3/8');
  await wide.press('Enter');
  await saved(page);
  await toCutting(page);
  await expect(rail).toContainText(/\d\.\d\d$/);
  await expect(rail).not.toContainText('too small');

  // Only the two rails.
  await page.getByLabel('All that can be ordered').click();
  await expect(page.getByRole('button', { name: 'Nothing to order' })).toBeDisabled();
  await page.getByLabel('Order 1L', { exact: true }).check();
  await page.getByLabel('Order 1R', { exact: true }).check();
  await page.getByRole('button', { name: 'Order 2 pieces' }).click();
  const orders = page.getByRole('region', { name: 'Orders' });
  await expect(orders).toContainText('1L, 1R', { timeout: 40_000 });
  await expect(rail).toHaveCount(0);
  // Taken back here, the service still has it: it is told, and counted in again.
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(rail).toHaveCount(1);
  await orders.getByRole('button', { name: 'Count it in' }).click();
  await expect(rail).toHaveCount(0);

  await station(page, 'Cuts');
  await tab(page, 'Stock');
  await expect(page.getByRole('region', { name: 'Bought cut' })).toContainText('1L, 1R, on its way');
  await station(page, 'Work');
  await expect(page.getByText('Round the cable holes of 1L, 1R, rail')).toBeVisible();
  await expect(page.getByText('Mark and cut 1L, 1R, rail')).toHaveCount(0);
  await toCutting(page);
  await orders.getByRole('button', { name: 'They are here' }).click({ timeout: 20_000 });
  await expect(orders.getByRole('listitem').filter({ hasText: 'Here' }).last()).toBeVisible();
  const { document } = await exported(page);
  const [order] = document.cuts!.orders!;
  expect(order).toMatchObject({ service: 'Stand-in cutting service', tolerance: 0.3 });
  expect(order!.pieces.map(({ mark }) => mark)).toEqual(['1L', '1R']);
  expect(document.done).toMatchObject([{ step: `order:${order!.id}`, done: true }]);

  // Changed after it came: it is told where it is looked for.
  await station(page, 'Cuts');
  await tab(page, 'Holes');
  await wide.fill('1/2');
  await wide.press('Enter');
  await tab(page, 'Stock');
  await expect(page.getByRole('region', { name: 'Findings' })).toContainText(
    'Piece 1L was ordered otherwise',
  );
});

test('a cutting service that does not answer is told, and nothing is ordered', async ({ page }) => {
  await newBrief(page, 'Nobody cuts it');
  await saved(page);
  await page.route('**/api/cutting/orders', (route) => route.abort());
  await toCutting(page);
  await page.getByLabel('All that can be ordered').click();
  await page.getByLabel('Order 2', { exact: true }).check();
  await page.getByRole('button', { name: 'Order 1 piece' }).click();
  await expect(page.getByText('The server does not answer.')).toBeVisible({ timeout: 40_000 });
  await expect(page.getByRole('button', { name: 'Order 1 piece' })).toBeEnabled();
  const { document } = await exported(page);
  expect(document.cuts?.orders).toBeUndefined();
});
