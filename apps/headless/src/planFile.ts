import { mkdir, readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import {
  findSchool,
  fixtureDetails,
  sizeIn,
  planBuild,
  planText,
  readDocumentText,
  type FixtureDetails,
  type Plan,
} from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import {
  cutListCsv,
  frameGltf,
  frameStl,
  drawingsToPdf,
  drawingToDxf,
  drawingToSvg,
  fixtureSheets,
  fullSizeDrawing,
  patternSheets,
  pieceDrawing,
  planOnRoll,
  settingsCsv,
  tiled,
} from '@larchwood/outputs';
import { paperFonts } from './fonts.js';

const USAGE = 'Usage: npm run plan -- FILE.larchwood.json [--out DIR]';

/** A file holds no revisions: its paper says where it came from. */
const FROM_FILE = 'from a file';

/** What was asked cannot be done, in words; nothing is wrong with the program. */
export class Refused extends Error {}

/**
 * Plans a build's file, and writes its files where a folder is given.
 *
 * @param args file, and `--out` with a folder
 * @returns the plan as text, as planText writes it
 * @throws Refused where the arguments, the file or the vehicle are at fault
 */
export async function planFile(args: string[]): Promise<string> {
  const { file, out } = argumentsOf(args);
  const text = await readFile(file, 'utf8').catch((error: NodeJS.ErrnoException) => {
    throw new Refused(`${file}: cannot be read (${error.code ?? error.message}).`);
  });
  const read = readDocumentText(text);
  if (!read.ok)
    throw new Refused(read.faults.map((fault) => `${file}: ${fault.path}: ${fault.message}`).join('\n'));
  const planned = planBuild(read.document);
  if (!planned.ok)
    throw new Refused(
      planned.refusals.map((refusal) => `${file}: ${refusal.where}: ${refusal.message}`).join('\n'),
    );
  const { plan } = planned;
  const details = fixtureDetails({ document: read.document, ...plan });
  if (out !== undefined) await writePack(read.document, plan, details, out);
  return planText(read.document, plan);
}

function argumentsOf(args: string[]): { file: string; out: string | undefined } {
  try {
    const { values, positionals } = parseArgs({
      args,
      options: { out: { type: 'string' } },
      allowPositionals: true,
    });
    const [file, ...rest] = positionals;
    if (file === undefined || rest.length > 0) throw new Refused(USAGE);
    return { file, out: values.out };
  } catch (error) {
    throw new Refused(error instanceof Refused ? error.message : `${(error as Error).message}\n${USAGE}`);
  }
}

/** All patterns as one PDF and each piece as an SVG, the cut list, the frame in space, the fixture and the full-size plan. */
async function writePack(
  document: BuildDocument,
  plan: Plan,
  details: FixtureDetails,
  directory: string,
): Promise<void> {
  const { size, thickness, overlap, printer, planOn, rollWidth } = plan.paper;
  await mkdir(directory, { recursive: true });
  const fonts = await paperFonts();
  const pdf = (drawings: Parameters<typeof drawingsToPdf>[0], title: string) =>
    drawingsToPdf(drawings, title, fonts);
  const units = plan.units.length === 'mm' ? 'mm' : 'in';
  const sheets = patternSheets(plan.cuts, {
    size,
    paperThickness: thickness,
    display: plan.units,
    buildName: plan.name,
    revision: FROM_FILE,
    printer,
  });
  await writeFile(join(directory, 'cut-list.csv'), cutListCsv(plan, plan.units));
  await writeFile(join(directory, 'frame.glb'), await frameGltf(plan, plan.name));
  await writeFile(join(directory, 'frame.stl'), frameStl(plan, plan.name));
  await writeFile(join(directory, 'patterns.pdf'), await pdf(sheets, `${plan.name}: patterns`));
  if (plan.fixture.refused === undefined) {
    const sheets = fixtureSheets(document, plan, details, { size, revision: FROM_FILE });
    await writeFile(join(directory, 'fixture.pdf'), await pdf(sheets, `${plan.name}: fixture`));
    await writeFile(join(directory, 'settings.csv'), settingsCsv(document, plan.fixture));
  }
  if (plan.frame.pieces.length > 0) {
    const margin = sizeIn({ document, ...plan }, findSchool('plan')!, 'margin');
    const whole = fullSizeDrawing(plan, margin);
    const title = `${plan.name}: plan`;
    const block = { build: plan.name, what: 'plan', revision: FROM_FILE, scale: '1:1', units };
    const pages =
      planOn === 'roll'
        ? [planOnRoll(plan, margin, rollWidth, printer, FROM_FILE)]
        : tiled(whole, { size, overlap, printer, block });
    await writeFile(join(directory, 'plan.svg'), drawingToSvg(whole, title));
    await writeFile(join(directory, 'plan.dxf'), drawingToDxf(whole));
    await writeFile(join(directory, 'plan.pdf'), await pdf(pages, title));
  }
  for (const cut of plan.cuts) {
    await writeFile(
      join(directory, `piece-${cut.mark}.svg`),
      drawingToSvg(
        pieceDrawing(cut, { paperThickness: thickness, display: plan.units }),
        `${plan.name}: ${cut.mark} ${cut.name}`,
      ),
    );
  }
}
