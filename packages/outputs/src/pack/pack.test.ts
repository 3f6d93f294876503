import { execFileSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { strFromU8, unzipSync } from 'fflate';
import { afterAll, describe, expect, it, vi } from 'vitest';
import { made } from '../../../../testing/made.js';
import { NO_KIT, sourceOf } from '../../../../testing/source.js';
import type { Output } from '../registry/output.js';
import { outputOf } from '../registry/registry.js';
import { packOf, type Making, type PackedFile, type PackOptions } from './pack.js';
import { zipOf } from './zip.js';

const folder = mkdtempSync(join(tmpdir(), 'larchwood-pack-'));
afterAll(() => rmSync(folder, { recursive: true }));

const toy: Output = {
  id: 'weight-card',
  title: 'Weight card',
  group: 'frame',
  mediaType: 'text/plain',
  suffix: 'txt',
  name: (_, { square }) => (square ? 'weight-square' : 'weight'),
  refuse: () => undefined,
  packed: () => [{}, { square: true }],
  make: async ({ plan }, { square }, { fonts }) => {
    await fonts();
    return `${plan.name}${square ? ' square' : ''}`;
  },
};
const road = sourceOf(made('bicycle', 'road', { name: 'Café <racer>' }));

async function packed(options: PackOptions, source = road, kit = NO_KIT): Promise<PackedFile[]> {
  const files: PackedFile[] = [];
  for await (const file of packOf(source, kit, options)) files.push(file);
  return files;
}

describe('a pack', () => {
  it('has each file in its folder, with the revision and its date in its name; large parts are fetched once', async () => {
    const fonts = vi.fn(async () => ({ regular: [], bold: [] }));
    const never: Output = { ...toy, id: 'never', refuse: () => 'It cannot be.' };
    const files = await packed({ outputs: [never, toy] }, road, { ...NO_KIT, fonts });
    expect(files.map(({ file }) => file)).toEqual([
      'frame/weight-r1-2026-01-02.txt',
      'frame/weight-square-r1-2026-01-02.txt',
      'café-racer-r1-2026-01-02.larchwood.json',
      'index.html',
    ]);
    expect(files[0]!.content).toBe('Café <racer>');
    expect(fonts).toHaveBeenCalledTimes(1);
  });
  it('what cannot be made is named on the page, and the rest comes; what is slow is made elsewhere meanwhile', async () => {
    const bad: Output = {
      ...toy,
      id: 'bad',
      title: 'Bad & worse',
      packed: undefined,
      make: () => {
        throw new Error('no room for it');
      },
    };
    const slow: Output = { ...toy, id: 'slow', slow: true, packed: undefined, name: () => 'slow' };
    const told: Making[] = [];
    const files = await packed({
      outputs: [slow, bad, outputOf('cut-list')],
      elsewhere: async ({ id }) => `${id} from elsewhere`,
      onMaking: (making) => told.push(making),
    });
    expect(files.map(({ file }) => file.split('/').at(-1))).toEqual([
      'cut-list-r1-2026-01-02.csv',
      'slow-r1-2026-01-02.txt',
      'café-racer-r1-2026-01-02.larchwood.json',
      'index.html',
    ]);
    expect(files[1]!.content).toBe('slow from elsewhere');
    const page = files.at(-1)!.content as string;
    expect(page).toContain('<strong>Bad &amp; worse</strong>: no room for it');
    expect(page).toContain('Café &lt;racer&gt;');
    expect(page).not.toContain('<racer>');
    expect(told.map(({ step, of }) => `${step}/${of}`)).toEqual(['1/4', '2/4', '3/4', '4/4']);
  });
  it.each([
    ['In flat facets: 3, 6L', '<em>In flat facets: 3, 6L</em>'],
    ['Exact surfaces; left out: 9', '<em>left out: 9</em>'],
    ['Exact surfaces', undefined],
  ])('says of solids: %s', async (head, told) => {
    const files = await packed({
      outputs: [outputOf('frame-step')],
      elsewhere: async () => `ISO-10303-21;\nHEADER;\nFILE_DESCRIPTION(('${head}'),'2;1');\n`,
    });
    const page = files.at(-1)!.content as string;
    if (told) expect(page).toContain(told);
    else expect(page).not.toContain('<em>');
  });
  it('its page links every file there is, and shows each piece and each dimension', async () => {
    const files = await packed({
      outputs: [outputOf('cut-list'), outputOf('piece-svg'), outputOf('settings')],
    });
    const page = files.at(-1)!.content as string;
    const links = [...page.matchAll(/href="([^"]+)"/g)].map(([, link]) => decodeURIComponent(link!));
    expect([...links].sort()).toEqual(
      files
        .slice(0, -1)
        .map(({ file }) => file)
        .sort(),
    );
    for (const { mark, name } of road.plan.cuts) expect(page).toContain(`<td>${mark}</td><td>${name}</td>`);
    expect(page).toContain('<td>Head angle</td>');
    // Nothing of it comes from elsewhere.
    expect(page).not.toMatch(/<(script|link|img)|url\(|https?:(?!\/\/www\.w3\.org\/2000\/svg)/);
  });
  it('as a zip opens elsewhere, and is the same bytes for the same build', async () => {
    const files = await packed({ outputs: [outputOf('cut-list')] });
    const zip = await zipOf(files, '2026-01-02');
    expect(await zipOf(await packed({ outputs: [outputOf('cut-list')] }), '2026-01-02')).toEqual(zip);
    const path = join(folder, 'pack.zip');
    writeFileSync(path, zip);
    const listed = execFileSync('python3', ['-m', 'zipfile', '-l', path], { encoding: 'utf8' });
    expect(listed).toMatch(/cut-list-r1-2026-01-02\.csv\s+2026-01-02 00:00:00/);
    expect(execFileSync('python3', ['-m', 'zipfile', '-t', path], { encoding: 'utf8' })).toContain(
      'Done testing',
    );
    expect(strFromU8(unzipSync(zip)['index.html']!)).toContain('<!doctype html>');
  });
});
