import { expect, test, type Page, type Route } from '@playwright/test';
import { ledger, newBuild, revisions, saved, station } from './helpers';

const reach = (page: Page) => ledger(page, 'Reach, mm');

async function hold(page: Page, value: string): Promise<void> {
  await reach(page).fill(value);
  await page.keyboard.press('Enter');
}
/** What becomes of saves on their way. */
const saves = (page: Page, handle: (route: Route) => Promise<void>) =>
  page.route('**/api/builds/*', (route) =>
    route.request().method() === 'PUT' ? handle(route) : route.fallback(),
  );
const idOf = (page: Page): string => /builds\/([^/]+)/.exec(page.url())![1]!;

test('an edit while a save is under way, and then leaving: both are there', async ({ page }) => {
  await newBuild(page, 'Twice quickly');
  let first = true;
  await saves(page, async (route) => {
    if (first) await new Promise((go) => setTimeout(go, 1500));
    first = false;
    await route.continue();
  });
  const sent = page.waitForRequest((request) => request.method() === 'PUT');
  await hold(page, '391');
  await sent;
  await hold(page, '392');
  await page.getByRole('link', { name: 'Larchwood' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'Twice quickly' })).toContainText('revision 3');
  await page.getByRole('link', { name: 'Twice quickly', exact: true }).click();
  await station(page, 'Stance');
  await expect(reach(page)).toHaveValue('392');
});

test('an edit, another station at once, and edits there: one window, nobody else is blamed', async ({
  page,
}) => {
  await newBuild(page, 'From station to station');
  await hold(page, '391');
  await revisions(page);
  await page.getByLabel('Notes about this build').fill('Between two stations');
  await station(page, 'Stance');
  await hold(page, '393');
  await saved(page);
  await expect(page.getByRole('dialog')).toBeHidden();
  await page.reload();
  await expect(reach(page)).toHaveValue('393');
});

test('a save that arrives but whose answer is lost is this window’s own', async ({ page }) => {
  await newBuild(page, 'Answer lost');
  let lost = 0;
  await saves(page, async (route) => {
    if (lost++ > 0) return route.continue();
    await route.fetch();
    await route.abort();
  });
  await hold(page, '391');
  await expect(page.getByRole('banner').getByRole('status')).toContainText('Kept in this browser');
  await hold(page, '394');
  await saved(page);
  await expect(page.getByRole('dialog')).toBeHidden();
  await page.reload();
  await expect(reach(page)).toHaveValue('394');
});

test('deleted in another window while it is edited: brought back with the edit, or kept as a new build', async ({
  page,
}) => {
  // It is not heard of here before the save.
  await page.route('**/api/builds/*/events', (route) => route.abort());
  await newBuild(page, 'Deleted elsewhere');
  const id = idOf(page);
  await page.request.delete(`/api/builds/${id}`);
  await hold(page, '395');
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('deleted somewhere else');
  // A reload on the way loses nothing.
  await page.reload();
  await expect(page.getByRole('heading', { name: '“Deleted elsewhere” was deleted' })).toBeVisible();
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await expect(reach(page)).toHaveValue('395');
  await saved(page);

  await page.request.delete(`/api/builds/${id}`);
  await hold(page, '396');
  await dialog.getByRole('button', { name: 'Keep mine as a new build' }).click();
  await expect(page.getByRole('textbox', { name: 'Name of the build' })).toHaveValue(
    'Deleted elsewhere (my changes)',
  );
  await expect(reach(page)).toHaveValue('396');
  expect(idOf(page)).not.toBe(id);
});

test('where the browser keeps nothing it says so, and saving goes on', async ({ page }) => {
  await page.addInitScript(() => {
    Storage.prototype.setItem = () => {
      throw new DOMException('full', 'QuotaExceededError');
    };
  });
  await newBuild(page, 'No room');
  let away = true;
  await saves(page, (route) => (away ? route.abort() : route.continue()));
  await hold(page, '391');
  await expect(page.getByRole('banner').getByRole('status')).toContainText('This browser keeps nothing');
  away = false;
  await saved(page);
});
