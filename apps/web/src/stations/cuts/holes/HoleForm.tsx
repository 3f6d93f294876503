import {
  faceWords,
  failure,
  roomBetween,
  success,
  type Bore,
  type Piece,
  type Place,
  type PieceCut,
  type Result,
} from '@larchwood/core';
import { HOLE_LIMITS, type Hole, type Limits } from '@larchwood/format';
import { useEditor } from '../../../editor/editor';
import { ChoiceRow } from '../../../ledger/ChoiceRow';
import { angleWithin, lengthWithin } from '../../../ledger/bounds';
import { Group, Row } from '../../../ledger/Panel';
import { QuantityField } from '../../../ledger/QuantityField';
import { TextField } from '../../../ledger/TextField';
import { Button } from '../../../parts/Button';
import { BuildCheck } from '../../../ledger/BuildCheck';
import { Length } from '../../../parts/Figure';
import { changeHole, changeHoles } from '../../../edits/cuts';

interface Props {
  readonly piece: Piece;
  readonly cut: PieceCut;
  /** As it is marked. */
  readonly bore: Pick<Bore, 'fromStart'> | undefined;
  readonly hole: Hole;
  /** Named places along the piece. */
  readonly places: readonly Place[];
  readonly onRemoved: () => void;
}

/** Before the id of a named place, so that it is not taken for an end. */
const PLACE = 'at:';
const FROM = [
  ['start', 'its start'],
  ['end', 'its end'],
  ['middle', 'its middle'],
] as const;

type Part = Parameters<typeof changeHole>[2];

/** One hole in builders’ words: where along the tube, on which face, how large in each wall, and what goes about it. */
export function HoleForm({ piece, cut, bore, hole, places, onRemoved }: Props) {
  const { document, edit, settle } = useEditor('document', 'edit', 'settle');
  const member = piece.member.id;
  const change = (part: Part): Result<true> =>
    edit(`hole.${member}.${hole.id}`, changeHole(member, hole.id, part));
  const choose = (part: Part) => {
    change(part);
    settle();
  };
  const size = (
    of: string,
    name: string,
    value: number,
    limits: Limits,
    take: (value: number) => Part,
    quantity: 'length' | 'angle' = 'length',
  ) => (
    <Row name={name}>
      <QuantityField
        field={`hole.${member}.${hole.id}.${of}`}
        label={name}
        quantity={quantity}
        value={value}
        onCommit={(typed) =>
          (quantity === 'length' ? lengthWithin : angleWithin)(typed, limits, () => change(take(typed)))
        }
      />
    </Row>
  );
  const { circle, far, slot, axle, between, sleeve } = hole;
  const box = piece.section.shape === 'rectangular';
  const room = roomBetween(piece, cut, bore?.fromStart ?? 0);
  return (
    <>
      <Group title="Where">
        <Row name="Name">
          <TextField
            field={`hole.${member}.${hole.id}.name`}
            label="Name of the hole"
            value={hole.name}
            required
            onCommit={(name) => change({ name })}
            className="w-44"
          />
        </Row>
        <ChoiceRow
          name="Measured from"
          value={hole.at === undefined ? hole.from : PLACE + hole.at}
          options={[
            ...FROM.map(([value, label]) => ({ value, label })),
            ...places.map(({ id, name }) => ({ value: PLACE + id, label: name })),
            ...(hole.at === undefined || places.some(({ id }) => id === hole.at)
              ? []
              : [{ value: PLACE + hole.at, label: 'a place that is not on this tube' }]),
          ]}
          onChange={(from) =>
            choose(
              from.startsWith(PLACE)
                ? { at: from.slice(PLACE.length), distance: 0 }
                : { from: from as Hole['from'], at: undefined },
            )
          }
        />
        {size(
          'distance',
          hole.at === undefined ? 'At' : 'From there, towards its end',
          hole.distance,
          HOLE_LIMITS.distance,
          (distance) => ({ distance }),
        )}
        {box ? (
          <ChoiceRow
            name="On the face that looks"
            value={String((((Math.round(hole.face / 90) % 4) + 4) % 4) * 90)}
            options={[0, 90, 180, 270].map((face) => ({
              value: String(face),
              label: faceWords(piece, face),
            }))}
            onChange={(face) => choose({ face: Number(face) })}
          />
        ) : (
          size(
            'face',
            'Round from the top, clockwise',
            hole.face,
            HOLE_LIMITS.face,
            (face) => ({ face }),
            'angle',
          )
        )}
        {size('off', 'Off the middle', hole.off, HOLE_LIMITS.off, (off) => ({ off }))}
      </Group>
      <Group title="How large">
        {size(
          'diameter',
          slot === undefined ? 'Diameter' : 'Width of the slot',
          hole.diameter,
          HOLE_LIMITS.diameter,
          (diameter) => ({ diameter }),
        )}
        <Option
          name="Through the far wall"
          on={far !== undefined}
          onChange={(on) => choose({ far: on ? hole.diameter : undefined })}
        />
        {far !== undefined && size('far', 'There', far, HOLE_LIMITS.diameter, (value) => ({ far: value }))}
        <Option
          name="A slot"
          on={slot !== undefined}
          onChange={(on) => choose({ slot: on ? hole.diameter * 2 : undefined })}
        />
        {slot !== undefined && size('slot', 'Long', slot, HOLE_LIMITS.slot, (value) => ({ slot: value }))}
        <Option
          name="An axle goes in"
          on={axle !== undefined}
          onChange={(on) => choose({ axle: on ? hole.diameter : undefined, between: undefined })}
        />
        {axle !== undefined &&
          size('axle', 'Axle, or across its flats', axle, HOLE_LIMITS.axle, (value) => ({ axle: value }))}
        {axle !== undefined && piece.side !== 'middle' && (
          <Option
            name="Its length between the faces is known"
            on={between !== undefined}
            onChange={(on) =>
              choose({ between: on ? Math.max(1, Math.floor(2 * room - 0.4) / 2) : undefined })
            }
          />
        )}
        {between !== undefined && (
          <>
            {size('between', 'Between its faces', between, HOLE_LIMITS.between, (value) => ({
              between: value,
            }))}
            <Row name="The two tubes leave">
              <Length mm={room} display={document.units} />
            </Row>
          </>
        )}
        <Option
          name="A crush sleeve"
          on={sleeve !== undefined}
          onChange={(on) => choose({ sleeve: on ? Math.max(hole.diameter, far ?? 0) : undefined })}
        />
        {sleeve !== undefined &&
          size('sleeve', 'Sleeve, outside', sleeve, HOLE_LIMITS.sleeve, (value) => ({ sleeve: value }))}
        <Option
          name="Bolts about it"
          on={circle !== undefined}
          onChange={(on) =>
            choose({
              circle: on ? { count: 4, diameter: hole.diameter + 30, hole: 8, first: 45 } : undefined,
            })
          }
        />
        {circle && (
          <>
            <Row name="How many">
              <TextField
                field={`hole.${member}.${hole.id}.count`}
                label="How many bolts"
                value={String(circle.count)}
                className="w-14"
                onCommit={(text) => {
                  const count = Number(text);
                  if (!Number.isInteger(count) || count < 1 || count > 24)
                    return failure('A whole number from 1 to 24.');
                  return count === circle.count ? success(true) : change({ circle: { ...circle, count } });
                }}
              />
            </Row>
            {size('circle', 'On a circle of', circle.diameter, HOLE_LIMITS.circle, (diameter) => ({
              circle: { ...circle, diameter },
            }))}
            {size('bolt', 'Each', circle.hole, HOLE_LIMITS.bolt, (bolt) => ({
              circle: { ...circle, hole: bolt },
            }))}
            {size(
              'first',
              'First, from along the tube',
              circle.first,
              HOLE_LIMITS.face,
              (first) => ({ circle: { ...circle, first } }),
              'angle',
            )}
          </>
        )}
      </Group>
      <div className="flex justify-end px-3 py-2">
        <Button
          look="quiet"
          onClick={() => {
            edit(
              `holes.${member}`,
              changeHoles(member, (holes) => holes.filter(({ id }) => id !== hole.id)),
            );
            settle();
            onRemoved();
          }}
        >
          Take this hole out
        </Button>
      </div>
    </>
  );
}

function Option({
  name,
  on,
  onChange,
}: {
  readonly name: string;
  readonly on: boolean;
  readonly onChange: (on: boolean) => void;
}) {
  return (
    <BuildCheck checked={on} onChange={onChange} className="px-4">
      {name}
    </BuildCheck>
  );
}
