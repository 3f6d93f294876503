import { expect, test, type Locator, type Page } from '@playwright/test';
import { measuringList, planBuild, readingOf, type MeasuringList, type Vector } from '@larchwood/core';
import { choose, exported, expectAccessible, newBrief, saved, station, tab } from './helpers.js';
import { itemsOf, removeItem } from './lists.js';

/** A press of one pixel is a picture as well. */
const PIXEL = Buffer.from(
  'iVBORw0KGgoAAAANSUhEUgAAAAEAAAABCAYAAAAfFcSJAAAADUlEQVR42mNk+M9QDwADhgGAWjR9awAAAABJRU5ErkJggg==',
  'base64',
);
const rows = (page: Page) => page.getByRole('group', { name: 'Measuring list' }).getByRole('row');
const readingField = (page: Page, name: string): Locator =>
  page.getByLabel(new RegExp(`^\\d+, ${name}: reads`));
const found = (page: Page) => page.getByRole('region', { name: 'Findings' });

async function listOf(page: Page): Promise<MeasuringList> {
  const { document } = await exported(page);
  const planned = planBuild(document);
  if (!planned.ok) throw new Error('It has no shape.');
  return measuringList({ document, ...planned.plan });
}

/** Reads every measure of a frame whose points have come to lie elsewhere, down the list with the Enter key. */
async function readAll(
  page: Page,
  list: MeasuringList,
  shifts: Readonly<Record<string, Vector>>,
  wrong: Readonly<Record<string, number>> = {},
): Promise<void> {
  const at = (id: string): Vector => {
    const { at: drawn } = list.points[id]!;
    const by = shifts[id] ?? [0, 0, 0];
    return [drawn[0] + by[0], drawn[1] + by[1], drawn[2] + by[2]];
  };
  for (const measure of list.measures.filter(({ whole }) => !whole)) {
    const value = readingOf(measure, at) + (wrong[measure.id] ?? 0);
    const field = readingField(page, measure.name.replace(/[()]/g, '.'));
    await field.fill(measure.quantity === 'angle' ? value.toFixed(2) : `${value.toFixed(2)} mm`);
    await field.press('Enter');
  }
}

test('a bent bicycle is measured, the wrong reading named, pulled straight, measured again, and passes', async ({
  page,
}) => {
  test.slow();
  await newBrief(page, 'Bent bicycle', { units: 'Inches, fractions' });
  await station(page, 'Checks');
  await choose(page, 'Stage', 'Off the fixture');
  await expect(rows(page).nth(5)).toBeVisible();
  const list = await listOf(page);
  // What does not read stays in its field with the reason; what reads like another unit is asked about.
  const spacing = readingField(page, 'Rear axle, left to rear axle, right');
  await spacing.fill('a hand');
  await spacing.press('Enter');
  await expect(page.getByRole('alert')).toContainText('“a hand”');
  await expect(spacing).toHaveValue('a hand');
  const downTube = readingField(page, 'BB axis to head tube’s lower face');
  const { nominal } = list.measures.find(({ id }) => id === 'downTube')!;
  await downTube.fill(`${(nominal / 25.4).toFixed(2)} mm`);
  await downTube.press('Enter');
  await expect(found(page)).toContainText('reads like inches');
  await found(page).getByRole('button', { name: 'Take it so' }).click();
  await expect(found(page).getByText('reads like inches')).toHaveCount(0);
  // The head tube leans to the left, and one tape was misread by 9 mm.
  const bent = { headUpper: [0, 4.5, 0] } as const;
  await readAll(page, list, bent, { bracketToHead: 9 });
  await expect(found(page)).toContainText('“BB axis to head tube’s upper face” disagrees with the others');
  await tab(page, 'As built');
  await expect(page.getByText('read it again', { exact: false }).first()).toBeVisible();
  await tab(page, 'Measure');
  await found(page).getByRole('button', { name: 'Take this reading out' }).click();
  await expect(found(page).getByText('disagrees')).toHaveCount(0);
  await tab(page, 'As built');
  const advice = page.getByRole('complementary', { name: 'What to do' });
  await expect(advice).toContainText('Pull cold the head tube’s top, its foot held, to the right');
  await advice.getByLabel(/: pulled to/).fill('4.5 mm');
  await advice.getByLabel(/: stayed at/).fill('a bit');
  await advice.getByLabel(/: stayed at/).press('Enter');
  await expect(advice.getByRole('alert')).toContainText('It stayed at');
  await advice.getByLabel(/: stayed at/).fill('11 mm');
  await advice.getByRole('button', { name: 'Log the pull' }).click();
  await expect(advice.getByRole('alert')).toContainText('cannot stay farther');
  // What was typed is there after another view was looked at.
  await tab(page, 'Movement');
  await tab(page, 'As built');
  await expect(advice.getByLabel(/: pulled to/)).toHaveValue('4.5 mm');
  await advice.getByLabel(/: pulled to/).fill('11 mm');
  await advice.getByLabel(/: stayed at/).fill('4.5 mm');
  await advice.getByRole('button', { name: 'Log the pull' }).click();
  await expect(advice.getByLabel(/: pulled to/)).toHaveValue('');
  // Measured again it passes.
  await tab(page, 'Measure');
  await readAll(page, list, {});
  await tab(page, 'As built');
  await expect(advice).toContainText('Leave it as it is');
  // What moves is swept with the figures as built, too.
  await expect(advice).toContainText(/nothing comes nearer|New: |Gone: /, { timeout: 20_000 });
  await expect(page.getByRole('group', { name: 'As built' }).getByText('look')).toHaveCount(0);
  await saved(page);
  const { document } = await exported(page);
  expect(document.measured).toHaveLength(list.measures.filter(({ whole }) => !whole).length);
  // The log has it all by itself; the pull is taken out again, as others count it.
  await station(page, 'Log');
  const entries = page.getByRole('group', { name: 'Entries' });
  const count = list.measures.filter(({ whole }) => !whole).length;
  await expect(entries).toContainText(`Off the fixture: ${count} readings, all within tolerance`);
  await expect(entries).toContainText('Pulled the head tube’s top');
  const { id } = (
    (await (await page.request.get('/api/builds')).json()) as { id: string; name: string }[]
  ).find(({ name }) => name === 'Bent bicycle')!;
  for (const [key, { build }] of Object.entries(await itemsOf(page, 'pulls')))
    if (build === id) await removeItem(page, 'pulls', key);
});

test('a kart: an own measure, an instrument held three times to one, and a movement taken into the fixture', async ({
  page,
}) => {
  test.slow();
  await newBrief(page, 'Measured kart', { kind: 'Kart', set: 'Ladder' });
  await station(page, 'Checks');
  await choose(page, 'Stage', 'Tacked');
  await expect(rows(page).nth(5)).toBeVisible();
  await choose(page, 'Measured from', /^Rail, rear left$/);
  await choose(page, 'Measured to', /^Kingpin’s top, right$/);
  const own = page.getByLabel('What is measured');
  await own.fill('Long way across');
  await expect(rows(page).filter({ hasText: 'Long way across' })).toBeVisible();
  await page.getByRole('button', { name: 'Take it out of the list' }).click();
  // A stand-in lies at 80.5 degrees, quite still.
  await rows(page).filter({ hasText: 'Kingpin, left: against level' }).getByRole('button').click();
  await choose(page, 'Instrument', 'Angle gauge, stand-in');
  await page.getByLabel('It is unsteady by, degrees').fill('0');
  await page.getByLabel('The stand-in lies at, degrees').fill('80.5');
  await expect(page.getByLabel('The instrument shows')).toHaveText('80.5°');
  for (const name of ['Hold', 'Hold 2 of 3', 'Hold 3 of 3'])
    await page.getByRole('button', { name, exact: true }).click();
  await expect(readingField(page, 'Kingpin, left: against level')).toHaveValue('80.5');
  await expect(page.getByText('Several readings spread by')).toBeVisible();
  const list = await listOf(page);
  await readAll(page, list, {});
  await choose(page, 'Stage', 'After the cap');
  await readAll(page, list, {
    kingpinLowLeft: [0, 0, 5],
    kingpinTopLeft: [0, 0, 5],
    cornerFrontLeft: [0, 0, 5],
  });
  await expect(found(page)).toContainText('Four corners out of one plane: not alike');
  await tab(page, 'Movement');
  await choose(page, 'View', 'In space');
  await expect(page.getByRole('img', { name: 'What moved, in space' }).locator('canvas')).toBeVisible();
  await choose(page, 'View', 'Side');
  await expect(page.getByRole('img', { name: 'What moved, in the side view' })).toBeVisible();
  await page.getByRole('button', { name: 'Set the fixture off by it' }).click();
  await expect(page.getByText('The fixture is set off at 2 points.')).toBeVisible();
  // From now on a frame is read as it is held; what was tacked before that was held as drawn.
  const foot = rows(page).filter({ hasText: 'Kingpin’s foot, left: height' });
  await tab(page, 'Measure');
  await choose(page, 'Stage', /^Tacked: /);
  const drawn = await foot.getByRole('cell').nth(2).innerText();
  await choose(page, 'Stage', 'Dry fit');
  await expect(foot.getByRole('cell').nth(2)).not.toHaveText(drawn);
  await expect(page.getByText('as the fixture is set off')).toBeVisible();
  await station(page, 'Fixture');
  await expect(found(page)).toContainText('The fixture is set off');
  await found(page).getByRole('button', { name: 'Take it out again' }).click();
  await expect(found(page).getByText('The fixture is set off')).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(found(page)).toContainText('The fixture is set off');
});

test('a kart in fractions: strings tell each wheel’s toe and the rods to turn; a fixture is set off by the log', async ({
  page,
}) => {
  await newBrief(page, 'Strung kart', { kind: 'Kart', units: 'Inches, fractions' });
  await station(page, 'Checks');
  // Nothing is measured yet: what welding moved on a buggy’s kingpins is taken in.
  await tab(page, 'Movement');
  await page.getByRole('button', { name: 'Set the fixture off by the log' }).click();
  await expect(page.getByText('The fixture is set off at 2 points.')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('The fixture is set off at')).toHaveCount(0);
  await tab(page, 'Measure');
  await choose(page, 'Stage', 'Assembled');
  const gap = (name: string) => readingField(page, `String to the front wheel, ${name}`);
  await gap('left: front').fill('three');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('alert')).toBeVisible();
  for (const [name, read] of [
    ['left: front', '3 1/8'],
    ['left: rear', '3 5/16'],
    ['right: front', '3 1/4'],
    ['right: rear', '3 1/4'],
  ] as const) {
    await gap(name).fill(read);
    await page.keyboard.press('Enter');
  }
  await tab(page, 'As built');
  const row = (name: string) => page.getByRole('row').filter({ hasText: name });
  // Three sixteenths over a straight-edge of 8 inches: 1.34 degrees outward.
  await expect(row('Toe of the left wheel')).toContainText('−1.3°');
  await expect(row('Toe of the right wheel')).toContainText('0°');
  const rods = page.getByRole('listitem').filter({ hasText: 'ball to ball' });
  await expect(rods.filter({ hasText: 'Left rod' })).toContainText('shorter');
});

test('the log: written down, looked for, with a picture; one that is too large is refused; every view is accessible', async ({
  page,
}) => {
  test.slow();
  await newBrief(page, 'Written down', { units: 'Inches, decimal' });
  await station(page, 'Checks');
  await expect(rows(page).nth(5)).toBeVisible();
  await readingField(page, 'Head tube: out of plumb, to the left').fill('0.8');
  await page.keyboard.press('Enter');
  await expect(found(page)).toContainText('more than it should');
  await expectAccessible(page, 'Measure');
  await tab(page, 'As built');
  await expect(page.getByText('What these readings cannot tell')).toBeVisible();
  await expectAccessible(page, 'As built');
  await station(page, 'Log');
  const entries = page.getByRole('group', { name: 'Entries' });
  await page.getByLabel('The entry in words').fill('Gap of a hair at the down tube');
  await choose(page, 'What the entry is about', 'Fit-up');
  // Another station is looked at meanwhile: what was typed stays.
  await station(page, 'Checks');
  await station(page, 'Log');
  await expect(page.getByLabel('The entry in words')).toHaveValue('Gap of a hair at the down tube');
  await page.getByRole('button', { name: 'Write it down' }).click();
  await expect(entries).toContainText('Gap of a hair');
  await page.getByLabel('Look for words in the log').fill('hair down');
  await expect(entries.getByRole('listitem')).toHaveCount(1);
  await page.getByLabel('Look for words in the log').fill('');
  const picture = page.getByLabel('Add a picture');
  await picture.setInputFiles({
    name: 'big.png',
    mimeType: 'image/png',
    buffer: Buffer.alloc(40 * 1024 * 1024),
  });
  await expect(page.getByRole('alert')).toContainText('40 MB');
  await picture.setInputFiles({ name: 'none.png', mimeType: 'image/png', buffer: Buffer.from('no picture') });
  await expect(page.getByRole('alert')).toContainText('no picture');
  await picture.setInputFiles({ name: 'dot.png', mimeType: 'image/png', buffer: PIXEL });
  await expect(entries.getByRole('img')).toBeVisible();
  await expectAccessible(page, 'Log');
  // What a revision changed, in words; and beside another build.
  await saved(page);
  await tab(page, 'Revisions');
  await page.getByRole('button', { name: 'What changed' }).first().click();
  await expect(page.getByText('Changed: readings of the frame.')).toBeVisible();
  await tab(page, 'Side by side');
  await choose(page, 'Compare with', 'Ferry Road tourer');
  await expect(page.getByRole('group', { name: 'Side by side' })).toContainText('pieces differ');
  await expectAccessible(page, 'Side by side');
  // A tube of the other build, made here as it is there; and back.
  const take = page.getByRole('button', { name: /^Take \S+ over$/ });
  await expect(take.first()).toBeVisible();
  const offered = await take.count();
  await take.first().click();
  await expect(page.getByText('Taken over from Ferry Road tourer.')).toBeVisible();
  await expect(take).toHaveCount(offered - 1);
  await page.getByRole('banner').getByRole('button', { name: 'Undo' }).click();
  await expect(take).toHaveCount(offered);
});

test('heights from the fixture’s base: a motorcycle on a table, in fractions', async ({ page }) => {
  await newBrief(page, 'Off the table', { kind: 'Motorcycle', set: 'Sport', units: 'Inches, fractions' });
  await station(page, 'Brief');
  await choose(page, 'School of fixture', /[Tt]able/);
  await station(page, 'Checks');
  await page.goto(`${page.url().split('?')[0]}?at=dry`);
  const row = rows(page).filter({ hasText: 'lower face: height' });
  const shouldRead = () => row.getByRole('cell').nth(2).innerText();
  const fromGround = await shouldRead();
  await choose(page, 'Heights measured from', 'Heights from the table');
  await expect.poll(shouldRead).not.toBe(fromGround);
  const { document } = await exported(page);
  const planned = planBuild(document);
  if (!planned.ok) throw new Error('It has no shape.');
  const { nominal } = (await listOf(page)).measures.find(({ id }) => id === 'height.headLower')!;
  await row.getByRole('textbox').fill(`${(nominal - planned.plan.fixture.base!.height).toFixed(2)} mm`);
  await row.getByRole('textbox').press('Enter');
  await expect(row).toContainText('pass');
  await choose(page, 'Heights measured from', 'Heights from the ground');
  await expect.poll(shouldRead).toBe(fromGround);
  await expect(row).toContainText('pass');
  // Off the fixture there is no base to measure from.
  await choose(page, 'Stage', /^Off/);
  await expect(page.getByLabel('Heights measured from')).toHaveCount(0);
});
