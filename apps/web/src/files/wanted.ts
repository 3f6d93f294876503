import { fixtureDetails, planBuild, type FixtureDetails, type FoundNests } from '@larchwood/core';
import { renewed, type BuildDocument, type Shop } from '@larchwood/format';
import type { Edition, OutputOptions, Source } from '@larchwood/outputs';

/** A build as it stands, of which files are wanted. */
export interface Build {
  readonly document: BuildDocument;
  readonly revision: string;
  readonly edition: Edition;
  readonly address: string;
  readonly shop?: Shop;
  readonly nests?: FoundNests;
}

/** What is asked of the worker: one output of a build. */
export interface Wanted extends Build {
  readonly output: string;
  readonly options: OutputOptions;
}

let known: { readonly text: string; readonly source: Source } | undefined;

/** What files are made from; kept, since one build's files are asked for one after the other. */
export function sourceOf({ document: sent, revision, edition, address, shop, nests }: Build): Source {
  const text = JSON.stringify([sent, revision, shop, nests]);
  if (known?.text === text) return known.source;
  const document = renewed(sent);
  const planned = planBuild(document);
  if (!planned.ok) throw new Error('The build has no shape yet.');
  const { plan } = planned;
  let parts: FixtureDetails | undefined;
  const details = () => (parts ??= fixtureDetails({ document, ...plan }));
  const more = { ...(shop ? { shop } : {}), ...(nests ? { nests } : {}) };
  const source = { document, plan, details, revision, edition, address, ...more };
  known = { text, source };
  return source;
}
