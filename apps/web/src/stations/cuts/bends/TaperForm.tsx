import { useState } from 'react';
import { formatAngle, success, taperOf } from '@larchwood/core';
import { useEditor } from '../../../editor/editor';
import { lengthWithin } from '../../../ledger/bounds';
import { Group, Row } from '../../../ledger/Panel';
import { QuantityField } from '../../../ledger/QuantityField';
import { Length } from '../../../parts/Figure';

const LIMITS = [0.1, 2000] as const;
const FIELDS = [
  ['width', 'Taken off at the end'],
  ['length', 'Over a length of'],
  ['slot', 'Slot beside a weld'],
] as const;

/** A tapered nose of a rectangular rail, and what keeps a slot open: reckoned here, kept nowhere. */
export function TaperForm() {
  const { document } = useEditor('document');
  const [typed, setTyped] = useState({ width: 25.4, length: 304.8, slot: 6 });
  const { angle, edge, spreader } = taperOf(typed.width, typed.length, typed.slot);
  const length = (mm: number) => <Length mm={mm} display={document.units} />;
  return (
    <Group title="Tapered nose of a rail">
      {FIELDS.map(([of, name]) => (
        <Row key={of} name={name}>
          <QuantityField
            field={`taper.${of}`}
            label={name}
            quantity="length"
            value={typed[of]}
            onCommit={(value) =>
              lengthWithin(value, LIMITS, () => {
                setTyped((before) => ({ ...before, [of]: value }));
                return success(true);
              })
            }
          />
        </Row>
      ))}
      <p className="px-4 pb-2 text-[13px]">
        It tapers by <b>{formatAngle(angle, 2)}</b>; the sawn edge and its cover strip are {length(edge)}{' '}
        long. A spreader of {length(spreader)} keeps the slot open: weld with it in, far enough down to get it
        out.
      </p>
    </Group>
  );
}
