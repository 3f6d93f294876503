import type { BuildDocument, Made } from '@larchwood/format';
import { describe, expect, it } from 'vitest';
import { made, stanceMade } from '../../../../../testing/made.js';
import { planBuild } from '../../plan/plan.js';
import { withSteeringParts } from '../../start/steeringParts.js';
import { steeringOf } from '../steering.js';
import { madeOf } from './registry.js';

const KNUCKLES: readonly Made[] = [{ what: 'knuckles', sizes: {}, choices: {}, found: {} }];

describe('what is made at home', () => {
  it('a piece of it that is not in the frame is noted by its name, so long as others are there', () => {
    const document = made('kart', 'ladder');
    const stance = stanceMade(document);
    const solved = steeringOf(document, stance);
    if (!solved?.ok) throw new Error(JSON.stringify(solved));
    const build = withSteeringParts(
      { ...document, steering: { ...document.steering!, made: [...KNUCKLES] } },
      stance,
      solved.steering,
    );
    const without = (gone: (id: string) => boolean): BuildDocument => ({
      ...build,
      frame: {
        ...build.frame,
        members: build.frame.members.filter(({ id }) => !gone(id)),
        plates: build.frame.plates.filter(({ id }) => !gone(id)),
      },
    });
    const noted = (of: BuildDocument) => {
      const planned = planBuild(of);
      if (!planned.ok) throw new Error(JSON.stringify(planned.refusals));
      return planned.plan.findings.filter(({ code }) => code === 'steering-part-missing');
    };
    const knuckles = madeOf(KNUCKLES, {
      stance,
      steering: solved.steering,
      tyreGap: document.seat.gaps.tyre,
    })[0]!.result.parts!;
    const [stub, ...others] = knuckles.members.map(({ id }) => id);
    expect(others.length).toBeGreaterThan(1);
    expect(noted(build)).toEqual([]);
    const [told, ...more] = noted(without((id) => id === stub));
    expect(more).toEqual([]);
    expect(told).toMatchObject({ severity: 'note', where: { station: 'steering', ref: 'parts' } });
    const name = knuckles.members[0]!.name;
    expect(told!.values).toMatchObject({ parts: name.charAt(0).toLowerCase() + name.slice(1) });
    const all = new Set([...knuckles.members, ...knuckles.plates].map(({ id }) => id));
    expect(noted(without((id) => all.has(id)))).toEqual([]);
  });
});
