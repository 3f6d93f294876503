import { strFromU8, unzipSync } from 'fflate';
import { expect, test, type Page } from '@playwright/test';
import { contentOf, exported, expectAccessible, newBrief, saved, station } from './helpers.js';

const files = (page: Page) => page.getByRole('group', { name: 'What goes into the pack' });
const make = (page: Page) => page.getByRole('button', { name: 'Make the pack' });

test('the pack of a kart in fractions: chosen, made, called off, and the same twice', async ({ page }) => {
  test.slow();
  await newBrief(page, 'Packed kart', { kind: 'Kart', set: 'Ladder', units: 'Inches, fractions' });
  await saved(page);
  await station(page, 'Pack');
  await expect(files(page).getByLabel('Each piece as a solid, STEP')).toBeChecked();
  // What cannot be made says why, and is not offered.
  await expect(files(page)).toContainText('Nothing of this frame is bent.');
  await expect(files(page).getByLabel('Bend tables')).toHaveCount(0);
  await expectAccessible(page, 'Pack', { whole: true });
  await make(page).click();
  await expect(page.getByRole('progressbar')).toBeVisible();
  await page.getByRole('button', { name: 'Cancel' }).click();
  await expect(make(page)).toBeEnabled();
  for (const group of [
    'Cuts, bends and flat parts',
    'Patterns',
    'Steering',
    'Fixture and full-size plan',
    'Work and checks',
  ])
    await files(page)
      .locator('section', { has: page.getByRole('heading', { name: group }) })
      .getByRole('button', { name: 'None of these' })
      .click();
  await files(page).getByLabel('Each piece as a solid, STEP').uncheck();
  const packed = async () => {
    const [download] = await Promise.all([
      page.waitForEvent('download', { timeout: 50_000 }),
      make(page).click(),
    ]);
    expect(download.suggestedFilename()).toMatch(/^packed-kart-r\d+-\d{4}-\d\d-\d\d\.zip$/);
    const bytes = await contentOf(download);
    return { bytes, all: unzipSync(bytes) };
  };
  const { bytes, all } = await packed();
  const names = Object.keys(all).map((name) => name.replace(/-r\d+-\d{4}-\d\d-\d\d/, ''));
  expect(names.sort()).toEqual([
    'frame/cut-list.csv',
    'frame/frame.glb',
    'frame/frame.step',
    'frame/frame.stl',
    'frame/labels.pdf',
    'frame/masses.csv',
    'index.html',
    'packed-kart.larchwood.json',
  ]);
  const text = (part: string) => strFromU8(all[Object.keys(all).find((name) => name.includes(part))!]!);
  expect(text('.step')).toMatch(/^ISO-10303-21;[\s\S]*PRODUCT\('1L Rail, left'/);
  expect(text('index.html')).toContain('Packed kart');
  expect(text('index.html')).not.toContain('Could not be made');
  expect(text('index.html')).toMatch(/\d+ \d+\/\d+ in/);
  const { text: own } = await exported(page);
  expect(text('.larchwood.json')).toBe(own);
  expect((await packed()).bytes.equals(bytes)).toBe(true);
});

test('a label’s code opens its piece', async ({ page }) => {
  await newBrief(page, 'Labelled bicycle', {});
  const [, id] = /builds\/([^/]+)/.exec(page.url())!;
  await page.goto(`/builds/${id}/joints?piece=6R`);
  await expect(page.getByRole('complementary', { name: /^Piece 6R/ })).toBeVisible();
  await page.goto(`/builds/${id}/joints?piece=99`);
  // A mark that no piece has any more opens the station as ever.
  await expect(page.getByRole('cell', { name: 'Seatstay, left' })).toBeVisible();
});
