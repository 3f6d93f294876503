import { useMemo, type ReactNode } from 'react';
import type { LengthDisplay } from '@larchwood/core';
import { UnitsContext } from './editor';

/** Fields that show and read their lengths in other units than the build's. */
export function FieldsIn({
  units: { length, denominator },
  children,
}: {
  readonly units: LengthDisplay;
  readonly children: ReactNode;
}) {
  const own = useMemo(() => ({ length, denominator }), [length, denominator]);
  return <UnitsContext value={own}>{children}</UnitsContext>;
}
