import { distance, mirror, type Vector } from '../../vector/vector.js';
import { passesOf } from './estimate.js';
import type { Seam } from './seams.js';

/** As builders say it: `6L to 4, start`. */
export const seamName = ({ id, mark, to, plug }: Pick<Seam, 'id' | 'mark' | 'to' | 'plug'>): string =>
  `${mark} to ${to.join(' and ')}, ${plug ? 'plug weld' : id.endsWith('.start') ? 'start' : 'end'}`;
/** How the stretches of a seam are told apart. */
export const stretchName = ({ quarter, plug }: Pick<Segment, 'quarter' | 'plug'>): string =>
  plug ? 'all of it' : `${['first', 'second', 'third', 'last'][quarter]} quarter`;
export const QUARTERS_FROM =
  'Quarters begin at the match line and go round as the pattern does; of a slot they are its four sides.';

/** A stretch of a seam that is welded in one go. */
export interface Segment {
  /** `chainstay:left.start.root.1` */
  readonly id: string;
  readonly seam: string;
  /** Of the seam. */
  readonly name: string;
  readonly pass: 'root' | 'cap';
  /** Which quarter of the seam, 0 to 3. */
  readonly quarter: number;
  /** A plug weld is filled in one go. */
  readonly plug?: true;
  readonly length: number;
  readonly at: Vector;
  /** The same stretch on the other side. */
  readonly twin: string | undefined;
}
export const QUARTERS = 4;

/** Every stretch of every pass: root passes of all seams before the caps. */
export function segmentsOf(seams: readonly Seam[]): readonly Segment[] {
  const bySeam = new Map(seams.map((seam) => [seam.id, seam]));
  const of = (pass: Segment['pass']) =>
    seams
      .filter((seam) => pass === 'root' || passesOf(seam) === 2)
      .flatMap((seam) =>
        Array.from({ length: seam.plug ? 1 : QUARTERS }, (_, quarter): Segment => {
          const at = seam.plug ? seam.centre : middleOf(seam, quarter);
          const twin = seam.twin === undefined ? undefined : bySeam.get(seam.twin);
          return {
            ...{
              id: `${seam.id}.${pass}.${quarter}`,
              seam: seam.id,
              name: seamName(seam),
              pass,
              quarter,
            },
            ...{ length: seam.plug ? seam.length : seam.length / QUARTERS, at },
            ...(seam.plug ? { plug: true as const } : {}),
            twin: twin && `${twin.id}.${pass}.${seam.plug ? 0 : mirroredQuarter(twin, at)}`,
          };
        }),
      );
  return [...of('root'), ...of('cap')];
}

const middleOf = ({ points }: Seam, quarter: number): Vector =>
  points[Math.floor(((quarter + 0.5) / QUARTERS) * points.length)]!.at;

/** The quarter of a seam on the other side that lies as this one does here. */
function mirroredQuarter(twin: Seam, at: Vector): number {
  const away = Array.from({ length: QUARTERS }, (_, quarter) =>
    distance(middleOf(twin, quarter), mirror(at)),
  );
  return away.indexOf(Math.min(...away));
}
