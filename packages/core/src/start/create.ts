import { withEditsKept } from '../frame/edits.js';
import { layoutsFor } from '../frame/layouts/registry.js';
import type { Layout, LayoutOptions } from '../frame/layouts/layout.js';
import { failure, success, type Result } from '../result.js';
import type { StartingSet } from '../stance/dimension.js';
import { findKind } from '../stance/kinds/registry.js';
import { stanceOf, type Stance } from '../stance/stance.js';
import { nameInText, withArticle } from '../words.js';
import { buttedFitted } from './buttedFit.js';
import { EMPTY_BRIEF, USUAL_PAPER } from './defaults.js';
import type { BuildDocument, FrameData, SchoolId } from '@larchwood/format';
import { lumpsOf, seatOf } from './seat.js';

export interface CreateOptions {
  readonly name: string;
  readonly kind: string;
  readonly startingSet: string;
  readonly units?: BuildDocument['units'];
  /** Held dimensions that differ from the set's own. */
  readonly held?: Readonly<Record<string, number>>;
  readonly wheels?: BuildDocument['wheels'];
  readonly layout?: LayoutOptions;
  readonly brief?: BuildDocument['brief'];
}

/**
 * A new build: the set's wheels and held dimensions, and the frame that its layout makes of them.
 * @param options kind, set, name and units; held dimensions in mm and degrees, where they differ from the set's
 * @returns the document, or why no vehicle comes of it
 */
export function createBuild(options: CreateOptions): Result<BuildDocument> {
  const kind = findKind(options.kind);
  if (!kind) return failure(`“${options.kind}” is not a kind of vehicle that Larchwood knows.`);
  const set = kind.startingSets.find((candidate) => candidate.id === options.startingSet);
  if (!set)
    return failure(`There is no starting set “${options.startingSet}” for ${withArticle(kind.name)}.`);
  const byMarking = (marking: string) => ({ by: 'marking' as const, marking, sag: 0 });
  const document: BuildDocument = {
    format: 'larchwood-build',
    version: 12,
    name: options.name,
    kind: kind.id,
    startingSet: set.id,
    notes: '',
    brief: options.brief ?? { ...EMPTY_BRIEF, school: schoolFor(kind.id, set.id) },
    units: options.units ?? { length: 'mm', denominator: 32 },
    wheels: options.wheels ?? { front: byMarking(set.wheels.front), rear: byMarking(set.wheels.rear) },
    stance: { held: { ...set.held, ...options.held } },
    seat: seatOf(set),
    mass: { lumps: lumpsOf(set.lumps) },
    frame: { sections: [], groups: [], nodes: [], members: [], plates: [] },
    fixture: { profiles: [], readings: [] },
    paper: USUAL_PAPER,
  };
  return frameFromLayout(document, undefined, options.layout);
}

/** The school that the usual layout of a starting set suits best. */
const schoolFor = (kind: string, set: string): SchoolId => layoutsFor(kind, set)[0]?.schools[0] ?? 'none';

/** Undefined where a stance is so odd that a tube of the layout would have no length. */
function makeFrame(layout: Layout, stance: Stance, options: LayoutOptions): FrameData | undefined {
  try {
    return layout.make(stance, options);
  } catch (error) {
    if (error instanceof RangeError) return undefined;
    throw error;
  }
}

/** Lumps that stand for a frame until there is one. */
const withoutFrameLumps = (document: BuildDocument): BuildDocument => ({
  ...document,
  mass: { ...document.mass, lumps: document.mass.lumps.filter(({ sort }) => sort !== 'frame') },
});

/**
 * The document with a first frame made from its stance, in place of the frame it has: by the layout named, or else by the
 * one it came from, or the usual one of its starting set.
 * @param document with its stance
 * @param layoutId one of `LAYOUTS`; left out, the frame's own or the usual one
 * @param options sections by member id, and the layout's own numbers; left out, as it was told before
 */
export function frameFromLayout(
  document: BuildDocument,
  layoutId?: string,
  options?: LayoutOptions,
): Result<BuildDocument> {
  const solved = stanceOf(document);
  if (!solved.ok) return failure(solved.refusals.map((refusal) => refusal.message).join(' '));
  const { origin } = document.frame;
  const choices = layoutsFor(document.kind, document.startingSet);
  const wanted = layoutId ?? origin?.pattern;
  const layout = wanted === undefined ? choices[0] : choices.find(({ id }) => id === wanted);
  if (!layout)
    return wanted === undefined
      ? success(document)
      : failure(
          `There is no layout “${wanted}” for ${withArticle(findKind(document.kind)?.name ?? document.kind)}.`,
        );
  const told =
    options ?? (origin?.pattern === layout.id ? origin.options : undefined) ?? setOptions(document) ?? {};
  const make = (chosen: LayoutOptions) => makeFrame(layout, solved.stance, chosen);
  const fitted = buttedFitted(document, solved.stance, told, make);
  const made = fitted?.frame;
  if (!made)
    return failure(
      `No ${nameInText(layout.name)} frame can be made of this stance: two of its points lie in one.`,
    );
  const { nodes, members, plates } = made;
  const frame = {
    ...made,
    origin: {
      pattern: layout.id,
      options: {
        ...ownOptions(layout, told),
        ...(told.sections === undefined ? {} : { sections: { ...told.sections } }),
      },
      nodes,
      members,
      plates,
    },
  };
  return success({ ...withoutFrameLumps(document), frame });
}

/** Of what it was told, what the layout knows. */
const ownOptions = ({ options = [] }: Layout, told: LayoutOptions): Record<string, number> =>
  Object.fromEntries(
    options.flatMap(({ id }) => {
      const value = told[id];
      return typeof value === 'number' ? [[id, value]] : [];
    }),
  );

function setOptions(document: BuildDocument): StartingSet['frame'] {
  return findKind(document.kind)?.startingSets.find((set) => set.id === document.startingSet)?.frame;
}

/** The frame made again from the stance as it is now, by its own layout, with the builder's edits kept. */
export function frameMadeAgain(document: BuildDocument): Result<BuildDocument> {
  const made = frameFromLayout(document);
  if (!made.ok) return made;
  return success({ ...made.value, frame: withEditsKept(document.frame, made.value.frame) });
}
