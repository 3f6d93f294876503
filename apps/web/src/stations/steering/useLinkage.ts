import { useMemo } from 'react';
import {
  failure,
  heldOf,
  linkageOf,
  releases,
  solvableOf,
  solveLinkage,
  without,
  type Result,
} from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import type { DimensionSource } from '../../ledger/source';
import { setLinkage } from '../../edits/steering';
import type { Known } from './known';

export function useLinkage(): Known | undefined {
  const { document, plan, edit } = useEditor('document', 'plan', 'edit');
  return useMemo(() => {
    const stance = plan?.stance;
    const linkage = stance && linkageOf(document, stance);
    if (!stance || !linkage) return undefined;
    const held = heldOf(document, linkage, stance);
    const steering = plan.steering?.ok ? plan.steering.steering : undefined;
    const solvable = solvableOf(linkage, stance);
    const near = steering?.state ?? document.steering?.near;
    const after = (next: Readonly<Record<string, number>>) =>
      solveLinkage(linkage, stance, next, {
        linkage: linkage.id,
        held: next,
        made: [],
        ...(near ? { near } : {}),
      });
    /** Taken where a linkage comes of it; where there is none as it is, anything may be tried to mend it. */
    const take = (key: string, id: string, next: Readonly<Record<string, number>>): Result<true> => {
      const solved = after(next);
      if (!solved.ok && steering) {
        const refusal = solved.refusals.find(({ where }) => where === id) ?? solved.refusals[0]!;
        return failure(refusal.message);
      }
      return edit(key, setLinkage(linkage, stance, next, solved.ok ? near : undefined));
    };
    const source: DimensionSource = {
      id: 'steering',
      solvable,
      values: steering?.values ?? {},
      held,
      bands: {},
      readings: ['turningCircle', 'steeringRatio'],
      hold: (id, value) => take(`steering.held.${id}`, id, { ...held, [id]: value }),
      exchange: (id, value, letGo) =>
        take(`steering.exchange.${id}`, id, { ...without(held, letGo), [id]: value }),
      offers: (id) => (steering ? releases(solvable, steering.state, held, id) : []),
      preview: (id, value, letGo) => {
        const solved = after({ ...without(held, letGo), [id]: value });
        return solved.ok ? solved.steering.values : undefined;
      },
    };
    return { linkage, held, steering, source };
  }, [document, plan, edit]);
}
