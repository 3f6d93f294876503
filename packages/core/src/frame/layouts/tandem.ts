import { below, downTube, headTube, onHeadTube, rearEnd, seatTube, shell } from './bicycleParts.js';
import { coped, type Layout } from './layout.js';
import { sketch } from './sketch.js';

/** Front to rear: the stance's points and the suffix of each rider's parts. */
const RIDERS: Readonly<Record<string, readonly string[]>> = { tandem: ['', '2'], triplet: ['', '3', '2'] };
/** Top tube's joint below the top of a seat tube, mm. */
const TOP_BELOW = 60;

/**
 * Tandem or triplet: a keel between the shells, a lateral from the head tube to the rear shell, in pieces between the
 * seat tubes that it meets, top tubes, one down tube. The captain's shell is eccentric, for the timing chain.
 */
export const TANDEM_FRAME: Layout = {
  id: 'tandem',
  name: 'Tandem or triplet',
  about: 'Keel between the shells, a lateral from the head tube to the rear one.',
  kinds: ['tandem', 'triplet'],
  datum: 'Rear BB',
  schools: ['plan', 'table', 'none'],
  make: (stance, options = {}) => {
    const s = sketch(stance, options);
    const riders = RIDERS[stance.kind] ?? RIDERS.tandem!;
    const last = riders.at(-1)!;
    s.group('front', 'Main frame');
    s.group('rear', 'Rear end');
    const group = 'front';
    for (const suffix of riders)
      shell(s, stance, {
        point: `bottomBracket${suffix}`,
        suffix,
        group,
        ...(suffix === ''
          ? { name: 'Eccentric shell', section: 'round-60.3x2.6' }
          : { name: suffix === last ? 'BB shell, rear' : 'BB shell, middle' }),
      });
    headTube(s, 'round-38x1.5', group);
    for (const suffix of riders)
      seatTube(s, suffix === '' ? 'round-31.8x1.2' : 'round-31.8x0.9', {
        id: `seatTube${suffix}`,
        name:
          suffix === '' ? 'Seat tube, captain' : suffix === last ? 'Seat tube, stoker' : 'Seat tube, middle',
        bottom: `bottomBracket${suffix}`,
        top: `seatTubeTop${suffix}`,
        shellId: `bottomBracketShell${suffix}`,
        node: `seatTop${suffix}`,
        group,
      });
    downTube(s, stance, { section: 'round-34.9x1.2', group });
    const cluster = below(s, 'seatTubeTop', 'bottomBracket', TOP_BELOW);
    const top = onHeadTube(s, stance, 'topAtHead', 'Top tube at the head tube', 'upper', cluster, 28.6);
    let from = top;
    riders.forEach((suffix, index) => {
      const to = s.onMember(
        `topAtSeat${suffix}`,
        `Top tube at seat tube ${index + 1}`,
        `seatTube${suffix}`,
        'end',
        TOP_BELOW,
      );
      s.tube(`topTube${suffix}`, `Top tube ${index + 1}`, [from, to], 'round-28.6x0.9', {
        start: coped(index === 0 ? 'headTube' : `seatTube${riders[index - 1]!}`),
        end: coped(`seatTube${suffix}`),
        group,
      });
      from = to;
    });
    riders.slice(1).forEach((suffix, index) => {
      const ahead = riders[index]!;
      s.tube(
        `keel${suffix}`,
        `Keel ${index + 1}`,
        [`bottomBracket${ahead}`, `bottomBracket${suffix}`],
        'round-38.1x1.2',
        {
          start: coped(`bottomBracketShell${ahead}`, `seatTube${ahead}`),
          end: coped(`bottomBracketShell${suffix}`, `seatTube${suffix}`),
          group,
        },
      );
    });
    const head = s.shareOf('lateralAtHead', 'Lateral at the head tube', 'headTube', 0.52);
    let start = head;
    riders.forEach((suffix, index) => {
      const rear = suffix === last;
      const end = rear
        ? `bottomBracket${suffix}`
        : s.node(`lateralAtSeat${suffix}`, `Lateral at seat tube ${index + 1}`, {
            on: 'inLine',
            member: `seatTube${suffix}`,
            nodes: [head, `bottomBracket${last}`],
          });
      s.tube(`lateral${suffix}`, `Lateral ${index + 1}`, [start, end], 'round-28.6x0.9', {
        start: coped(index === 0 ? 'headTube' : `seatTube${riders[index - 1]!}`),
        end: rear
          ? coped(`bottomBracketShell${suffix}`, `keel${suffix}`, `seatTube${suffix}`)
          : coped(`seatTube${suffix}`),
        group,
      });
      start = end;
    });
    rearEnd(s, stance, {
      chainstays: 'tapered-19-14x0.8',
      seatstays: 'tapered-14-12x0.8',
      shell: `bottomBracketShell${last}`,
      bottomBracket: `bottomBracket${last}`,
      seatTube: `seatTube${last}`,
      below: 40,
      group: 'rear',
    });
    return s.done();
  },
};
