import { WORKSHOP_PROFILE } from '../fixture/profiles.js';
import { PATTERNS } from '../frame/patterns/registry.js';
import type { PatternOptions } from '../frame/patterns/pattern.js';
import { failure, success, type Result } from '../result.js';
import type { StartingSet } from '../stance/dimension.js';
import { findKind } from '../stance/kinds/registry.js';
import { stanceOf } from '../stance/stance.js';
import { withArticle } from '../words.js';
import { EMPTY_BRIEF } from './migrate.js';
import type { BuildDocument } from './schema.js';
import { lumpsOf, seatOf } from './seat.js';

export interface CreateOptions {
  readonly name: string;
  readonly kind: string;
  readonly startingSet: string;
  readonly units?: BuildDocument['units'];
  /** Held dimensions that differ from the set's own. */
  readonly held?: Readonly<Record<string, number>>;
  readonly wheels?: BuildDocument['wheels'];
  readonly pattern?: PatternOptions;
  readonly brief?: BuildDocument['brief'];
}

/** A new build: the set's wheels and held dimensions, and the frame that its pattern makes of them. */
export function createBuild(options: CreateOptions): Result<BuildDocument> {
  const kind = findKind(options.kind);
  if (!kind) return failure(`“${options.kind}” is not a kind of vehicle that Larchwood knows.`);
  const set = kind.startingSets.find((candidate) => candidate.id === options.startingSet);
  if (!set)
    return failure(`There is no starting set “${options.startingSet}” for ${withArticle(kind.name)}.`);
  const byMarking = (marking: string) => ({ by: 'marking' as const, marking, sag: 0 });
  const document: BuildDocument = {
    format: 'larchwood-build',
    version: 3,
    name: options.name,
    kind: kind.id,
    startingSet: set.id,
    notes: '',
    brief: options.brief ?? { ...EMPTY_BRIEF, school: kind.schools.length > 0 ? 'slide-and-post' : 'none' },
    units: options.units ?? { length: 'mm', denominator: 32 },
    wheels: options.wheels ?? { front: byMarking(set.wheels.front), rear: byMarking(set.wheels.rear) },
    stance: { held: { ...set.held, ...options.held } },
    seat: seatOf(set),
    mass: { lumps: lumpsOf(set.lumps) },
    frame: { sections: [], nodes: [], members: [], plates: [] },
    fixture: { school: 'slide-and-post', profile: WORKSHOP_PROFILE },
    paper: { size: 'A4', thickness: 0.1 },
  };
  return frameFromPattern(document, options.pattern ?? set.frame ?? {});
}

/** The document with a first frame made from its stance, in place of the frame it has. */
export function frameFromPattern(
  document: BuildDocument,
  options: PatternOptions & { readonly none?: boolean } = setOptions(document) ?? {},
): Result<BuildDocument> {
  const solved = stanceOf(document);
  if (!solved.ok) return failure(solved.refusals.map((refusal) => refusal.message).join(' '));
  const pattern = options.none
    ? undefined
    : PATTERNS.find((candidate) => candidate.kinds.includes(document.kind));
  return success(pattern ? { ...document, frame: pattern.make(solved.stance, options) } : document);
}

function setOptions(document: BuildDocument): StartingSet['frame'] {
  return findKind(document.kind)?.startingSets.find((set) => set.id === document.startingSet)?.frame;
}
