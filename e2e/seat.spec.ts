import { expect, test, type Page } from '@playwright/test';
import { exported, ledger, newBrief, saved, station, tab } from './helpers.js';

const panel = (page: Page, name: string) => page.getByRole('complementary', { name, exact: true });
/** A following figure of the seat's ledger. */
async function figure(page: Page, name: string): Promise<number> {
  const row = panel(page, 'Seat')
    .locator('div', { has: page.getByRole('button', { name, exact: true }) })
    .last();
  return Number(/-?[\d.]+/.exec((await row.innerText()).replace('−', '-').replace(name, ''))![0]);
}
async function holdAt(page: Page, name: string, value: string, letGo: string): Promise<void> {
  await panel(page, 'Seat')
    .getByRole('button', { name: `Hold ${name}`, exact: true })
    .click();
  await page.getByLabel(new RegExp(`^Hold ${name} at, `)).fill(value);
  await page.getByRole('button', { name: new RegExp(`^Let ${letGo} go`) }).click();
}
/** Limits and places as the panels of mass and tipping show them. */
const rowOf = async (page: Page, of: string, name: string): Promise<number[]> => {
  const text = await panel(page, of)
    .getByText(name, { exact: true })
    .locator('xpath=ancestor-or-self::*[self::tr or contains(@class,"justify-between")][1]')
    .innerText();
  return [
    ...text
      .replace(name, '')
      .replaceAll('−', '-')
      .matchAll(/-?[\d.]+/g),
  ].map(([n]) => Number(n));
};

/** Kind, its knee, what is let go for it, and a knee to hold. */
const SEATED: readonly (readonly [kind: string, knee: string, letGo: string, value: string])[] = [
  ['Bicycle', 'knee, at its straightest', 'saddle height', '148'],
  ['Tadpole trike', 'knee, at its straightest', 'leg room', '150'],
];

for (const [kind, knee, letGo, value] of SEATED) {
  test(`${kind}: a rider who is named sits there, a knee angle is held, weight and limits agree, and all is undone`, async ({
    page,
  }) => {
    await newBrief(page, `Seated ${kind}`, { kind });
    await page.getByRole('button', { name: 'Add a rider' }).click();
    await page.getByLabel('Rider 1, name').fill('Mara');
    await page.getByLabel('Mara, stature, mm').fill('1800');
    await page.getByLabel('Mara, mass, kg').fill('64');
    await page.keyboard.press('Enter');
    await station(page, 'Seat');
    const seat = panel(page, 'Seat');
    await expect(seat).toContainText('Mara');
    await expect(page.getByRole('img', { name: /Seat, from the right, drawn to scale/ })).toBeVisible();
    const title = knee[0]!.toUpperCase() + knee.slice(1);
    const slid = new RegExp(`^${letGo}, mm$`, 'i');
    const before = Number(await seat.getByLabel(slid).inputValue());
    await holdAt(page, knee, value, letGo);
    await expect(seat.getByLabel(`${title}, degrees`)).toHaveValue(value);
    const name = letGo[0]!.toUpperCase() + letGo.slice(1);
    expect(await figure(page, name)).not.toBe(before);

    await tab(page, 'Mass');
    const [height] = await rowOf(page, 'Mass', 'Above the ground');
    const [ahead] = await rowOf(page, 'Mass', 'Ahead of rear axle');
    const total = await rowOf(page, 'Mass', 'Total');
    expect(total[0]! - total.at(-1)!).toBeCloseTo(64, 1);
    await tab(page, 'Tipping');
    // Statics, from the figures shown: the front lifts at the CG's place over its height.
    const driving = (await rowOf(page, 'Tipping', 'Driving, front lifts')).at(-1);
    expect(driving).toBeCloseTo(ahead! / height!, 1);
    await tab(page, 'Side');
    await page.getByRole('button', { name: 'Undo' }).click();
    await expect(seat.getByLabel(slid)).toHaveValue(String(before));
  });
}

test('a thigh meets the seat’s front edge, is shown there, and is cured', async ({ page }) => {
  await newBrief(page, 'Thigh', { kind: 'Tadpole trike' });
  await station(page, 'Seat');
  const clash = page.getByRole('article').filter({ hasText: 'Thigh meets front edge of the seat' });
  await ledger(page, 'Seat base length, mm').fill('420');
  await ledger(page, 'Seat base tilt, degrees').fill('20');
  await page.keyboard.press('Enter');
  await expect(clash).toContainText('20 mm clearance');
  await clash.getByRole('button', { name: 'Show' }).click();
  const gaps = panel(page, 'Clearances');
  const row = gaps.getByRole('button', { name: /^Thigh to front edge of the seat/ });
  await expect(row).toContainText('meet');
  await row.click();
  await expect(row).toHaveAttribute('aria-pressed', 'true');
  // Wanted gaps and lock are answered at their fields.
  await gaps.getByLabel('Gap wanted, rider to a hard part, mm').fill('900');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('between 0 mm (0 in) and 200 mm');
  await page.keyboard.press('Escape');
  await page.getByRole('slider', { name: /Steering/ }).press('ArrowRight');
  await expect(page.getByRole('group', { name: 'Motion' })).toContainText('1° left');
  await tab(page, 'Side');
  await ledger(page, 'Seat base tilt, degrees').fill('5');
  await ledger(page, 'Seat base length, mm').fill('270');
  await page.keyboard.press('Enter');
  await expect(clash).toBeHidden();
});

test('who does not reach is told by how much, and one press finds the nearest place', async ({ page }) => {
  await newBrief(page, 'Short', { kind: 'Kart' });
  await station(page, 'Seat');
  await ledger(page, 'Leg room, mm').fill('1300');
  await page.keyboard.press('Enter');
  const finding = page.getByRole('article').filter({ hasText: 'does not reach the pedals' });
  await expect(finding).toContainText(
    /[\d.]+ mm short with the leg straight. Leg room at [\d.]+ mm just reaches/,
  );
  await finding.getByRole('button', { name: 'Set it so that it just reaches' }).click();
  await expect(finding).toBeHidden();
  expect(await figure(page, 'Knee')).toBe(178);
  // A knee that no seat gives is refused where it is typed.
  await panel(page, 'Seat').getByRole('button', { name: 'Hold knee', exact: true }).click();
  await page.getByLabel('Hold knee at, degrees').fill('260');
  await page.getByRole('button', { name: /^Let leg room go/ }).click();
  await expect(page.getByRole('alert')).toContainText('Knee must lie between 30° and 179°');
});

test('seat, grips and hip are dragged; masses are placed, moved and refused', async ({ page }) => {
  await newBrief(page, 'Placed', { kind: 'Off-road kart or buggy' });
  await station(page, 'Seat');
  const drag = async (name: string, dx: number, dy: number) => {
    const box = (await page.getByRole('button', { name: `Drag ${name}`, exact: true }).boundingBox())!;
    const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
    await page.mouse.move(x, y);
    await page.mouse.down();
    await page.mouse.move(x + dx, y + dy, { steps: 5 });
    await page.mouse.up();
  };
  const value = async (label: string) => Number(await ledger(page, label).inputValue());
  const wheel = await value('Steering wheel ahead of seat, mm');
  await drag('steering wheel', -20, 0);
  expect(await value('Steering wheel ahead of seat, mm')).toBeLessThan(wheel);
  const height = await value('Seat height, mm');
  await drag('hip', 0, -20);
  expect(await value('Seat height, mm')).toBeGreaterThan(height);

  await tab(page, 'Mass');
  const up = (await rowOf(page, 'Mass', 'Above the ground'))[0]!;
  await page.getByRole('button', { name: 'Place something' }).click();
  await page.getByLabel('Something, name').fill('Spare wheel');
  await page.getByLabel('Spare wheel, mass, kg').fill('40');
  await page.getByLabel('Spare wheel, above, mm').fill('1400');
  await page.keyboard.press('Enter');
  expect((await rowOf(page, 'Mass', 'Above the ground'))[0]!).toBeGreaterThan(up + 50);
  await page.getByLabel('Spare wheel, mass, kg').fill('-3');
  await page.keyboard.press('Tab');
  await expect(page.getByRole('alert').first()).toBeVisible();
  await page.getByLabel('Spare wheel, mass, kg').fill('0');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('article').filter({ hasText: 'Spare wheel weighs nothing' })).toBeVisible();
  await page.getByLabel('Spare wheel, mass, kg').fill('3000');
  await page.getByLabel('Spare wheel, ahead, mm').fill('-4000');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('article').filter({ hasText: 'It falls over backwards' })).toBeVisible();
  await page.getByRole('button', { name: 'Take out Spare wheel' }).click();
  await expect(page.getByRole('article').filter({ hasText: 'falls over' })).toBeHidden();
  await drag('Engine and gearbox', 0, -40);
  expect((await rowOf(page, 'Mass', 'Above the ground'))[0]!).toBeGreaterThan(up);
});

test('scales take the place of the estimate; what cannot be is told', async ({ page }) => {
  await newBrief(page, 'Weighed', { kind: 'Delta trike' });
  await station(page, 'Seat');
  await tab(page, 'Mass');
  const [estimate] = await rowOf(page, 'Mass', 'Above the ground');
  await page.getByRole('button', { name: 'Enter scale readings' }).click();
  await expect(panel(page, 'Mass')).toContainText('The estimate stands');
  for (const wheel of ['front', 'rear left', 'rear right']) {
    await page.getByLabel(`Level, ${wheel} wheel, kg`).fill('32');
    await page.keyboard.press('Enter');
  }
  await expect(panel(page, 'Mass')).toContainText('weighed');
  expect((await rowOf(page, 'Mass', 'Total'))[0]).toBe(96);
  await page.getByRole('button', { name: /^Weigh again/ }).click();
  for (const wheel of ['front', 'rear left', 'rear right']) {
    await page.getByLabel(`Raised, ${wheel} wheel, kg`).fill('50');
    await page.keyboard.press('Enter');
  }
  await expect(page.getByRole('article').filter({ hasText: 'cannot be one vehicle' })).toBeVisible();
  // The simulated scales weigh the same vehicle, its weight 40 mm higher than was thought.
  await page.getByRole('button', { name: 'Read the scales' }).click();
  await expect(page.getByRole('article').filter({ hasText: 'cannot be one vehicle' })).toBeHidden();
  expect(Math.abs((await rowOf(page, 'Mass', 'Above the ground'))[0]! - estimate! - 40)).toBeLessThan(8);
  await page.getByRole('button', { name: 'Drop the readings' }).click();
  expect((await rowOf(page, 'Mass', 'Above the ground'))[0]).toBe(estimate);
});

test('a tipping limit is read; a wider track raises it; who fits is told over a span', async ({ page }) => {
  await newBrief(page, 'Tipped', { kind: 'Delta trike' });
  await station(page, 'Seat');
  await tab(page, 'Mass');
  const [height] = await rowOf(page, 'Mass', 'Above the ground');
  const [ahead] = await rowOf(page, 'Mass', 'Ahead of rear axle');
  await tab(page, 'Tipping');
  // Three wheels: (d / L) (T/2) / h, by the figures shown.
  const [sideways] = await rowOf(page, 'Tipping', 'Sideways, in a turn');
  expect(sideways).toBeCloseTo((((1280 - ahead!) / 1280) * 380) / height!, 1);
  await expect(page.getByRole('article').filter({ hasText: 'It tips before it slides' })).toBeVisible();
  await expect(panel(page, 'Tipping')).toContainText('static estimate');
  await expect(page.getByRole('row', { name: /^5 m / })).toContainText('tips first');
  await station(page, 'Stance');
  await ledger(page, 'Rear track, mm').fill('1400');
  await page.keyboard.press('Enter');
  await station(page, 'Seat');
  await tab(page, 'Tipping');
  expect((await rowOf(page, 'Tipping', 'Sideways, in a turn')).at(-1)!).toBeGreaterThan(sideways! + 0.2);

  await tab(page, 'Who fits');
  await expect(page.getByRole('row', { name: /1900/ })).toContainText('fits');
  await page.getByLabel('Range of the pedal boom, to, mm').fill('10');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('row', { name: /1900/ })).toContainText('does not fit');
  await page.getByLabel('Shortest, mm').fill('2400');
  await page.keyboard.press('Enter');
  await expect(page.getByRole('alert')).toContainText('must not be more than the second');
});

test('riders are measured, kept in the workshop and taken into another build', async ({ page }) => {
  await newBrief(page, 'First home', { kind: 'Bicycle' });
  await page.getByRole('button', { name: 'Add a rider' }).click();
  await page.getByLabel('Rider 1, name').fill('Tove');
  await page.getByRole('button', { name: 'Tove, measures' }).click();
  await page.getByLabel('Tove, inseam, mm').fill('860');
  await page.keyboard.press('Enter');
  await expect(page.getByText('measured', { exact: true })).toBeVisible();
  await page.keyboard.press('Escape');
  await page.getByRole('button', { name: 'Keep Tove in the workshop’s list' }).click();
  await expect(page.getByText('Tove is kept in the workshop’s list.')).toBeVisible();
  await newBrief(page, 'Second home', { kind: 'Kart' });
  await page.getByRole('button', { name: 'Take one from the workshop’s list' }).click();
  await page
    .getByRole('listitem')
    .filter({ hasText: 'Tove' })
    .getByRole('button', { name: 'Take', exact: true })
    .click();
  await expect(page.getByLabel('Tove, stature, mm')).toHaveValue('1750');
  await saved(page);
  expect((await exported(page)).document.brief.riders).toEqual([
    { name: 'Tove', stature: 1750, mass: 75, inseam: 860 },
  ]);
});
