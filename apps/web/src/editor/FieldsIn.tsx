import { useMemo, type ReactNode } from 'react';
import type { LengthDisplay } from '@larchwood/core';
import { FieldsContext, useFields } from './editor';

/** Fields that show and read their lengths in other units than the build's. */
export function FieldsIn({
  units,
  children,
}: {
  readonly units: LengthDisplay;
  readonly children: ReactNode;
}) {
  const fields = useFields();
  const { length, denominator } = units;
  const own = useMemo(() => ({ ...fields, units: { length, denominator } }), [fields, length, denominator]);
  return <FieldsContext value={own}>{children}</FieldsContext>;
}
