import { findKind } from '@larchwood/core';
import type { Compared } from '../editor/editor';
import { Ghost } from './Vehicle';
import type { View } from './view';

/** What the build is compared with, dashed behind it; nothing where it is the same. */
export const otherGhost = (other: Compared | undefined) =>
  other &&
  ((view: View) => (
    <Ghost
      kind={findKind(other.plan.kind)}
      points={other.plan.stance.points}
      wheels={other.plan.stance.standing}
      pieces={other.plan.frame.pieces}
      view={view}
      colour="var(--larch)"
    />
  ));
