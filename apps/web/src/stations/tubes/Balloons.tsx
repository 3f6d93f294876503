import type { Plan } from '@larchwood/core';
import { pointOn } from '@larchwood/core';
import { memberOf } from '../../editor/editor';
import { NumberTag } from '../../sheet/NumberTag';
import type { Pixel, View } from '../../sheet/view';

interface Props {
  readonly plan: Plan;
  readonly view: View;
  readonly selected: readonly string[];
  readonly onSelect: (piece: string, more: boolean) => void;
}

/** Tags keep so far from each other, and stand so far off their piece at first; px. */
const APART = 27;
const OFF = 34;
const TRIES = 9;

interface Tagged {
  readonly id: string;
  readonly number: number;
  readonly at: Pixel;
  readonly along: Pixel;
}

/** Piece numbers on leaders, as on a workshop drawing: one for a pair, each moved along until it stands clear. */
export function Balloons({ plan, view, selected, onSelect }: Props) {
  const parts = tagged(plan, view);
  const taken: Pixel[] = [];
  const centre: Pixel = [view.width / 2, view.height / 2];
  return parts.map(({ id, number, at, along }) => {
    const tag = clearPlace(at, along, centre, taken, view);
    taken.push(tag);
    const lit = selected.some((each) => memberOf(each) === id);
    return (
      <g
        key={`${id}${number}`}
        className="cursor-pointer"
        onClick={(event) => onSelect(id, event.shiftKey || event.ctrlKey || event.metaKey)}
      >
        <line x1={at[0]} y1={at[1]} x2={tag[0]} y2={tag[1]} stroke={lit ? 'var(--larch)' : 'var(--quiet)'} />
        <circle cx={at[0]} cy={at[1]} r="2.5" fill={lit ? 'var(--larch)' : 'var(--quiet)'} />
        <NumberTag at={tag} number={number} shape="round" tone={lit ? 'lit' : 'plain'} />
      </g>
    );
  });
}

function tagged(plan: Plan, view: View): Tagged[] {
  const seen = new Set<string>();
  const once = (id: string) => !seen.has(id) && seen.add(id) && true;
  return [
    ...plan.frame.pieces
      .filter((piece) => piece.side !== (view.name === 'side' ? 'left' : 'right') && once(piece.member.id))
      .map((piece): Tagged => {
        const station = piece.length * 0.46;
        const { at, direction } = pointOn(piece.path, station);
        const here = view.at(at);
        const on = view.at([at[0] + direction[0], at[1] + direction[1], at[2] + direction[2]]);
        return {
          id: piece.member.id,
          number: piece.member.piece,
          at: here,
          along: [on[0] - here[0], on[1] - here[1]],
        };
      }),
    ...plan.frame.plates
      .filter((plate) => once(plate.plate.id))
      .map((plate): Tagged => ({
        id: plate.plate.id,
        number: plate.plate.piece,
        at: view.at(plate.centre),
        along: [1, -1],
      })),
  ];
}

/** A place for a tag square to its piece, away from the middle of the sheet, swung and pushed out until it is free. */
function clearPlace(at: Pixel, along: Pixel, centre: Pixel, taken: readonly Pixel[], view: View): Pixel {
  const size = Math.hypot(along[0], along[1]);
  const outward = Math.atan2(at[1] - centre[1], at[0] - centre[0]);
  const square = size < 0.05 * view.scale ? outward : Math.atan2(-along[0], along[1]);
  const first = Math.cos(square - outward) >= 0 ? square : square + Math.PI;
  let best: Pixel = at;
  let room = -Infinity;
  for (let attempt = 0; attempt < TRIES; attempt += 1) {
    const swing = Math.ceil(attempt / 2) * 0.42 * (attempt % 2 === 0 ? 1 : -1);
    for (const off of [OFF, OFF * 1.7]) {
      const place: Pixel = [at[0] + Math.cos(first + swing) * off, at[1] + Math.sin(first + swing) * off];
      const inside =
        place[0] > 16 && place[1] > 60 && place[0] < view.width - 16 && place[1] < view.height - 16;
      const clear = inside
        ? Math.min(APART, ...taken.map((other) => Math.hypot(place[0] - other[0], place[1] - other[1])))
        : 0;
      if (clear >= APART) return place;
      if (clear > room) [room, best] = [clear, place];
    }
  }
  return best;
}
