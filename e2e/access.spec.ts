import AxeBuilder from '@axe-core/playwright';
import { expect, test, type Page } from '@playwright/test';
import { ledger, newBrief, newBuild, station } from './helpers.js';

const scan = async (page: Page, view: string) => {
  const { violations } = await new AxeBuilder({ page })
    .withTags(['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'])
    .analyze();
  expect(
    violations.map(
      ({ id, nodes }) =>
        `${view}: ${id}: ${nodes
          .map((node) => `${node.html.slice(0, 160)} ${node.any[0]?.message ?? ''}`)
          .slice(0, 3)
          .join(' | ')}`,
    ),
  ).toEqual([]);
};

for (const theme of ['day', 'night']) {
  test(`every view is accessible, ${theme} shop`, async ({ page }) => {
    test.setTimeout(120_000);
    await page.addInitScript((chosen) => localStorage.setItem('larchwood:theme', chosen), theme);
    await page.goto('/');
    await scan(page, 'workshop');
    await page.getByRole('button', { name: 'New build' }).click();
    await page.getByRole('button', { name: 'Make the build' }).click();
    await scan(page, 'new build');
    await newBuild(page, `Access ${theme}`);
    await ledger(page, 'Head angle, degrees').fill('66');
    await ledger(page, 'Fork offset, mm').fill('oops');
    await page.keyboard.press('Tab');
    for (const view of ['Brief', 'Stance', 'Tubes', 'Joints', 'Patterns', 'Fixture', 'History']) {
      await station(page, view);
      await scan(page, view);
    }
    await station(page, 'Stance');
    await page.getByRole('button', { name: 'Trail', exact: true }).click();
    await scan(page, 'why');
    await page.keyboard.press('Escape');
    await page.getByRole('button', { name: 'Hold trail', exact: true }).click();
    await scan(page, 'hold');
    await newBrief(page, `Access kart ${theme}`, { kind: 'Kart' });
    await page.getByRole('button', { name: 'Add a rider' }).click();
    for (const part of ['Front wheel', 'Donor part', 'Engine']) {
      await page.getByRole('combobox', { name: 'Put a part on the shelf' }).click();
      await page.getByRole('option', { name: part }).click();
    }
    await page.getByRole('combobox', { name: 'Add a limit' }).click();
    await page.getByRole('option', { name: 'Wheelbase' }).click();
    await scan(page, 'brief of a kart');
    await station(page, 'Stance');
    for (const view of ['Side', 'Plan', 'Front', 'What if', 'Steering sweep', 'Differences']) {
      await page.getByRole('tab', { name: view }).click();
      await scan(page, `kart, ${view}`);
    }
  });
}

test('at 1280x800 and on a tablet the page itself does not scroll', async ({ page }) => {
  await newBuild(page, 'Sizes');
  for (const [width, height] of [
    [1280, 800],
    [1024, 768],
  ] as const) {
    await page.setViewportSize({ width, height });
    for (const view of ['Brief', 'Stance', 'Tubes', 'Joints', 'Patterns', 'Fixture']) {
      await station(page, view);
      const over = await page.evaluate(() => [
        document.documentElement.scrollWidth - innerWidth,
        document.documentElement.scrollHeight - innerHeight,
      ]);
      expect(over, `${view} at ${width}`).toEqual([0, 0]);
    }
  }
});
