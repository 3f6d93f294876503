import type { Finding } from '../findings/finding.js';
import { findMaterial } from '../frame/materials.js';
import { nameInText } from '../words.js';
import type { Plan } from './plan.js';

/** A piece that one of two plans has and the other has not, or has otherwise. */
export interface PieceDifference {
  readonly piece: string;
  readonly mark: string;
  readonly name: string;
  readonly how: 'new' | 'gone' | 'changed';
  /** Overall lengths, mm: there, and here. */
  readonly lengths?: readonly [there: number, here: number];
  /** Section or material where they are others. */
  readonly made?: readonly [there: string, here: string];
}
/** What two builds, or two states of one, differ in besides their dimensions. */
export interface PlanDifference {
  readonly pieces: readonly PieceDifference[];
  /** Masses, kg: there, and here. */
  readonly masses: readonly { readonly name: string; readonly there: number; readonly here: number }[];
  readonly newFindings: readonly Finding[];
  readonly goneFindings: readonly Finding[];
}
type Comparable = Pick<Plan, 'frame' | 'cuts' | 'weights' | 'mass' | 'findings'>;

/** Lengths that differ by less are one, mm; masses, kg. */
const SEEN = { length: 0.05, mass: 0.005 } as const;

/** Piece by piece, mass by mass and finding by finding: what is new here, gone, or other than there. */
export function differenceOf(here: Comparable, there: Comparable): PlanDifference {
  const keyOf = ({ code, where }: Finding) => `${code} ${where.station} ${where.ref}`;
  const known = (plan: Comparable) => new Set(plan.findings.map(keyOf));
  const [mine, theirs] = [known(here), known(there)];
  return {
    pieces: piecesOf(here, there),
    masses: [
      { name: 'Frame', there: weightOf(there), here: weightOf(here) },
      { name: 'Without riders', there: there.mass.bare.mass, here: here.mass.bare.mass },
      { name: 'With riders', there: there.mass.laden.mass, here: here.mass.laden.mass },
    ].filter((each) => Math.abs(each.here - each.there) > SEEN.mass),
    newFindings: here.findings.filter((finding) => !theirs.has(keyOf(finding))),
    goneFindings: there.findings.filter((finding) => !mine.has(keyOf(finding))),
  };
}

const weightOf = ({ weights }: Comparable): number => weights.reduce((sum, { mass }) => sum + mass, 0);

function piecesOf(here: Comparable, there: Comparable): PieceDifference[] {
  const mine = madeOf(here);
  const theirs = madeOf(there);
  const changed = [...mine].flatMap(([piece, { mark, name, length, made }]): PieceDifference[] => {
    const other = theirs.get(piece);
    if (!other) return [{ piece, mark, name, how: 'new' }];
    const lengths =
      Math.abs(other.length - length) > SEEN.length ? ([other.length, length] as const) : undefined;
    const both = other.made === made ? undefined : ([other.made, made] as const);
    return lengths || both
      ? [
          {
            piece,
            mark,
            name,
            how: 'changed',
            ...(lengths ? { lengths } : {}),
            ...(both ? { made: both } : {}),
          },
        ]
      : [];
  });
  const gone = [...theirs].flatMap(([piece, { mark, name }]): PieceDifference[] =>
    mine.has(piece) ? [] : [{ piece, mark, name, how: 'gone' }],
  );
  return [...changed, ...gone];
}

function madeOf({ frame, cuts }: Comparable) {
  const lengths = new Map(cuts.map(({ piece, overall }) => [piece, overall]));
  return new Map(
    frame.pieces.map(({ id, mark, name, section, member, length }) => [
      id,
      {
        ...{ mark, name, length: lengths.get(id) ?? length },
        made: `${section.name}, ${nameInText(findMaterial(member.material)?.name ?? member.material)}`,
      },
    ]),
  );
}
