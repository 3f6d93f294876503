import { memo, useState } from 'react';
import { editableLength, type LengthDisplay } from '@larchwood/core';
import type { Wheel } from '@larchwood/format';
import { useEditor } from '../../editor/editor';
import { Length } from '../../parts/Figure';
import { Pop } from '../../parts/Pop';
import { Row } from '../../ledger/Panel';
import { typedFrom, WheelForm, type Typed } from './WheelForm';

/** A wheel in the ledger: its radius; pressed, how it was come by. */
export function WheelRow({ end }: { readonly end: 'front' | 'rear' }) {
  const { document, plan } = useEditor('document', 'plan');
  return (
    <WheelView
      end={end}
      wheel={document.wheels[end]}
      radius={plan?.stance.wheels[end].radius}
      from={plan?.stance.wheels[end].from}
      units={document.units}
    />
  );
}

interface WheelViewProps {
  readonly end: 'front' | 'rear';
  readonly wheel: Wheel;
  readonly radius: number | undefined;
  readonly from: string | undefined;
  readonly units: LengthDisplay;
}

/** Drawn again only when what it shows changes. */
const WheelView = memo(function WheelView({ end, wheel, radius, from, units }: WheelViewProps) {
  // Kept while the form is shut, so that a press beside it loses nothing.
  const [typed, setTyped] = useState<Typed>();
  const name = end === 'front' ? 'Front wheel' : 'Rear wheel';
  return (
    <Row name={name}>
      <Pop
        label={`${name}, change`}
        className="flex items-baseline gap-2 border border-transparent px-1 hover:border-rule"
        wide="w-80"
        trigger={
          <>
            <span className="caption">{wheel.by === 'marking' ? wheel.marking : from}</span>
            {radius !== undefined && (
              <span className="font-semibold">
                <span className="caption mr-1 font-normal">r</span>
                <Length mm={radius} display={units} />
              </span>
            )}
          </>
        }
      >
        {(close) => (
          <WheelForm
            end={end}
            name={name}
            typed={typed ?? typedFrom(wheel, (mm) => editableLength(mm, units))}
            onType={setTyped}
            onDone={() => {
              setTyped(undefined);
              close();
            }}
          />
        )}
      </Pop>
    </Row>
  );
});
