import { memo } from 'react';
import {
  formatAngle,
  formatLength,
  nameInText,
  type Band,
  type Dimension,
  type LengthDisplay,
} from '@larchwood/core';
import { useEditor, type Editor } from '../editor/editor';
import { CopyValue } from '../parts/CopyValue';
import { Length } from '../parts/Figure';
import { Peg } from '../parts/Marks';
import { HoldMenu } from './HoldMenu';
import { QuantityField } from './QuantityField';
import { useSource, type DimensionSource } from './source';
import { Why } from './Why';

/** One dimension in the ledger: peg, name, and its figure: a field when held, plain when it follows. */
export function DimensionRow({ dimension }: { readonly dimension: Dimension }) {
  const { document, active, setActive } = useEditor('document', 'active', 'setActive');
  const source = useSource();
  const { id } = dimension;
  const value = source?.held[id] ?? source?.values[id];
  if (!source || value === undefined) return null;
  return (
    <RowView
      dimension={dimension}
      value={value}
      held={id in source.held}
      lit={active === id}
      band={source.bands[id]}
      units={document.units}
      prefix={source.id}
      hold={source.hold}
      setActive={setActive}
    />
  );
}

interface RowViewProps extends Pick<Editor, 'setActive'>, Pick<DimensionSource, 'hold'> {
  readonly dimension: Dimension;
  readonly value: number;
  readonly held: boolean;
  readonly lit: boolean;
  readonly band: Band | undefined;
  readonly units: LengthDisplay;
  readonly prefix: string;
}

/** Drawn again only when what it shows changes. */
const RowView = memo(function RowView({
  dimension,
  value,
  held,
  lit,
  band,
  units,
  prefix,
  hold,
  setActive,
}: RowViewProps) {
  const { id, name, quantity } = dimension;
  return (
    <div
      className={`flex min-h-[27px] items-start gap-2 px-4 py-[1px] ${lit ? 'bg-larch-wash' : ''}`}
      onPointerEnter={() => setActive(id)}
      onPointerLeave={() => setActive(undefined)}
    >
      <span className="flex h-6 w-4 shrink-0 items-center">
        {!held ? <HoldPeg dimension={dimension} /> : <Peg held />}
      </span>
      <span className={`flex min-h-6 min-w-0 flex-1 items-center ${held ? '' : 'text-quiet'}`}>
        <Why dimension={dimension} band={band} display={units} />
      </span>
      {held ? (
        <QuantityField
          field={`${prefix}.held.${id}`}
          label={name}
          quantity={quantity}
          value={value}
          onCommit={(next) => hold(id, next)}
          onActive={(on) => setActive(on ? id : undefined)}
        />
      ) : (
        <span className="flex min-h-6 items-baseline pt-0.5 pr-0 text-quiet [&>button]:pr-[3px]">
          <CopyValue
            what={name}
            text={quantity === 'angle' ? formatAngle(value, 1) : formatLength(value, units)}
          >
            {quantity === 'angle' ? (
              <span className="figure">{formatAngle(value, 1, true)}</span>
            ) : (
              <Length mm={value} display={units} unit={false} />
            )}
          </CopyValue>
          <span className="ml-1 w-6 text-[12px]">
            {quantity === 'angle' ? '°' : units.length === 'mm' ? 'mm' : 'in'}
          </span>
        </span>
      )}
    </div>
  );
});

/** The empty peg of a following dimension. */
const HoldPeg = memo(function HoldPeg({ dimension }: { readonly dimension: Dimension }) {
  return (
    <HoldMenu
      dimension={dimension}
      label={`Hold ${nameInText(dimension.name)}`}
      className="flex size-6 -translate-x-1 items-center justify-center border border-transparent hover:border-larch"
    >
      <svg width="14" height="14" viewBox="0 0 16 16" aria-hidden className="text-quiet">
        <circle cx="8" cy="5" r="3.3" fill="none" stroke="currentColor" strokeWidth="1.4" />
        <path d="M8 8.500v6.500" stroke="currentColor" strokeWidth="1.400" />
      </svg>
    </HoldMenu>
  );
});
