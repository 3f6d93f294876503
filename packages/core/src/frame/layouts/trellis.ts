import { BESIDE, headAndPivot, PLATE, pivotPlates, seatFrame } from './motorcycleParts.js';
import { coped, copedBeside, slotted, type Layout } from './layout.js';
import { disc } from './shapes.js';
import { sketch } from './sketch.js';

/** Half the width of the frame at the pivot plates, and at its widest; mm. */
const HALF = 120;
const WIDE = 165;
const CHORD = 'round-25.4x2.1';
const BRACE = 'round-19x1.65';

/**
 * Motorcycle trellis: an upper and a lower chord each side, bent, from the head to the pivot plates; braces that make
 * every bay a triangle and meet near the chords' centre lines; cross tubes, engine bosses, a seat frame.
 */
export const TRELLIS: Layout = {
  id: 'trellis',
  name: 'Motorcycle trellis',
  about: 'Bent chords each side, every bay a triangle, pivot plates.',
  kinds: ['motorcycle'],
  sets: ['sport'],
  datum: 'Pivot axis',
  schools: ['spine', 'plan', 'none'],
  make: (stance, options = {}) => {
    const s = sketch(stance, options);
    s.group('main', 'Chords and braces');
    s.group('seat', 'Seat frame');
    s.group('plates', 'Plates');
    const group = 'main';
    headAndPivot(s, HALF, 'round-40x3');
    const upperFace = s.point('headTubeUpper');
    const upperHead = s.shareOf('upperAtHead', 'Upper chord at the head tube', 'headTube', 0.55, [
      0,
      BESIDE.of25,
      0,
    ]);
    const lowerHead = s.shareOf('lowerAtHead', 'Lower chord at the head tube', 'headTube', 0.2, [
      0,
      BESIDE.of25,
      0,
    ]);
    const upperBend = s.beside('upperBend', 'Upper chord, corner', 'pivot', [
      upperFace[0] - 190,
      WIDE,
      upperFace[2] - 165,
    ]);
    const lowerBend = s.beside('lowerBend', 'Lower chord, corner', 'pivot', [
      upperFace[0] - 150,
      WIDE,
      upperFace[2] - 370,
    ]);
    const upperEnd = s.onStance('upperAtPlate', 'Upper chord at the pivot plate', 'pivot', [-15, HALF, 165]);
    const lowerEnd = s.onStance('lowerAtPlate', 'Lower chord at the pivot plate', 'pivot', [30, HALF, 35]);
    const chord = (id: string, name: string, head: string, corner: string, end: string) =>
      s.tube(id, name, [head, end], CHORD, {
        start: copedBeside('headTube'),
        end: slotted(12, PLATE, 45),
        bends: [[corner, 120]],
        mirrored: true,
        group,
      });
    chord('upperChords', 'Upper chord', upperHead, upperBend, upperEnd);
    chord('lowerChords', 'Lower chord', lowerHead, lowerBend, lowerEnd);
    const joints = (
      [
        ['upper1', 'upperChords', 0.3],
        ['lower1', 'lowerChords', 0.2],
        ['upper2', 'upperChords', 0.45],
        ['lower2', 'lowerChords', 0.46],
        ['upper3', 'upperChords', 0.66],
        ['lower3', 'lowerChords', 0.72],
      ] as const
    ).map(([id, member, share]) => ({
      node: s.shareOf(`${id}At`, `Brace joint ${id.replace(/(\d)/, ' $1')}`, member, share),
      chord: member,
    }));
    // Lower 1 to upper 1 closes the head; then each brace sets out from where the one before it ended.
    const way = [1, 0, 3, 2, 5, 4].map((index) => joints[index]!);
    way.slice(1).forEach((to, index) => {
      const from = way[index]!;
      s.tube(`brace${index + 1}`, `Brace ${index + 1}`, [from.node, to.node], BRACE, {
        start: index === 0 ? coped(from.chord) : coped(from.chord, `brace${index}`),
        end: coped(to.chord),
        mirrored: true,
        group,
      });
    });
    const cross = (id: string, name: string, member: string, node: string) =>
      s.tube(id, name, [node, s.other(node)], BRACE, {
        start: coped(`${member}:left`),
        end: coped(`${member}:right`),
        group,
      });
    const upperCross = s.shareOf('upperCrossAt', 'Upper cross tube', 'upperChords', 0.42);
    cross('upperCross', 'Upper cross tube', 'upperChords', upperCross);
    const rearCross = s.shareOf('rearCrossAt', 'Upper cross tube, rear', 'upperChords', 0.9);
    cross('rearCross', 'Upper cross tube, rear', 'upperChords', rearCross);
    pivotPlates(
      s,
      HALF,
      [
        [-40, -45],
        [10, -60],
        [60, -20],
        [72, 60],
        [40, 190],
        [-60, 200],
        [-95, 175],
        [-55, 40],
      ],
      40.2,
    );
    const railFront = s.onMember('railAtChord', 'Seat rail at the upper chord', 'upperChords', 'end', 90);
    seatFrame(s, { front: railFront, frontEnd: coped('upperChords'), halfWidth: HALF, strut: [-75, 165] });
    const boss = s.onMember('bossAt', 'Engine boss', 'lowerChords', 'end', 130);
    const bossIn = s.node('bossIn', 'Engine boss, inner end', {
      on: 'node',
      node: boss,
      offset: [0, -42, 0],
    });
    s.tube('bosses', 'Engine boss', [boss, bossIn], 'round-22x1.6', {
      start: coped('lowerChords'),
      mirrored: true,
      group,
    });
    s.plate('bossCaps', 'Boss cap', bossIn, 4, disc(28), {
      plane: 'side',
      mirrored: true,
      holes: [{ at: [0, 0], diameter: 10.2 }],
      group: 'plates',
    });
    return s.done();
  },
};
