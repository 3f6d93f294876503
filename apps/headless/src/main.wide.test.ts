import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, describe, expect, it } from 'vitest';
import type { Plan } from '@larchwood/core';
import { planFile } from './planFile.js';
import { measurePdf } from '../../../testing/measurePdf.js';

const root = fileURLToPath(new URL('../../../', import.meta.url));
const folder = mkdtempSync(join(tmpdir(), 'larchwood-plan-'));
afterAll(() => rmSync(folder, { recursive: true }));

const run = (...args: string[]) =>
  spawnSync(
    process.execPath,
    ['--conditions=development', '--import', 'tsx', 'apps/headless/src/main.ts', ...args],
    { cwd: root, encoding: 'utf8' },
  );

describe('the plan without a screen', () => {
  it('prints the whole plan as JSON and writes the patterns', async () => {
    const text = await planFile([
      join(root, 'demo/ferry-road-tourer.larchwood.json'),
      '--out',
      join(folder, 'pack'),
    ]);
    const plan = JSON.parse(text) as Plan & { findings: { words: { title: string } }[] };
    expect(plan.cuts).toHaveLength(10);
    expect(plan.cuts[2]!.ends[0].edge.outer).toHaveLength(360);
    expect(plan.findings[0]!.words.title).not.toBe('');
    const files = readdirSync(join(folder, 'pack'), { recursive: true }).map(String);
    const named = (word: RegExp) => files.filter((name) => word.test(name));
    expect(named(/^patterns\/piece-.*\.svg$/)).toHaveLength(10);
    expect(files).toContain('index.html');
    // Each has in its name what tells this state of the file from another.
    for (const [file, suffix] of [
      ['frame/cut-list', 'csv'],
      ['frame/frame', 'step'],
      ['frame/frame', 'glb'],
      ['frame/frame', 'stl'],
      ['frame/labels', 'pdf'],
      ['fixture/plan', 'svg'],
      ['fixture/plan', 'dxf'],
      ['fixture/settings', 'csv'],
    ] as const)
      expect(named(new RegExp(`^${file}-file-[0-9a-f]{8}\\.${suffix}$`)), file).toHaveLength(1);
    const page = (word: RegExp) => measurePdf(readFileSync(join(folder, 'pack', named(word)[0]!)));
    for (const [file, words] of [
      [/slide-and-post-sheets.*pdf/, 'Settings in setting order'],
      [/^fixture\/plan-.*pdf/, 'Map of'],
    ] as const)
      expect(
        page(file)
          .map(({ text }) => text)
          .join(' '),
      ).toContain(words);
    expect(page(/^patterns\/patterns-.*pdf/).length).toBeGreaterThanOrEqual(2);
  });
  it('a plan goes to standard output; a fault to standard error, with exit code 2 and nothing printed', () => {
    const good = run('demo/lock-keeper.larchwood.json');
    expect([good.status, good.stderr]).toEqual([0, '']);
    expect(JSON.parse(good.stdout)).toHaveProperty('cuts');
    const bad = run();
    expect([bad.status, bad.stdout]).toEqual([2, '']);
    expect(bad.stderr).toContain('Usage');
  });
});
