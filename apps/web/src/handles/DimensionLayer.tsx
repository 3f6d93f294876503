import type { Kind, Plan } from '@larchwood/core';
import { useEditor } from '../editor/editor';
import { DimensionLabels } from './DimensionLabels';
import { DimensionLines } from '../sheet/DimensionLines';
import { placeDimensions } from '../sheet/place';
import { SheetLayer } from '../sheet/SheetLayer';
import type { View } from '../sheet/view';

/** A kind's dimensions over its drawing: their lines, and their figures as fields. */
export function DimensionLayer({
  kind,
  plan,
  view,
}: {
  readonly kind: Kind;
  readonly plan: Plan;
  readonly view: View;
}) {
  const { active } = useEditor('active');
  const dimensions = placeDimensions(kind, plan, view);
  return (
    <>
      <SheetLayer view={view}>
        <DimensionLines dimensions={dimensions} held={(id) => id in plan.stance.held} active={active} />
      </SheetLayer>
      <DimensionLabels dimensions={dimensions} />
    </>
  );
}
