import type { Kind, Plan } from '@larchwood/core';
import { useEditor, type Compared } from '../editor/editor';
import { differs } from './differs';

/** What the build is compared with, where it differs in any dimension. */
export function useOther({ stance }: Plan, kind: Kind): Compared | undefined {
  const { compared } = useEditor('compared');
  const there = compared?.plan.stance.values;
  const isOther = kind.dimensions.some((dimension) => {
    const value = there?.[dimension.id];
    return value !== undefined && differs(dimension, stance.values[dimension.id]!, value);
  });
  return isOther ? compared : undefined;
}
