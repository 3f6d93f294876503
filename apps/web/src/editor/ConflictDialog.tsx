import { useState } from 'react';
import type { StoredBuild } from '@larchwood/contract';
import { findKind } from '@larchwood/core';
import { changesBetween, type BuildDocument, type Part } from '@larchwood/format';
import { Button } from '../parts/Button';
import { Dialog } from '../parts/Dialog';
import { Measure } from '../parts/Figure';
import { Sides } from '../parts/Sides';
import { PART_NAMES } from './partNames';

interface Props {
  readonly mine: BuildDocument;
  readonly theirs: StoredBuild;
  readonly onMine: () => void;
  readonly onTheirs: () => Promise<void>;
}

/** Two people, or two windows, changed one build: both sides, and what to do. Nothing is lost either way. */
export function ConflictDialog({ mine, theirs, onMine, onTheirs }: Props) {
  const [failed, setFailed] = useState<string>();
  const differences = differing(mine, theirs.document);
  const others = otherParts(mine, theirs.document);
  return (
    <Dialog
      open
      title="This build was saved somewhere else too"
      about={`While you worked here, revision ${theirs.revision} was saved from another window or by somebody else. Nothing was overwritten.`}
    >
      {differences.length + others.length > 0 && (
        <Sides
          rows={[
            ...differences.map(({ id, name, quantity, here, there }) => {
              const told = (value: number | undefined) =>
                value === undefined ? (
                  '—'
                ) : (
                  <Measure value={value} quantity={quantity} display={mine.units} />
                );
              return { key: id, name, here: told(here), there: told(there) };
            }),
            ...others.map(({ part, here, there }) => ({ key: part, name: PART_NAMES[part], here, there })),
          ]}
        />
      )}
      {failed !== undefined && <p className="mb-3 text-brick">{failed}</p>}
      <div className="flex flex-wrap gap-3">
        <Button look="strong" onClick={onMine}>
          Go on with mine
        </Button>
        <Button
          onClick={() =>
            onTheirs().catch(() => setFailed('The server does not answer; nothing was changed. Try again.'))
          }
        >
          Take theirs, keep mine as a copy
        </Button>
      </div>
    </Dialog>
  );
}

function differing(mine: BuildDocument, theirs: BuildDocument) {
  return (findKind(mine.kind)?.dimensions ?? []).flatMap(({ id, name, quantity }) => {
    const here = mine.stance.held[id];
    const there = theirs.stance.held[id];
    return here === there ? [] : [{ id, name, quantity, here, there }];
  });
}

/** Parts besides the stance that differ: texts as they read, others by how much they hold. */
function otherParts(mine: BuildDocument, theirs: BuildDocument) {
  const { parts, readings, done, measured } = changesBetween(mine, theirs);
  const names = [...parts.keys()].filter((part) => part !== 'stance');
  return [
    ...names.map((part) => ({ part, here: shortly(mine, part), there: shortly(theirs, part) })),
    ...(readings.size === 0
      ? []
      : [{ part: 'readings' as const, here: ticked(mine), there: ticked(theirs) }]),
    ...(done.size === 0 ? [] : [{ part: 'done' as const, here: stepsDone(mine), there: stepsDone(theirs) }]),
    ...(measured.size === 0
      ? []
      : [{ part: 'measured' as const, here: measuredOf(mine), there: measuredOf(theirs) }]),
  ];
}

function shortly(document: BuildDocument, part: Part): string {
  if (part === 'name') return document.name;
  if (part === 'notes') return document.notes === '' ? 'none' : cut(document.notes);
  if (part === 'frame')
    return `${document.frame.members.length} tubes, ${document.frame.plates.length} plates`;
  return 'differs';
}
const ticked = ({ fixture }: BuildDocument): string =>
  `${fixture.readings.filter(({ set }) => set).length} ticked, ${fixture.readings.filter(({ found }) => found !== undefined).length} read`;
const stepsDone = ({ done = [] }: BuildDocument): string =>
  `${done.filter(({ done: is }) => is).length} done`;
const measuredOf = ({ measured = [] }: BuildDocument): string => `${measured.length} readings`;
const cut = (text: string): string => (text.length > 120 ? `${text.slice(0, 118)}…` : text);
