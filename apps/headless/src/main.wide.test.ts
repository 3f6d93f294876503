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
    const files = readdirSync(join(folder, 'pack'));
    expect(files.filter((name) => /^piece-.*\.svg$/.test(name))).toHaveLength(10);
    for (const file of ['cut-list.csv', 'frame.glb', 'frame.stl', 'plan.svg', 'plan.dxf', 'settings.csv'])
      expect(files).toContain(file);
    for (const [file, word] of [
      ['slide-and-post-sheets.pdf', 'Settings in setting order'],
      ['plan.pdf', 'Map of'],
    ] as const)
      expect(
        measurePdf(readFileSync(join(folder, 'pack', file)))
          .map(({ text }) => text)
          .join(' '),
      ).toContain(word);
    expect(measurePdf(readFileSync(join(folder, 'pack', 'patterns.pdf'))).length).toBeGreaterThanOrEqual(2);
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
