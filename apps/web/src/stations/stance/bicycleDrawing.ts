import type { Plan, Vector } from '@larchwood/core';
import { aligned, angle, beside, level, upright, type DrawnDimension } from '../../sheet/dimensions';
import type { View } from '../../sheet/view';

/** Where a bicycle's dimensions stand on its side view: short ones near what they measure, overall ones outside. */
export function bicycleDimensions(plan: Plan, view: View): readonly DrawnDimension[] {
  const { values, wheels } = plan.stance;
  const point = (name: string) => view.at(plan.stance.points[name] as Vector);
  const [rear, front, bb] = [point('rearAxle'), point('frontAxle'), point('bottomBracket')];
  const [lower, upper, crown] = [point('headTubeLower'), point('headTubeUpper'), point('crown')];
  const [seatTop, axisGround, foot] = [point('seatTubeTop'), point('axisGround'), point('axleFoot')];
  const contact = point('frontContact');
  const ground = view.y(0);
  const frontWheelEdge = front[0] + wheels.front.radius * view.scale;
  const head = values.headAngle ?? 72;
  const seat = values.seatTubeAngle ?? 73;
  const wheelRadius = wheels.front.radius * view.scale;
  // The effective top tube runs level from the head tube's top to the seat tube's line.
  const seatLine: [number, number] = [upper[0] - (values.effectiveTopTube ?? 0) * view.scale, upper[1]];
  const overall = Math.min(upper[1], seatTop[1]);
  const low = bb[0] + Math.min(64, (front[0] - wheelRadius - bb[0]) * 0.5);

  return [
    level('wheelbase', [rear[0], ground], [front[0], ground], ground + 66),
    beside(level('trail', contact, axisGround, ground + 26), 42),
    level('effectiveTopTube', seatLine, upper, overall - 26, 0.42),
    level('reach', bb, upper, overall - 60, 0.55),
    upright('stack', [upper[0], bb[1]], upper, frontWheelEdge + 26, 0.36),
    upright('bottomBracketHeight', [bb[0], ground], bb, low),
    upright('bottomBracketDrop', bb, [bb[0], rear[1]], low, 0.5),
    aligned('chainstayLength', rear, bb, -30, 0.5),
    aligned('seatTubeLength', bb, seatTop, -44, 0.5),
    angle('seatTubeAngle', bb, 62, 180, 180 - seat, 62, 180 - seat * 0.6),
    aligned('frontCentre', bb, front, 0, 0.68),
    aligned('headTubeLength', lower, upper, -34, 0.45),
    aligned('axleToCrown', front, crown, -64, 0.52),
    beside(aligned('forkOffset', foot, front, 0), 40, 14),
    angle(
      'headAngle',
      axisGround,
      wheelRadius * 0.62,
      180,
      180 - head,
      wheelRadius * 0.62,
      180 - head * 0.42,
    ),
  ];
}
