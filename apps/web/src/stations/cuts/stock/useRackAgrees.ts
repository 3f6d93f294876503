import { useEffect, useRef } from 'react';
import { rackChanges } from '@larchwood/core';
import type { CutBar } from '@larchwood/format';
import { useEditor } from '../../../editor/editor';
import type { ShopHand } from '../../../lists/useShop';

/** What lies on the rack agrees with the bars that are marked cut, also after an undo. */
export function useRackAgrees(
  done: readonly CutBar[],
  { shop, pending, missing, keep, drop }: ShopHand,
): void {
  const { build, document } = useEditor('build', 'document');
  const { name } = document;
  const { id: buildId } = build;
  const asked = useRef('');
  const ready = !pending && missing === undefined;
  useEffect(() => {
    if (!ready) return;
    const changes = rackChanges(buildId, done, shop, name);
    // Asked once: a server that refuses is not asked the same for ever.
    const text = JSON.stringify(changes);
    if (text === asked.current) return;
    asked.current = text;
    for (const { id, offcut } of changes) {
      if (offcut) keep('rack', id, offcut, true);
      else drop('rack', id);
    }
  }, [buildId, name, done, shop, ready, keep, drop]);
}
