import type { OwnStep, WorkData } from '@larchwood/format';
import { TASTE, type Need, type Step } from './step.js';
import { step } from './steps/make.js';

/** A step that stands before one that it waits for. */
export interface Breach {
  readonly step: string;
  readonly needs: string;
  readonly why: Need['why'];
  /** Nobody is stopped from it: builders differ. */
  readonly taste: boolean;
}
export interface Ordered {
  readonly steps: readonly Step[];
  readonly breaches: readonly Breach[];
  /** Steps that wait for each other in a circle, closed by what the builder asked for. */
  readonly circles: readonly (readonly string[])[];
  /** Moves whose step, or the one to follow, is there no longer. */
  readonly lost: readonly string[];
}

/**
 * The generated steps with the builder's own among them, in the builder's order. What was asked for stands as it was asked;
 * what cannot be so is told, never put right behind the builder's back.
 */
export function ordered(generated: readonly Step[], work: WorkData): Ordered {
  const known = new Set([...generated.map(({ id }) => id), ...work.own.map(({ id }) => id)]);
  const wanted = work.needs.filter((need) => known.has(need.step) && known.has(need.needs));
  const needing = (of: Step): Step => {
    const own = wanted
      .filter((need) => need.step === of.id)
      .map(({ needs: id }): Need => ({ step: id, why: 'own' }));
    return own.length > 0 ? { ...of, needs: [...of.needs, ...own] } : of;
  };
  const steps = [...generated];
  // Of two under one id the first is meant.
  const own = [...new Map([...work.own].reverse().map((each) => [each.id, each])).values()].reverse();
  for (const each of own) insert(steps, ownStep(each), each.after ?? steps.at(-1)?.id ?? 'start');
  const lost: string[] = [];
  for (const { step: id, after } of work.moves) {
    const index = steps.findIndex((each) => each.id === id);
    if (index < 0 || id === after || (after !== 'start' && !known.has(after))) {
      lost.push(id);
      continue;
    }
    const [moved] = steps.splice(index, 1);
    insert(steps, moved!, after);
  }
  const all = steps.map(needing);
  const circles = circlesOf(all);
  const at = new Map(all.map(({ id }, index) => [id, index]));
  const breaches = all.flatMap(({ id, needs }, index) =>
    needs.flatMap(({ step: before, why }): Breach[] => {
      const place = at.get(before);
      return place !== undefined && place > index
        ? [{ step: id, needs: before, why, taste: TASTE.has(why) }]
        : [];
    }),
  );
  return { steps: all, breaches, circles, lost };
}

function insert(steps: Step[], own: Step, after: string): void {
  const index = after === 'start' ? -1 : steps.findIndex(({ id }) => id === after);
  steps.splice(index < 0 && after !== 'start' ? steps.length : index + 1, 0, own);
}

const ownStep = ({ id, name, hours, due }: OwnStep): Step =>
  step({
    ...{ id, phase: 'finish', sort: 'own', name, about: 'A step of your own.', hours, of: name },
    ...(due === undefined ? {} : { due }),
  });

/** Steps that wait for each other: each circle once. Source: depth-first search. */
function circlesOf(steps: readonly Step[]): string[][] {
  const byId = new Map(steps.map((each) => [each.id, each]));
  const done = new Set<string>();
  const found: string[][] = [];
  const path: string[] = [];
  const visit = (id: string): void => {
    if (done.has(id)) return;
    const on = path.indexOf(id);
    if (on >= 0) {
      found.push(path.slice(on));
      return;
    }
    path.push(id);
    for (const { step: next } of byId.get(id)?.needs ?? []) if (byId.has(next)) visit(next);
    path.pop();
    done.add(id);
  };
  for (const { id } of steps) visit(id);
  return found;
}

/** The builder's order with a step put right after another one; an earlier move of it is forgotten. */
export const moved = (work: WorkData, id: string, after: string): WorkData => ({
  ...work,
  moves: [...work.moves.filter((move) => move.step !== id), { step: id, after }],
});
