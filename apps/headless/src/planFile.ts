import { createHash } from 'node:crypto';
import { mkdir, readFile, writeFile } from 'node:fs/promises';
import { dirname, join } from 'node:path';
import { parseArgs } from 'node:util';
import { fixtureDetails, planBuild, type FixtureDetails, planText, readDocumentText } from '@larchwood/core';
import { NO_SHOP, readShopText, type Shop } from '@larchwood/format';
import { packOf, type Source } from '@larchwood/outputs';
import { KIT } from './kit.js';

const USAGE = 'Usage: npm run plan -- FILE.larchwood.json [--out DIR] [--shop FILE.json]';

/** A file holds no revisions: its paper says where it came from, its names what tells its content from another. */
const FROM_FILE = 'from a file';

/** What was asked cannot be done, in words; nothing is wrong with the program. */
export class Refused extends Error {}

/**
 * Plans a build's file, and writes its files where a folder is given.
 *
 * @param args file, `--out` with a folder, and `--shop` with the lists of a workshop, as its zip holds them
 * @returns the plan as text, as planText writes it
 * @throws Refused where the arguments, the file or the vehicle are at fault
 */
export async function planFile(args: string[]): Promise<string> {
  const { file, out, shop: lists } = argumentsOf(args);
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
  let known: FixtureDetails | undefined;
  const details = () => (known ??= fixtureDetails({ document, ...plan }));
  const shop = lists === undefined ? NO_SHOP : await shopIn(lists);
  if (out !== undefined) {
    const edition = { mark: `file-${createHash('sha256').update(text).digest('hex').slice(0, 8)}` };
    await writePack({ document, plan, details, shop, revision: FROM_FILE, edition }, out);
  }
  return planText(document, plan);
}

/** @throws Refused where it is no workshop’s lists, with the path of each fault */
async function shopIn(file: string): Promise<Shop> {
  const text = await readFile(file, 'utf8').catch((error: NodeJS.ErrnoException) => {
    throw new Refused(`${file}: cannot be read (${error.code ?? error.message}).`);
  });
  const read = readShopText(text);
  if (!read.ok)
    throw new Refused(read.faults.map(({ path, message }) => `${file}: ${path}: ${message}`).join('\n'));
  return read.shop;
}

function argumentsOf(args: string[]): { file: string; out: string | undefined; shop: string | undefined } {
  try {
    const { values, positionals } = parseArgs({
      args,
      options: { out: { type: 'string' }, shop: { type: 'string' } },
      allowPositionals: true,
    });
    const [file, ...rest] = positionals;
    if (file === undefined || rest.length > 0) throw new Refused(USAGE);
    return { file, out: values.out, shop: values.shop };
  } catch (error) {
    throw new Refused(error instanceof Refused ? error.message : `${(error as Error).message}\n${USAGE}`);
  }
}

/** The pack as files in a folder, as its zip holds them. */
async function writePack(source: Source, directory: string): Promise<void> {
  for await (const { file, content } of packOf(source, KIT)) {
    const path = join(directory, file);
    await mkdir(dirname(path), { recursive: true });
    await writeFile(path, content);
  }
}
