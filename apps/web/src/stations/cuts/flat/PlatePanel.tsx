import { Plus } from 'lucide-react';
import { foldsOf, MATERIALS, success, type PlacedPlate } from '@larchwood/core';
import type { Plate } from '@larchwood/format';
import { useEditor } from '../../../editor/editor';
import { ChoiceRow } from '../../../ledger/ChoiceRow';
import { angleWithin, lengthWithin } from '../../../ledger/bounds';
import { Group, Row } from '../../../ledger/Panel';
import { QuantityField } from '../../../ledger/QuantityField';
import { TextField } from '../../../ledger/TextField';
import { Button } from '../../../parts/Button';
import { BuildCheck } from '../../../ledger/BuildCheck';
import { Length } from '../../../parts/Figure';
import { RemoveButton } from '../../../parts/RowList';
import { changePlate, removePlate } from '../../../edits/cuts';

interface Props {
  readonly placed: PlacedPlate;
  /** Made at the Steering station: it follows what is set there. */
  readonly made: boolean;
  readonly onRemoved: () => void;
}

const THICK = [0.5, 50] as const;
const TURN = [-360, 360] as const;
const RADIUS = [0, 50] as const;
const PLANES = [
  { value: 'side', label: 'seen from the side' },
  { value: 'plan', label: 'seen from above' },
  { value: 'front', label: 'seen from ahead' },
] as const;

/** Where a plate sits, what it is of, how far its trial is, and its folds. */
export function PlatePanel({ placed: { plate }, made, onRemoved }: Props) {
  const { document, edit, settle } = useEditor('document', 'edit', 'settle');
  const change = (part: Parameters<typeof changePlate>[1]) =>
    edit(`plate.${plate.id}`, changePlate(plate.id, part));
  const done = (part: Parameters<typeof changePlate>[1]) => {
    change(part);
    settle();
  };
  const angle = (of: 'turn' | 'tilt', name: string) => (
    <Row name={name}>
      <QuantityField
        field={`plate.${plate.id}.${of}`}
        label={name}
        quantity="angle"
        value={plate[of]}
        onCommit={(typed) => angleWithin(typed, TURN, () => change({ [of]: typed }))}
      />
    </Row>
  );
  return (
    <>
      <Group title="What it is">
        <Row name="Name">
          <TextField
            field={`plate.${plate.id}.name`}
            label="Name of the plate"
            value={plate.name}
            required
            className="w-44"
            onCommit={(name) => (name === plate.name ? success(true) : change({ name }))}
          />
        </Row>
        <Row name="Thick">
          <QuantityField
            field={`plate.${plate.id}.thickness`}
            label="Thick"
            quantity="length"
            value={plate.thickness}
            nudge={0.5}
            onCommit={(typed) => lengthWithin(typed, THICK, () => change({ thickness: typed }))}
          />
        </Row>
        <ChoiceRow
          name="Metal"
          value={plate.material}
          options={MATERIALS.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={(material) => done({ material })}
        />
        {made ? (
          <p className="px-4 pb-2 text-quiet">Its outline follows what is set at the Steering station.</p>
        ) : (
          <>
            <ChoiceRow
              name="Sits at"
              value={plate.node}
              options={document.frame.nodes.map(({ id, name }) => ({ value: id, label: name }))}
              onChange={(node) => done({ node })}
            />
            <ChoiceRow
              name="Lies as"
              value={plate.plane}
              options={PLANES}
              onChange={(plane) => done({ plane: plane as Plate['plane'] })}
            />
            {angle('turn', 'Turned in that view')}
            {angle('tilt', 'Tilted out of it')}
            <BuildCheck className="px-4" checked={plate.mirrored} onChange={(mirrored) => done({ mirrored })}>
              One on the left and one on the right
            </BuildCheck>
          </>
        )}
      </Group>
      {!made && <Folds plate={plate} change={change} done={done} />}
      <Group title="Trial in card or board">
        <ChoiceRow
          name="State"
          label="State of the trial"
          value={plate.trial?.state ?? 'none'}
          options={[
            { value: 'none', label: 'not tried yet' },
            { value: 'card', label: 'cut in card' },
            { value: 'fits', label: 'it fits' },
          ]}
          onChange={(state) =>
            done({
              trial:
                state === 'none'
                  ? undefined
                  : { state: state as 'card' | 'fits', found: plate.trial?.found ?? '' },
            })
          }
        />
        {plate.trial && (
          <div className="px-4 pb-1">
            <TextField
              field={`plate.${plate.id}.found`}
              label="What the trial found"
              value={plate.trial.found}
              most={500}
              placeholder="what was found wrong"
              className="w-full"
              onCommit={(found) => change({ trial: { state: plate.trial!.state, found } })}
            />
            <p className="caption">Put it right in the corners and holes before metal is cut.</p>
          </div>
        )}
      </Group>
      <Group title="On the vehicle">
        <ChoiceRow
          name="It is"
          label="Whether it is welded in"
          value={plate.free ?? 'loose'}
          options={[
            { value: 'loose', label: 'still to be cut' },
            { value: 'towards', label: 'welded in, free in front' },
            { value: 'away', label: 'welded in, free behind' },
          ]}
          onChange={(free) => done({ free: free === 'loose' ? undefined : (free as Plate['free']) })}
        />
        {plate.free !== undefined && (
          <p className="caption px-4 pb-2">
            In front and behind as its view looks at it. Its paper comes as the free face shows it, the right
            one of a pair turned over; it is not nested on a sheet.
          </p>
        )}
      </Group>
      {!made && (
        <div className="flex justify-end px-3 py-2">
          <Button
            look="quiet"
            onClick={() => {
              edit('plates', removePlate(plate.id));
              settle();
              onRemoved();
            }}
          >
            Take this plate out
          </Button>
        </div>
      )}
    </>
  );
}

interface FoldProps {
  readonly plate: Plate;
  readonly change: (
    part: Parameters<typeof changePlate>[1],
  ) => ReturnType<ReturnType<typeof useEditor<'edit'>>['edit']>;
  readonly done: (part: Parameters<typeof changePlate>[1]) => void;
}

/** Folds: where, how far, on which radius, and what the flat sheet is longer by. */
function Folds({ plate, change, done }: FoldProps) {
  const { document } = useEditor('document');
  const xs = plate.outline.map(([x]) => x);
  const ys = plate.outline.map(([, y]) => y);
  const folds = foldsOf(plate);
  const set = (index: number, part: Partial<Plate['bendLines'][number]>) =>
    change({ bendLines: plate.bendLines.map((each, at) => (at === index ? { ...each, ...part } : each)) });
  return (
    <Group title="Folds">
      {plate.bendLines.map((fold, index) => (
        <div key={index} className="border-b border-rule px-1 pb-1 last:border-b-0">
          <Row name={`Fold ${index + 1}, by`}>
            <QuantityField
              field={`plate.${plate.id}.fold${index}.angle`}
              label={`Fold ${index + 1}, by`}
              quantity="angle"
              value={fold.angle}
              nudge={5}
              onCommit={(typed) => angleWithin(typed, [-180, 180], () => set(index, { angle: typed }))}
            />
            <RemoveButton
              name={`fold ${index + 1}`}
              onClick={() => done({ bendLines: plate.bendLines.filter((_, other) => other !== index) })}
            />
          </Row>
          <Row name="Height of its line">
            <QuantityField
              field={`plate.${plate.id}.fold${index}.y`}
              label={`Fold ${index + 1}, height of its line`}
              quantity="length"
              value={fold.from[1]}
              onCommit={(typed) =>
                lengthWithin(typed, [-1000, 1000], () =>
                  set(index, { from: [fold.from[0], typed], to: [fold.to[0], typed] }),
                )
              }
            />
          </Row>
          <Row name="Inside radius">
            <QuantityField
              field={`plate.${plate.id}.fold${index}.radius`}
              label={`Fold ${index + 1}, inside radius`}
              quantity="length"
              value={fold.radius}
              nudge={0.5}
              onCommit={(typed) => lengthWithin(typed, RADIUS, () => set(index, { radius: typed }))}
            />
          </Row>
          <p className="px-4 text-[13px] text-quiet">
            Outside lengths together, less{' '}
            <Length mm={folds[index]!.deduction} display={document.units} digits={2} />, are the flat sheet;
            round the fold it takes{' '}
            <Length mm={folds[index]!.allowance} display={document.units} digits={2} />.
          </p>
        </div>
      ))}
      <Button
        look="quiet"
        className="ml-2"
        disabled={plate.bendLines.length >= 10}
        onClick={() => {
          const middle = (Math.min(...ys) + Math.max(...ys)) / 2;
          done({
            bendLines: [
              ...plate.bendLines,
              {
                from: [Math.min(...xs), middle],
                to: [Math.max(...xs), middle],
                angle: 90,
                radius: plate.thickness,
              },
            ],
          });
        }}
      >
        <Plus size={14} aria-hidden /> Add a fold
      </Button>
    </Group>
  );
}
