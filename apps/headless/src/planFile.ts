import { mkdir, readFile, writeFile } from 'node:fs/promises';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { fixtureDetails, planBuild, planText, readDocumentText } from '@larchwood/core';
import { packOf, type Source } from '@larchwood/outputs';
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
  const { document } = read;
  const details = () => fixtureDetails({ document, ...plan });
  if (out !== undefined) await writePack({ document, plan, details, revision: FROM_FILE }, out);
  return planText(document, plan);
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

/** Every file that can be made of the build, each by its name. */
async function writePack(source: Source, directory: string): Promise<void> {
  await mkdir(directory, { recursive: true });
  for await (const { file, content } of packOf(source, paperFonts))
    await writeFile(join(directory, file), content);
}
