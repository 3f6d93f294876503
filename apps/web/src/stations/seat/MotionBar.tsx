import { formatAngle, restTravel, type Plan } from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { Slider } from '../../parts/Slider';
import { useMotion } from './motion';

/** Turns the pedals, steers and works the springs of the drawing: nothing of the build changes. */
export function MotionBar({ plan }: { readonly plan: Plan }) {
  const { document } = useEditor('document');
  const { pose, move } = useMotion();
  const { places, steered, postures } = plan.stance;
  const cranks = places.some(({ feet }) => feet.on === 'cranks');
  const { lock } = document.seat;
  return (
    <div
      role="group"
      aria-label="Motion"
      className="flex min-h-11 shrink-0 flex-wrap items-center gap-x-6 gap-y-1 border-t border-rule px-4 py-1.5"
    >
      {cranks && (
        <Slider
          name="Pedals"
          value={pose.crank}
          range={[0, 360, 5]}
          text={`${Math.round(pose.crank)}°`}
          onChange={(crank) => move({ crank })}
        />
      )}
      {steered.length > 0 && (
        <Slider
          name="Steering"
          value={pose.steer}
          range={[-lock, lock, 1]}
          text={
            pose.steer === 0
              ? 'straight'
              : `${formatAngle(Math.abs(pose.steer), 0)} ${pose.steer > 0 ? 'left' : 'right'}`
          }
          onChange={(steer) => move({ steer })}
        />
      )}
      {postures && (
        <Slider
          name="Travel"
          value={pose.travel * 100}
          range={[0, 100, 5]}
          text={
            Math.abs(pose.travel - restTravel(plan.stance.state)) < 0.01
              ? 'ride height'
              : pose.travel === 0
                ? 'unladen'
                : pose.travel === 1
                  ? 'pressed home'
                  : `${Math.round(pose.travel * 100)} %`
          }
          onChange={(travel) => move({ travel: travel / 100 })}
        />
      )}
    </div>
  );
}
