import type { Kind, Plan } from '@larchwood/core';
import { useEditor } from '../editor/editor';
import { DimensionLabels } from './DimensionLabels';
import { DimensionLines } from './DimensionLines';
import { placeDimensions } from './place';
import type { View } from './view';

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
  const { active } = useEditor();
  const dimensions = placeDimensions(kind, plan, view);
  return (
    <>
      <svg
        width={view.width}
        height={view.height}
        className="pointer-events-none absolute inset-0"
        aria-hidden
      >
        <DimensionLines dimensions={dimensions} held={(id) => id in plan.stance.held} active={active} />
      </svg>
      <DimensionLabels dimensions={dimensions} />
    </>
  );
}
