import { fixtureDetails } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import type { Kit, Source } from '@larchwood/outputs';
import { planMade } from './made.js';

/** A build as outputs take it. */
export function sourceOf(document: BuildDocument, more: Partial<Source> = {}): Source {
  const plan = planMade(document);
  return {
    ...{ document, plan, details: () => fixtureDetails({ document, ...plan }), revision: 'revision 1' },
    edition: { mark: 'r1', date: '2026-01-02' },
    ...more,
  };
}

const nothing = (what: string) => () => Promise.reject(new Error(`no ${what} was asked for`));
/** Of outputs that need nothing large. */
export const NO_KIT: Kit = { fonts: nothing('paper'), modeller: nothing('solid') };
