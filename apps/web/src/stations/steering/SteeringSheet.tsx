import { useMemo } from 'react';
import {
  fixedPlan,
  stepAt,
  positionsAt,
  turnOf,
  wheelsIn,
  restTravel,
  type Kind,
  type Plan,
  type Steering,
  type SteeringStep,
  type Vector,
  type ViewName,
} from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { Sheet } from '../../sheet/Sheet';
import { placesOf } from '../../sheet/places';
import { Riders } from '../../sheet/Riders';
import { Vehicle } from '../../sheet/Vehicle';
import { vehicleExtent, type Extent } from '../../sheet/view';
import { withSeats } from '../../sheet/withSeats';
import { LinkageDrawing } from './LinkageDrawing';
import { useSteeringMotion } from './motion';
import { TurnLines } from './TurnLines';

export type SheetId = ViewName | 'turn';
const TITLES: Readonly<Record<SheetId, string>> = {
  side: 'Steering, from the right',
  plan: 'Steering, from above',
  front: 'Steering, from ahead',
  turn: 'The turn, from above',
};

/** The vehicle with its linkage, the wheels turned as far as is shown; `turn` holds the centre that it turns about. */
export function SteeringSheet({
  plan,
  kind,
  steering,
  proposed,
  sheet,
  wall,
  corners,
}: {
  readonly plan: Plan;
  readonly kind: Kind;
  readonly steering: Steering | undefined;
  /** A linkage that is offered in its place. */
  readonly proposed: Steering | undefined;
  readonly sheet: SheetId;
  /** Diameter of the turn that a wall must clear, and what it is measured to; mm. */
  readonly wall: number | undefined;
  readonly corners: readonly Vector[];
}) {
  const { steer } = useSteeringMotion();
  const name: ViewName = sheet === 'turn' ? 'plan' : sheet;
  const step = useMemo(() => steering && stepOf(steering, plan, steer), [steering, plan, steer]);
  const { document } = useEditor('document');
  // The linkage is drawn as it moves: its pieces do not stand there straight ahead as well.
  const seated = useMemo(() => withSeats(fixedPlan(document, plan)), [document, plan]);
  const posed = useMemo(() => {
    const pose = { steer, travel: restTravel(plan.stance.state) };
    return { ...seated, stance: { ...seated.stance, standing: wheelsIn(plan, kind, pose) } };
  }, [seated, plan, kind, steer]);
  const extent = useMemo(
    () => (sheet === 'turn' ? turnExtent(plan, wall) : linkageExtent(plan, steering, name)),
    [plan, sheet, wall, name, steering],
  );
  return (
    <Sheet
      plan={seated}
      view={name}
      extent={extent}
      title={TITLES[sheet]}
      note={
        proposed
          ? 'dashed: the linkage that is proposed'
          : sheet === 'turn'
            ? 'full circle: kerb to kerb; dots: wall to wall'
            : undefined
      }
      drawing={(view) => (
        <>
          <g opacity={sheet === 'turn' ? 1 : 0.55}>
            <Vehicle plan={posed} view={view} moving />
          </g>
          {sheet !== 'turn' && (
            <g opacity="0.5">
              <Riders places={placesOf(plan)} motion={{ crank: 75, steer }} view={view} />
            </g>
          )}
          {step && name === 'plan' && (
            <TurnLines plan={plan} step={step} view={view} {...(sheet === 'turn' ? { corners } : {})} />
          )}
          {steering && <LinkageDrawing steering={steering} steer={steer} view={view} />}
          {proposed && <LinkageDrawing steering={proposed} steer={steer} view={view} ghost />}
        </>
      )}
    />
  );
}

function stepOf({ built: { chain }, sweep }: Steering, plan: Plan, steer: number): SteeringStep | undefined {
  const positions = positionsAt(sweep, Object.values(chain.wheels), steer);
  return stepAt(chain, plan.stance.steered, positions[chain.driver] ?? 0);
}

/** The front end with its linkage and what moves it, as large as it goes. */
function linkageExtent(plan: Plan, steering: Steering | undefined, name: ViewName): Extent {
  const whole = vehicleExtent(plan, name);
  if (!steering || name === 'front') return whole;
  const xs = [
    ...Object.values(steering.built.points).map(({ at }) => at[0]),
    ...plan.stance.steered.flatMap(({ centre, radius }) => [centre[0] - radius, centre[0] + radius]),
    plan.stance.places[0]?.hip[0] ?? 0,
  ];
  return {
    ...whole,
    left: Math.max(whole.left, Math.min(...xs) - 200),
    right: Math.min(whole.right, Math.max(...xs) + 120),
  };
}

/** The vehicle at full left, and the whole of its circle. */
function turnExtent(plan: Plan, wall: number | undefined): Extent {
  const whole = vehicleExtent(plan, 'plan');
  if (wall === undefined) return whole;
  const radius = wall / 2;
  const steering = plan.steering?.ok ? plan.steering.steering : undefined;
  const last = steering?.sweep.steps.at(-1);
  const centre = (last && turnOf(plan.stance.steered, last).centre) ?? 0;
  return {
    left: Math.min(whole.left, -radius),
    right: Math.max(whole.right, radius),
    bottom: Math.min(whole.bottom, centre - radius),
    top: Math.max(whole.top, centre + radius),
  };
}
