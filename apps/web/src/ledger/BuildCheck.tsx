import type { ComponentProps } from 'react';
import { NOT_HERE, useMayChange } from '../door/useMayType';
import { Check } from '../parts/Check';

/** A box that changes the build: who may only tick and read at the bench sees how it stands. */
export function BuildCheck(props: Omit<ComponentProps<typeof Check>, 'fixed'>) {
  return <Check {...props} fixed={useMayChange() ? undefined : NOT_HERE} />;
}
