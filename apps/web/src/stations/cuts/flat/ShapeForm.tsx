import { nanoid } from 'nanoid';
import { useState } from 'react';
import {
  failure,
  FLAT_SHAPES,
  gussetBetween,
  gussetPlate,
  nodeBeside,
  noGussetText,
  outlineFrom,
  success,
  without,
  type Plan,
  type Result,
} from '@larchwood/core';
import type { Node, Plate } from '@larchwood/format';
import { useEditor } from '../../../editor/editor';
import { ChoiceRow } from '../../../ledger/ChoiceRow';
import { lengthWithin } from '../../../ledger/bounds';
import { Group, Row } from '../../../ledger/Panel';
import { QuantityField } from '../../../ledger/QuantityField';
import { TextField } from '../../../ledger/TextField';
import { Button } from '../../../parts/Button';

type Draw = (
  drawn: Partial<Plate> & Pick<Plate, 'outline' | 'holes' | 'name'>,
  nodes?: readonly Node[],
) => Result<true>;

/** A new flat part from a few sizes, or a gusset in the corner of two tubes. */
export function ShapeForm({ plan, onDraw }: { readonly plan: Plan; readonly onDraw: Draw }) {
  const [id, setId] = useState(FLAT_SHAPES[0]!.id);
  const [typed, setTyped] = useState<Readonly<Record<string, number>>>({});
  const [message, setMessage] = useState<string>();
  const shape = FLAT_SHAPES.find((each) => each.id === id)!;
  const value = (of: string, start: number) => typed[`${id}.${of}`] ?? start;
  const set = (of: string, next: number): Result<true> => {
    setTyped((before) => ({ ...before, [`${id}.${of}`]: next }));
    return success(true);
  };
  return (
    <>
      <Group title="Draw a new one">
        <ChoiceRow
          name="Shape"
          value={id}
          options={FLAT_SHAPES.map((each) => ({ value: each.id, label: each.name }))}
          onChange={setId}
        />
        {shape.sizes.map(({ id: of, name, start, limits, count }) => (
          <Row key={`${id}.${of}`} name={name}>
            {count ? (
              <TextField
                field={`shape.${id}.${of}`}
                label={name}
                value={String(value(of, start))}
                className="w-14"
                onCommit={(text) => {
                  const many = Number(text);
                  return Number.isInteger(many) && many >= limits[0] && many <= limits[1]
                    ? set(of, many)
                    : failure(`A whole number from ${limits[0]} to ${limits[1]}.`);
                }}
              />
            ) : (
              <QuantityField
                field={`shape.${id}.${of}`}
                label={name}
                quantity="length"
                value={value(of, start)}
                onCommit={(next) => lengthWithin(next, limits, () => set(of, next))}
              />
            )}
          </Row>
        ))}
        {message !== undefined && (
          <p role="alert" className="px-4 text-[13px] text-brick">
            {message}
          </p>
        )}
        <div className="flex justify-end px-4 py-1">
          <Button
            onClick={() => {
              const sizes = Object.fromEntries(
                shape.sizes.map(({ id: of, start }) => [of, value(of, start)]),
              );
              const { corners, holes } = shape.draw(sizes);
              const drawn = onDraw({
                ...{ name: shape.name, thickness: shape.thickness, corners: [...corners] },
                ...{ outline: outlineFrom(corners), holes },
              });
              setMessage(drawn.ok ? undefined : drawn.message);
            }}
          >
            Draw it
          </Button>
        </div>
      </Group>
      <GussetForm plan={plan} onDraw={onDraw} />
    </>
  );
}

const LEG = [5, 1000] as const;

function GussetForm({ plan, onDraw }: { readonly plan: Plan; readonly onDraw: Draw }) {
  const pieces = plan.frame.pieces.filter(({ side }) => side !== 'right');
  const [chosen, setChosen] = useState<readonly [string, string]>(['', '']);
  const [leg, setLeg] = useState(60);
  const [message, setMessage] = useState<string>();
  const { document } = useEditor('document');
  const options = pieces.map(({ id, mark, member }) => ({ value: id, label: `${mark} ${member.name}` }));
  const draw = () => {
    const [a, b] = chosen.map((id) => pieces.find((piece) => piece.id === id));
    if (!a || !b || a === b) return setMessage('Choose two tubes that meet.');
    const gusset = gussetBetween(plan.frame, a, b, leg);
    if ('why' in gusset) return setMessage(noGussetText(gusset, document.units));
    const node = `gusset-${nanoid(6)}`;
    const both = a.member.mirrored && b.member.mirrored;
    const plate = without(gussetPlate(gusset, 'gusset', 1, both), 'id', 'piece');
    const result = onDraw({ ...plate, node }, [nodeBeside(node, gusset.node, gusset.offset)]);
    setMessage(result.ok ? undefined : result.message);
  };
  return (
    <Group title="Gusset between two tubes">
      {([0, 1] as const).map((which) => (
        <ChoiceRow
          key={which}
          name={which === 0 ? 'From' : 'to'}
          label={which === 0 ? 'Gusset from' : 'Gusset to'}
          value={chosen[which]}
          placeholder="choose a tube"
          options={options}
          onChange={(id) => {
            setChosen(which === 0 ? [id, chosen[1]] : [chosen[0], id]);
            setMessage(undefined);
          }}
        />
      ))}
      <Row name="Along each">
        <QuantityField
          field="shape.gusset.leg"
          label="Gusset, along each"
          quantity="length"
          value={leg}
          onCommit={(next) =>
            lengthWithin(next, LEG, () => {
              setLeg(next);
              return success(true);
            })
          }
        />
      </Row>
      {message !== undefined && (
        <p role="alert" className="px-4 text-[13px] text-brick">
          {message}
        </p>
      )}
      <div className="flex justify-end px-4 py-1">
        <Button onClick={draw}>Draw the gusset</Button>
      </div>
    </Group>
  );
}
