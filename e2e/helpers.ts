import AxeBuilder from '@axe-core/playwright';
import { readFileSync } from 'node:fs';
import { expect, type Download, type Page } from '@playwright/test';
import { KINDS } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';

interface Start {
  readonly kind?: string;
  readonly set?: string;
  readonly units?: string;
}

/** Makes a build by the dialog, as a user does, and leaves it open at its brief. */
export async function newByDialog(
  page: Page,
  name: string,
  { kind = 'Bicycle', set, units = 'Millimetres' }: Start = {},
): Promise<void> {
  await page.goto('/');
  await page.getByRole('button', { name: 'New build' }).click();
  await page.getByRole('dialog').getByRole('textbox').fill(name);
  await page.getByRole('radio', { name: kind, exact: true }).check();
  if (set !== undefined) await page.getByRole('radio', { name: new RegExp(`^${set}`) }).check();
  await page.getByRole('radio', { name: units }).check();
  await page.getByRole('button', { name: 'Make the build' }).click();
  await expect(page.getByRole('textbox', { name: 'Name of the build' })).toHaveValue(name);
}

const UNITS: Readonly<Record<string, string>> = {
  Millimetres: 'mm',
  'Inches, decimal': 'inch',
  'Inches, fractions': 'fraction',
};

/** The same without the dialog, which others try: by the names that it shows. */
export async function newBrief(
  page: Page,
  name: string,
  { kind = 'Bicycle', set = '', units = 'Millimetres' }: Start = {},
): Promise<void> {
  const { id, startingSets } = KINDS.find((each) => each.name === kind)!;
  const startingSet = startingSets.find((each) => each.name.startsWith(set))!.id;
  const data = { name, kind: id, startingSet, length: UNITS[units] };
  const answer = await page.request.post('/api/builds', { data, maxRetries: 2 });
  expect(answer.status(), await answer.text()).toBe(201);
  const build = (await answer.json()) as { readonly id: string };
  await page.goto(`/builds/${build.id}/brief`);
  await expect(page.getByRole('textbox', { name: 'Name of the build' })).toHaveValue(name);
}

/** The same, left open at its stance. */
export async function newBuild(page: Page, name: string, set = 'Road', units?: string): Promise<void> {
  await newBrief(page, name, { set, ...(units === undefined ? {} : { units }) });
  await station(page, 'Stance');
}

/** Presses the empty peg of a following dimension and lets a held one go for it; with a value when one is given. */
export async function hold(page: Page, name: string, letGo: string, value?: string): Promise<void> {
  await page
    .getByRole('complementary')
    .getByRole('button', { name: `Hold ${name}`, exact: true })
    .click();
  if (value !== undefined) await page.getByLabel(new RegExp(`^Hold ${name} at, `)).fill(value);
  await page.getByRole('button', { name: new RegExp(`^Let ${letGo} go`) }).click();
}

/** Goes to a station, and waits until it stands there: the one before has lists of the same names. */
export async function station(page: Page, name: string): Promise<void> {
  await page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name }).click();
  await expect(page).toHaveTitle(new RegExp(`^${name} – `));
}
export const tab = (page: Page, name: string) => page.getByRole('tab', { name }).click();
/** Every state that the open build was saved in. */
export async function revisions(page: Page): Promise<void> {
  await station(page, 'Log');
  await tab(page, 'Revisions');
}
/** Chooses from a list; an option named by a text is that option and no other. */
export async function choose(page: Page, list: string, option: string | RegExp): Promise<void> {
  await page.getByRole('combobox', { name: list, exact: true }).click();
  await page.getByRole('option', { name: option, exact: typeof option === 'string' }).click();
}
export const table = (page: Page, name: string) => page.getByRole('table', { name });
export const ledger = (page: Page, label: string) =>
  page.getByRole('complementary').getByLabel(label, { exact: true });

/** A following dimension's figure in the ledger. */
export async function following(page: Page, name: string): Promise<number> {
  const row = page
    .getByRole('complementary', { name: 'Stance' })
    .locator('div', { has: page.getByRole('button', { name, exact: true }) })
    .last();
  return Number(/-?[\d.]+/.exec((await row.innerText()).replace('−', '-').replace(name, ''))![0]);
}

export async function saved(page: Page): Promise<void> {
  await expect(page.getByRole('banner').getByRole('status')).toContainText('Saved');
}

export async function contentOf(download: Download): Promise<Buffer> {
  return readFileSync(await download.path());
}

export async function exported(page: Page): Promise<{ document: BuildDocument; text: string }> {
  const [download] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Export as a file' }).click(),
  ]);
  expect(download.suggestedFilename()).toMatch(/\.larchwood\.json$/);
  const text = (await contentOf(download)).toString('utf8');
  return { document: JSON.parse(text) as BuildDocument, text };
}

const TAGS = ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'];

/** What stands round every station: looked at with each view of a bicycle, and left out of the others. */
const ROUND = ['header', 'nav[aria-label="Stations"]', 'section[aria-label="Readings"]'];

/**
 * Expects a view to be accessible: by day all rules, by night what the colours decide, since nothing else differs. No view
 * has frames of its own: without the second page that joins the results of frames, a scan is faster and cannot leave the
 * view in the background.
 */
export async function expectAccessible(
  page: Page,
  view: string,
  { whole = false }: { readonly whole?: boolean } = {},
): Promise<void> {
  await page.bringToFront();
  for (const theme of ['night', 'day'] as const) {
    await page.evaluate((shown) => (document.documentElement.dataset.theme = shown), theme);
    const axe = new AxeBuilder({ page }).setLegacyMode(true).options({ resultTypes: ['violations'] });
    // A notice comes and goes: half faded, its colours are nobody's choice.
    for (const part of ['[data-sonner-toaster]', ...(whole ? [] : ROUND)]) axe.exclude(part);
    const scan = theme === 'day' ? axe.withTags(TAGS) : axe.withRules(['color-contrast']);
    const { violations } = await scan.analyze();
    const told = violations.map(
      ({ id, nodes }) =>
        `${id}: ${nodes
          .map((node) => `${node.html.slice(0, 160)} ${node.any[0]?.message ?? ''}`)
          .slice(0, 3)
          .join(' | ')}`,
    );
    expect(told, `${view} by ${theme}`).toEqual([]);
  }
}
