import type { BuildDocument } from './buildSchema.js';

/**
 * The same document, written and read anew. An engine keeps a list of numbers as such; a check against the schema, or the
 * way from one thread to another, leaves it one of anything, and whatever is reckoned with it from then on takes half as
 * long again. So a document is renewed wherever it has come from there, before a plan is made of it.
 */
export const renewed = (document: BuildDocument): BuildDocument =>
  JSON.parse(JSON.stringify(document)) as BuildDocument;
