import { Link } from 'react-router';
import { formatLength, hasSteeringParts } from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { Findings } from '../../ledger/Findings';
import { Group } from '../../ledger/Panel';
import { Button } from '../../parts/Button';
import { findingsAt } from '../state';
import { makeParts, takeOutParts } from '../../edits/steering';
import type { Known } from './known';

/** The linkage as pieces of the frame: with marks, cuts, patterns and weight as every tube has them. */
export function PartsGroup({ steering }: Known) {
  const { build, document, plan, edit, settle } = useEditor('build', 'document', 'plan', 'edit', 'settle');
  if (!plan || !steering || steering.built.parts.length === 0) return null;
  const there = hasSteeringParts(document.frame);
  // What is mended by the press below stands beside it; it is a note, since a part may be bought.
  const missing = findingsAt(plan, 'steering').filter(({ code }) => code === 'steering-part-missing');
  const rods = steering.built.parts.filter(({ as }) => as !== 'arm').length;
  const arms = steering.built.parts.length - rods;
  return (
    <Group title="Rods, shafts and arms as pieces">
      <p className="px-4 text-quiet">
        {there
          ? 'They stand in the frame, and follow the linkage: cut list, patterns, weight and clearances have them. No fixture holds them.'
          : `${rods} of tube and ${arms} of plate, tied to the linkage’s own points; ends short of the balls by ${formatLength(30, document.units, 1)} for the rod ends.`}
      </p>
      <Findings findings={missing} refused={false} />
      <div className="flex flex-wrap items-center gap-4 px-4 py-1.5">
        {/* What is missing is told with the same press. */}
        {missing.length === 0 && (
          <Button
            onClick={() => {
              edit('steering.parts', makeParts(plan.stance, steering));
              settle();
            }}
          >
            {there ? 'Make them again' : 'Make the pieces'}
          </Button>
        )}
        {there && (
          <>
            <Link
              to={`/builds/${build.id}/tubes`}
              className="font-semibold text-larch-text underline underline-offset-2"
            >
              See them among the tubes
            </Link>
            <Button
              look="link"
              onClick={() => {
                edit('steering.parts', takeOutParts);
                settle();
              }}
            >
              Take them out
            </Button>
          </>
        )}
      </div>
    </Group>
  );
}
