import { memo } from 'react';
import { findKind, type Dimension, type LengthDisplay } from '@larchwood/core';
import { useEditor, type Editor } from '../editor/editor';
import { HoldMenu } from '../ledger/HoldMenu';
import { QuantityField } from '../ledger/QuantityField';
import { holdDimension } from '../edits/stance';
import { Angle, Length } from '../parts/Figure';
import { Peg } from '../parts/Marks';
import type { DrawnDimension } from '../sheet/dimensions';

/** The figures on the drawing: held ones are fields, following ones plain. */
export function DimensionLabels({ dimensions }: { readonly dimensions: readonly DrawnDimension[] }) {
  const { document, plan, edit, active, setActive, dragging } = useEditor(
    'document',
    'plan',
    'edit',
    'active',
    'setActive',
    'dragging',
  );
  const kind = findKind(document.kind);
  if (!plan || !kind) return null;
  return dimensions.map(({ id, label: [x, y] }) => {
    const dimension = kind.dimensions.find((candidate) => candidate.id === id);
    const value = document.stance.held[id] ?? plan.stance.values[id];
    if (!dimension || value === undefined) return null;
    return (
      <div
        key={id}
        title={dimension.name}
        className={`absolute top-0 left-0 flex items-center border text-[14px] leading-none ${
          id === active ? 'z-10 border-larch bg-larch-wash' : 'border-transparent bg-sheet'
        }`}
        style={{ transform: `translate(${x.toFixed(1)}px, ${y.toFixed(1)}px) translate(-50%, -50%)` }}
        onPointerEnter={() => setActive(id)}
        onPointerLeave={() => setActive(undefined)}
      >
        {dragging ? (
          <PlainFigure
            dimension={dimension}
            value={value}
            held={id in document.stance.held}
            units={document.units}
          />
        ) : id in document.stance.held ? (
          <HeldFigure dimension={dimension} value={value} edit={edit} setActive={setActive} />
        ) : (
          <FollowingFigure dimension={dimension} />
        )}
      </div>
    );
  });
}

/** While a point is dragged nothing can be typed: plain figures in the fields' places cost the drawing less. */
const PlainFigure = memo(function PlainFigure({
  dimension: { quantity },
  value,
  held,
  units,
}: {
  readonly dimension: Dimension;
  readonly value: number;
  readonly held: boolean;
  readonly units: LengthDisplay;
}) {
  const figure =
    quantity === 'angle' ? <Angle degrees={value} /> : <Length mm={value} display={units} unit={false} />;
  return (
    <>
      {held && <Peg held size={13} />}
      <span className={`flex min-h-6 items-center px-1.5 ${held ? 'font-semibold' : 'text-quiet'}`}>
        {figure}
      </span>
    </>
  );
});

interface HeldProps extends Pick<Editor, 'edit' | 'setActive'> {
  readonly dimension: Dimension;
  readonly value: number;
}

/** Drawn again only when what it shows changes, not when it moves. */
const HeldFigure = memo(function HeldFigure({ dimension, value, edit, setActive }: HeldProps) {
  const { id, name, quantity } = dimension;
  return (
    <>
      <Peg held size={13} />
      <QuantityField
        field={`stance.held.${id}`}
        label={`${name} on the drawing`}
        quantity={quantity}
        value={value}
        onCommit={(next) => edit(`stance.held.${id}`, holdDimension(id, next), id)}
        compact
        showMessage={false}
        onActive={(on) => setActive(on ? id : undefined)}
      />
    </>
  );
});

/** The menu stays as it is; only the figure inside it is drawn again. */
const FollowingFigure = memo(function FollowingFigure({ dimension }: { readonly dimension: Dimension }) {
  return (
    <HoldMenu
      dimension={dimension}
      label={`Hold ${dimension.name}, on the drawing`}
      className="min-h-6 border border-transparent px-1 text-quiet hover:border-larch"
    >
      <Following dimension={dimension} />
    </HoldMenu>
  );
});

function Following({ dimension: { id, quantity } }: { readonly dimension: Dimension }) {
  const { document, plan } = useEditor('document', 'plan');
  const value = plan?.stance.values[id];
  if (value === undefined) return null;
  return quantity === 'angle' ? (
    <Angle degrees={value} />
  ) : (
    <Length mm={value} display={document.units} unit={false} />
  );
}
