import { expect, test } from '@playwright/test';
import {
  choose,
  contentOf,
  expectAccessible,
  ledger,
  newBrief,
  saved,
  station,
  tab,
  table,
} from './helpers.js';
import { itemsOf, keepItem, removeItem } from './lists.js';

test('a trial bend changes the next setting; left out it does not; what cannot be is said', async ({
  page,
}) => {
  await newBrief(page, 'Bent twice', { kind: 'Motorcycle' });
  await station(page, 'Cuts');
  await page.getByRole('button', { name: /Down tube/ }).click();
  const rows = table(page, 'Bends in the order they are made').getByRole('row');
  const set = () => rows.nth(1).getByRole('cell').nth(7).innerText();
  await expect(rows.nth(1)).toContainText('28.6 on 110');
  const before = parseFloat(await set());
  const log = async (asked: string, got: string) => {
    await page.getByLabel('Trial bend: scale read, degrees').fill(asked);
    await page.getByLabel('Trial bend: came out, degrees').fill(got);
    await page.getByRole('button', { name: 'Log it' }).click();
  };
  await log('60', 'most of it');
  await expect(page.getByRole('alert')).toContainText('in degrees');
  await log('60', '70');
  await expect(page.getByRole('alert')).toContainText('swap the two');
  // 5 degrees sprang back where 2 were allowed for.
  await log('60', '55');
  await expect.poll(async () => parseFloat(await set())).toBeCloseTo(before + 3, 5);
  await expect(page.getByText('From one bend only')).toBeVisible();
  await page.getByRole('checkbox', { name: 'left out' }).check();
  await expect.poll(async () => parseFloat(await set())).toBe(before);
  await page.getByRole('checkbox', { name: 'left out' }).uncheck();
  await expect.poll(async () => parseFloat(await set())).toBeCloseTo(before + 3, 5);
  // Another build of the workshop has learned it, too; on paper as on the screen.
  await newBrief(page, 'Bent later', { kind: 'Motorcycle' });
  await station(page, 'Cuts');
  await page.getByRole('button', { name: /Down tube/ }).click();
  await expect.poll(async () => parseFloat(await set())).toBeCloseTo(before + 3, 5);
  const [pdf] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Bend tables' }).click(),
  ]);
  expect((await contentOf(pdf)).subarray(0, 5).toString()).toBe('%PDF-');
  // Marks from the other end, undone with one key.
  const mark = () => rows.nth(1).getByRole('cell').nth(1).innerText();
  const first = await mark();
  await choose(page, 'Marks from its', 'end');
  await expect.poll(mark).not.toBe(first);
  await page.keyboard.press('Control+z');
  await expect.poll(mark).toBe(first);
});

test('a die whose scale reads 2 at a straight tube: what the scale read is logged, and the next setting is bend, springback and zero', async ({
  page,
}) => {
  const die = {
    ...{ name: '30 on 120, worn scale', size: 30, shape: 'round', radius: 120, clamp: 0, follow: 0 },
    ...{ mark: 0, zero: 2, step: 0.5, spring: 2, most: 180, reach: 0, below: 0, floor: 0 },
  };
  expect(await keepItem(page, 'dies', 'worn', die)).toBe(true);
  try {
    await newBrief(page, 'Worn scale', { kind: 'Kart', set: 'Perimeter' });
    await station(page, 'Cuts');
    await choose(page, 'Die', '30 on 120, worn scale');
    await expect(page.getByText('It reads 2° at a straight tube')).toBeVisible();
    const log = async (read: string, got: string) => {
      await page.getByLabel('Trial bend: scale read, degrees').fill(read);
      await page.getByLabel('Trial bend: came out, degrees').fill(got);
      await page.getByRole('button', { name: 'Log it' }).click();
    };
    await log('250', '90');
    await expect(page.getByRole('alert')).toContainText('between 2° and 202°');
    await expect(page.getByLabel('Trial bend: scale read, degrees')).toHaveValue('250');
    // Read 65 on a scale that begins at 2: 63 of bend, of which 60 stayed.
    await log('65', '60');
    await expect(page.getByText('From one bend only: 3° of springback')).toBeVisible();
    await expect(page.getByText('65° → 60°')).toBeVisible();
    await expect(
      page.getByText('+ 3° of springback + 2° on the scale of a straight tube').first(),
    ).toBeVisible();
  } finally {
    for (const [id, trial] of Object.entries(await itemsOf(page, 'trials')))
      if (trial.die === 'worn') await removeItem(page, 'trials', id);
    await removeItem(page, 'dies', 'worn');
  }
});

test('a gusset’s leg that is too long is refused with what fits, in fractions, and that is taken', async ({
  page,
}) => {
  await newBrief(page, 'Gusseted kart', { kind: 'Kart', set: 'Ladder', units: 'Inches, fractions' });
  await station(page, 'Cuts');
  await tab(page, 'Flat parts');
  await choose(page, 'Gusset from', /^1L /);
  await choose(page, 'Gusset to', /^3 /);
  const leg = page.getByLabel('Gusset, along each');
  await leg.fill('30');
  await leg.press('Enter');
  await page.getByRole('button', { name: 'Draw the gusset' }).click();
  const no = page.getByRole('alert');
  await expect(no).toContainText('The leg runs');
  const [, most] = /It may be (.*) long at most/.exec(await no.innerText())!;
  await expect(leg).toHaveValue('30');
  await leg.fill('2');
  await leg.press('Enter');
  await page.getByRole('button', { name: 'Draw the gusset' }).click();
  await expect(no).toHaveCount(0);
  expect(most).toMatch(/in$/);
  await expect(page.getByText('Gusset', { exact: true }).first()).toBeVisible();
});

test('a buggy’s tubes are bought, nested and cut, and the rack holds what is left', async ({ page }) => {
  await newBrief(page, 'Cut from bars', { kind: 'Off-road kart or buggy' });
  await station(page, 'Cuts');
  await tab(page, 'Stock');
  const hoop = page.getByRole('region', { name: '44.5 × 2.4', exact: true });
  await hoop.getByRole('button', { name: /44.5/ }).click();
  await page.getByRole('button', { name: 'Look for the best' }).click();
  await expect(hoop).toContainText('proven: none is better', { timeout: 30_000 });
  await expect(page.getByRole('button', { name: 'Look for the best' })).toBeVisible({ timeout: 30_000 });
  const panel = page.getByRole('complementary');
  await expect(panel).toContainText('Together');
  const offcuts = panel.getByLabel(/^Off-cut \d+, mm/);
  const there = await offcuts.count();
  await hoop.getByRole('button', { name: 'Mark cut' }).click();
  const done = page.getByRole('region', { name: 'Bars that are cut' });
  await expect(done).toContainText('44.5 × 2.4');
  await saved(page);
  // The section has nothing left to cut; what is left lies on the rack for the next build.
  await expect(hoop).toHaveCount(0);
  const rack = async () =>
    Object.values(await itemsOf(page, 'rack')).filter(
      ({ note, section }) => note === 'Cut from bars' && section === 'round-44.5x2.4',
    ).length;
  await expect.poll(rack).toBe(1);
  await done.getByRole('button', { name: 'Not cut after all' }).click();
  await expect(hoop).toBeVisible();
  await expect.poll(rack).toBe(0);
  await hoop.getByRole('button', { name: /44.5/ }).click();
  await expect(offcuts).toHaveCount(there);
  // One bar of several cut: the rest stays as it was nested, and nothing is claimed of it.
  const rail = page.getByRole('region', { name: '38 × 2', exact: true });
  const bars = rail.getByRole('button', { name: 'Mark cut' });
  const many = await bars.count();
  await expect(rail).toContainText('proven: none is better');
  await bars.first().click();
  await expect(bars).toHaveCount(many - 1);
  await expect(rail).toContainText('a first answer');
  await page.keyboard.press('Control+z');
  await expect(bars).toHaveCount(many);
  // Typed slowly, and left in the middle: a price keeps its point, and arrives.
  const price = panel.getByLabel('Price of stock length 1');
  const [before] = [await price.inputValue()];
  await price.fill('');
  await price.pressSequentially('82.50');
  await expect(price).toHaveValue('82.50');
  await page.goto('/');
  const prices = async () => Object.values(await itemsOf(page, 'stock')).map((each) => each.price);
  await expect.poll(prices).toContain(82.5);
  await page.goBack();
  await hoop.getByRole('button', { name: /44.5/ }).click();
  await price.fill(before);
  await page.keyboard.press('Tab');
  // A stock length that holds no piece of it: told in words.
  await panel.getByRole('button', { name: 'Take out stock length 1' }).click();
  await expect(panel).toContainText('No stock length for 44.5 × 2.4');
  await page.getByRole('button', { name: 'Undo' }).last().click();
  await expect(panel).not.toContainText('No stock length for 44.5 × 2.4');
});

test('a flat part is drawn, rounded, drilled and goes out; a gusset fits its two tubes', async ({ page }) => {
  await newBrief(page, 'Flat work', { kind: 'Bicycle', set: 'Road' });
  await station(page, 'Cuts');
  await tab(page, 'Flat parts');
  await choose(page, 'Shape', 'Mounting plate');
  await page.getByLabel('Wide, mm', { exact: true }).fill('120');
  await page.keyboard.press('Enter');
  await page.getByLabel('Bolts apart, across, mm').fill('90');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Draw it' }).click();
  const list = table(page, 'Flat parts').getByRole('row');
  await expect(list.last()).toContainText(/Mounting plate.*the same.*4/);
  await choose(page, 'Corner a, cut', 'chamfer');
  await expect(list.last()).toContainText('has a left and a right');
  await page.getByLabel('Hole 1, along, mm').fill('-59');
  await page.keyboard.press('Enter');
  await expect(page.getByText('hole 1 runs out over the edge')).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByText('hole 1 runs out over the edge')).toHaveCount(0);
  await page.getByLabel('Hole 2, wide, mm').fill('as wide as it goes');
  await page.keyboard.press('Tab');
  await expect(page.getByLabel('Hole 2, wide, mm')).toHaveValue('as wide as it goes');
  await choose(page, 'Gusset from', /Down tube/);
  await page.getByRole('button', { name: 'Draw the gusset' }).click();
  await expect(page.getByRole('alert').filter({ hasText: 'Choose two tubes' })).toBeVisible();
  await choose(page, 'Gusset to', /Seat tube/);
  await page.getByRole('button', { name: 'Draw the gusset' }).click();
  await expect(list.last()).toContainText('Gusset');
  await choose(page, 'State of the trial', 'cut in card');
  await page.getByLabel('What the trial found').fill('2 mm short at the seat tube');
  await saved(page);
  const [dxf] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Flat parts, DXF' }).click(),
  ]);
  expect((await contentOf(dxf)).toString('utf8')).toContain('Gusset');
});

test('each end gets its tool and setting; a notcher that stops short gives way, and says why', async ({
  page,
}) => {
  await newBrief(page, 'Set on tools', { kind: 'Bicycle', set: 'Road' });
  await station(page, 'Cuts');
  await tab(page, 'Tools');
  const rows = table(page, 'What is set on which tool').getByRole('row');
  const down = rows.filter({ hasText: 'start, to 6L' }).first();
  await expect(down).toContainText('Hole-saw notcher');
  await down.getByRole('button').click();
  const panel = page.getByRole('complementary');
  await expect(panel).toContainText(/Mill:/);
  await panel.getByRole('button', { name: /^Hole-saw notcher/ }).click();
  const most = page.getByLabel('Farthest off square, degrees');
  await most.fill('5');
  await page.keyboard.press('Enter');
  await expect(down).not.toContainText('Hole-saw notcher');
  await expect(panel).toContainText('it stops at 5° off square');
  await most.fill('95');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('alert')).toContainText('Must lie between');
  await most.fill('50');
  await page.keyboard.press('Enter');
  await expect(down).toContainText('Hole-saw notcher');
  // Sizes on hand, typed one after the other; those that were there are not changed by being shown in inches.
  const onHand = page.getByLabel('Cutters on hand');
  const there = await onHand.inputValue();
  await onHand.press('End');
  await onHand.pressSequentially(', 57, 1 1/4 in');
  await expect(onHand).toHaveValue(`${there}, 57, 1 1/4 in`);
  await page.keyboard.press('Tab');
  await expect(onHand).toHaveValue(/31\.75/);
  await choose(page, 'Display units', 'inch, 1/32');
  await onHand.press('End');
  await onHand.pressSequentially(', 2 in');
  await page.keyboard.press('Tab');
  await choose(page, 'Display units', 'mm');
  await expect(onHand).toHaveValue(/^19, 22, 25,.*, 31\.75,.*, 57$/);
  await onHand.fill('19, two');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('alert')).toContainText('“two”');
  await expect(onHand).toHaveValue('19, two');
  await onHand.fill(there);
  await page.keyboard.press('Tab');
  await choose(page, 'Order', 'setting by setting');
  await expect(rows.nth(1)).toBeVisible();
});

test('every view of the cuts is accessible in both themes', async ({ page }) => {
  test.setTimeout(120_000);
  await page.goto('/');
  await page.getByRole('link', { name: 'Orchard ladder', exact: true }).click();
  await station(page, 'Cuts');
  for (const view of ['Holes', 'Flat parts', 'Tools', 'Stock']) {
    await tab(page, view);
    await expectAccessible(page, view);
  }
  await page.goto('/');
  await page.getByRole('link', { name: 'Alder Wood buggy', exact: true }).click();
  await station(page, 'Cuts');
  await page.getByRole('button', { name: /Main hoop/ }).click();
  await expectAccessible(page, 'Bends');
});

test('a plate that is welded in gets paper for its free face; two sizes in one set-up their shim; a donor’s tube is trimmed', async ({
  page,
}) => {
  await newBrief(page, 'Small cuts', { kind: 'Off-road kart or buggy' });
  await station(page, 'Cuts');
  await tab(page, 'Flat parts');
  await choose(page, 'Whether it is welded in', 'welded in, free behind');
  await expect(page.getByText('as the free face shows it')).toBeVisible();
  await tab(page, 'Tools');
  await page
    .getByRole('group', { name: 'Tools' })
    .getByRole('button', { name: 'start, to 1L' })
    .first()
    .click();
  await choose(page, 'With which other end', /^8, start/);
  await expect(page.getByText('Under 8 goes')).toBeVisible();
  const apart = page.getByLabel('Centre lines apart, mm');
  await apart.fill('0');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toBeVisible();
  await tab(page, 'Stock');
  await page.getByRole('button', { name: 'Put a donor’s tube there' }).click();
  const donor = page.getByLabel(/^Note on donor’s tube/);
  await expect(donor).toHaveValue('out of a donor');
  // The rack is the workshop’s: it is as it was for the builds of other tests.
  const row = page.locator('div').filter({ has: donor }).last();
  await row.getByRole('button', { name: /^Take out/ }).click();
  await expect(donor).toHaveCount(0);
});

test('butted tubes give one piece each; what was cut is told when the frame changes, and leads to its view', async ({
  page,
}) => {
  await newBrief(page, 'Cut too soon', { kind: 'Bicycle', set: 'Road' });
  await station(page, 'Cuts');
  await tab(page, 'Stock');
  // The down tube: where the head angle goes, its length goes.
  const down = page
    .getByRole('region', { name: /^34\.9 × .* long$/ })
    .or(page.getByRole('region', { name: /^31\.8 × .* long$/ }));
  await expect(down.first()).toContainText('a tube each');
  await down.first().getByRole('button', { name: 'Mark cut' }).first().click();
  await saved(page);
  await station(page, 'Stance');
  await ledger(page, 'Head angle, degrees').fill('76');
  await page.keyboard.press('Enter');
  await station(page, 'Cuts');
  const told = page.getByRole('complementary').getByText(/was cut to another length/);
  await expect(
    page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: 'Cuts' }),
  ).toContainText('1');
  await tab(page, 'Stock');
  await expect(told).toBeVisible();
  await page.getByRole('button', { name: 'Not cut after all' }).click();
  await expect(told).toHaveCount(0);
});

test('bends in another order: fewer turns are proposed, taken with one press, undone with one', async ({
  page,
}) => {
  await newBrief(page, 'Hoop in turn', { kind: 'Off-road kart or buggy', set: 'Caged' });
  await station(page, 'Cuts');
  await page.getByRole('button', { name: /Front hoop/ }).click();
  const rows = table(page, 'Bends in the order they are made').getByRole('row');
  const numbers = async () =>
    (await rows.getByRole('button').allInnerTexts()).map((text) => text.trim()).join();
  await expect.poll(numbers).toBe('1,2,3,4');
  await expect(page.getByText('turned about itself once')).toBeVisible();
  await page.getByRole('button', { name: 'Bend it so' }).click();
  await expect.poll(numbers).toBe('2,3,1,4');
  // The first that is made has its top marked; the marks stay where they are.
  await expect(rows.nth(1)).toContainText('–');
  await expect(page.getByRole('button', { name: 'Bend it so' })).toHaveCount(0);
  await expectAccessible(page, 'Bends');
  // From the other end they are numbered anew, along the tube.
  await choose(page, 'Marks from its', 'end');
  await expect.poll(numbers).toBe('1,2,3,4');
  for (const wanted of ['2,3,1,4', '1,2,3,4']) {
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect.poll(numbers).toBe(wanted);
  }
});
