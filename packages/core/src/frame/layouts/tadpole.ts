import { capped, coped, plain, slotted, type Layout } from './layout.js';
import { armTo } from './shapes.js';
import { sketch } from './sketch.js';

const DROPOUT = { thickness: 6, offMiddle: 70.5 };

/**
 * Tadpole trike: a bent spine under the seat, a cross beam in two arms with sweep to the kingpin tubes, a boom that slides
 * in the spine, rear stays in two pairs.
 */
export const TADPOLE: Layout = {
  id: 'tadpole',
  name: 'Tadpole trike',
  about: 'Bent spine, two arms to the kingpin tubes, a sliding boom, rear stays.',
  kinds: ['tadpole-trike'],
  datum: 'Kingpin bar',
  schools: ['table', 'plan', 'none'],
  make: (stance, options = {}) => {
    const s = sketch(stance, options);
    s.group('main', 'Spine and arms');
    s.group('boom', 'Boom');
    s.group('rear', 'Rear end');
    const group = 'main';
    const axle = s.point('rearAxle');
    const { radius } = stance.wheels.rear;
    const seat = s.point('seat');
    const pedals = s.point('pedals');
    const kingpin = s.point('kingpin');
    s.onStance('kingpinLow', 'Kingpin, low', 'kingpinLow');
    s.onStance('kingpinHigh', 'Kingpin, high', 'kingpinTop');
    const tubeLow = s.between('kingpinTubeLow', 'Kingpin tube, lower face', 'kingpinLow', 'kingpinHigh', 0.2);
    const tubeHigh = s.between(
      'kingpinTubeHigh',
      'Kingpin tube, upper face',
      'kingpinLow',
      'kingpinHigh',
      0.74,
    );
    s.tube('kingpinTubes', 'Kingpin tube', [tubeLow, tubeHigh], 'round-36x2', { mirrored: true, group });
    const low = s.beside('spineLow', 'Spine, under the seat', 'seat', [
      seat[0] + 150,
      0,
      Math.max(s.point('floorMiddle')[2] + 32, seat[2] - 75),
    ]);
    const front = s.beside('spineCorner', 'Spine, front corner', 'kingpin', [
      kingpin[0] - 110,
      0,
      s.at(low)[2] + 12,
    ]);
    const reach = (pedals[0] - s.at(front)[0]) / 2.2;
    const open = s.onStance('pedalAxis', 'Pedal axis', 'pedals');
    const spineEnd = s.between(
      'spineFront',
      'Spine, open front end',
      front,
      open,
      Math.min(0.6, 230 / (2 * reach)),
    );
    const tailX = axle[0] + radius + 45;
    const tail = s.beside('spineTail', 'Spine, rear end', 'rearAxle', [tailX, 0, axle[2] - 40]);
    s.tube('spine', 'Spine', [tail, spineEnd], 'round-50.8x1.6', {
      start: coped('rearCross'),
      end: plain(),
      bends: [
        [low, 200],
        [front, 200],
      ],
      group,
    });
    const armAt = s.beside('armAtSpine', 'Arm at the spine', 'kingpin', [
      kingpin[0] - 55,
      0,
      s.at(front)[2] + 10,
    ]);
    const armRoot = s.node('armRoot', 'Arm at the spine’s axis', {
      on: 'square',
      member: 'spine',
      node: armAt,
    });
    const armTip = s.shareOf('armTip', 'Arm at the kingpin tube', 'kingpinTubes', 0.5);
    s.tube('arms', 'Cross-beam arm', [armRoot, armTip], 'round-35x2', {
      start: coped('spine'),
      end: coped('kingpinTubes'),
      mirrored: true,
      group,
    });
    const gussetAt = s.onMember('armBraceAtSpine', 'Arm brace at the spine', 'spine', 'end', 560);
    const gussetTip = s.shareOf('armBraceTip', 'Arm brace at the arm', 'arms', 0.72);
    s.tube('armBraces', 'Arm brace', [gussetAt, gussetTip], 'round-19x1', {
      start: coped('spine'),
      end: coped('arms'),
      mirrored: true,
      group,
    });
    const shellLeft = s.onStance('shellLeft', 'BB shell, left face', 'pedals', [0, 34, 0]);
    s.tube('bottomBracketShell', 'BB shell', [shellLeft, s.other(shellLeft)], 'round-40x3.5', {
      supplied: true,
      material: 'mild-steel',
      group: 'boom',
      through: ['boom'],
    });
    const inside = s.between('boomInside', 'Boom, inner end', spineEnd, open, -0.45);
    const nose = s.between('boomNose', 'Boom, nose', spineEnd, open, 1.09);
    s.tube('boom', 'Boom', [inside, nose], 'round-44.5x1.5', {
      end: capped(2),
      group: 'boom',
      through: ['spine'],
    });
    s.onStance('dropout', 'Dropout', 'rearAxle', [0, DROPOUT.offMiddle, 0]);
    const yokeLeft = s.node('yokeLeft', 'Rear cross tube, left end', {
      on: 'node',
      node: tail,
      offset: [0, 66, 0],
    });
    s.tube('rearCross', 'Rear cross tube', [yokeLeft, s.other(yokeLeft)], 'round-50.8x1.6', {
      start: capped(2),
      end: capped(2),
      group,
    });
    const lowStay = s.node('stayAtCross', 'Lower stay at the cross tube', {
      on: 'node',
      node: tail,
      offset: [0, 50, 0],
    });
    s.tube('lowerStays', 'Lower stay', [lowStay, 'dropout'], 'round-22x1.5', {
      start: coped('rearCross'),
      end: slotted(26, DROPOUT.thickness, 18),
      mirrored: true,
      group: 'rear',
    });
    const top = s.point('seatTop');
    const backTop = s.onStance('backTop', 'Upper stay, top', 'seatTop', [-22, 95, 45]);
    s.tube('upperStays', 'Upper stay', ['dropout', backTop], 'round-19x1', {
      start: slotted(28, DROPOUT.thickness, 18),
      end: capped(1.5),
      mirrored: true,
      group: 'rear',
    });
    const bar = s.onMember('backBarAt', 'Seat-back bar', 'upperStays', 'end', 22);
    s.tube('backBar', 'Seat-back bar', [bar, s.other(bar)], 'round-19x1', {
      start: coped('upperStays:left'),
      end: coped('upperStays:right'),
      group: 'rear',
    });
    const backLow = s.node('seatStayAtCross', 'Seat stay at the cross tube', {
      on: 'node',
      node: tail,
      offset: [0, 28.5, 0],
    });
    const backHigh = s.onMember('seatStayTop', 'Seat stay at the upper stay', 'upperStays', 'end', 190);
    s.tube('seatStays', 'Seat stay', [backLow, backHigh], 'round-19x1', {
      start: coped('rearCross', 'spine'),
      end: coped('upperStays'),
      mirrored: true,
      group: 'rear',
    });
    const lowArm = armTo(axle, s.at(lowStay));
    const highArm = armTo(axle, [top[0] - 22, 0, top[2] + 45]);
    s.plate(
      'dropouts',
      'Dropout',
      'dropout',
      DROPOUT.thickness,
      [
        lowArm(44, -6),
        lowArm(44, 6),
        lowArm(20, 12),
        highArm(46, -6),
        highArm(46, 6),
        [-14, 12],
        [-14, -12],
        [2, -18],
      ],
      { mirrored: true, holes: [{ at: [0, 0], diameter: 10 }], group: 'rear' },
    );
    return s.done();
  },
};
