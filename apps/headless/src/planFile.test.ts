import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, describe, expect, it } from 'vitest';
import { planFile, Refused } from './planFile.js';

const root = fileURLToPath(new URL('../../../', import.meta.url));
const folder = mkdtempSync(join(tmpdir(), 'larchwood-plan-'));
afterAll(() => rmSync(folder, { recursive: true }));

describe('the plan without a screen', () => {
  it.each([
    ['no file', [], 'Usage'],
    ['an unknown option', ['x.json', '--colour'], 'Usage'],
    ['a file that is not there', ['missing.larchwood.json'], 'cannot be read'],
    ['a file that is no build', [join(root, 'package.json')], '/format'],
  ])('refuses %s, in words', async (_, args, word) => {
    await expect(planFile(args)).rejects.toThrow(Refused);
    await expect(planFile(args)).rejects.toThrow(word);
  });
  it('refuses a stance that cannot be: the dimension and its limit', async () => {
    const document = JSON.parse(readFileSync(join(root, 'demo/lock-keeper.larchwood.json'), 'utf8')) as {
      stance: { held: Record<string, number> };
    };
    document.stance.held.headAngle = 12;
    const file = join(folder, 'bad.larchwood.json');
    writeFileSync(file, JSON.stringify(document));
    await expect(planFile([file])).rejects.toThrow(/headAngle: Head angle must lie between 30° and 89.5°/);
  });
});
