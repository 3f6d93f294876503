import { expect, test } from '@playwright/test';
import type { BuildDocument } from '@larchwood/format';
import { measurePdf, span } from '../testing/measurePdf.js';
import {
  contentOf,
  exported,
  following,
  hold,
  ledger,
  newBuild,
  newByDialog,
  saved,
  station,
  revisions,
} from './helpers.js';

/** The road set at another head angle, worked out here by plane trigonometry and nothing of the application's. */
function byHand(document: BuildDocument, headAngle: number) {
  const H = (headAngle * Math.PI) / 180;
  const [Rf, o, A, lower, headTube, CS, drop, reach] = [339, 47, 383, 12, 150, 435, 70, 390];
  const trail = (Rf * Math.cos(H) - o) / Math.sin(H);
  const bb = { x: Math.sqrt(CS ** 2 - drop ** 2), z: 339 - drop };
  const upper = trail * Math.cos(H) + Rf * Math.sin(H) + Math.sqrt(A ** 2 - o ** 2) + lower + headTube;
  const ground = bb.x + reach + upper * Math.cos(H);
  const onAxis = (s: number) => ({ x: ground - s * Math.cos(H), z: s * Math.sin(H) });
  const stack = upper * Math.sin(H) - bb.z;
  const anchor = document.frame.nodes.find((node) => node.id === 'downAtHead')!.anchor;
  const joint = onAxis(upper - headTube + (anchor.on === 'member' ? anchor.distance : 0));
  const downAngle = (Math.atan2(joint.z - bb.z, joint.x - bb.x) * 180) / Math.PI;
  return {
    trail,
    wheelbase: ground - trail,
    stack,
    downOffSquare: Math.abs(90 - (180 - downAngle - headAngle)),
    downCentres: Math.hypot(joint.x - bb.x, joint.z - bb.z),
    carriage: Math.round((reach + (stack - 300) / Math.tan(H)) * 2) / 2,
  };
}

test('a bicycle from its geometry to a set fixture and paper copes', async ({ page }) => {
  await newByDialog(page, 'Whole job');
  await station(page, 'Stance');
  expect(await following(page, 'Trail')).toBe(57.6);
  const before = (await exported(page)).document;

  // Head angle from 72.5 to 71, by typing; everything follows, to the last shown digit.
  const wanted = byHand(before, 71);
  await ledger(page, 'Head angle, degrees').fill('71');
  await page.keyboard.press('Enter');
  expect(await following(page, 'Trail')).toBe(Number(wanted.trail.toFixed(1)));
  expect(await following(page, 'Wheelbase')).toBe(Number(wanted.wheelbase.toFixed(1)));
  expect(await following(page, 'Stack')).toBe(Number(wanted.stack.toFixed(1)));

  await station(page, 'Joints');
  const down = page.getByRole('row', { name: /Down tube/ });
  await expect(down).toContainText(`${Number(wanted.downOffSquare.toFixed(1))}°`);
  await down.getByRole('button').click();
  await expect(page.getByRole('complementary')).toContainText(
    `${Number(wanted.downCentres.toFixed(1))} mm`.replace(' ', ''),
  );

  await station(page, 'Fixture');
  await expect(page.getByRole('row', { name: /Head post, tilt/ })).toContainText('71°');
  await expect(page.getByRole('row', { name: /Head post, slide/ })).toContainText(String(wanted.carriage));

  // The paper: all pieces as a PDF, measured.
  await station(page, 'Patterns');
  const [pdf] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Download PDF' }).click(),
  ]);
  expect(pdf.suggestedFilename()).toMatch(/^whole-job-patterns-(after-)?r\d+-[\d-]{10}\.pdf$/);
  const sheets = measurePdf(await contentOf(pdf));
  expect(sheets.length).toBe(2);
  for (const sheet of sheets) {
    expect(sheet.width).toBeCloseTo(210, 1);
    for (const bar of [150, 152.4, 200, 203.2])
      expect(sheet.lines.some((line) => line.length === 2 && Math.abs(span(line) - bar) < 0.05)).toBe(true);
  }
  const words = sheets.map((sheet) => sheet.text).join(' ');
  // A head tube is cut square by a saw: it needs no paper.
  for (const piece of [
    'Seat tube',
    'Down tube',
    'Top tube',
    '6L',
    '6R',
    '7L',
    '7R',
    'Chainstay,',
    'Seatstay,',
  ])
    expect(words).toContain(piece);
  expect(words).not.toContain('Head tube');
  // One piece, as SVG.
  await page.getByRole('combobox', { name: 'Pieces' }).click();
  await page.getByRole('option', { name: /^4/ }).click();
  const [svg] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: /Download SVG of 4/ }).click(),
  ]);
  expect((await contentOf(svg)).toString('utf8')).toContain('mm" height="');

  // Out as a file, in again, the same.
  await saved(page);
  const after = await exported(page);
  expect(after.document.stance.held.headAngle).toBe(71);
  await page.goto('/');
  await page.getByLabel('Build file').setInputFiles({
    name: 'again.larchwood.json',
    mimeType: 'application/json',
    buffer: Buffer.from(after.text),
  });
  await expect(page.getByRole('textbox', { name: 'Name of the build' })).toHaveValue('Whole job');
  expect((await exported(page)).document).toEqual(after.document);
});

test('undo and redo, by key and by button, and history brings a revision back', async ({ page }) => {
  await newBuild(page, 'Undone');
  const head = ledger(page, 'Head angle, degrees');
  await head.fill('70');
  await page.keyboard.press('Enter');
  await saved(page);
  await ledger(page, 'Lower bearing stack, mm').fill('lots');
  await ledger(page, 'Fork offset, mm').fill('60');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Undo' }).click();
  // What was refused in another field stays as it was typed.
  await expect(ledger(page, 'Lower bearing stack, mm')).toHaveValue('lots');
  await expect(ledger(page, 'Fork offset, mm')).toHaveValue('47');
  await page.keyboard.press('Control+z');
  await expect(head).toHaveValue('72.5');
  await page.getByRole('button', { name: 'Redo' }).click();
  await expect(head).toHaveValue('70');
  await saved(page);
  await expect(page.getByText('revision 1', { exact: true })).toBeHidden();
  await revisions(page);
  await page
    .getByRole('row', { name: /new build/ })
    .getByRole('button', { name: 'Bring back' })
    .click();
  await expect(page.getByText('brought back revision 1')).toBeVisible();
  await station(page, 'Stance');
  await expect(head).toHaveValue('72.5');
});

test('another dimension is held, and one is let go for it; the drawing’s figures are fields and nudge', async ({
  page,
}) => {
  await newBuild(page, 'Exchange', 'Loaded touring');
  const wheelbase = await following(page, 'Wheelbase');
  await hold(page, 'wheelbase', 'reach');
  expect(Number(await ledger(page, 'Wheelbase, mm').inputValue())).toBeCloseTo(wheelbase, 0);
  await ledger(page, 'Wheelbase, mm').fill('1080');
  await page.keyboard.press('Enter');
  const reach = await following(page, 'Reach');
  await hold(page, 'reach', 'wheelbase');
  expect(Number(await ledger(page, 'Reach, mm').inputValue())).toBeCloseTo(reach, 0);
  expect(await following(page, 'Wheelbase')).toBe(1080);
  // On the drawing: arrow keys nudge, and the ledger agrees.
  const onSheet = page.getByLabel('Chainstay length on the drawing, mm');
  await onSheet.focus();
  await page.keyboard.press('ArrowUp');
  await page.keyboard.press('Shift+ArrowUp');
  await expect(ledger(page, 'Chainstay length, mm')).toHaveValue('466');
  await page.keyboard.press('Escape');
  await expect(ledger(page, 'Chainstay length, mm')).toHaveValue('455');
});

test('tubes: another section and another place for a joint change its copes', async ({ page }) => {
  await newBuild(page, 'Tubes');
  await station(page, 'Tubes');
  await page.getByRole('button', { name: /Top tube/ }).click();
  await page.getByRole('combobox', { name: 'Section' }).click();
  await page.getByRole('option', { name: '31.8 × 1.2', exact: true }).click();
  await expect(
    page.getByRole('navigation', { name: 'Stations' }).getByRole('link', { name: /Joints/ }),
  ).toContainText('1');
  await station(page, 'Joints');
  await expect(page.getByText('Piece 5 is wider than its host')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('Piece 5 is wider than its host')).toBeHidden();
  // Level with the ground before; 150 mm lower at the seat tube, it meets the seat tube far from square.
  const atSeat = page.getByRole('row', { name: /second end of 5/ });
  await expect(atSeat).toContainText('8.7°');
  await station(page, 'Tubes');
  await page.getByLabel('Top tube at the seat tube, distance, mm').fill('150');
  await page.keyboard.press('Enter');
  await station(page, 'Joints');
  await expect(atSeat).not.toContainText('8.7°');
});

test('inches and fractions: typed in any unit, shown in the build’s own', async ({ page }) => {
  await newByDialog(page, 'Inches', { set: 'Small wheel', units: 'Inches, fractions' });
  await station(page, 'Stance');
  const chainstay = ledger(page, 'Chainstay length, in');
  await chainstay.fill('430mm');
  await page.keyboard.press('Enter');
  await page.keyboard.press('Tab');
  await expect(chainstay).toHaveValue('16 15/16');
  await chainstay.fill(`1' 5 1/4"`);
  await page.keyboard.press('Tab');
  await expect(chainstay).toHaveValue('17 1/4');
  await saved(page);
  expect((await exported(page)).document.stance.held.chainstayLength).toBeCloseTo(17.25 * 25.4, 9);
});

test('the workshop: rename, duplicate, delete and bring back', async ({ page }) => {
  await newBuild(page, 'Workshop test');
  await page.goto('/');
  await page.getByRole('button', { name: 'Rename Workshop test' }).click();
  await page.getByLabel('New name for Workshop test').fill('Other name');
  await page.keyboard.press('Enter');
  await page.getByRole('button', { name: 'Duplicate Other name' }).click();
  await expect(page.getByRole('link', { name: 'Other name (copy)', exact: true })).toBeVisible();
  await page.getByRole('button', { name: 'Delete Other name', exact: true }).click();
  await expect(page.getByRole('link', { name: 'Other name', exact: true })).toBeHidden();
  await page.getByRole('button', { name: 'Undo', exact: true }).click();
  await expect(page.getByRole('link', { name: 'Other name', exact: true })).toBeVisible();
});
