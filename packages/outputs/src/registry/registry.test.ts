import { describe, expect, it, vi } from 'vitest';
import { fixtureDetails } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import { heldIn } from '../../../../testing/fixtures.js';
import { FAMILIES, made, planMade } from '../../../../testing/made.js';
import type { Output, Source } from './output.js';
import { packOf, type PackedFile } from './pack.js';
import { fileIn, fileNameOf, isPaper, outputOf, OUTPUTS } from './registry.js';

const sourceOf = (document: BuildDocument): Source => {
  const plan = planMade(document);
  return { document, plan, details: () => fixtureDetails({ document, ...plan }), revision: 'revision 1' };
};
const noFonts = () => Promise.reject(new Error('no paper was asked for'));

describe('outputs', () => {
  it('are told apart, and another form of a paper is one of a paper that is there', () => {
    const ids = OUTPUTS.map(({ id }) => id);
    expect(new Set(ids).size).toBe(ids.length);
    for (const { formOf } of OUTPUTS) if (formOf !== undefined) expect(isPaper(outputOf(formOf))).toBe(true);
    expect(() => outputOf('hologram')).toThrow('no output called “hologram”');
  });
  it.each(FAMILIES)('%s, %s: each file has a name of its own, each sheet something on it', (kind, set) => {
    const source = sourceOf(made(kind, set));
    const names = OUTPUTS.flatMap((output) =>
      (output.packed?.(source) ?? [{}]).map((options) => fileIn(output, source, options)),
    );
    expect(new Set(names).size).toBe(names.length);
    expect(names).toEqual(
      expect.arrayContaining([
        'cut-list.csv',
        'plan.dxf',
        'frame.glb',
        'settings.csv',
        `piece-${source.plan.cuts[0]!.mark}.svg`,
      ]),
    );
    const printed = OUTPUTS.filter(isPaper).filter(({ refuse }) => refuse(source) === undefined);
    for (const output of printed.filter(({ id }) => id !== 'fixture-sheets'))
      for (const { marks } of output.pages(source, {})) expect(marks.length, output.id).toBeGreaterThan(5);
  });
  it('of one piece are named by its mark, and need the piece', () => {
    const source = sourceOf(made('bicycle', 'road', { name: 'Café racer' }));
    const { piece, mark } = source.plan.cuts[3]!;
    expect(fileNameOf(outputOf('patterns'), source, { piece })).toBe(`café-racer-piece-${mark}.pdf`);
    const svg = outputOf('piece-svg');
    expect(svg.make(source, { piece }, noFonts)).toContain('</svg>');
    expect(() => svg.make(source, {}, noFonts)).toThrow('Choose one piece.');
  });
  it('are refused in words where there is nothing to make them of', () => {
    const road = made('bicycle', 'road');
    const empty = sourceOf({ ...road, frame: { ...road.frame, members: [], plates: [] } });
    expect(outputOf('cut-list').refuse(empty)).toContain('No tubes yet');
    // A spine holds a frame by its head tube, which a kart has not.
    const kart = sourceOf(heldIn(made('kart', 'kart'), 'wall-board'));
    expect(outputOf('settings').refuse(kart)).toBe(kart.plan.fixture.refused);
    expect(kart.plan.fixture.refused).toMatch(/\w{3,}/);
  });
  it('are packed one after the other, the faces fetched once; a new one is one entry', async () => {
    const toy: Output = {
      id: 'weight-card',
      title: 'Weight card',
      group: 'frame',
      mediaType: 'text/plain',
      suffix: 'txt',
      name: () => 'weight',
      refuse: () => undefined,
      packed: () => [{}, { square: true }],
      make: async ({ plan }, { square }, fonts) => {
        await fonts();
        return `${plan.name}${square ? ' square' : ''}`;
      },
    };
    const never: Output = { ...toy, id: 'never', refuse: () => 'It cannot be.' };
    const fonts = vi.fn(async () => ({ regular: [], bold: [] }));
    const files: PackedFile[] = [];
    for await (const file of packOf(sourceOf(made()), fonts, [never, toy])) files.push(file);
    expect(files).toEqual([
      { file: 'weight.txt', content: 'Test' },
      { file: 'weight.txt', content: 'Test square' },
    ]);
    expect(fonts).toHaveBeenCalledTimes(1);
  });
});
