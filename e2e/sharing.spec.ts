import { spawn, type ChildProcess } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test, type Browser, type Page } from '@playwright/test';
import jsqr from 'jsqr';
import type { StoredBuild } from '@larchwood/contract';
import type { BuildDocument } from '@larchwood/format';
import { expectAccessible, ledger, newBuild, revisions, saved, station } from './helpers';

const reach = (page: Page) => ledger(page, 'Reach, mm');
const hold = async (page: Page, value: string) => {
  await reach(page).fill(value);
  await page.keyboard.press('Enter');
};
const notes = (page: Page) => page.getByLabel('Notes about this build');
/** Another browser altogether, at the same page. */
async function other(browser: Browser, page: Page): Promise<Page> {
  const second = await (await browser.newContext()).newPage();
  await second.goto(page.url());
  return second;
}

test('who looks sees at once what another saves; both edit different parts and both are kept', async ({
  page,
  browser,
}) => {
  await newBuild(page, 'Two at once');
  const second = await other(browser, page);
  await expect(reach(second)).toHaveValue('390');
  await hold(page, '391');
  await expect(reach(second)).toHaveValue('391');
  // One edits the stance, the other the notes, at the same moment.
  await revisions(second);
  await notes(second).fill('From the other browser');
  await hold(page, '392');
  await saved(page);
  await saved(second);
  await revisions(page);
  await expect(notes(page)).toHaveValue('From the other browser');
  await station(second, 'Stance');
  await expect(reach(second)).toHaveValue('392');
  await expect(page.getByRole('dialog')).toBeHidden();
  // A step back takes back what was done here, and leaves theirs.
  await station(page, 'Stance');
  await page.getByRole('button', { name: 'Undo' }).click();
  await saved(page);
  await expect(reach(second)).toHaveValue('391');
  await revisions(second);
  await expect(notes(second)).toHaveValue('From the other browser');
  // Deleted there: told here.
  await second.request.delete(`/api/builds/${/builds\/([^/]+)/.exec(page.url())![1]!}`);
  await expect(page.getByRole('dialog')).toContainText('deleted somewhere else');
  await page.getByRole('button', { name: 'Bring it back' }).click();
  await hold(page, '395');
  await saved(page);
  await second.context().close();
});

test('the same part changed by both: asked, with both sides shown, and nothing is lost', async ({
  page,
  browser,
}) => {
  await newBuild(page, 'Same part');
  const second = await other(browser, page);
  await expect(reach(second)).toHaveValue('390');
  // What is saved there is not heard of here before this one saves.
  await page.route('**/api/builds/*/events', (route) => route.abort());
  await page.reload();
  await expect(reach(page)).toHaveValue('390');
  let held: (() => void) | undefined;
  await page.route('**/api/builds/*', async (route) => {
    if (route.request().method() === 'PUT' && held === undefined)
      await new Promise<void>((go) => (held = go));
    await route.continue();
  });
  await hold(page, '396');
  await expect.poll(() => held !== undefined).toBe(true);
  await hold(second, '397');
  await saved(second);
  held!();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByRole('row', { name: /Reach/ })).toContainText(/396.*397/);
  await expectAccessible(page, 'this view');
  await dialog.getByRole('button', { name: 'Go on with mine' }).click();
  await saved(page);
  await expect(reach(second)).toHaveValue('396');
  await second.context().close();
});

test('two windows of one browser that both could not save: neither erases the other’s', async ({ page }) => {
  await newBuild(page, 'Two windows');
  const second = await page.context().newPage();
  await second.goto(page.url());
  await expect(reach(second)).toHaveValue('390');
  await page
    .context()
    .route('**/api/builds/*', (route) =>
      route.request().method() === 'PUT' ? route.abort() : route.continue(),
    );
  for (const [window, value] of [
    [page, '381'],
    [second, '382'],
  ] as const) {
    await hold(window, value);
    await expect(window.getByRole('banner').getByRole('status')).toContainText('Kept in this browser');
  }
  // A third, while both are open, takes nothing from them.
  const third = await page.context().newPage();
  await third.goto(page.url());
  await expect(reach(third)).toHaveValue('390');
  const url = page.url();
  await third.close();
  await page.goto('about:blank');
  await second.goto('about:blank');
  await page.context().unroute('**/api/builds/*');
  await page.goto(url);
  await expect(reach(page)).toHaveValue('382');
  await saved(page);
  await page.getByRole('button', { name: 'Keep them as a new build' }).click();
  await expect(page.getByText('They are kept as “Two windows (my changes)”')).toBeVisible();
  await page.goto('/');
  await page.getByRole('link', { name: 'Two windows (my changes)', exact: true }).click();
  await station(page, 'Stance');
  await expect(reach(page)).toHaveValue('381');
});

test('a station that fails leaves the others, the file and the revisions', async ({ page }) => {
  await page.route('**/assets/PatternsStation*.js', (route) =>
    route.fulfill({ contentType: 'text/javascript', body: 'throw new Error("broken on purpose")' }),
  );
  await newBuild(page, 'Broken station');
  await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Patterns' }).click();
  const failed = page.getByRole('alert').filter({ hasText: 'This station failed' });
  await expect(failed).toBeVisible();
  await expectAccessible(page, 'this view');
  const download = page.waitForEvent('download');
  await failed.getByRole('button', { name: 'Take the build as a file' }).click();
  expect((await download).suggestedFilename()).toContain('.larchwood.json');
  await failed.getByRole('link', { name: 'Revisions' }).click();
  await expect(notes(page)).toBeVisible();
  await station(page, 'Stance');
  await hold(page, '391');
  await saved(page);
});

test('when the newest revision does not read, the last good one opens', async ({ page }) => {
  await newBuild(page, 'Not readable');
  await hold(page, '391');
  await saved(page);
  const id = /builds\/([^/]+)/.exec(page.url())![1]!;
  await page.route(`**/api/builds/${id}`, (route) =>
    route.fulfill({
      status: 422,
      json: { status: 422, message: 'It does not read.', faults: [{ path: '/frame', message: 'Damaged.' }] },
    }),
  );
  await page.reload();
  await expect(page.getByRole('heading', { name: 'This build does not read' })).toBeVisible();
  await expect(page.getByText('/frame')).toBeVisible();
  const open = page.getByRole('button', { name: /^Open revision 2 of/ });
  await expect(open).toBeVisible();
  await page.unroute(`**/api/builds/${id}`);
  await open.click();
  await expect(reach(page)).toHaveValue('391');
});

test('the log’s revisions fold a sitting, keep what was named, and say who', async ({ page }) => {
  await page.goto('/keeping');
  await page.getByRole('textbox', { name: 'Name', exact: true }).fill('Ulla');
  await page.keyboard.press('Enter');
  await newBuild(page, 'A sitting');
  for (const value of ['391', '392', '393']) {
    await hold(page, value);
    await saved(page);
  }
  await revisions(page);
  const rows = page.getByRole('table').getByRole('row');
  await expect(rows).toHaveCount(3);
  await expect(rows.nth(1)).toContainText('by Ulla');
  await rows.nth(1).getByRole('button', { name: 'Name' }).click();
  await page.getByRole('textbox', { name: 'Name of revision 4' }).fill('Before paint');
  await page.keyboard.press('Enter');
  await expect(rows.nth(1)).toContainText('Before paint');
  await station(page, 'Stance');
  await hold(page, '394');
  await saved(page);
  await revisions(page);
  await expect(rows).toHaveCount(4);
  await rows.nth(2).getByRole('button', { name: 'Bring back' }).click();
  await station(page, 'Stance');
  await expect(reach(page)).toHaveValue('393');
});

test('keeping: a backup, the workshop out and in as one zip, a broken one refused', async ({ page }) => {
  await page.goto('/keeping');
  await page.getByRole('button', { name: 'Back up now' }).click();
  await expect(page.getByText(/^Backed up and read back/)).toBeVisible();
  await expect(page.getByRole('row', { name: /by hand/ }).first()).toBeVisible();
  await expectAccessible(page, 'this view');
  const download = page.waitForEvent('download');
  await page.getByRole('link', { name: 'Take it away' }).click();
  const zip = await (await download).path();
  await page.getByLabel('Workshop zip').setInputFiles({
    ...{ name: 'no.zip', mimeType: 'application/zip', buffer: Buffer.from('no zip at all') },
  });
  await expect(page.getByText('no zip that can be read')).toBeVisible();
  expect(zip).toBeTruthy();
});

test.describe('a phone on the shop’s network', () => {
  const [port, folder] = [4198, mkdtempSync(join(tmpdir(), 'larchwood-shop-'))];
  const shop = `http://127.0.0.2:${port}`;
  let server: ChildProcess;
  const serve = async (env: Record<string, string>, at: string) => {
    server = spawn('node', ['apps/server/dist/main.js', '--demo'], {
      env: {
        ...process.env,
        LARCHWOOD_PORT: String(port),
        LARCHWOOD_DATABASE: join(folder, 'shop.sqlite'),
        ...env,
      },
      stdio: 'inherit',
    });
    await expect
      .poll(
        () =>
          fetch(`${at}/api/door`).then(
            ({ status }) => status,
            () => 0,
          ),
        { timeout: 30_000 },
      )
      .toBe(200);
  };
  const stop = () =>
    new Promise<number | null>((done) => {
      server.once('exit', done);
      server.kill('SIGTERM');
    });
  test.afterAll(async () => {
    await stop();
    rmSync(folder, { recursive: true });
  });

  test('opens with the passcode, ticks, loses the network, comes back', async ({ page, browser }) => {
    test.setTimeout(120_000);
    await serve({}, `http://127.0.0.1:${port}`);
    await page.goto(`http://127.0.0.1:${port}/keeping`);
    for (const [field, passcode] of [
      ['Builder’s passcode', 'four larch boards'],
      ['Bench’s passcode', 'one spruce plank'],
    ] as const) {
      const form = page.locator('form', { has: page.getByLabel(field) });
      await page.getByLabel(field).fill('short');
      await expect(form.getByText('At least 8 characters.')).toBeVisible();
      await page.getByLabel(field).fill(passcode);
      await form.getByRole('button', { name: 'Set' }).click();
      await expect(form.getByRole('button', { name: 'Change' })).toBeVisible();
    }
    expect(await stop()).toBe(0);
    await serve({ LARCHWOOD_HOST: '127.0.0.2' }, shop);

    // The builder's screen shows where it is, as a square that a phone reads.
    await page.goto(`${shop}/keeping`);
    await page.getByLabel('Passcode', { exact: true }).fill('four larch boards');
    await page.getByRole('button', { name: 'Come in' }).click();
    const square = page.getByRole('img', { name: /^Square code/ });
    await expect(square).toBeVisible();
    const { data, width, height } = await square.evaluate(async (image: HTMLImageElement) => {
      await image.decode();
      const canvas = new OffscreenCanvas(300, 300);
      const context = canvas.getContext('2d')!;
      context.drawImage(image, 0, 0, 300, 300);
      return { data: [...context.getImageData(0, 0, 300, 300).data], width: 300, height: 300 };
    });
    const read = jsqr(new Uint8ClampedArray(data), width, height)!.data;
    expect(read).toBe(shop);

    const phone = await browser.newContext({
      viewport: { width: 390, height: 844 },
      hasTouch: true,
      isMobile: true,
    });
    const bench = await phone.newPage();
    await bench.goto(read);
    await expect(bench.getByRole('dialog', { name: 'The workshop’s passcode' })).toBeVisible();
    await expectAccessible(bench, 'this view');
    await bench.getByLabel('Passcode', { exact: true }).fill('a guess at it');
    await bench.getByRole('button', { name: 'Come in' }).click();
    await expect(bench.getByRole('alert')).toContainText('not the passcode');
    await bench.getByLabel('Passcode', { exact: true }).fill('one spruce plank');
    await bench.getByRole('button', { name: 'Come in' }).click();
    await bench.getByRole('link', { name: 'Ferry Road tourer', exact: true }).click();
    await station(bench, 'Fixture');
    const boxes = bench.getByRole('checkbox', { name: /: set$/ });
    await boxes.first().check();
    await saved(bench);
    await phone.setOffline(true);
    await boxes.nth(1).check();
    await expect(bench.getByRole('banner').getByRole('status')).toContainText('Kept in this browser');
    await phone.setOffline(false);
    await saved(bench);
    // The builder sees both ticks; the bench changes nothing else.
    await page.goto(bench.url());
    await expect(page.getByRole('checkbox', { name: /: set$/ }).nth(1)).toBeChecked();
    await expect(page.getByRole('checkbox', { name: /: set$/ }).first()).toBeChecked();
    await station(bench, 'Stance');
    const field = bench.getByLabel('Reach, mm', { exact: true });
    const before = await field.inputValue();
    await expect(field).toBeEditable({ editable: false });
    await field.focus();
    await bench.keyboard.press('ArrowUp');
    await expect(field).toHaveValue(before);
    await expect(field).toHaveAttribute('title', 'A builder’s passcode changes this.');
    // Lists and boxes that change the build are not to be pressed either.
    await station(bench, 'Cuts');
    await expect(bench.getByRole('combobox', { name: 'Marks from its' })).toBeDisabled();
    // At the bench it is told once what a reload would do without a network.
    await station(bench, 'Bench');
    const keepOpen = bench.getByText('Keep this page open.');
    await expect(keepOpen).toBeVisible();
    await expectAccessible(bench, 'the bench on a phone');
    await bench.getByRole('button', { name: 'Understood' }).click();
    await expect(keepOpen).toHaveCount(0);
    // One press logs all out.
    await page.goto(`${shop}/keeping`);
    await page.getByRole('button', { name: 'Log everybody out' }).click();
    await expect(page.getByRole('dialog', { name: 'The workshop’s passcode' })).toBeVisible();
    await bench.reload();
    await expect(bench.getByRole('dialog', { name: 'The workshop’s passcode' })).toBeVisible();
    await phone.close();
  });
});

test('paper of very many sheets is asked about before it is made, and can be called off', async ({
  page,
}) => {
  const document = JSON.parse(readFileSync('demo/orchard-ladder.larchwood.json', 'utf8')) as BuildDocument;
  const [plate] = document.frame.plates;
  plate!.outline = [
    [-4500, -4500],
    [4500, -4500],
    [4500, 4500],
    [-4500, 4500],
  ];
  document.brief.school = 'plan';
  const { id } = (await (
    await page.request.post('/api/builds/import', { data: document })
  ).json()) as StoredBuild;
  await page.goto(`/builds/${id}/fixture?show=paper`);
  await page.getByRole('button', { name: 'Download PDF' }).click();
  const asked = page.getByText(/that is [\d,]{3,} sheets of paper/);
  await expect(asked).toBeVisible({ timeout: 40_000 });
  await page.getByRole('button', { name: 'Leave it' }).click();
  await expect(asked).toBeHidden();
  await page.getByRole('button', { name: 'Download PDF' }).click();
  await page.getByRole('button', { name: 'Make them all' }).click();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(page.getByRole('button', { name: 'Download PDF' })).toBeEnabled();
});
