import { memo } from 'react';
import {
  acrossOf,
  dot,
  onPlate,
  zonesOf,
  type Piece,
  type PieceCut,
  type PlacedPlate,
  type Plan,
  centreLine,
  EYE,
  isEndOn,
  pieceOutline,
} from '@larchwood/core';
import { memberOf } from '../editor/editor';
import { pathOf } from './path';
import type { View } from './view';

interface Props {
  readonly plan: Plan;
  readonly view: View;
  /** While it is dragged, chain lines are plain ones: dashes take long to draw. */
  readonly moving?: boolean;
  /** Pieces in hand: members, or one twin. */
  readonly selected?: readonly string[];
  readonly onSelect?: ((piece: string, more: boolean) => void) | undefined;
  /** Thick ends of butted tubes marked where they end. */
  readonly zones?: boolean;
}

interface TubeProps extends Pick<Props, 'view' | 'moving' | 'onSelect'> {
  readonly piece: Piece;
  readonly cut: PieceCut;
  readonly lit: boolean;
}

/** One tube's outline; drawn again only when it or the view is another. */
const TubeShape = memo(function TubeShape({ piece, cut, view, moving, lit, onSelect }: TubeProps) {
  return (
    <path
      d={pathOf(pieceOutline(piece, cut, view))}
      fill={lit ? 'var(--larch-wash)' : piece.supplied ? 'var(--paper)' : 'var(--sheet)'}
      stroke={lit ? 'var(--larch)' : 'var(--ink)'}
      strokeWidth={lit ? 2 : 1.3}
      strokeDasharray={piece.supplied && !moving ? '6 2' : undefined}
      className={onSelect ? 'cursor-pointer' : ''}
      data-piece={piece.id}
      onClick={
        onSelect ? (event) => onSelect(piece.id, event.shiftKey || event.ctrlKey || event.metaKey) : undefined
      }
    />
  );
});

/** ISO 128: the chain line of an axis. */
const CHAIN = '12 3 2 3';

/** Every cut tube and plate as one view shows them, the farther ones first. */
export function FrameDrawing({ plan, view, moving = false, selected = [], onSelect, zones = false }: Props) {
  const eye = EYE[view.name];
  const cuts = new Map([...plan.cuts, ...plan.given].map((cut) => [cut.piece, cut]));
  const drawn = [
    ...plan.frame.plates.map((plate) => ({ plate, near: dot(plate.centre, eye) })),
    ...plan.frame.pieces.map((piece) => ({ piece, cut: cuts.get(piece.id)!, near: nearness(piece, eye) })),
  ].sort((a, b) => a.near - b.near);
  const lit = (id: string) =>
    selected.some((each) => each === id || (memberOf(each) === memberOf(id) && !each.includes(':')));
  return (
    <g strokeLinejoin="round">
      {drawn.map((each) =>
        'plate' in each ? (
          <PlateShape key={each.plate.id} plate={each.plate} view={view} />
        ) : (
          <TubeShape
            key={each.piece.id}
            piece={each.piece}
            cut={each.cut}
            view={view}
            moving={moving}
            lit={lit(each.piece.id)}
            onSelect={onSelect}
          />
        ),
      )}
      {zones &&
        drawn.map(
          (each) =>
            'piece' in each && <Zones key={each.piece.id} piece={each.piece} cut={each.cut} view={view} />,
        )}
      <path
        d={plan.frame.pieces
          .filter((piece) => !isEndOn(piece, view))
          .map((piece) => pathOf(centreLine(piece, view), false))
          .join('')}
        fill="none"
        stroke="var(--quiet)"
        strokeWidth="0.7"
        strokeDasharray={moving ? undefined : CHAIN}
        pointerEvents="none"
      />
    </g>
  );
}

const nearness = (piece: Piece, eye: Plan['frame']['pieces'][number]['start']): number =>
  (dot(piece.start, eye) + dot(piece.end, eye)) / 2;

function PlateShape({ plate, view }: { readonly plate: PlacedPlate; readonly view: View }) {
  return (
    <path
      d={pathOf(plate.plate.outline.map((point) => view.at(onPlate(plate, point))))}
      fill="var(--paper)"
      stroke="var(--ink)"
      strokeWidth="1.1"
      data-plate={plate.id}
    />
  );
}

/** Ticks across a butted tube where its thick ends stop, and where it is thin. */
function Zones({ piece, cut, view }: { readonly piece: Piece; readonly cut: PieceCut; readonly view: View }) {
  const [a, b, c, d] = zonesOf(piece, cut);
  if (a === undefined || isEndOn(piece, view)) return null;
  const at = (station: number) => {
    const [x, y] = view.at([
      piece.start[0] + piece.direction[0] * station,
      piece.start[1] + piece.direction[1] * station,
      piece.start[2] + piece.direction[2] * station,
    ]);
    return [x, y] as const;
  };
  const [[x0, y0], [x1, y1]] = [at(0), at(piece.length)];
  const size = Math.hypot(x1 - x0, y1 - y0) || 1;
  const reach = (acrossOf(piece.section) / 2) * view.scale;
  const [nx, ny] = [(-(y1 - y0) / size) * reach, ((x1 - x0) / size) * reach];
  const tick = (station: number) => {
    const [x, y] = at(station);
    return `M${x + nx} ${y + ny}L${x - nx} ${y - ny}`;
  };
  return (
    <g stroke="var(--steel)" pointerEvents="none">
      <path d={tick(a) + tick(d!)} strokeWidth="1.2" />
      <path d={tick(b!) + tick(c!)} strokeWidth="1" strokeDasharray="2 2" />
    </g>
  );
}
