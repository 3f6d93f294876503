import { BAR, BRACE, cageOf, cross, FLOOR, FOOT, HOOP, LIGHT, pair, type Cage } from './cage.js';
import { nose, tabs, tail } from './cageEnds.js';
import { capped, coped, onPlate, type Layout } from './layout.js';
import { rectangle } from './shapes.js';
import { sketch, type Sketch } from './sketch.js';

/**
 * Caged off-road kart or buggy: a floor frame first, then a main hoop in one piece, a front hoop, roof and side bars,
 * rear uprights and braces at nodes, suspension tabs. Sizes are a start: the rule book and a licensed engineer say what a
 * roll structure, seat and harness mounts must be.
 */
export const CAGED: Layout = {
  id: 'caged',
  name: 'Caged kart or buggy',
  about: 'Floor frame, hoops in one piece, roof and side bars, braces at nodes.',
  kinds: ['buggy'],
  sets: ['buggy', 'off-road-kart'],
  datum: 'Floor frame, rear centre',
  schools: ['table', 'plan', 'none'],
  make: (stance, options = {}) => {
    const s = sketch(stance, options, 'dom-1020');
    s.group('floor', 'Floor frame');
    s.group('cage', 'Hoops and bars');
    s.group('nose', 'Nose');
    s.group('tail', 'Tail');
    s.group('plates', 'Plates');
    const c = cageOf(s, stance);
    floorFrame(s, c);
    hoops(s, c);
    sideBars(s, c);
    nose(s, c);
    tail(s, c);
    tabs(s, c);
    return s.done();
  },
};
function floorFrame(s: Sketch, c: Cage): void {
  const rear = s.beside('sillRear', 'Sill, rear end', 'seat', [c.hoopX - 40, c.half, c.z]);
  const front = s.beside('sillFront', 'Sill, front corner', 'seat', [c.dashX + 50, c.half, c.z]);
  const heel = s.beside('sillHeel', 'Sill, heel corner', 'pedals', [c.footX - 130, c.toeHalf, c.z]);
  const toe = s.beside('sillToe', 'Sill, toe end', 'pedals', [c.footX, c.toeHalf - 40, c.z]);
  s.tube('sills', 'Sill', [rear, toe], FLOOR, {
    start: capped(2),
    end: capped(2),
    bends: [
      [front, 150],
      [heel, 150],
    ],
    mirrored: true,
    group: 'floor',
  });
  const at = (id: string, name: string, x: number) => s.beside(id, name, 'seat', [x, c.half, c.z]);
  cross(
    s,
    'hoopCross',
    'Floor cross tube, hoop',
    at('hoopCrossAt', 'Floor cross tube, hoop', c.hoopX + 60),
    'sills',
    FLOOR,
    'floor',
  );
  cross(
    s,
    'seatRearCross',
    'Seat cross tube, rear',
    at('seatRearCrossAt', 'Seat cross tube, rear', c.seat[0] + 20),
    'sills',
    FLOOR,
    'floor',
  );
  cross(
    s,
    'seatFrontCross',
    'Seat cross tube, front',
    at('seatFrontCrossAt', 'Seat cross tube, front', c.seat[0] + 290),
    'sills',
    FLOOR,
    'floor',
  );
  cross(
    s,
    'dashCross',
    'Floor cross tube, knees',
    at('dashCrossAt', 'Floor cross tube, knees', c.dashX - 110),
    'sills',
    FLOOR,
    'floor',
  );
  cross(
    s,
    'toeCross',
    'Floor cross tube, toes',
    s.onMember('toeCrossAt', 'Floor cross tube, toes', 'sills', 'end', 50),
    'sills',
    FLOOR,
    'floor',
  );
  const middle = (id: string, a: string) => s.between(id, 'Middle of a floor cross tube', a, s.other(a), 0.5);
  const rail = (id: string, name: string, from: string, to: string, a: string, b: string) =>
    s.tube(id, name, [from, to], LIGHT, { start: coped(a), end: coped(b), group: 'floor' });
  rail(
    'keel1',
    'Floor keel, rear',
    middle('hoopMiddle', 'hoopCrossAt'),
    middle('seatRearMiddle', 'seatRearCrossAt'),
    'hoopCross',
    'seatRearCross',
  );
  rail(
    'keel2',
    'Floor keel, seat',
    'seatRearMiddle',
    middle('seatFrontMiddle', 'seatFrontCrossAt'),
    'seatRearCross',
    'seatFrontCross',
  );
  rail(
    'keel3',
    'Floor keel, knees',
    'seatFrontMiddle',
    middle('dashMiddle', 'dashCrossAt'),
    'seatFrontCross',
    'dashCross',
  );
  rail('keel4', 'Floor keel, feet', 'dashMiddle', middle('toeMiddle', 'toeCrossAt'), 'dashCross', 'toeCross');
  const mount = (id: string, name: string, y: number) => {
    const at = (end: string, x: number) => s.beside(`${id}${end}`, name, 'seat', [x, y, c.z]);
    pair(
      s,
      id,
      name,
      [at('Rear', c.seat[0] + 20), at('Front', c.seat[0] + 290)],
      LIGHT,
      [['seatRearCross'], ['seatFrontCross']],
      'floor',
    );
  };
  if (c.several) mount('outerSeatMounts', 'Seat mount, outer', c.seatY + 125);
  mount('innerSeatMounts', 'Seat mount, inner', c.several ? c.seatY - 125 : 125);
  const quarter = s.between(
    'floorBraceRoot',
    'Floor brace at the knees’ cross tube',
    'dashMiddle',
    'dashCrossAt',
    0.3,
  );
  const out = s.beside('floorBraceTip', 'Floor brace at the sill', 'seat', [c.seat[0] + 340, c.half, c.z]);
  pair(s, 'floorBraces', 'Floor brace', [quarter, out], LIGHT, [['dashCross'], ['sills']], 'floor');
}

function hoops(s: Sketch, c: Cage): void {
  const foot = s.beside('hoopFoot', 'Main hoop, foot', 'seat', [
    c.hoopX,
    c.half,
    c.z + 19 + FOOT.thickness / 2,
  ]);
  const corner = s.beside('hoopCorner', 'Main hoop, corner', 'helmet', [c.hoopX, c.half - 90, c.hoopHigh]);
  const waist = s.beside('hoopWaist', 'Main hoop, waist', 'seat', [
    c.hoopX,
    c.half + 10,
    c.z + (c.hoopHigh - c.z) * 0.5,
  ]);
  s.tube('mainHoop', 'Main hoop', [foot, s.other(foot)], HOOP, {
    start: onPlate('hoopFeet'),
    end: onPlate('hoopFeet'),
    bends: [
      [waist, 200],
      [corner, 150],
      [s.other(corner), 150],
      [s.other(waist), 200],
    ],
    group: 'cage',
  });
  s.plate('hoopFeet', 'Foot plate of the main hoop', foot, FOOT.thickness, rectangle(FOOT.long, FOOT.wide), {
    plane: 'plan',
    mirrored: true,
    group: 'plates',
  });
  const frontFoot = s.beside('frontHoopFoot', 'Front hoop, foot', 'seat', [c.dashX - 30, c.half, c.z]);
  const dash = s.beside('frontHoopDash', 'Front hoop, knee', 'steeringWheel', [
    c.dashX - 20,
    c.half - 20,
    c.dashZ,
  ]);
  const roof = s.beside('frontHoopRoof', 'Front hoop, corner', 'helmet', [
    c.roofX,
    c.half - 100,
    c.hoopHigh - 10,
  ]);
  s.tube('frontHoop', 'Front hoop', [frontFoot, s.other(frontFoot)], BAR, {
    start: coped('sills:left'),
    end: coped('sills:right'),
    bends: [
      [dash, 150],
      [roof, 130],
      [s.other(roof), 130],
      [s.other(dash), 150],
    ],
    group: 'cage',
  });
  const roofRear = s.node('roofRear', 'Roof bar at the main hoop', {
    on: 'square',
    member: 'mainHoop',
    node: s.node('roofRearAim', 'Behind the roof bar', { on: 'node', node: corner, offset: [0, -110, 0] }),
  });
  const roofFront = s.node('roofFront', 'Roof bar at the front hoop', {
    on: 'square',
    member: 'frontHoop',
    node: s.node('roofFrontAim', 'Before the roof bar', { on: 'node', node: roof, offset: [0, -100, 0] }),
  });
  pair(s, 'roofBars', 'Roof bar', [roofRear, roofFront], BAR, [['mainHoop'], ['frontHoop']], 'cage');
  const a = s.shareOf('roofCrossAt', 'Roof cross tube', 'roofBars', 0.5);
  cross(s, 'roofCross', 'Roof cross tube', a, 'roofBars', LIGHT, 'cage');
  const harness = s.beside('harnessAim', 'Harness tube', 'shoulder', [c.hoopX, c.half, c.shoulderZ]);
  const harnessAt = s.node('harnessAt', 'Harness tube', { on: 'square', member: 'mainHoop', node: harness });
  s.tube('harnessTube', 'Harness tube', [harnessAt, s.other(harnessAt)], BAR, {
    start: coped('mainHoop'),
    end: coped('mainHoop'),
    group: 'cage',
  });
  const dashAim = s.beside('dashAim', 'Dash tube', 'steeringWheel', [c.dashX, c.half, c.dashTubeZ]);
  const dashAt = s.node('dashAt', 'Dash tube', { on: 'square', member: 'frontHoop', node: dashAim });
  s.tube('dashTube', 'Dash tube', [dashAt, s.other(dashAt)], BRACE, {
    start: coped('frontHoop'),
    end: coped('frontHoop'),
    group: 'cage',
  });
  const low = s.between('hoopBraceFoot', 'Hoop diagonal, foot', 'hoopCrossAt', 'hoopCrossAtRight', 0.08);
  const high = s.between('hoopBraceTop', 'Hoop diagonal, top', harnessAt, s.other(harnessAt), 0.5);
  const lowRight = s.other(low);
  s.tube('hoopDiagonalLeft', 'Hoop diagonal, left', [low, high], BRACE, {
    start: coped('hoopCross'),
    end: coped('harnessTube'),
    group: 'cage',
  });
  s.tube('hoopDiagonalRight', 'Hoop diagonal, right', [lowRight, high], BRACE, {
    start: coped('hoopCross'),
    end: coped('harnessTube', 'hoopDiagonalLeft'),
    group: 'cage',
  });
  const windscreen = s.between('screenTop', 'Screen brace, top', roofFront, s.other(roofFront), 0.5);
  const screenFoot = s.between('screenFoot', 'Screen brace, foot', dashAt, s.other(dashAt), 0.2);
  const diagonal = (id: string, name: string, rear: number, front: number) => {
    const left = s.shareOf(`${id}Left`, `${name}, left end`, 'roofBars', rear);
    const right = s.other(s.shareOf(`${id}Aim`, `${name}, right end’s twin`, 'roofBars', front));
    s.tube(id, name, [left, right], LIGHT, {
      start: coped('roofBars:left'),
      end: coped('roofBars:right'),
      group: 'cage',
    });
  };
  diagonal('roofDiagonalRear', 'Roof diagonal, rear', 0.12, 0.4);
  diagonal('roofDiagonalFront', 'Roof diagonal, front', 0.6, 0.88);
  pair(
    s,
    'screenBraces',
    'Screen brace',
    [screenFoot, s.between('screenTip', 'Screen brace at the roof', windscreen, roofFront, 0.25)],
    LIGHT,
    [['dashTube'], ['frontHoop']],
    'cage',
  );
}

function sideBars(s: Sketch, c: Cage): void {
  const rearAim = s.beside('sideRearAim', 'Side bar, rear', 'seat', [c.hoopX, c.half, c.elbowZ]);
  const frontAim = s.beside('sideFrontAim', 'Side bar, front', 'seat', [c.dashX, c.half, c.elbowZ - 40]);
  const rear = s.node('sideRear', 'Side bar at the main hoop', {
    on: 'square',
    member: 'mainHoop',
    node: rearAim,
  });
  const front = s.node('sideFront', 'Side bar at the front hoop', {
    on: 'square',
    member: 'frontHoop',
    node: frontAim,
  });
  pair(s, 'sideBars', 'Side bar', [rear, front], BAR, [['mainHoop'], ['frontHoop']], 'cage');
  const middle = s.shareOf('sideMiddle', 'Side bar, middle', 'sideBars', 0.5);
  const sillMiddle = s.node('sillMiddle', 'Sill under the side bar', {
    on: 'square',
    member: 'sills',
    node: middle,
  });
  pair(s, 'sidePosts', 'Side post', [sillMiddle, middle], LIGHT, [['sills'], ['sideBars']], 'cage');
  const rearFoot = s.beside('sideBraceRearFoot', 'Side brace, rear foot', 'seat', [
    c.hoopX + 110,
    c.half,
    c.z,
  ]);
  const frontFoot = s.beside('sideBraceFrontFoot', 'Side brace, front foot', 'seat', [
    c.dashX - 150,
    c.half,
    c.z,
  ]);
  pair(
    s,
    'sideBracesRear',
    'Side brace, rear',
    [rearFoot, middle],
    LIGHT,
    [['sills'], ['sideBars', 'sidePosts']],
    'cage',
  );
  pair(
    s,
    'sideBracesFront',
    'Side brace, front',
    [frontFoot, middle],
    LIGHT,
    [['sills'], ['sideBars', 'sidePosts']],
    'cage',
  );
}
