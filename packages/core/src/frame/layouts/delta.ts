import { headTube, onHeadTube } from './bicycleParts.js';
import { capped, coped, type Layout } from './layout.js';
import { sketch } from './sketch.js';

/** Room for a hub beside the frame, mm. */
const HUB = 92;
/** Between the front tyre and the spine's axis, for the tyre to turn; mm. */
const TYRE_ROOM = 62;
const SEAT = { half: 110, box: 25 };

/**
 * Delta trike: a bent spine from the head to the rear cross tube, braces in plan against racking, hub carriers square to
 * the ground, seat rails in square stock on posts, seat-back stays.
 */
export const DELTA: Layout = {
  id: 'delta',
  name: 'Delta trike',
  about: 'Bent spine, rear cross tube, braces in plan, square seat rails.',
  kinds: ['delta-trike'],
  datum: 'Rear axle centre',
  schools: ['table', 'plan', 'none'],
  make: (stance, options = {}) => {
    const s = sketch(stance, options);
    s.group('main', 'Spine and cross tube');
    s.group('seat', 'Seat');
    s.group('plates', 'Plates');
    const group = 'main';
    const axle = s.point('rearAxle');
    const wheel = s.point('rearLeftAxle');
    const seat = s.point('seat');
    const seatFront = s.point('seatFront');
    const head = s.point('headTubeLower');
    const carrier = wheel[1] - stance.wheels.rear.width / 2 - HUB + 40;
    headTube(s, 'round-50.8x2.4', group);
    const clear = s.point('frontAxle')[0] - stance.wheels.front.radius - TYRE_ROOM;
    const low = s.beside('spineLow', 'Spine, lower corner', 'floorFront', [
      clear - 20,
      0,
      Math.max(s.point('floorFront')[2] + 30, axle[2] - 10),
    ]);
    const high = s.beside('spineHigh', 'Spine, upper corner', 'headTubeLower', [clear, 0, head[2] - 70]);
    const top = onHeadTube(s, stance, 'spineAtHead', 'Spine at the head tube', 'lower', s.at(high), 50);
    s.onStance('rearMiddle', 'Middle of the rear cross tube', 'rearAxle');
    const carrierAt = s.beside('carrierAt', 'Hub carrier', 'rearLeftAxle', [wheel[0], carrier, wheel[2]]);
    s.tube('crossTube', 'Rear cross tube', [carrierAt, s.other(carrierAt)], 'round-50.8x2.4', {
      start: { cut: 'plate', plate: 'carriers', allowance: 0 },
      end: { cut: 'plate', plate: 'carriers', allowance: 0 },
      group,
    });
    s.tube('spine', 'Spine', [top, 'rearMiddle'], 'round-50x2', {
      start: coped('headTube'),
      end: coped('crossTube'),
      bends: [
        [high, 110],
        [low, 130],
      ],
      group,
    });
    const forward = s.shareOf('braceAtSpine', 'Brace at the spine', 'spine', 0.7);
    const out = s.beside('braceAtCross', 'Brace at the cross tube', 'rearAxle', [
      axle[0],
      carrier - 45,
      axle[2],
    ]);
    s.tube('braces', 'Brace in plan', [forward, out], 'round-25x1.5', {
      start: coped('spine'),
      end: coped('crossTube'),
      mirrored: true,
      group,
    });
    s.plate(
      'carriers',
      'Hub carrier',
      carrierAt,
      6,
      [
        [-38, -38],
        [38, -38],
        [44, 0],
        [38, 38],
        [-38, 38],
        [-44, 0],
      ],
      { mirrored: true, holes: [{ at: [0, 0], diameter: 17 }], group: 'plates' },
    );
    const under = (x: number): number =>
      seat[2] + ((seatFront[2] - seat[2]) * (x - seat[0])) / (seatFront[0] - seat[0]) - SEAT.box / 2 - 12;
    const rear = s.beside('seatRailRear', 'Seat rail, rear end', 'seat', [
      seat[0] - 20,
      SEAT.half,
      under(seat[0] - 20),
    ]);
    const front = s.beside('seatRailFront', 'Seat rail, front end', 'seat', [
      seatFront[0] - 10,
      SEAT.half,
      under(seatFront[0] - 10),
    ]);
    s.tube('seatRails', 'Seat rail', [rear, front], 'box-25x25x1.5', {
      start: capped(2),
      end: capped(2),
      mirrored: true,
      group: 'seat',
    });
    // Turned with the rails, so that both tops lie flush.
    const slope = (Math.atan2(seatFront[2] - seat[2], seatFront[0] - seat[0]) * 180) / Math.PI;
    for (const [id, name, share] of [
      ['seatCrossRear', 'Seat cross tube, rear', 0.14],
      ['seatCrossFront', 'Seat cross tube, front', 0.84],
    ] as const) {
      const at = s.shareOf(`${id}At`, name, 'seatRails', share);
      s.tube(id, name, [at, s.other(at)], 'box-20x20x1.5', {
        turn: slope,
        start: coped('seatRails:left'),
        end: coped('seatRails:right'),
        group: 'seat',
      });
      const middle = s.between(`${id}Middle`, `${name}, middle`, `${id}At`, `${id}AtRight`, 0.5);
      const foot = s.node(`${id}Foot`, `Seat post, ${id.endsWith('Rear') ? 'rear' : 'front'}`, {
        on: 'square',
        member: 'spine',
        node: middle,
      });
      s.tube(
        `${id}Post`,
        `Seat post, ${id.endsWith('Rear') ? 'rear' : 'front'}`,
        [foot, middle],
        'round-19x1.5',
        {
          start: coped('spine'),
          end: coped(id),
          group: 'seat',
        },
      );
    }
    const backFoot = s.beside('backFoot', 'Seat-back stay at the cross tube', 'rearAxle', [
      axle[0],
      150,
      axle[2],
    ]);
    const backTop = s.onStance('backTop', 'Seat-back stay, top', 'seatTop', [-25, SEAT.half, -30]);
    s.tube('backStays', 'Seat-back stay', [backFoot, backTop], 'round-22x1.5', {
      start: coped('crossTube'),
      end: capped(1.5),
      mirrored: true,
      group: 'seat',
    });
    const bar = s.onMember('backBarAt', 'Seat-back bar', 'backStays', 'end', 50);
    s.tube('backBar', 'Seat-back bar', [bar, s.other(bar)], 'round-20x1.5', {
      start: coped('backStays:left'),
      end: coped('backStays:right'),
      group: 'seat',
    });
    return s.done();
  },
};
