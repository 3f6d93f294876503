import DxfParser from 'dxf-parser';
import { describe, expect, it } from 'vitest';
import { heldIn } from '../../../../testing/fixtures.js';
import { FAMILIES, made } from '../../../../testing/made.js';
import { NO_KIT, sourceOf } from '../../../../testing/source.js';
import { fileIn, fileNameOf, isPaper, outputOf, OUTPUTS } from './registry.js';

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
    expect(fileNameOf(outputOf('patterns'), source, { piece })).toBe(
      `café-racer-piece-${mark}-r1-2026-01-02.pdf`,
    );
    const svg = outputOf('piece-svg');
    expect(svg.make(source, { piece }, NO_KIT)).toContain('</svg>');
    expect(() => svg.make(source, {}, NO_KIT)).toThrow('Choose one piece.');
  });
  it.each(FAMILIES)(
    '%s, %s: every file says which state of the build it is of, and still reads',
    async (kind, set) => {
      // A name that a replacement, an entity, a comment or a short head could make something of.
      const source = sourceOf(made(kind, set, { name: `Bo & Sön's $& */ ; ${'long '.repeat(16)}`.trim() }));
      const fast = OUTPUTS.filter((each) => !each.slow && !isPaper(each) && each.suffix !== 'xlsx');
      for (const output of fast.filter(({ refuse }) => refuse(source) === undefined)) {
        const options = output.packed?.(source)[0] ?? { piece: source.plan.cuts[0]!.piece };
        expect(fileNameOf(output, source, options)).toContain('-r1-2026-01-02.');
        // A table of values has no place for a remark.
        if (output.suffix === 'csv') continue;
        const content = await output.make(source, options, NO_KIT);
        const text = typeof content === 'string' ? content : new TextDecoder('latin1').decode(content);
        expect(text, output.id).toMatch(/r1, 2026-01-02|r1-2026-01-02/);
        if (output.suffix === 'stl') expect(text.slice(0, 80)).toContain('r1-2026-01-02');
        if (output.suffix === 'dxf') {
          const bare = text.slice(text.indexOf('\n', 4) + 1);
          const [read, before] = [text, bare].map((each) => new DxfParser().parseSync(each)!.entities);
          expect(text.startsWith('999\n')).toBe(true);
          expect(read, output.id).toEqual(before);
          expect(read!.length).toBeGreaterThan(0);
        }
        if (output.suffix === 'svg') {
          expect(text).toContain('$&amp; */ ;');
          expect(text.match(/<desc>/g)).toHaveLength(1);
        }
      }
      for (const output of OUTPUTS.filter(isPaper).filter(({ refuse }) => refuse(source) === undefined))
        for (const { marks } of output.pages(source, {}).slice(0, 1)) {
          const words = marks.flatMap((mark) => (mark.as === 'text' ? [mark.text] : []));
          expect(words.join(' '), output.id).toMatch(/revision 1|r1 2026-01-02/);
        }
    },
  );
  it('are refused in words where there is nothing to make them of', () => {
    const road = made('bicycle', 'road');
    const empty = sourceOf({ ...road, frame: { ...road.frame, members: [], plates: [] } });
    expect(outputOf('cut-list').refuse(empty)).toContain('No tubes yet');
    // A spine holds a frame by its head tube, which a kart has not.
    const kart = sourceOf(heldIn(made('kart', 'kart'), 'wall-board'));
    expect(outputOf('settings').refuse(kart)).toBe(kart.plan.fixture.refused);
    expect(kart.plan.fixture.refused).toMatch(/\w{3,}/);
  });
});
