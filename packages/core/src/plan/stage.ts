import type { BuildDocument } from '@larchwood/format';
import type { Keep } from '../memo/keep.js';

/** A part of the document that a stage reads. */
export type Part<T> = (document: BuildDocument) => T;

/** One step of the plan: what it takes, and what it makes of it. It reads nothing else and changes nothing. */
export interface Stage<T> {
  readonly name: string;
  /** By the name that `make` knows them by: parts of the document, and stages before it. */
  readonly takes: Takes;
  readonly make: (inputs: never, keep: Keep) => T;
}
type Takes = Readonly<Record<string, Stage<unknown> | Part<unknown>>>;
type Inputs<I extends Takes> = {
  readonly [K in keyof I]: I[K] extends Stage<infer T> ? T : I[K] extends Part<infer T> ? T : never;
};

/**
 * Declares a stage.
 * @example
 * const frame = stage('frame', { document: parts('frame'), stance }, ({ document, stance }) => frameOf(document, stance));
 */
export const stage = <const I extends Takes, T>(
  name: string,
  takes: I,
  make: (inputs: Inputs<I>, keep: Keep) => T,
): Stage<T> => ({ name, takes, make });

/** These parts of the document, and no others. */
export const parts =
  <K extends keyof BuildDocument>(...keys: readonly K[]): Part<Pick<BuildDocument, K>> =>
  (document) =>
    Object.fromEntries(keys.map((key) => [key, document[key]])) as Pick<BuildDocument, K>;
