import { useMemo, useState } from 'react';
import { success, type PlacedPlate, gaugeDisplay } from '@larchwood/core';
import { nestOnSheets } from '@larchwood/outputs';
import { useEditor } from '../../../editor/editor';
import { lengthWithin } from '../../../ledger/bounds';
import { Group, Row } from '../../../ledger/Panel';
import { QuantityField } from '../../../ledger/QuantityField';
import { Length } from '../../../parts/Figure';

const LIMITS = [20, 6000] as const;
const FIELDS = [
  ['wide', 'Sheet, wide'],
  ['high', 'Sheet, high'],
] as const;
/** Between two plates, mm: the width of a thick plasma cut and a little. Common practice, no source. */
const GAP = 5;
const WIDE = 290;

/** Which plates of the thickness and metal in hand come out of a sheet, or an off-cut of one. */
export function SheetForm({
  plates,
  like,
}: {
  readonly plates: readonly PlacedPlate[];
  readonly like: PlacedPlate;
}) {
  const { document } = useEditor('document');
  const [size, setSize] = useState({ wide: 600, high: 400 });
  const { thickness, material } = like.plate;
  const nest = useMemo(
    () =>
      nestOnSheets(
        plates.filter(
          ({ plate }) =>
            plate.thickness === thickness && plate.material === material && plate.free === undefined,
        ),
        [size.wide, size.high],
        GAP,
      ),
    [plates, thickness, material, size],
  );
  const scale = WIDE / size.wide;
  return (
    <Group title="Out of a sheet, or an off-cut of one">
      {FIELDS.map(([of, name]) => (
        <Row key={of} name={name}>
          <QuantityField
            field={`sheet.${of}`}
            label={name}
            quantity="length"
            value={size[of]}
            nudge={10}
            onCommit={(value) =>
              lengthWithin(value, LIMITS, () => {
                setSize((before) => ({ ...before, [of]: value }));
                return success(true);
              })
            }
          />
        </Row>
      ))}
      <p className="px-4 text-[13px]" role="status">
        All of <Length mm={thickness} display={gaugeDisplay(thickness, document.units)} digits={2} /> come out
        of {nest.sheets.length}
        {nest.sheets.length === 1 ? ' sheet' : ' sheets'}
        {nest.over.length > 0 && (
          <b className="text-larch-text">; larger than the sheet: {nest.over.join(', ')}</b>
        )}
        .
      </p>
      {nest.sheets.slice(0, 3).map((sheet, index) => (
        <svg
          key={index}
          viewBox={`0 0 ${WIDE} ${size.high * scale}`}
          className="w-full px-4 py-1"
          role="img"
          aria-label={`Sheet ${index + 1}: ${sheet.map(({ mark }) => mark).join(', ')}`}
        >
          <rect
            width={WIDE}
            height={size.high * scale}
            fill="var(--grid)"
            stroke="var(--quiet)"
            strokeDasharray="3 3"
          />
          {sheet.map(({ mark, x, y, width, height }) => (
            <g key={mark}>
              <rect
                x={x * scale}
                y={y * scale}
                width={width * scale}
                height={height * scale}
                fill="var(--sheet)"
                stroke="var(--ink)"
              />
              {width * scale > 20 && (
                <text
                  x={(x + width / 2) * scale}
                  y={(y + height / 2) * scale + 4}
                  textAnchor="middle"
                  fontSize="12"
                  className="figure"
                  fill="var(--ink)"
                >
                  {mark}
                </text>
              )}
            </g>
          ))}
        </svg>
      ))}
    </Group>
  );
}
