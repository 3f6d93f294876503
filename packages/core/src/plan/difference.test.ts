import { describe, expect, it } from 'vitest';
import { holding, made, planMade } from '../../../../testing/made.js';
import { differenceOf } from './difference.js';

const document = made('bicycle', 'touring');
const plan = planMade(document);

describe('two states of a build', () => {
  it('that are one differ in nothing', () => {
    expect(differenceOf(plan, planMade(structuredClone(document)))).toEqual({
      ...{ pieces: [], masses: [], newFindings: [], goneFindings: [] },
    });
  });
  it('tell which pieces are longer, and what that weighs', () => {
    const longer = planMade(
      holding(document, { ...document.stance.held, reach: document.stance.held.reach! + 20 }),
    );
    const { pieces, masses } = differenceOf(longer, plan);
    const names = pieces.map(({ name }) => name);
    expect(names).toEqual(expect.arrayContaining(['Top tube', 'Down tube']));
    expect(names).not.toContain('Chainstay');
    const [there, here] = pieces.find(({ name }) => name === 'Top tube')!.lengths!;
    expect(here - there).toBeGreaterThan(15);
    expect(here - there).toBeLessThan(21);
    const frame = masses.find(({ name }) => name === 'Frame')!;
    expect(frame.here).toBeGreaterThan(frame.there);
  });
  it('tell what is new, gone, and of another section, both ways round', () => {
    const [, second] = document.frame.members.filter(({ mirrored }) => !mirrored);
    const other = document.frame.sections.find(({ id }) => id !== second!.section)!.id;
    const changed = planMade({
      ...document,
      frame: {
        ...document.frame,
        members: document.frame.members
          .filter(({ name }) => name !== 'Brake bridge')
          .map((member) => (member.id === second!.id ? { ...member, section: other } : member)),
      },
    });
    const how = (difference: ReturnType<typeof differenceOf>) =>
      new Map(
        difference.pieces.map(({ name, how: is, made: both }) => [
          name,
          `${is}${both ? ', made otherwise' : ''}`,
        ]),
      );
    expect(how(differenceOf(changed, plan)).get('Brake bridge')).toBe('gone');
    expect(how(differenceOf(plan, changed)).get('Brake bridge')).toBe('new');
    expect(how(differenceOf(changed, plan)).get(second!.name)).toBe('changed, made otherwise');
  });
});
