import { spawnSync } from 'node:child_process';
import { mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, describe, expect, it } from 'vitest';
import type { Plan } from '@larchwood/core';
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
  it('prints the whole plan as JSON and writes the patterns', () => {
    const result = run('demo/ferry-road-tourer.larchwood.json', '--out', join(folder, 'pack'));
    expect(result.stderr).toBe('');
    expect(result.status).toBe(0);
    const plan = JSON.parse(result.stdout) as Plan & { findings: { words: { title: string } }[] };
    expect(plan.cuts).toHaveLength(10);
    expect(plan.cuts[2]!.ends[0].edge.outer).toHaveLength(360);
    expect(plan.findings[0]!.words.title).not.toBe('');
    const files = readdirSync(join(folder, 'pack'));
    expect(files.filter((name) => /^piece-.*\.svg$/.test(name))).toHaveLength(10);
    for (const file of ['cut-list.csv', 'frame.glb', 'frame.stl', 'plan.svg', 'plan.dxf', 'settings.csv'])
      expect(files).toContain(file);
    for (const [file, word] of [
      ['fixture.pdf', 'Settings in setting order'],
      ['plan.pdf', 'Map of'],
    ] as const)
      expect(
        measurePdf(readFileSync(join(folder, 'pack', file)))
          .map(({ text }) => text)
          .join(' '),
      ).toContain(word);
    expect(measurePdf(readFileSync(join(folder, 'pack', 'patterns.pdf'))).length).toBeGreaterThanOrEqual(2);
  });
  it.each([
    ['no file', [], 'Usage'],
    ['an unknown option', ['x.json', '--colour'], 'Usage'],
    ['a file that is not there', ['missing.larchwood.json'], 'cannot be read'],
    ['a file that is no build', ['package.json'], '/format'],
  ])('%s: a fault on standard error, exit code 2, nothing printed', (_, args, word) => {
    const result = run(...args);
    expect(result.status).toBe(2);
    expect(result.stdout).toBe('');
    expect(result.stderr).toContain(word);
  });
  it('a stance that cannot be: the dimension and its limit', () => {
    const document = JSON.parse(readFileSync(join(root, 'demo/lock-keeper.larchwood.json'), 'utf8')) as {
      stance: { held: Record<string, number> };
    };
    document.stance.held.headAngle = 12;
    const file = join(folder, 'bad.larchwood.json');
    writeFileSync(file, JSON.stringify(document));
    const result = run(file);
    expect(result.status).toBe(2);
    expect(result.stderr).toMatch(/headAngle: Head angle must lie between 30° and 89.5°/);
  });
});
