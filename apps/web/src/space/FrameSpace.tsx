import { Html } from '@react-three/drei';
import { useMemo, useState } from 'react';
import { Plane, Vector3 } from 'three';
import { add, along, pointOn, scale, subtract, type Piece, type Plan, type Vector } from '@larchwood/core';
import { memberOf, useEditor } from '../editor/editor';
import { Choice } from '../parts/Choice';
import { spotOn } from './spots';
import { useTools } from './tools';
import { Beside, Ground } from './Beside3D';
import { platePart, STILL, TAKEN_APART, tubePart, WHOLE_FRAME, type Part } from './geometry';
import { LookFrom } from './LookFrom';
import { STEEL, usePalette, type Palette } from './palette';
import { Solids } from './Solids';
import { Stage, STANDPOINTS, type Standpoint } from './Stage';
import { Riders3D, Wheels } from './Vehicle3D';
import { Check } from '../parts/Check';

type Cut = 'none' | 'x' | 'y' | 'z';
const CUTS: readonly { readonly value: Cut; readonly label: string }[] = [
  { value: 'none', label: 'No section' },
  { value: 'y', label: 'Section along' },
  { value: 'x', label: 'Section across' },
  { value: 'z', label: 'Section level' },
];
/** What the section takes away is on the eye's side of the corner view. */
const TAKEN: Readonly<Record<Exclude<Cut, 'none'>, Vector>> = { x: [-1, 0, 0], y: [0, 1, 0], z: [0, 0, -1] };
/** A press this near to a node, mm, takes the node. */
const NODE_REACH = 25;

/** The frame in space: real tubes with their walls, to turn, take apart, cut open, pick and add to. */
export function FrameSpace() {
  const { plan, compared, document } = useEditor('plan', 'compared', 'document');
  const { tool, picked, pick, place, begun } = useTools();
  const palette = usePalette();
  const [standpoint, setStandpoint] = useState<Standpoint>('corner');
  const [asked, setAsked] = useState(0);
  const [shown, setShown] = useState({ wheels: true, riders: false, numbers: false, other: false });
  const [apart, setApart] = useState(0);
  const [cut, setCut] = useState<Cut>('none');
  const [at, setAt] = useState(0.5);
  const points = useMemo(() => (plan ? pointsOf(plan) : []), [plan]);
  const extent = useMemo(() => (plan ? [...points, ...wheelCorners(plan)] : []), [plan, points]);
  const planes = useMemo(() => sectionPlanes(points, cut, at), [points, cut, at]);
  if (!plan) return null;
  const press = (piece: Piece, point: Vector, more: boolean) =>
    tool === 'tube' ? place(spotOn(plan.frame, piece, point, NODE_REACH)) : pick(piece.id, more);
  return (
    <div className="flex h-full min-h-0 flex-col">
      <div className="relative min-h-0 flex-1">
        <Stage
          points={extent}
          from={STANDPOINTS[standpoint].from}
          fit={`${document.kind} ${standpoint} ${asked}`}
          palette={palette}
          label="The frame in space"
          onMissed={() => tool === 'pick' && pick(undefined)}
        >
          {plan.frame.pieces.length > 0 && (
            <Pieces
              plan={plan}
              picked={picked}
              apart={apart}
              planes={planes}
              onPress={press}
              numbers={shown.numbers}
              palette={palette}
            />
          )}
          {extent.length > 0 && <Ground points={extent} palette={palette} />}
          {shown.wheels && apart === 0 && <Beside plan={plan} palette={palette} />}
          {shown.wheels && <Wheels plan={plan} palette={palette} />}
          {shown.riders && <Riders3D plan={plan} palette={palette} />}
          {shown.other && compared && <Other plan={compared.plan} palette={palette} />}
          {plan.interferences.map((interference) => (
            <mesh key={`${interference.a}${interference.b}`} position={[...interference.at]}>
              <sphereGeometry args={[14, 12, 8]} />
              <meshBasicMaterial color={palette.brick} transparent opacity={0.8} depthTest={false} />
            </mesh>
          ))}
        </Stage>
        {begun && (
          <p className="pointer-events-none absolute top-2 left-3 text-[13px] text-larch-text">
            The tube has begun.
          </p>
        )}
      </div>
      <div className="flex min-h-10 shrink-0 print:hidden flex-wrap items-center gap-x-3 gap-y-1 border-t border-rule px-3 py-1 text-[13.5px]">
        <LookFrom
          value={standpoint}
          onChange={(next) => {
            setStandpoint(next);
            setAsked((before) => before + 1);
          }}
        />
        {(
          [
            ['wheels', 'Wheels'],
            ['riders', 'Riders'],
            ['numbers', 'Numbers'],
            ...(compared ? ([['other', 'Compared']] as const) : []),
          ] as const
        ).map(([id, name]) => (
          <Check
            key={id}
            checked={shown[id]}
            onChange={(checked) => setShown((before) => ({ ...before, [id]: checked }))}
          >
            {name}
          </Check>
        ))}
        <label className="flex min-h-8 items-center gap-2">
          Apart
          <input
            type="range"
            min={0}
            max={1}
            step={0.02}
            value={apart}
            onChange={(event) => setApart(Number(event.target.value))}
            className="w-24 accent-larch"
          />
        </label>
        <Choice
          label="Section plane"
          value={cut}
          groups={[{ options: CUTS }]}
          onChange={(next) => setCut(next as Cut)}
          className="w-32"
        />
        {cut !== 'none' && (
          <label className="flex min-h-8 items-center gap-2">
            at
            <input
              type="range"
              min={0}
              max={1}
              step={0.005}
              value={at}
              onChange={(event) => setAt(Number(event.target.value))}
              className="w-24 accent-larch"
              aria-label="Place of the section"
            />
          </label>
        )}
      </div>
    </div>
  );
}

/** Points on the rims of the wheels: what a view has to show of them. */
const wheelCorners = (plan: Plan): Vector[] =>
  plan.stance.standing.flatMap(({ centre: [x, y, z], radius }) =>
    RIM_POINTS.map(([across, up]): Vector => [x + across * radius, y, z + up * radius]),
  );
const RIM_POINTS = Array.from({ length: 8 }, (_, step): readonly [number, number] => [
  Math.cos((step * Math.PI) / 4),
  Math.sin((step * Math.PI) / 4),
]);

const pointsOf = (plan: Plan): Vector[] => [
  ...plan.frame.pieces.flatMap(({ path }) =>
    path.legs.flatMap(({ from, direction, length }) => [from, along(from, direction, length)]),
  ),
  ...(plan.frame.pieces.length === 0 ? Object.values(plan.stance.points) : []),
];

function sectionPlanes(points: readonly Vector[], cut: Cut, share: number): readonly Plane[] {
  if (cut === 'none' || points.length === 0) return NO_PLANES;
  const axis = { x: 0, y: 1, z: 2 }[cut] as 0 | 1 | 2;
  const values = points.map((point) => point[axis]);
  const [low, high] = [Math.min(...values) - 30, Math.max(...values) + 30];
  const at = low + (high - low) * share;
  const normal = new Vector3(...TAKEN[cut]);
  return [new Plane(normal, -normal.getComponent(axis) * at)];
}
const NO_PLANES: readonly Plane[] = [];

interface PiecesProps {
  readonly plan: Plan;
  readonly picked: readonly string[];
  readonly apart: number;
  readonly planes: readonly Plane[];
  readonly numbers: boolean;
  readonly palette: Palette;
  readonly onPress: (piece: Piece, at: Vector, more: boolean) => void;
}

function Pieces({ plan, picked, apart, planes, numbers, palette, onPress }: PiecesProps) {
  const middle = useMemo(() => {
    const points = pointsOf(plan);
    const sum = points.reduce<Vector>(
      (total, [x, y, z]) => [total[0] + x, total[1] + y, total[2] + z],
      [0, 0, 0],
    );
    return scale(sum, 1 / points.length);
  }, [plan]);
  const parts = useMemo((): readonly Part[] => {
    const cuts = cutsOf(plan);
    const offsetOf = (at: Vector): Vector => (apart === 0 ? STILL : scale(subtract(at, middle), apart));
    const lit = (piece: Piece) =>
      picked.some((each) => each === piece.id || (memberOf(each) === piece.member.id && !each.includes(':')));
    const detail = apart > 0 || planes.length > 0 ? TAKEN_APART : WHOLE_FRAME;
    const tint = (piece: Piece) => (lit(piece) ? palette.larch : piece.supplied ? palette.quiet : STEEL);
    return [
      ...plan.frame.pieces.map((piece) =>
        tubePart(piece, cuts.get(piece.id)!, detail, tint(piece), offsetOf(middleOf(piece))),
      ),
      ...plan.frame.plates.map((plate) => platePart(plate, palette.steel, offsetOf(plate.centre))),
    ];
  }, [plan, picked, apart, planes.length, palette, middle]);
  return (
    <>
      <Solids parts={parts} palette={palette} planes={planes} onPress={onPress} />
      {numbers &&
        parts.map(
          ({ piece, offset }) =>
            piece && (
              <Html
                key={piece.id}
                position={[...add(middleOf(piece), offset)]}
                center
                zIndexRange={[5, 0]}
                style={{ pointerEvents: 'none' }}
              >
                <span className="figure rounded-full border border-ink bg-sheet px-1.5 text-[12px] font-bold">
                  {piece.mark}
                </span>
              </Html>
            ),
        )}
    </>
  );
}

const middleOf = (piece: Piece): Vector => pointOn(piece.path, piece.length / 2).at;
const cutsOf = (plan: Plan) => new Map([...plan.cuts, ...plan.given].map((cut) => [cut.piece, cut]));

/** The compared revision or build, faint. */
function Other({ plan, palette }: { readonly plan: Plan; readonly palette: Palette }) {
  const parts = useMemo(() => {
    const cuts = cutsOf(plan);
    return plan.frame.pieces.map((piece) => tubePart(piece, cuts.get(piece.id)!, WHOLE_FRAME, palette.larch));
  }, [plan, palette]);
  return <Solids parts={parts} palette={palette} faint />;
}
