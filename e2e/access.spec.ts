import { expect, test } from '@playwright/test';
import { expectAccessible, ledger, newBrief, newBuild, station } from './helpers.js';

const STATIONS = [
  ...['Brief', 'Stance', 'Seat', 'Steering', 'Tubes', 'Joints', 'Cuts'],
  ...['Patterns', 'Fixture', 'Work', 'Bench', 'Checks', 'Log', 'Pack'],
];

test.beforeEach(() => {
  // Seven views and more, in both themes, on a machine that may be slow or busy.
  test.setTimeout(150_000);
});

test('every view of a bicycle is accessible', async ({ page }) => {
  const scan = (view: string) => expectAccessible(page, view, { whole: true });
  await page.goto('/');
  await scan('workshop');
  await page.getByRole('link', { name: 'Keeping and sharing' }).click();
  await expect(page.getByRole('button', { name: 'Back up now' })).toBeVisible();
  await scan('keeping');
  await page.goto('/');
  await page.getByRole('button', { name: 'New build' }).click();
  await page.getByRole('button', { name: 'Make the build' }).click();
  await scan('new build');
  await newBuild(page, 'Access');
  await ledger(page, 'Head angle, degrees').fill('66');
  await ledger(page, 'Fork offset, mm').fill('oops');
  await page.keyboard.press('Tab');
  for (const view of ['Brief', 'Stance', 'Tubes', 'Joints', 'Patterns', 'Fixture', 'Log']) {
    await station(page, view);
    await scan(view);
  }
  await station(page, 'Stance');
  await page.getByRole('button', { name: 'Trail', exact: true }).click();
  await scan('why');
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Hold trail', exact: true }).click();
  await scan('hold');
});

test('every view of a kart’s brief and stance is accessible', async ({ page }) => {
  const scan = (view: string) => expectAccessible(page, view);
  await newBrief(page, 'Access kart', { kind: 'Kart' });
  await page.getByRole('button', { name: 'Add a rider' }).click();
  for (const part of ['Front wheel', 'Donor part', 'Engine']) {
    await page.getByRole('combobox', { name: 'Put a part on the shelf' }).click();
    await page.getByRole('option', { name: part }).click();
  }
  await page.getByRole('combobox', { name: 'Add a limit' }).click();
  await page.getByRole('option', { name: 'Wheelbase' }).click();
  await scan('brief of a kart');
  await station(page, 'Stance');
  for (const view of ['Side', 'Plan', 'Front', 'What if', 'Steering sweep', 'Differences']) {
    await page.getByRole('tab', { name: view }).click();
    await scan(view);
  }
});

test('every view of a trike’s and a motorcycle’s seat is accessible', async ({ page }) => {
  const scan = (view: string) => expectAccessible(page, view);
  await newBrief(page, 'Access seat', { kind: 'Tadpole trike' });
  await station(page, 'Seat');
  for (const view of ['Side', 'Plan', 'Front', 'Clearances', 'Mass', 'Tipping', 'Who fits']) {
    await page.getByRole('tab', { name: view }).click();
    if (view === 'Mass') {
      await page.getByRole('button', { name: 'Enter scale readings' }).click();
      await page.getByRole('button', { name: /^Weigh again/ }).click();
      await page.getByLabel('Seat, name').focus();
    }
    if (view === 'Who fits') await expect(page.getByText(/fits?\b/).first()).toBeVisible();
    await scan(view);
  }
  await newBrief(page, 'Access lean', { kind: 'Motorcycle' });
  await page.getByRole('button', { name: 'Add a rider' }).click();
  await page.getByRole('button', { name: 'Rider 1, measures' }).click();
  await scan('measures');
  await page.keyboard.press('Escape');
  await station(page, 'Seat');
  await page.getByRole('tab', { name: 'Tipping' }).click();
  await scan('lean');
});

test('at 1280x800 and on a tablet no view of a kart scrolls the page itself', async ({ page }) => {
  // What stands on the page outside of all that scrolls would let it scroll into nothing.
  const over = () =>
    page.evaluate(() => [
      document.documentElement.scrollWidth - innerWidth,
      document.documentElement.scrollHeight - innerHeight,
    ]);
  await newBrief(page, 'Sizes', { kind: 'Kart' });
  for (const [width, height] of [
    [1280, 800],
    [1024, 768],
  ] as const) {
    await page.setViewportSize({ width, height });
    for (const name of STATIONS) {
      await station(page, name);
      const tabs = page.locator('#station').getByRole('tab');
      await expect(page.locator('#station')).not.toBeEmpty();
      const count = await tabs.count();
      for (let tab = 0; tab < count; tab += 1) {
        await tabs.nth(tab).click();
        expect(await over(), `${name}, view ${tab + 1}, at ${width}`).toEqual([0, 0]);
      }
      if (count === 0) expect(await over(), `${name} at ${width}`).toEqual([0, 0]);
    }
  }
});
