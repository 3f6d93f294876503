import { expect, test, type Page } from '@playwright/test';
import { exported, following, hold, ledger, newBrief, saved, station } from './helpers.js';

const turn = Math.PI / 180;
const [sin, cos, tan] = [Math.sin, Math.cos, Math.tan].map((f) => (degrees: number) => f(degrees * turn)) as [
  (degrees: number) => number,
  (degrees: number) => number,
  (degrees: number) => number,
];
const tenth = (value: number) => Number(value.toFixed(1));
const offsetFor = (R: number, H: number, t: number) => R * cos(H) - t * sin(H);
const trailOf = (R: number, H: number, o: number) => (R * cos(H) - o) / sin(H);

/** A kind of each family; the figures of all kinds against a hand calculation stand in the core's tests. */
const KINDS: readonly [kind: string, expected: Readonly<Record<string, number>>][] = [
  ['Bicycle', { Trail: trailOf(339, 72.5, 47), 'BB height': 269 }],
  ['Low feet-forward motorcycle', { 'Pegs ahead of front axle': 470 + 890 - 1780 }],
  ['Tadpole trike', { 'Caster trail': 243 * tan(12), 'Scrub radius': 68 - 243 * tan(14) }],
  ['Off-road kart or buggy', { 'Caster trail': 279.4 * tan(7) - 110 * sin(0.2) }],
];

for (const [kind, expected] of KINDS) {
  test(`${kind}: from its brief to a stance whose figures agree with a hand calculation`, async ({
    page,
  }) => {
    await newBrief(page, `First ${kind}`, { kind });
    await page.getByLabel('What it is for').fill('A first one');
    await expect(page.getByText('The stance is as this brief starts it.')).toBeVisible();
    await page.getByRole('link', { name: 'Go on to the stance' }).click();
    for (const [name, value] of Object.entries(expected))
      expect(await following(page, name), name).toBe(tenth(value));
    await expect(page.getByRole('img', { name: /Side, from the right, drawn to scale/ })).toBeVisible();
    // Stations that have nothing for this kind yet say so, and the build goes out and in as it is.
    for (const name of ['Tubes', 'Joints', 'Patterns', 'Fixture']) await station(page, name);
    await saved(page);
    expect((await exported(page)).document.brief.purpose).toBe('A first one');
  });
}

/** Name to hold, value, what is let go, and what the one that was let go must then be. */
type Exchange = readonly [hold: string, value: string, letGo: string, follows: string, becomes: number];
const FOUR_SETS: readonly [kind: string, exchanges: readonly Exchange[]][] = [
  [
    'Bicycle',
    [
      ['trail', '60', 'fork offset', 'Fork offset', offsetFor(339, 72.5, 60)],
      ['BB height', '275', 'BB drop', 'BB drop', 339 - 275],
      ['mechanical trail', '50', 'trail', 'Trail', 50 / sin(72.5)],
      ['length over the wheels', '1700', 'reach', 'Wheelbase', 1700 - 678],
    ],
  ],
  [
    'Tadpole trike',
    [
      ['caster trail', '45', 'spindle offset', 'Spindle offset', (243 * tan(12) - 45) * cos(12)],
      ['scrub radius', '5', 'spindle length', 'Spindle length', 5 + 243 * tan(14)],
      ['pin track', '760', 'front track', 'Front track', 770],
      ['width over front wheels', '850', 'pin track', 'Pin track', 800],
    ],
  ],
  [
    'Kart',
    [
      ['wheelbase', '1060', 'pedals ahead of front axle', 'Pedals ahead of front axle', 270 + 970 - 1060],
      ['width over rear wheels', '1380', 'rear track', 'Rear track', 1380 - 7.1 * 25.4],
      [
        'toe across the tyres',
        '-4',
        'toe of each wheel',
        'Toe of each wheel',
        Math.asin(-4 / (4 * 127)) / turn,
      ],
      [
        'scrub radius',
        '60',
        'kingpin inclination',
        'Kingpin inclination',
        Math.atan((95 * Math.sqrt(1 - (4 / 508) ** 2) - 60) / 127) / turn,
      ],
    ],
  ],
];

for (const [kind, exchanges] of FOUR_SETS) {
  test(`${kind}: four dimensions held in turn, each for another, and all undone`, async ({ page }) => {
    await newBrief(page, `Held ${kind}`, { kind });
    await station(page, 'Stance');
    const count = async () => (await page.getByText(/^\d+ held, \d+ follow$/).innerText()).split(',')[0];
    const before = await count();
    for (const [name, value, letGo, follows, becomes] of exchanges) {
      await hold(page, name, letGo, value);
      expect(await following(page, follows), `${follows} after ${name}`).toBe(tenth(becomes));
      expect(await count()).toBe(before);
    }
    for (let step = 0; step < exchanges.length; step += 1)
      await page.getByRole('button', { name: 'Undo' }).click();
    await expect(page.getByRole('button', { name: 'Undo' })).toBeDisabled();
  });
}

const grip = (page: Page, name: string) => page.getByRole('button', { name: `Drag ${name}` });
async function drag(page: Page, name: string, dx: number, dy: number): Promise<void> {
  const box = (await grip(page, name).boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await page.mouse.move(x + dx, y + dy, { steps: 6 });
  await page.mouse.up();
}

test('a point is dragged by what is held; where nothing gives, it says so and offers what would', async ({
  page,
}) => {
  await newBrief(page, 'Dragged');
  await station(page, 'Stance');
  const chainstay = async () => Number(await ledger(page, 'Chainstay length, mm').inputValue());
  await drag(page, 'bottom bracket', 24, 12);
  const pulled = await chainstay();
  expect(pulled).toBeGreaterThan(445);
  expect(Number(await ledger(page, 'BB drop, mm').inputValue())).toBeGreaterThan(75);
  expect(pulled).toBe(Math.round(pulled));
  // One drag is one step back.
  await page.getByRole('button', { name: 'Undo' }).click();
  expect(await chainstay()).toBe(435);
  // Reach is held, so the front axle stays.
  const wheelbase = await following(page, 'Wheelbase');
  await drag(page, 'front axle', 40, 0);
  await expect(page.getByRole('status').filter({ hasText: 'Front axle stays' })).toBeVisible();
  expect(await following(page, 'Wheelbase')).toBe(wheelbase);
  await page.getByRole('button', { name: /^Let reach go/ }).click();
  await drag(page, 'front axle', 40, 0);
  expect(Number(await ledger(page, 'Wheelbase, mm').inputValue())).toBeGreaterThan(wheelbase + 30);
  // By keyboard.
  const head = Number(await ledger(page, 'Head-tube length, mm').inputValue());
  await grip(page, 'top of the head tube').focus();
  await page.keyboard.press('Shift+ArrowUp');
  expect(Number(await ledger(page, 'Head-tube length, mm').inputValue())).toBeGreaterThan(head + 8);
});

test('a value to hold that cannot be is answered where it is typed, and stays', async ({ page }) => {
  await newBrief(page, 'Refused');
  await station(page, 'Stance');
  const peg = page.getByRole('complementary').getByRole('button', { name: 'Hold trail', exact: true });
  const field = page.getByLabel('Hold trail at, mm');
  await peg.click();
  await field.fill('much');
  await expect(page.getByRole('alert')).toContainText('“much” is not a length');
  // Shut by a press beside it, and opened again.
  await page.getByRole('heading', { name: 'Stance' }).click();
  await expect(field).toBeHidden();
  await peg.click();
  await expect(field).toHaveValue('much');
  // Beyond what a fork offset within its limits can give: the nearest is told. Formula: (Rf cos H + 150) / sin H.
  await field.fill('400');
  await expect(page.getByRole('button', { name: /^Let fork offset go/ })).toContainText(
    'No vehicle comes of it',
  );
  await page.getByRole('button', { name: /^Let fork offset go/ }).click();
  await expect(page.getByRole('alert')).toContainText(
    `nearest that can be met is ${tenth(trailOf(339, 72.5, -150))} mm`,
  );
  await page.keyboard.press('Escape');
  expect(await following(page, 'Trail')).toBe(tenth(trailOf(339, 72.5, 47)));
});

test('travel, charts and the comparison with another build', async ({ page }) => {
  await newBrief(page, 'Sprung', { kind: 'Motorcycle' });
  await station(page, 'Stance');
  await page.getByLabel('unladen and full travel').click();
  await expect(page.getByText(/long dashes: unladen, nose (up|down)/)).toBeVisible();
  await page.getByRole('tab', { name: 'What if' }).click();
  await expect(page.getByRole('img', { name: /against Rake|against/ }).first()).toBeVisible();
  await page.getByRole('combobox', { name: 'Held dimension that is taken through a range' }).click();
  await page.getByRole('option', { name: 'Trail', exact: true }).click();
  await expect(page.getByText('were other than 95mm')).toBeVisible();
  await page.getByRole('tab', { name: 'Steering sweep' }).click();
  await expect(page.getByText('Front wheel turned about its steering axis')).toBeVisible();
  await page.getByRole('tab', { name: 'Differences' }).click();
  await page.getByRole('combobox', { name: 'Compare with' }).click();
  await page.getByRole('option', { name: 'Heron Hill 125' }).click();
  // 1370 here, 1310 there.
  await expect(page.getByRole('row', { name: /Wheelbase/ })).toContainText('+60 mm');
});

for (const kind of ['Motorcycle', 'Off-road kart or buggy']) {
  test(`${kind}: every dimension explains itself, with a picture and where it comes from`, async ({
    page,
  }) => {
    await newBrief(page, `Why ${kind}`, { kind });
    await station(page, 'Stance');
    const rows = page.getByRole('group', { name: 'Stance, rows' });
    await expect(rows.getByRole('button', { name: 'Wheelbase', exact: true })).toBeVisible();
    const names = await rows.locator('button.text-left').allInnerTexts();
    expect(names.length).toBeGreaterThan(20);
    for (const name of names) {
      await rows.getByRole('button', { name, exact: true }).click();
      const why = page.getByRole('dialog');
      await expect(why.getByRole('heading', { level: 3 })).toContainText(name);
      await expect(why.getByRole('img')).toBeVisible();
      await expect(why).toContainText('Written ');
      await page.keyboard.press('Escape');
      await expect(why).toBeHidden();
    }
  });
}

test('while a point is dragged the figures keep up, and leaving in the middle ends it', async ({ page }) => {
  await newBrief(page, 'Kept up', { kind: 'Tadpole trike' });
  await station(page, 'Stance');
  const seat = page.getByRole('complementary').getByLabel('Seat height, mm', { exact: true });
  // Edited before, so that a stale figure would show.
  await seat.fill('300');
  await page.keyboard.press('Enter');
  const box = (await grip(page, 'seat').boundingBox())!;
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await expect(page.getByLabel('Seat height on the drawing, mm')).toBeHidden();
  await expect(seat).toHaveValue('300');
  await page.mouse.move(x, y - 20, { steps: 4 });
  await expect.poll(async () => Number(await seat.inputValue())).toBeGreaterThan(315);
  // Another view with the button still pressed: its figures are fields, and nothing moves any more.
  await page.keyboard.press('Escape');
  await page.getByRole('tab', { name: 'Side' }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByLabel('Front track on the drawing, mm')).toBeVisible();
  const before = await seat.inputValue();
  await page.mouse.move(x, y - 80, { steps: 4 });
  await page.mouse.up();
  expect(await seat.inputValue()).toBe(before);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(seat).toHaveValue('300');
});
