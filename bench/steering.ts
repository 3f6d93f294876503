import {
  findLinkage,
  heldOf,
  linkageOf,
  searchable,
  searchLinkage,
  solveLinkage,
  stanceOf,
  sweepOf,
} from '@larchwood/core';
import { demoBuilds, median } from './demo.js';

/** Each demo's linkage: its sweep of 121 angles, all of its dimensions, and a proposal where it has two wheels to agree. */
export function linkages(): void {
  for (const { name, document } of demoBuilds()) {
    const solved = stanceOf(document);
    if (!solved.ok) throw new Error(name);
    const { stance } = solved;
    const linkage = linkageOf(document, stance)!;
    const held = heldOf(document, linkage, stance);
    const made = solveLinkage(linkage, stance, held);
    if (!made.ok) throw new Error(name);
    const { built, state } = made.steering;
    const sweep = median(100, () => sweepOf(built.chain, stance.steered, state.lock!, linkage.reach));
    const whole = median(50, () => solveLinkage(linkage, stance, held));
    const propose = () => {
      const options = { free: searchable(linkage, held), step: 1, angleStep: 0.5, tyreGap: 6 };
      const search = searchLinkage(findLinkage(linkage.id)!, stance, held, options);
      while (!search.next().done);
    };
    const proposal = stance.steered.length > 1 ? `, proposal ${median(3, propose).toFixed(0)} ms` : '';
    console.log(
      `${name}, ${linkage.id}: sweep of 121 angles ${sweep.toFixed(2)} ms, with all its dimensions ${whole.toFixed(2)} ms${proposal}`,
    );
  }
}
