import { nameInText } from '../../words.js';
import type { Making } from '../input.js';
import type { Step } from '../step.js';
import { checkLines, measuredAt, marks, needs, step, told } from './make.js';
import { seamsWith, weldSteps } from './join.js';

/** From the fixture to the first ride. */
export function finishSteps(making: Making): Step[] {
  const { parts, work, frame, document, build, linkage, holes } = making;
  const welded = parts.filter((part) => seamsWith(making, part).length > 0);
  const off = work.welding === 'off';
  const lastChecks = parts.map(({ id }) =>
    off ? `check:${id}` : welded.some((part) => part.id === id) ? `recheck:${id}` : `check:${id}`,
  );
  const welds = welded.map(({ id }) => `weld:${id}`);
  const rechecks = off ? welded.map(({ id }) => `recheck:${id}`) : [];
  const bearings = holes.some(({ piece, bores }) => {
    const of = frame.pieces.find(({ id }) => id === piece);
    return bores.length > 0 && (of?.member.holes ?? []).some(({ use }) => use === 'bearing');
  });
  const apart = document.frame.groups.filter(
    ({ apart: is, id }) => is === true && frame.pieces.some(({ member }) => member.group === id),
  );
  const vented = build.frame.pieces.filter(({ member }) =>
    (member.holes ?? []).some(({ use }) => use === 'vent'),
  );
  // Wheels and seat go on a frame that stands by itself: off the fixture, and welded.
  const whole = [...needs('tacked', 'out'), ...needs('heat', ...welds)];
  const finish = (id: string, hours: number, name: string, about: string, more: Partial<Step> = {}): Step =>
    step({ id, phase: 'finish', sort: 'finish', hours, name, about, ...more });
  const assemble = (id: string, hours: number, name: string, about: string, more: Partial<Step> = {}): Step =>
    step({
      id,
      phase: 'assemble',
      sort: 'assemble',
      hours,
      name,
      about,
      needs: needs('usual', 'coat'),
      ...more,
    });
  return [
    step({
      ...{ id: 'out', phase: 'out', sort: 'out', hours: 0.25 },
      name: off ? 'Off the fixture, tacked' : 'Off the fixture',
      about:
        'Clamps off one after another, and watch which way it springs. What was slid in must be able to go back the same way.',
      needs: needs('tacked', ...lastChecks),
    }),
    ...(off ? welded.flatMap((part) => weldSteps(making, part, seamsWith(making, part), ['out'])) : []),
    finish(
      'align',
      0.5,
      'Measure the whole frame',
      'Every diagonal, left against right, wheel planes by string, head tube against the rear. Correct before anything is painted.',
      {
        sort: 'check',
        ...measuredAt('off'),
        lines: checkLines([...making.checksOf(undefined), ...parts.flatMap(making.checksOf)]),
        needs: needs('tacked', 'out', ...rechecks),
        cautions: ['notApproved'],
      },
    ),
    ...(vented.length > 0
      ? [
          finish(
            'vents',
            0.1 * vented.length,
            work.vents === 'sealed' ? 'Seal the vents' : 'Clear the vents and drains',
            work.vents === 'sealed'
              ? 'While the tube is still warm and dry; a screw with sealant, or a plug weld. Then no water gets in.'
              : 'Run the drill through again: they drain water for as long as the frame lives.',
            {
              pieces: vented.map(({ id }) => id),
              lines: vented.map(({ id, mark, name }) => ({ id, text: `${mark}, ${nameInText(name)}` })),
              needs: needs('heat', ...welds),
              of: told(marks(vented)),
            },
          ),
        ]
      : []),
    finish(
      'seats',
      0.5,
      'Face and ream what takes bearings and bolts',
      'Seats are cut to size after welding: heat has moved them.',
      {
        needs: needs('heat', ...welds),
        cautions: ['drill'],
      },
    ),
    finish(
      'coat',
      1.5,
      'Clean and paint',
      'Oil and dust off, seams brushed, threads and seats masked. Then it must dry.',
      {
        needs: [...needs('usual', 'align', 'seats'), ...needs('heat', ...welds)],
        cautions: ['cleaner'],
      },
    ),
    assemble(
      'bearings',
      0.5,
      bearings ? 'Press the bearings in' : 'Fit head bearings and axles',
      'Cold frame, clean seats, grease; square in, by the outer ring.',
      {
        needs: [...whole, ...needs('piece', 'seats'), ...needs('usual', 'coat')],
        cautions: ['heat'],
      },
    ),
    ...apart.map(({ id, name }) => {
      const own = frame.pieces.filter(({ member }) => member.group === id);
      return assemble(
        `apart:${id}`,
        0.25 * own.length + 0.5,
        `Fit what was made apart: ${nameInText(name)}`,
        'Every bolt in, rod ends with half of their thread at least; then turn from lock to lock.',
        {
          pieces: own.map((piece) => piece.id),
          check: 'Nothing touches at full lock, with the suspension up and down.',
          needs: [
            ...needs(
              'piece',
              ...new Set(own.filter(({ supplied }) => !supplied).map(({ member }) => `cut:${member.id}`)),
            ),
            ...whole,
            ...needs('usual', 'coat', 'bearings'),
          ],
          cautions: ['notApproved'],
          of: told(marks(own)),
        },
      );
    }),
    assemble(
      'running',
      1.5,
      'Wheels, drive and brakes',
      'Wheels in line by string; sprockets in one plane; chain slack by hand; brakes bite on both sides alike.',
      {
        check: 'Each wheel turns free with its gap to frame and guards.',
        needs: [...whole, ...needs('piece', 'bearings'), ...needs('usual', 'coat')],
        cautions: ['notApproved'],
      },
    ),
    ...(linkage
      ? [
          assemble(
            'steer',
            0.5,
            'Set the steering',
            'Straight ahead, toe set, stops set before the rods come near their lock-over.',
            {
              needs: needs('piece', 'running', ...apart.map(({ id }) => `apart:${id}`)),
              sheet: { station: 'steering' },
              cautions: ['notApproved'],
            },
          ),
        ]
      : []),
    assemble(
      'sit',
      0.25,
      'Sit in it',
      'Seat, reach and pedals as the rider wants them; every bolt marked when it is tight.',
      { needs: [...whole, ...needs('usual', 'running')], sheet: { station: 'seat' } },
    ),
    assemble('roll', 0.25, 'Rolling', 'First ride or push. Listen; then look over every seam and bolt.', {
      needs: [...needs('piece', 'running', ...(linkage ? ['steer'] : [])), ...needs('usual', 'sit')],
      ...measuredAt('ridden'),
      cautions: ['ride', 'notApproved'],
    }),
  ];
}
