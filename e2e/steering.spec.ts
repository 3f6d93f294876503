import { expect, test, type Page } from '@playwright/test';
import {
  choose,
  contentOf,
  exported,
  ledger,
  newBrief,
  saved,
  station,
  tab,
  expectAccessible,
} from './helpers.js';

const panel = (page: Page) => page.getByRole('complementary', { name: 'Steering', exact: true });
/** A figure of the panel by its row's name: the first number in it. */
async function reading(page: Page, name: string): Promise<number> {
  const text = await panel(page)
    .getByText(name, { exact: true })
    .locator('xpath=ancestor::div[contains(@class,"justify-between") or contains(@class,"items-start")][1]')
    .innerText();
  return Number(/-?[\d.]+/.exec(text.replace(name, '').replaceAll('−', '-'))![0]);
}

/** Kind and set, units, what its builders begin with, and one of its alternatives. */
const TWO_TRACKS: readonly (readonly [
  kind: string,
  set: string,
  units: string,
  usual: string,
  other: string,
])[] = [
  ['Kart', 'Ladder', 'Inches, decimal', 'Two rods to a plate on the column', 'Rack and pinion'],
  [
    'Tadpole trike',
    'Touring',
    'Inches, fractions',
    'Side-sticks with rods, and a track rod',
    'Under-seat bar and two rods',
  ],
  ['Off-road kart or buggy', 'Caged', 'Millimetres', 'Rack and pinion', 'Drag link and track rod'],
];
for (const [kind, set, units, usual, other] of TWO_TRACKS) {
  test(`${kind}, ${set}, ${units}: a better linkage is proposed, taken with one press, and undone with one`, async ({
    page,
  }) => {
    await newBrief(page, `Steered ${kind} ${set}`, { kind, set, units });
    await station(page, 'Steering');
    const list = page.getByRole('combobox', { name: 'Linkage' });
    await expect(list).toContainText(usual);
    await expect(page.getByRole('img', { name: /Steering, from above, drawn to scale/ })).toBeVisible();
    const before = await reading(page, 'On the whole, root mean square');
    const search = page.getByRole('button', { name: 'Look for a better one' });
    await search.click();
    const take = page.getByRole('button', { name: 'Take it' });
    await expect(take).toBeVisible();
    // It is looked for among the tubes, and says how it stands to them.
    await expect(panel(page)).toContainText(/stay clear of every tube|too near to a tube/);
    // Both are drawn and charted, before it is taken.
    await expect(page.getByText('dashed: the linkage that is proposed')).toBeVisible();
    await tab(page, 'Charts');
    await expect(page.getByRole('img', { name: /^Outer wheel against where it ought to be/ })).toContainText(
      'proposed',
    );
    await take.click();
    await expect.poll(() => reading(page, 'On the whole, root mean square')).toBeLessThan(before * 0.8);
    await expect(take).toBeHidden();
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect.poll(() => reading(page, 'On the whole, root mean square')).toBe(before);
    await choose(page, 'Linkage', other);
    await expect(list).toContainText(other);
    await tab(page, 'Turn');
    await page.getByRole('slider', { name: /^Steering/ }).fill('20');
    await expect(page.getByRole('img', { name: /The turn, from above, drawn to scale/ })).toBeVisible();
    await page.getByRole('button', { name: 'Begin with the usual one again' }).click();
    await expect(list).toContainText(usual);
  });
}

/** One steered wheel: what turns it. */
for (const [kind, set, usual] of [
  ['Delta trike', 'Recumbent', 'Side-sticks with rods to the fork'],
  ['Scooter', 'Large', 'Bars on the fork'],
] as const) {
  test(`${kind}, ${set}: the lock gives the turning circle, and a held circle gives the lock`, async ({
    page,
  }) => {
    await newBrief(page, `Turned by ${usual.toLowerCase()}, ${set.toLowerCase()}`, { kind, set });
    await station(page, 'Steering');
    await expect(page.getByRole('combobox', { name: 'Linkage' })).toContainText(usual);
    const lock = ledger(page, 'Lock, degrees');
    await lock.fill('14');
    await lock.press('Enter');
    const wide = await reading(page, 'Turning circle, kerb to kerb');
    await lock.fill('20');
    await lock.press('Enter');
    const tight = await reading(page, 'Turning circle, kerb to kerb');
    expect(tight).toBeLessThan(wide);
    await page.getByRole('button', { name: 'Hold turning circle, kerb to kerb', exact: true }).click();
    const wanted = Math.round((wide + tight) / 2);
    await page.getByLabel(/^Hold turning circle, kerb to kerb at, /).fill(String(wanted));
    await page.getByRole('button', { name: /^Let lock go/ }).click();
    await expect(ledger(page, 'Turning circle, kerb to kerb, mm')).toHaveValue(String(wanted));
    const between = await reading(page, 'Lock');
    expect(between).toBeGreaterThan(14);
    expect(between).toBeLessThan(20);
    // Clearances are swept over the same lock.
    await saved(page);
    const { document } = await exported(page);
    expect(document.seat.lock).toBeCloseTo(between, 0);
  });
}

test('bad input is answered at its field, and nothing is lost', async ({ page }) => {
  await newBrief(page, 'Bad arms', { kind: 'Kart', set: 'Ladder' });
  await station(page, 'Steering');
  const arm = ledger(page, 'Steering arm, mm');
  const was = await arm.inputValue();
  for (const [typed, words] of [
    ['0', 'must be at least 5 mm'],
    ['900', 'must lie between'],
    ['long', 'is not a length'],
  ] as const) {
    await arm.fill(typed);
    await arm.press('Enter');
    await expect(panel(page)).toContainText(new RegExp(words));
    await expect(arm).toHaveValue(typed);
  }
  await page.keyboard.press('Escape');
  await expect(arm).toHaveValue(was);
  // Toggled past lock-over within the lock: told with how far it goes, and why.
  const lock = ledger(page, 'Lock, degrees');
  await lock.fill('68');
  await lock.press('Enter');
  await expect(panel(page).getByRole('region', { name: 'Findings' })).toContainText('in line with its arm');
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(lock).toHaveValue('35');
});

test('a rod that meets a tyre is told at the seat’s clearances, and cured by its arm', async ({ page }) => {
  await newBrief(page, 'Rod and tyre', { kind: 'Kart', set: 'Ladder' });
  await station(page, 'Steering');
  await page.getByRole('button', { name: 'Begin with these sizes' }).click();
  const angle = ledger(page, 'Arm inward, degrees');
  const was = await angle.inputValue();
  await angle.fill('-45');
  await angle.press('Enter');
  await station(page, 'Seat');
  await tab(page, 'Clearances');
  const met = page.getByRole('button', { name: /^(Rod|Steering arm) to front .* tyre meet/ });
  await expect(met.first()).toBeVisible({ timeout: 20_000 });
  await station(page, 'Steering');
  await angle.fill(was);
  await angle.press('Enter');
  await station(page, 'Seat');
  await tab(page, 'Clearances');
  await expect(met).toHaveCount(0, { timeout: 20_000 });
});

test('a column that goes through a cross member is told, and cured by its angle', async ({ page }) => {
  await newBrief(page, 'Column', { kind: 'Kart', set: 'Ladder' });
  await station(page, 'Steering');
  await page.getByRole('button', { name: 'Begin with these sizes' }).click();
  const lean = async (degrees: string) => {
    await station(page, 'Seat');
    await tab(page, 'Side');
    await ledger(page, 'Column angle, degrees').fill(degrees);
    await ledger(page, 'Column angle, degrees').press('Enter');
    await tab(page, 'Clearances');
  };
  const met = page.getByRole('button', { name: /^Column to pedal cross member .*meet/ });
  await lean('45');
  await expect(met).toBeVisible({ timeout: 20_000 });
  await lean('38');
  await expect(met).toHaveCount(0, { timeout: 20_000 });
});

test('the linkage’s pieces stand among the tubes with marks of their own, and are taken out with one step', async ({
  page,
}) => {
  await newBrief(page, 'Pieces', { kind: 'Kart', set: 'Ladder' });
  await station(page, 'Steering');
  await page.getByRole('button', { name: 'Begin with these sizes' }).click();
  await page.getByRole('button', { name: 'Make the pieces' }).click();
  await expect(page.getByRole('button', { name: 'Make them again' })).toBeVisible();
  const rod = await reading(page, 'Rod, each side');
  await station(page, 'Joints');
  await page.getByRole('button', { name: /Rod, left/ }).click();
  // Each end is short of its ball by the rod end, 30 mm.
  await expect(page.getByRole('main')).toContainText((rod - 60).toFixed(1));
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByRole('button', { name: /Rod, left/ })).toHaveCount(0);
});

test('a fork made at home goes from the stance to pieces, patterns and plate outlines; a hub too wide is told', async ({
  page,
}) => {
  await newBrief(page, 'Own fork', { kind: 'Bicycle', set: 'Road' });
  await station(page, 'Steering');
  await tab(page, 'Made at home');
  await page.getByRole('button', { name: 'Make a fork of two legs and two plates' }).click();
  const fork = page.getByRole('article', { name: 'Fork of two legs and two plates' });
  const leg = Number(/[\d.]+/.exec(await fork.getByRole('row', { name: /^Leg, cut/ }).innerText())![0]);
  const hub = fork.getByLabel('Hub over its locknuts, mm');
  const was = await hub.inputValue();
  await hub.fill('160');
  await hub.press('Enter');
  await expect(panel(page).getByRole('region', { name: 'Findings' })).toContainText(
    'The hub is wider than the fork',
  );
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(hub).toHaveValue(was);
  await expect(panel(page)).not.toContainText('The hub is wider than the fork');
  // What the trial in card found goes into the outline.
  const spread = (await fork.getByLabel('Legs, middle to middle, mm').inputValue()).replace(',', '.');
  await fork.getByLabel(/^Tried in card/).check();
  const found = fork.getByLabel('Legs, middle to middle: too small by, mm');
  await found.fill('4');
  await found.press('Enter');
  const [dxf] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Flat parts of the steering, DXF' }).click(),
  ]);
  const text = (await contentOf(dxf)).toString('utf8');
  const circles = [...text.matchAll(/CIRCLE[\s\S]*?\n\s*10\r?\n([-\d.]+)[\s\S]*?\n\s*20\r?\n([-\d.]+)/g)].map(
    ([, x, y]) => [Number(x), Number(y)],
  );
  const apart = Math.hypot(circles[0]![0]! - circles[1]![0]!, circles[0]![1]! - circles[1]![1]!);
  expect(apart).toBeCloseTo(Number(spread) + 4, 1);
  const [pdf] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Flat parts of the steering, true size' }).click(),
  ]);
  expect((await contentOf(pdf)).subarray(0, 5).toString()).toBe('%PDF-');
  await station(page, 'Joints');
  await page.getByRole('button', { name: /Fork leg, left/ }).click();
  await expect(page.getByRole('main')).toContainText(leg.toFixed(1));
  // Another stance wants a longer one: said wherever pieces are cut, and made again with one press.
  await station(page, 'Stance');
  const length = page.getByRole('complementary').getByLabel('Axle to crown, mm');
  await length.fill(String(Number(await length.inputValue()) + 6));
  await length.press('Enter');
  const told = page.getByRole('status').filter({ hasText: 'are out of date' });
  for (const each of ['Joints', 'Patterns']) {
    await station(page, each);
    await expect(told).toBeVisible();
  }
  await told.getByRole('button', { name: 'Make them again' }).click();
  await expect(told).toHaveCount(0);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(told).toBeVisible();
});

test('stub axles made at home stand among the tubes; a boss too thin is told; a joint in the column turns unevenly, its rest is swept', async ({
  page,
}) => {
  await newBrief(page, 'Stub axles', { kind: 'Kart', set: 'Ladder', units: 'Inches, fractions' });
  await station(page, 'Steering');
  await page.getByRole('button', { name: 'Begin with these sizes' }).click();
  await page.getByRole('button', { name: 'Make the pieces' }).click();
  const ratio = () => reading(page, 'Steering ratio, ° for 1°');
  const straight = await ratio();
  await tab(page, 'Made at home');
  await page.getByRole('button', { name: /^Make .*yokes/i }).click();
  const yokes = page.getByRole('article', { name: 'Yokes, kingpins and stub axles' });
  const boss = yokes.getByLabel('Boss, outside, in');
  const findings = panel(page).getByRole('region', { name: 'Findings' });
  await boss.fill('3/4');
  await boss.press('Enter');
  await expect(findings).toContainText('boss is thin round its bore');
  await boss.fill('1 1/4');
  await boss.press('Enter');
  await expect(panel(page)).not.toContainText('boss is thin');
  await page.getByRole('button', { name: 'Make a column' }).click();
  const column = page.getByRole('article', { name: 'Column' });
  await column.getByRole('combobox', { name: 'Universal joints' }).click();
  await page.getByRole('option', { name: '1' }).click();
  const set = async (name: string, value: string) => {
    const field = column.getByLabel(name);
    await field.fill(value);
    await field.press('Enter');
  };
  await set('Bend at each joint, degrees', '30');
  // Hooke: the lower end begins slowest, by the cosine of 30 degrees.
  await expect.poll(ratio).toBeCloseTo(straight / Math.cos(Math.PI / 6), 0);
  await set('First yoke, straight ahead, degrees', '0');
  await expect.poll(ratio).toBeLessThan(straight);
  await set('Rest: slot from hinge, in', '6');
  await set('Rest: lowest, degrees', '12');
  await station(page, 'Seat');
  await page.getByRole('tab', { name: 'Clearances' }).click();
  await expect(page.getByText(/^Thigh to steering wheel at its lowest/).first()).toBeVisible({
    timeout: 20_000,
  });
  await station(page, 'Joints');
  const main = page.getByRole('main');
  await page.getByRole('button', { name: /Stub axle, left/ }).click();
  // Its cope is cut by a cutter as large as the boss, and its pattern says what it fits.
  await expect(page.getByRole('row').filter({ hasText: 'Stub axle, left' })).toContainText('11⁄4');
  await expect(main).toContainText(/fits \d+L, 9\.9° off/);
  // One that is taken out is noted beside the press that makes it again.
  await station(page, 'Tubes');
  await page.getByRole('button', { name: /Stub axle boss L \+ R/ }).click();
  await page.getByRole('button', { name: 'Delete', exact: true }).click();
  await station(page, 'Steering');
  await expect(panel(page)).toContainText('Missing: stub axle boss.');
  await page.getByRole('button', { name: 'Make them again' }).click();
  await expect(panel(page)).not.toContainText('Missing');
});

test('a collar in place of the head tube: the tubes are cut to fit it, it follows its sizes, and one undo gives it back', async ({
  page,
}) => {
  await newBrief(page, 'Own head tube', { kind: 'Bicycle', set: 'Road' });
  const cutter = async () => {
    await station(page, 'Joints');
    const row = page
      .getByRole('row')
      .filter({ hasText: /Down tube/ })
      .first();
    return (await row.innerText()).split(/[\t\n]/).map((cell) => cell.trim());
  };
  const before = await cutter();
  await station(page, 'Steering');
  await tab(page, 'Made at home');
  await page.getByRole('button', { name: 'Make a collar with bearings' }).click();
  const collar = page.getByRole('article', { name: 'Collar with bearings' });
  await collar.getByRole('button', { name: 'Make the head tube of it' }).click();
  await expect(collar).toContainText('The head tube is this collar');
  await expectAccessible(page, 'collar');
  expect(await cutter()).toContain('54');
  await station(page, 'Steering');
  await tab(page, 'Made at home');
  const outer = collar.getByLabel('Collar, outside, mm');
  await outer.fill('58');
  await outer.press('Enter');
  await expect(collar).toContainText('The head tube is this collar');
  expect(await cutter()).toContain('58');
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  expect(await cutter()).toEqual(before);
});

test('every view of the steering is accessible in both themes', async ({ page }) => {
  test.setTimeout(120_000);
  await newBrief(page, 'Steering, both themes', { kind: 'Off-road kart or buggy' });
  await station(page, 'Steering');
  await page.getByRole('button', { name: 'Look for a better one' }).click();
  await expect(page.getByRole('button', { name: 'Take it' })).toBeVisible();
  for (const view of ['Plan', 'Turn', 'Charts', 'Bump steer', 'Driven sides', 'Made at home']) {
    await tab(page, view);
    if (view === 'Made at home') {
      await page.getByRole('button', { name: 'Make a column' }).click();
      await page.getByRole('button', { name: /^Make .*yokes/i }).click();
    }
    if (view === 'Driven sides') await page.getByRole('button', { name: /^Read the simulated/ }).click();
    await expectAccessible(page, view);
  }
});
