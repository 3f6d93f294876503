import { expect, test } from '@playwright/test';
import { following, ledger, newBuild, saved, station } from './helpers.js';

test('what cannot be taken stays in its field with the reason, and the drawing stays', async ({ page }) => {
  await newBuild(page, 'Bad input');
  const trail = await following(page, 'Trail');
  const tries: [label: string, text: string, says: RegExp][] = [
    ['Head angle, degrees', 'steep', /not an angle/],
    ['Fork offset, mm', '1,047', /may mean 1047 or 1.047/],
    ['Axle to crown, mm', '-383', /Axle to crown must lie between 60 mm/],
    ['Chainstay length, mm', '60', /Chainstay length must lie between 150 mm/],
    ['Seat-tube length, mm', '99999', /Seat-tube length must lie between/],
  ];
  for (const [label, text, says] of tries) {
    await ledger(page, label).fill(text);
    await page.keyboard.press('Tab');
    await expect(page.getByRole('alert').filter({ hasText: says })).toBeVisible();
  }
  expect(await following(page, 'Trail')).toBe(trail);
  await expect(page.getByRole('img', { name: /Side, from the right/ })).toBeVisible();
  // Another station and back: what was typed is still there, with its reason.
  await station(page, 'Joints');
  await station(page, 'Stance');
  for (const [label, text, says] of tries) {
    await expect(ledger(page, label)).toHaveValue(text);
    await expect(page.getByRole('alert').filter({ hasText: says })).toBeVisible();
  }
  // Escape goes back to the value before.
  await ledger(page, 'Head angle, degrees').focus();
  await page.keyboard.press('Escape');
  await expect(ledger(page, 'Head angle, degrees')).toHaveValue('72.5');
});

test('a chainstay shorter than the drop is refused with the limit', async ({ page }) => {
  await newBuild(page, 'Short stay');
  await ledger(page, 'BB drop, mm').fill('200');
  await page.keyboard.press('Tab');
  await ledger(page, 'Chainstay length, mm').fill('180');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('alert').filter({ hasText: 'longer than the drop, 200 mm' })).toBeVisible();
});

test('a wheel marking that cannot be read keeps the wheel', async ({ page }) => {
  await newBuild(page, 'Wheels');
  await page.getByRole('button', { name: 'Front wheel, change' }).click();
  await page.getByLabel('Marking on the tyre').fill('700x28c');
  await page.getByRole('button', { name: 'Use this wheel' }).click();
  await expect(page.getByRole('alert')).toContainText('not a tyre marking');
  // Shut by a press beside it, and opened again: what was typed is there.
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Front wheel, change' }).click();
  await expect(page.getByLabel('Marking on the tyre')).toHaveValue('700x28c');
  await page.getByLabel('Marking on the tyre').fill('37-622');
  await page.getByRole('button', { name: 'Use this wheel' }).click();
  await expect(page.getByRole('button', { name: 'Front wheel, change' })).toContainText('348');
});

test('files that are no builds are refused with the path of each fault', async ({ page }) => {
  await page.goto('/');
  const open = (name: string, content: string | Buffer) =>
    page
      .getByLabel('Build file')
      .setInputFiles({ name, mimeType: 'application/json', buffer: Buffer.from(content) });
  await open('torn.larchwood.json', '{"format":');
  await expect(page.getByRole('dialog')).toContainText('This is not JSON');
  await page.getByRole('button', { name: 'Close' }).click();
  await open('newer.larchwood.json', JSON.stringify({ format: 'larchwood-build', version: 99 }));
  await expect(page.getByRole('dialog')).toContainText('newer Larchwood');
  await page.getByRole('button', { name: 'Close' }).click();
  await open('short.larchwood.json', JSON.stringify({ format: 'larchwood-build', version: 1, name: 4 }));
  await expect(page.getByRole('dialog')).toContainText('/name');
  await expect(page.getByRole('dialog')).toContainText('/stance');
  await page.getByRole('button', { name: 'Close' }).click();
  await open('rubbish.larchwood.json', Buffer.alloc(20 * 1024 * 1024, 'x'));
  await expect(page.getByRole('dialog')).toContainText('20.0 MB');
});

test('saved in two windows: both sides are shown, and neither is lost', async ({ page, context }) => {
  // The first hears nothing of the other until it saves.
  await page.route('**/api/builds/*/events', (route) => route.abort());
  await newBuild(page, 'Saved in two');
  const other = await context.newPage();
  await other.goto(page.url());
  await expect(other.getByRole('textbox', { name: 'Name of the build' })).toBeVisible();
  await ledger(other, 'Reach, mm').fill('400');
  await other.keyboard.press('Enter');
  await expect(other.getByRole('banner').getByText('revision 2')).toBeVisible();
  await ledger(page, 'Reach, mm').fill('360');
  await page.keyboard.press('Enter');
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('saved somewhere else too');
  await expect(dialog.getByRole('row', { name: /Reach/ })).toContainText(/360.*400/);
  await dialog.getByRole('button', { name: /Take theirs/ }).click();
  await expect(ledger(page, 'Reach, mm')).toHaveValue('400');
  await page.goto('/');
  await expect(page.getByRole('link', { name: 'Saved in two (my changes)', exact: true })).toBeVisible();
});

test('no answer from the server: the edit is kept, said, and saved once it answers', async ({ page }) => {
  await newBuild(page, 'Offline');
  await page.route('**/api/builds/*', (route) =>
    route.request().method() === 'PUT' ? route.abort() : route.continue(),
  );
  await ledger(page, 'Reach, mm').fill('377');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('banner').getByRole('status')).toContainText('Kept in this browser');
  // Even a reload keeps it.
  await page.reload();
  await expect(ledger(page, 'Reach, mm')).toHaveValue('377');
  await expect(page.getByText('had not reached the server were brought back')).toBeVisible();
  await page.unroute('**/api/builds/*');
  await saved(page);
  await page.reload();
  await expect(ledger(page, 'Reach, mm')).toHaveValue('377');
});

test('an address that leads nowhere says so', async ({ page }) => {
  await page.goto('/builds/none/stance');
  await expect(page.getByRole('heading')).toContainText('not here');
  await page.goto('/no/such/page');
  await expect(page.getByRole('heading')).toContainText('nothing at this address');
});
