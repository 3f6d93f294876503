import { expect, test, type Browser, type Page } from '@playwright/test';
import { choose, exported, expectAccessible, ledger, newBrief, saved, station, tab } from './helpers.js';

const row = (page: Page, name: string | RegExp) =>
  page.getByRole('group', { name: 'Steps in order' }).getByRole('listitem').filter({ hasText: name });
const found = (page: Page) => page.getByRole('region', { name: 'Findings' });
const count = async (page: Page): Promise<number> =>
  Number(/of (\d+) steps/.exec(await page.getByText(/^\d+ of \d+ steps done$/).innerText())![1]);

test('steps are moved by hand and by key, own ones put in, what cannot be is told, and all is undone', async ({
  page,
}) => {
  await newBrief(page, 'Worked bicycle', { units: 'Inches, fractions' });
  await station(page, 'Work');
  const steps = await count(page);
  expect(steps).toBeGreaterThan(30);
  // By key: the grip takes it, the arrow moves it, and the space bar lets it go.
  const third = await page.getByRole('listitem').nth(2).innerText();
  await page.getByRole('button', { name: 'Move step 3, ' }).focus();
  for (const [key, says] of [
    ['Space', 'over place 3'],
    ['ArrowDown', 'over place 4'],
    ['Space', 'put down at place 4'],
  ] as const) {
    await page.keyboard.press(key);
    await expect(page.getByText(says)).toBeAttached();
  }
  const name = third.split('\n').find((line) => /cut|Bend/.test(line))!;
  await expect(page.getByRole('listitem').nth(3)).toContainText(name);
  await page.getByRole('button', { name: 'Put all back' }).click();
  // Too early: it stays there, and says why.
  await row(page, 'Fit head bearings').getByRole('button', { pressed: false }).last().click();
  for (let up = 0; up < 3; up += 1) await page.getByRole('button', { name: 'Earlier' }).click();
  await expect(found(page)).toContainText('comes too early');
  await expect(row(page, 'Fit head bearings')).toContainText('too early');
  await found(page).getByRole('button', { name: 'Put it back' }).first().click();
  await expect(found(page).getByText('comes too early')).toHaveCount(0);
  // A step of one's own, with a time that is none, and then one.
  await page.getByRole('button', { name: 'Add a step' }).click();
  await page.getByLabel('What is to be done').fill('Fetch the fork');
  const takes = page.getByLabel('Fetch the fork: takes');
  await takes.fill('a while');
  await expect(page.getByRole('alert')).toContainText('“a while” is no time');
  await takes.fill('1 h 30');
  await page.keyboard.press('Tab');
  await expect(row(page, 'Fetch the fork')).toContainText('1 h 30');
  await page.getByLabel('Fetch the fork: days that must pass after it').fill('-2');
  await expect(page.getByRole('alert')).toContainText('From 0 to 365 days.');
  await page.getByLabel('Fetch the fork: days that must pass after it').fill('9');
  await page.keyboard.press('Tab');
  await page.getByLabel('Fetch the fork: not before').fill('2029-12-24');
  // Two that wait for each other.
  await choose(page, 'Fetch the fork waits for', /^Dry fit: main frame$/i);
  await row(page, 'Dry fit: main frame').getByRole('button', { pressed: false }).last().click();
  await choose(page, 'Dry fit: main frame waits for', 'Fetch the fork');
  await expect(found(page)).toContainText('Steps wait for each other');
  await found(page).getByRole('button', { name: 'Take those waits away' }).click();
  await expect(found(page).getByText('Steps wait for each other')).toHaveCount(0);
  // Another way of building.
  await choose(page, 'Which part is built first', 'Rear end first');
  await expect(row(page, /Put in .*chainstay/).first()).toBeVisible();
  await saved(page);
  const { document } = await exported(page);
  expect(document.work).toMatchObject({
    way: 'rear-first',
    own: [{ name: 'Fetch the fork', hours: 1.5, due: '2029-12-24' }],
  });
  for (let step = 0; step < 60 && (await page.getByRole('button', { name: 'Undo' }).isEnabled()); step += 1)
    await page.getByRole('button', { name: 'Undo' }).click();
  expect(await count(page)).toBe(steps);
});

test('a seam that is shut in is provoked and cured; tubes get their vents; the welds keep their heat apart', async ({
  page,
}) => {
  await newBrief(page, 'Shut kart', { kind: 'Kart' });
  await station(page, 'Work');
  await expect(found(page)).toContainText('is shut in', { timeout: 20_000 });
  const shut = found(page).getByRole('article').filter({ hasText: 'is shut in' });
  const before = await shut.count();
  await shut.first().getByRole('button', { name: 'Weld it before that is put in' }).click();
  await expect(page.getByRole('listitem').filter({ hasText: 'before it is shut in' }).first()).toBeVisible();
  await expect.poll(() => shut.count(), { timeout: 20_000 }).toBeLessThan(before);
  await found(page).getByRole('button', { name: 'Drill a vent into each' }).click();
  await expect(found(page).getByText('no vent')).toBeHidden({ timeout: 20_000 });
  await expect(row(page, /Vent 2, /)).toBeVisible();
  await tab(page, 'Welds');
  const welds = page.getByRole('group', { name: 'Order of welding' }).getByRole('row');
  await expect(welds.nth(20)).toBeVisible({ timeout: 20_000 });
  await expect(page.getByText('beside the last')).toHaveCount(0);
  const second = await welds.nth(2).innerText();
  await welds.nth(2).getByRole('button').click();
  await page.getByRole('button', { name: 'Earlier' }).click();
  expect((await welds.nth(1).innerText()).replace(/^\d+/, '')).toBe(second.replace(/^\d+/, ''));
  await page.getByLabel(/^Settings for /).fill('70 A, 1.6 rod');
  await page.getByRole('button', { name: 'Log', exact: true }).click();
  await expect(page.getByText(/^Last time on this wall .*70 A, 1.6 rod/)).toBeVisible();
  await page.getByRole('button', { name: 'Take 70 A, 1.6 rod out of the log' }).click();
  await tab(page, 'Time');
  await expect(page.getByText(/of work: rolling on/)).toBeVisible();
  for (const day of ['Tuesday', 'Thursday', 'Saturday']) {
    await page.getByLabel(`${day}, working time`).fill('0');
    await page.keyboard.press('Tab');
  }
  await expect(page.getByText('no time for it in the week')).toBeVisible();
  await page.getByLabel('Sunday, working time').fill('30 h');
  await expect(page.getByRole('alert')).toContainText('A day has 24 hours.');
});

/** A phone beside the fixture. */
async function phone(browser: Browser, url: string): Promise<Page> {
  const context = await browser.newContext({
    viewport: { width: 390, height: 844 },
    hasTouch: true,
    isMobile: true,
  });
  const page = await context.newPage();
  await page.goto(url);
  await expect(page.getByText(/^Step \d+ of \d+$/)).toBeVisible({ timeout: 20_000 });
  return page;
}

for (const [kind, units, wrong] of [
  ['Bicycle', 'Millimetres', 'It moved while it got hot'],
  ['Kart', 'Inches, fractions', 'Does not go in'],
] as const)
  test(`two build a ${kind.toLowerCase()} at the bench, each with a phone, and the network goes in between`, async ({
    page,
    browser,
  }) => {
    test.setTimeout(150_000);
    await newBrief(page, `Benched ${kind}`, { kind, units });
    const id = /builds\/([^/]+)/.exec(page.url())![1]!;
    const url = page.url().replace(/brief.*/, 'bench');
    const [ann, bob] = [await phone(browser, url), await phone(browser, url)];
    const all = Number(/of (\d+)/.exec(await ann.getByText(/^Step \d+ of \d+$/).innerText())![1]);
    const done = (who: Page) => who.getByRole('button', { name: 'Done', exact: true });
    const number = async (who: Page) =>
      Number(/Step (\d+)/.exec(await who.getByText(/^Step \d+ of/).innerText())![1]);
    await done(ann).click();
    await expect(ann.getByText('Step 2 of')).toBeVisible();
    // What one has ticked the other sees at once; both tick the same step, and nobody is asked.
    await expect(bob.getByText('Step 2 of')).toBeVisible();
    await Promise.all([done(ann).click(), done(bob).click()]);
    await expect(ann.getByText('Step 3 of')).toBeVisible();
    await expect(bob.getByText('Step 3 of')).toBeVisible();
    // The network goes: one works on, and is told that it is kept.
    await ann.context().setOffline(true);
    await done(ann).click();
    await done(ann).click();
    await expect(ann.getByRole('banner').getByRole('status')).toContainText('Kept in this browser');
    await done(bob).click();
    await ann.context().setOffline(false);
    await saved(ann);
    await expect.poll(() => number(bob)).toBeGreaterThanOrEqual(4);
    await expect(ann.getByRole('dialog')).toHaveCount(0);
    // A setting of the fixture is read where it stands, by large keys.
    const first = await ann.request.get(`/api/builds/${id}`);
    const stored = (await first.json()) as { document: { done: { step: string }[] } };
    expect(stored.document.done.length).toBeGreaterThanOrEqual(4);
    while ((await ann.getByRole('checkbox').count()) === 0)
      await ann.getByRole('button', { name: 'Next' }).click();
    await ann
      .getByRole('button', { name: /: found at$/ })
      .first()
      .click();
    const pad = ann.getByRole('dialog');
    await pad.getByRole('button', { name: '.', exact: true }).click();
    await pad.getByRole('button', { name: '.', exact: true }).click();
    await pad.getByRole('button', { name: 'Found', exact: true }).click();
    await expect(pad.getByRole('alert')).toBeVisible();
    for (let back = 0; back < 2; back += 1)
      await pad.getByRole('button', { name: 'Take the last figure away' }).click();
    for (const key of units === 'Millimetres' ? ['7', '5'] : ['7', '5/8'])
      await pad.getByRole('button', { name: key, exact: true }).click();
    await expectAccessible(ann, 'number pad');
    await pad.getByRole('button', { name: 'Found', exact: true }).click();
    await expect(pad).toBeHidden();
    await ann.getByRole('checkbox').first().click();
    await expect(ann.getByRole('checkbox').first()).toBeChecked();
    // Something is wrong: what then, and it stands at the step for both.
    await ann.getByRole('button', { name: 'Something is wrong' }).click();
    await ann.getByRole('button', { name: wrong }).click();
    await ann.getByRole('button', { name: 'Note it on this step' }).click();
    await saved(ann);
    await bob.goto(ann.url());
    await expect(bob.getByText(wrong)).toBeVisible({ timeout: 20_000 });
    await bob.getByRole('button', { name: 'Put right' }).click();
    await expect(ann.getByText(wrong)).toBeHidden();
    // On to the end: the last step rolls.
    while ((await number(bob)) < all) {
      if (await done(bob).isVisible()) await done(bob).click();
      if (await bob.getByRole('button', { name: 'Next' }).isEnabled())
        if (await bob.getByRole('button', { name: 'Not done' }).isVisible())
          await bob.getByRole('button', { name: 'Next' }).click();
    }
    await expect(bob.getByRole('heading', { name: 'Rolling' })).toBeVisible();
    await expect(bob.getByText(/First ride: slow, away from traffic/)).toBeVisible();
    await done(bob).click();
    await bob.getByRole('button', { name: 'More' }).click();
    await bob.getByRole('button', { name: 'Log it' }).click();
    await expect(bob.getByRole('button', { name: 'Logged' })).toBeVisible();
    await saved(bob);
    await expectAccessible(bob, `bench of a ${kind.toLowerCase()}`);
    await ann.context().close();
    await bob.context().close();
  });

test('every view of the work is accessible in both themes', async ({ page }) => {
  test.setTimeout(120_000);
  await newBrief(page, 'Access work', { kind: 'Tadpole trike' });
  await station(page, 'Work');
  await expect(page.getByText(/steps done$/)).toBeVisible();
  await expectAccessible(page, 'Order');
  await tab(page, 'Welds');
  await expect(page.getByRole('group', { name: 'Order of welding' }).getByRole('row').nth(5)).toBeVisible();
  await expectAccessible(page, 'Welds');
  await tab(page, 'Time');
  const end = page.getByText(/rolling on/);
  const alone = await end.innerText();
  await choose(page, 'People who work at the same time', '4 people');
  await expect(end).not.toHaveText(alone);
  await page.keyboard.press('Control+z');
  await expect(end).toHaveText(alone);
  await expectAccessible(page, 'Time');
});

for (const [kind, units, dimension, value, other] of [
  ['Bicycle', 'Millimetres', 'Chainstay length, mm', '417', '419'],
  ['Kart', 'Inches, fractions', 'Front track, in', '33 1/2', '33 3/4'],
] as const) {
  test(`a ${kind.toLowerCase()} changed after a tube was cut: both numbers, what keeping costs, keep or make again`, async ({
    page,
  }) => {
    await newBrief(page, `Late ${kind}`, { kind, units });
    await station(page, 'Stance');
    await ledger(page, dimension).fill(value);
    await page.keyboard.press('Enter');
    await station(page, 'Work');
    const cuts = page.getByRole('checkbox', { name: /(Mark and cut|Trim and cope) .*: done/ });
    await expect(cuts.first()).toBeVisible({ timeout: 20_000 });
    const count = await cuts.count();
    for (let each = 0; each < count; each += 1) await cuts.nth(each).check();
    const changed = page.getByRole('button', { name: /done steps? ha(s|ve) changed/ });
    await expect(changed).toHaveCount(0);
    await station(page, 'Stance');
    await ledger(page, dimension).fill(other);
    await page.keyboard.press('Enter');
    // The list of stations counts it, wherever one is.
    const list = page.getByRole('navigation', { name: 'Stations' });
    await expect(list.getByRole('link', { name: /^Work/ })).toContainText(/[1-9]/, { timeout: 20_000 });
    await station(page, 'Work');
    await changed.click();
    const told = page.getByRole('group', { name: /^Changed: / });
    await expect(told).toContainText('Done at');
    await expect(told).toContainText('If kept:');
    await expectAccessible(page, 'this view');
    const before = await changed.innerText();
    await told.getByRole('button', { name: /^Keep: / }).click();
    await expect(told).toHaveCount(0);
    await expect(page.getByText(before, { exact: true })).toHaveCount(0);
    await page.getByRole('button', { name: 'Undo', exact: true }).click();
    await expect(changed).toHaveText(before);
    // At the bench it is said before the next step, and made again there.
    await station(page, 'Bench');
    const first = page.getByText(/^The drawing has changed since/);
    await expect(first).toBeVisible({ timeout: 20_000 });
    if (!(await told.first().isVisible())) await first.click();
    const all = await told.count();
    await told
      .first()
      .getByRole('button', { name: /^Make it again: / })
      .click();
    await expect(told).toHaveCount(all - 1);
    await station(page, 'Work');
    await expect(cuts.first()).toBeVisible({ timeout: 20_000 });
    await expect(
      page.getByRole('checkbox', { name: /(Mark and cut|Trim and cope) .*: done/, checked: true }),
    ).toHaveCount(count - 1);
  });
}
