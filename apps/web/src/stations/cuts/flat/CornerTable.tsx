import { Plus } from 'lucide-react';
import { cornersOfPlate, failure, type Corner, type Result } from '@larchwood/core';
import { LIMITS, type Plate } from '@larchwood/format';
import { useEditor } from '../../../editor/editor';
import { angleWithin, lengthWithin } from '../../../ledger/bounds';
import { QuantityField } from '../../../ledger/QuantityField';
import { Button } from '../../../parts/Button';
import { Choice } from '../../../parts/Choice';
import { RemoveButton } from '../../../parts/RowList';
import { changePlate } from '../../../edits/cuts';

const SIZE = [0, 1000] as const;
const HOLE = [0.5, 200] as const;
const SLOT = [1, 1000] as const;
const letter = (index: number): string => String.fromCharCode(97 + (index % 26));

/** Corners, holes and folds of a plate, by numbers from its node. */
export function CornerTable({ plate }: { readonly plate: Plate }) {
  const { edit, settle } = useEditor('edit', 'settle');
  const corners = cornersOfPlate(plate);
  const change = (part: Parameters<typeof changePlate>[1]): Result<true> =>
    edit(`plate.${plate.id}`, changePlate(plate.id, part));
  const place = (of: string, name: string, value: number, take: (value: number) => Result<true>) => (
    <QuantityField
      field={`plate.${plate.id}.${of}`}
      label={name}
      quantity="length"
      value={value}
      onCommit={(typed) => lengthWithin(typed, LIMITS.coordinate, () => take(typed))}
    />
  );
  const setCorner = (index: number, part: Partial<Corner>) =>
    corners
      ? change({ corners: corners.map((each, at) => (at === index ? { ...each, ...part } : each)) })
      : failure('It is not drawn from corners.');
  const setHole = (index: number, part: Partial<Plate['holes'][number]>) =>
    change({ holes: plate.holes.map((each, at) => (at === index ? { ...each, ...part } : each)) });
  const done = (part: Parameters<typeof changePlate>[1]) => {
    change(part);
    settle();
  };
  const [right, up] = [
    Math.max(...plate.outline.map(([x]) => x)),
    Math.max(...plate.outline.map(([, y]) => y)),
  ];
  const head =
    'caption border-b border-ink text-right align-bottom [&>th]:px-2 [&>th]:py-1 [&>th]:font-normal';
  const row = 'border-b border-rule text-right [&>td]:px-2';
  return (
    <div className="flex flex-col gap-3 pb-4">
      <table className="h-fit w-full border-collapse text-[13.5px]">
        <caption className="caption px-4 pt-2 text-left">Corners, in order round it</caption>
        <thead>
          <tr className={head}>
            <th className="!pl-4 text-left">Corner</th>
            <th>Along</th>
            <th>Up</th>
            <th className="text-left">Cut</th>
            <th>By</th>
            <th className="sr-only">Take out</th>
          </tr>
        </thead>
        <tbody>
          {corners?.map(({ at, cut, size }, index) => (
            <tr key={index} className={row}>
              <td className="figure !pl-4 text-left font-bold text-larch-text">{letter(index)}</td>
              <td>
                {place(`corner${index}.x`, `Corner ${letter(index)}, along`, at[0], (x) =>
                  setCorner(index, { at: [x, at[1]] }),
                )}
              </td>
              <td>
                {place(`corner${index}.y`, `Corner ${letter(index)}, up`, at[1], (y) =>
                  setCorner(index, { at: [at[0], y] }),
                )}
              </td>
              <td className="text-left">
                <Choice
                  label={`Corner ${letter(index)}, cut`}
                  value={cut}
                  groups={[
                    {
                      options: (['sharp', 'round', 'chamfer'] as const).map((each) => ({
                        value: each,
                        label: each,
                      })),
                    },
                  ]}
                  onChange={(next) => {
                    setCorner(index, { cut: next as Corner['cut'], size: size === 0 ? 5 : size });
                    settle();
                  }}
                />
              </td>
              <td>
                {cut !== 'sharp' && (
                  <QuantityField
                    field={`plate.${plate.id}.corner${index}.size`}
                    label={`Corner ${letter(index)}, by`}
                    quantity="length"
                    value={size}
                    onCommit={(typed) => lengthWithin(typed, SIZE, () => setCorner(index, { size: typed }))}
                  />
                )}
              </td>
              <td className="w-8">
                {corners.length > 3 && (
                  <RemoveButton
                    name={`corner ${letter(index)}`}
                    onClick={() => done({ corners: corners.filter((_, other) => other !== index) })}
                  />
                )}
              </td>
            </tr>
          ))}
        </tbody>
        <tfoot>
          <tr>
            <td colSpan={6} className="px-2 py-1">
              {corners ? (
                <Button
                  look="quiet"
                  disabled={corners.length >= 60}
                  onClick={() => {
                    const [last, first] = [corners.at(-1)!.at, corners[0]!.at];
                    const middle: [number, number] = [(last[0] + first[0]) / 2, (last[1] + first[1]) / 2];
                    done({ corners: [...corners, { at: middle, cut: 'sharp', size: 0 }] });
                  }}
                >
                  <Plus size={14} aria-hidden /> Add a corner
                </Button>
              ) : (
                <span className="text-quiet">
                  This outline is round: draw it anew from a shape to change it.
                </span>
              )}
            </td>
          </tr>
        </tfoot>
      </table>
      <table className="h-fit w-full border-collapse text-[13.5px]">
        <caption className="caption px-4 pt-2 text-left">Holes and slots</caption>
        <thead>
          <tr className={head}>
            <th className="!pl-4 text-left">Hole</th>
            <th>Along</th>
            <th>Up</th>
            <th>Wide</th>
            <th>Slot, long</th>
            <th>Turned</th>
            <th className="sr-only">Take out</th>
          </tr>
        </thead>
        <tbody>
          {plate.holes.map((hole, index) => {
            const { at, diameter, slot } = hole;
            const name = `Hole ${index + 1}`;
            return (
              <tr key={index} className={row}>
                <td className="figure !pl-4 text-left font-bold">{index + 1}</td>
                <td>
                  {place(`hole${index}.x`, `${name}, along`, at[0], (x) =>
                    setHole(index, { at: [x, at[1]] }),
                  )}
                </td>
                <td>
                  {place(`hole${index}.y`, `${name}, up`, at[1], (y) => setHole(index, { at: [at[0], y] }))}
                </td>
                <td>
                  <QuantityField
                    field={`plate.${plate.id}.hole${index}.d`}
                    label={`${name}, wide`}
                    quantity="length"
                    value={diameter}
                    onCommit={(typed) => lengthWithin(typed, HOLE, () => setHole(index, { diameter: typed }))}
                  />
                </td>
                <td>
                  <QuantityField
                    field={`plate.${plate.id}.hole${index}.slot`}
                    label={`${name}, slot, long`}
                    quantity="length"
                    value={slot?.length ?? diameter}
                    onCommit={(typed) =>
                      lengthWithin(typed, SLOT, () =>
                        setHole(index, { slot: { length: typed, turn: slot?.turn ?? 0 } }),
                      )
                    }
                  />
                </td>
                <td>
                  {slot && slot.length > diameter && (
                    <QuantityField
                      field={`plate.${plate.id}.hole${index}.turn`}
                      label={`${name}, slot, turned`}
                      quantity="angle"
                      value={slot.turn}
                      nudge={5}
                      onCommit={(typed) =>
                        angleWithin(typed, [-360, 360], () =>
                          setHole(index, { slot: { ...slot, turn: typed } }),
                        )
                      }
                    />
                  )}
                </td>
                <td className="w-8">
                  <RemoveButton
                    name={`hole ${index + 1}`}
                    onClick={() => done({ holes: plate.holes.filter((_, other) => other !== index) })}
                  />
                </td>
              </tr>
            );
          })}
        </tbody>
        <tfoot>
          <tr>
            <td colSpan={7} className="px-2 py-1">
              <Button
                look="quiet"
                disabled={plate.holes.length >= 50}
                onClick={() =>
                  done({
                    holes: [
                      ...plate.holes,
                      {
                        at: [
                          Math.round((right + Math.min(...plate.outline.map(([x]) => x))) / 2),
                          Math.round((up + Math.min(...plate.outline.map(([, y]) => y))) / 2),
                        ],
                        diameter: 8,
                      },
                    ],
                  })
                }
              >
                <Plus size={14} aria-hidden /> Add a hole
              </Button>
            </td>
          </tr>
        </tfoot>
      </table>
    </div>
  );
}
