import { frameFromLayout } from './create.js';
import type { BuildDocument } from '@larchwood/format';
import { findingText } from '../findings/catalogue.js';
import type { Layout } from '../frame/layouts/layout.js';
import { layoutsFor } from '../frame/layouts/registry.js';
import { planBuild, type Plan } from '../plan/plan.js';
import { nameInText } from '../words.js';

/** A layout as it would be made of a build's stance, before it is made. */
export interface LayoutOffer {
  readonly layout: Layout;
  /** The build with it, and its plan; none where it cannot be made. */
  readonly made: { readonly document: BuildDocument; readonly plan: Plan } | undefined;
  /** Why it is not offered for this stance, in words; undefined where it is. */
  readonly refused: string | undefined;
}

/**
 * What a layout makes of a build's stance. It is offered where its frame can be built as it comes: where a tube would miss
 * its host or have no room, it is not, and the first such thing is the reason.
 */
export function layoutOffer(document: BuildDocument, layout: Layout): LayoutOffer {
  const framed = frameFromLayout(document, layout.id);
  if (!framed.ok) return { layout, made: undefined, refused: framed.message };
  const planned = planBuild(framed.value);
  if (!planned.ok)
    return { layout, made: undefined, refused: planned.refusals.map((each) => each.message).join(' ') };
  const made = { document: framed.value, plan: planned.plan };
  const stop = planned.plan.findings.find(
    ({ severity, where }) => severity === 'stop' && (where.station === 'tubes' || where.station === 'joints'),
  );
  if (!stop) return { layout, made, refused: undefined };
  const first = nameInText(findingText(stop, document.units).title);
  const wants = layout.wants ? ` It wants ${layout.wants}.` : '';
  return { layout, made, refused: `Of this stance it cannot be built: ${first}.${wants}` };
}

/** Every layout of a build's kind, the usual one for its starting set first. */
export const layoutOffers = (document: BuildDocument): readonly LayoutOffer[] =>
  layoutsFor(document.kind, document.startingSet).map((layout) => layoutOffer(document, layout));
