import type { StoredRevision } from '@larchwood/contract';
import { planBuild } from '@larchwood/core';
import { builds } from '../api/builds';

/** So many revisions are tried at most. */
const MOST = 40;

/**
 * The newest revision of a build before the newest that reads and has a shape.
 * @throws ApiProblem when the revisions cannot be fetched
 */
export async function lastGood(id: string): Promise<StoredRevision | undefined> {
  const list = await builds.revisions(id);
  for (const { revision } of list.slice(0, MOST)) {
    const found = await tried(id, revision);
    if (found) return found;
  }
  return undefined;
}

async function tried(id: string, revision: number): Promise<StoredRevision | undefined> {
  try {
    const found = await builds.revision(id, revision);
    return planBuild(found.document).ok ? found : undefined;
  } catch {
    // It does not read either, or computing it fails as the newest did.
    return undefined;
  }
}
