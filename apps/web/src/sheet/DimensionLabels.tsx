import { findKind } from '@larchwood/core';
import { useEditor } from '../editor/editor';
import { HoldMenu } from '../ledger/HoldMenu';
import { QuantityField } from '../ledger/QuantityField';
import { holdDimension } from '../stations/stance/hold';
import { Angle, Length } from '../parts/Figure';
import { Peg } from '../parts/Marks';
import type { DrawnDimension } from './dimensions';

/** The figures on the drawing: held ones are fields, following ones plain. */
export function DimensionLabels({ dimensions }: { readonly dimensions: readonly DrawnDimension[] }) {
  const { document, plan, edit, active, setActive } = useEditor();
  const kind = findKind(document.kind);
  if (!plan || !kind) return null;
  return dimensions.map(({ id, label: [x, y] }) => {
    const dimension = kind.dimensions.find((candidate) => candidate.id === id);
    const value = plan.stance.values[id];
    if (!dimension || value === undefined) return null;
    const held = id in document.stance.held;
    return (
      <div
        key={id}
        title={dimension.name}
        className={`absolute flex -translate-x-1/2 -translate-y-1/2 items-center border text-[14px] leading-none ${
          id === active ? 'z-10 border-larch bg-larch-wash' : 'border-transparent bg-sheet'
        }`}
        style={{ left: x, top: y }}
        onPointerEnter={() => setActive(id)}
        onPointerLeave={() => setActive(undefined)}
      >
        {held ? (
          <>
            <Peg held size={13} />
            <QuantityField
              field={`stance.held.${id}`}
              label={`${dimension.name} on the drawing`}
              quantity={dimension.quantity}
              value={document.stance.held[id] ?? value}
              onCommit={(next) => edit(`stance.held.${id}`, holdDimension(id, next), id)}
              compact
              showMessage={false}
              onActive={(on) => setActive(on ? id : undefined)}
            />
          </>
        ) : (
          <HoldMenu
            dimension={dimension}
            value={value}
            label={`Hold ${dimension.name}, on the drawing`}
            className="min-h-6 border border-transparent px-1 text-quiet hover:border-larch"
          >
            {dimension.quantity === 'angle' ? (
              <Angle degrees={value} />
            ) : (
              <Length mm={value} display={document.units} unit={false} />
            )}
          </HoldMenu>
        )}
      </div>
    );
  });
}
