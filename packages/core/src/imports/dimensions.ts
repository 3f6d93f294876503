import type { BuildDocument } from '@larchwood/format';
import { failure, success, type Result } from '../result.js';
import type { Dimension, Kind } from '../stance/dimension.js';
import { releases } from '../stance/exchange.js';
import { findKind } from '../stance/kinds/registry.js';
import { stanceOf } from '../stance/stance.js';
import { without } from '../without.js';
import type { NotUnderstood } from './brought.js';
import { plainName, tableRows, valueIn } from './table.js';

/** A dimension that a table gives a value; mm or degrees. */
export interface BroughtDimension {
  readonly row: number;
  readonly dimension: Dimension;
  readonly value: number;
  /** What it is now. */
  readonly was: number | undefined;
  /** Held one that follows from now on, where there has to be one. */
  readonly letGo?: string;
}
export interface BroughtDimensions {
  readonly understood: readonly BroughtDimension[];
  readonly not: readonly NotUnderstood[];
  /** The build with all that was understood. */
  readonly document: BuildDocument;
}

/**
 * Reads a table of dimensions: name, value, and a unit where the value has none; commas, semicolons or tabs between. Each is
 * held; where one has to be let go for it, the first that lets the vehicle close is, and none that the table itself gives.
 * @returns what each row comes to; a row that is not understood changes nothing
 */
export function readDimensions(text: string, document: BuildDocument): Result<BroughtDimensions> {
  const kind = findKind(document.kind);
  if (!kind) return failure('This kind of vehicle is not known here.');
  const rows = tableRows(text);
  if (!rows.ok) return rows;
  const not: NotUnderstood[] = [];
  const understood: BroughtDimension[] = [];
  let next = document;
  const before = stanceOf(document);
  rows.value.forEach((told) => {
    const { row, name, where } = told;
    const refuse = (why: string) => not.push({ where, why });
    const dimension = dimensionCalled(kind, name);
    if (!dimension) return refuse(`No dimension of a ${kind.name.toLowerCase()} is called that.`);
    if (understood.some((each) => each.dimension.id === dimension.id))
      return refuse('It stands in the table twice: the first one counts.');
    const read = valueIn(dimension.quantity, told, document.units.length);
    if (!read.ok) return refuse(read.message);
    const given = new Set(understood.map((each) => each.dimension.id));
    const held = holding(kind, next, dimension, read.value, given);
    if (!held.ok) return refuse(held.message);
    const { document: after, letGo } = held.value;
    understood.push({
      ...{ row, dimension, value: read.value },
      was: before.ok ? before.stance.values[dimension.id] : undefined,
      ...(letGo === undefined ? {} : { letGo }),
    });
    next = after;
  });
  return success({ understood, not, document: next });
}

/** By its name, its id, or the beginning of its name where no other begins so. */
function dimensionCalled({ dimensions }: Kind, name: string): Dimension | undefined {
  const wanted = plainName(name);
  if (wanted === '') return undefined;
  const whole = dimensions.find((each) => plainName(each.name) === wanted || plainName(each.id) === wanted);
  const begun = dimensions.filter((each) => plainName(each.name).startsWith(wanted));
  return whole ?? (begun.length === 1 ? begun[0] : undefined);
}

/** The build with a dimension held; another let go where it followed. */
function holding(
  kind: Kind,
  document: BuildDocument,
  { id, name }: Dimension,
  value: number,
  given: ReadonlySet<string>,
): Result<{ readonly document: BuildDocument; readonly letGo?: string }> {
  const { held } = document.stance;
  const solved = stanceOf(document);
  if (!solved.ok) return failure('The vehicle has no shape to set out from.');
  const near = { ...solved.stance.state };
  const tried = (letGo?: string): BuildDocument | string => {
    const rest = letGo === undefined ? held : without(held, letGo);
    const next = { ...document, stance: { held: { ...rest, [id]: value }, near } };
    const result = stanceOf(next);
    return result.ok ? next : (result.refusals[0]?.message ?? 'no vehicle comes of it');
  };
  if (id in held) {
    const next = tried();
    return typeof next === 'string' ? failure(next) : success({ document: next });
  }
  if (kind.given.includes(id))
    return failure(`${name} is given by the wheels or the rider: change it there.`);
  const offers = releases(kind, solved.stance.state, held, id).filter((each) => !given.has(each.id));
  let why = 'Nothing may be let go for it.';
  for (const { id: letGo } of offers) {
    const next = tried(letGo);
    if (typeof next !== 'string') return success({ document: next, letGo });
    why = next;
  }
  return failure(why);
}
