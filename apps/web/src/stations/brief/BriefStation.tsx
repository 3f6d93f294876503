import { changeBrief, findKind, SCHOOLS } from '@larchwood/core';
import { LONGEST, type Brief, type BuildDocument } from '@larchwood/format';
import { UNITS, unitsOf, unitsValue } from '../../editor/units';
import { useEditor } from '../../editor/editor';
import { Panel } from '../../ledger/Panel';
import { Choice } from '../../parts/Choice';
import { Limits } from './Limits';
import { Riders } from './Riders';
import { BriefPart } from '../../parts/RowList';
import { Shelf } from './Shelf';
import { StartingStance } from './StartingStance';

/** What is known before the first dimension: what it is for, who sits in it, what is there already, what must be kept. */
export function BriefStation() {
  const { document, edit, settle } = useEditor('document', 'edit', 'settle');
  const kind = findKind(document.kind);
  if (!kind) return null;
  const set = kind.startingSets.find(({ id }) => id === document.startingSet);
  const choose = (key: string, change: (before: BuildDocument) => BuildDocument) => {
    edit(key, change);
    settle();
  };
  return (
    <>
      <div
        className="min-h-0 min-w-0 flex-1 overflow-y-auto bg-sheet px-6 py-4"
        tabIndex={0}
        role="group"
        aria-label="Brief"
      >
        <div className="max-w-3xl">
          <BriefPart title={kind.name} about={kind.about}>
            <dl className="grid grid-cols-[9rem_1fr] items-baseline gap-x-4 gap-y-2 pt-2">
              <dt>Starting set</dt>
              <dd>
                <Choice
                  label="Starting set"
                  value={document.startingSet}
                  groups={[
                    { options: kind.startingSets.map(({ id, name }) => ({ value: id, label: name })) },
                  ]}
                  onChange={(startingSet) =>
                    choose('brief.set', (before) => changeBrief(before, { startingSet }))
                  }
                  className="w-64"
                />
                <p className="caption mt-0.5">{set?.about}</p>
              </dd>
              <dt>What it is for</dt>
              <dd>
                <textarea
                  aria-label="What it is for"
                  className="block min-h-14 w-full resize-y border border-rule bg-paper px-2 py-1 leading-relaxed placeholder:text-quiet"
                  placeholder="e.g. Errands along the canal with a child seat; two steps to carry it up"
                  maxLength={LONGEST.purpose}
                  value={document.brief.purpose}
                  onChange={(event) =>
                    edit('brief.purpose', (before) => changeBrief(before, { purpose: event.target.value }))
                  }
                  onBlur={settle}
                />
              </dd>
              <dt>Units shown</dt>
              <dd>
                <Choice
                  label="Units of this build"
                  value={unitsValue(document.units)}
                  groups={[{ options: UNITS }]}
                  onChange={(value) =>
                    choose('units', (before) => ({ ...before, units: unitsOf(value, before.units) }))
                  }
                  className="w-64"
                />
              </dd>
              <dt>How it will be held</dt>
              <dd>
                <Choice
                  label="School of fixture"
                  value={document.brief.school}
                  groups={[{ options: SCHOOLS.map(({ id, name }) => ({ value: id, label: name })) }]}
                  onChange={(school) =>
                    choose('brief.school', (before) =>
                      changeBrief(before, { school: school as Brief['school'] }),
                    )
                  }
                  className="w-64"
                />
                <p className="caption mt-0.5">
                  {SCHOOLS.find(({ id }) => id === document.brief.school)?.about}
                </p>
              </dd>
            </dl>
          </BriefPart>
          <Riders kind={kind} />
          <Shelf kind={kind} />
          <Limits kind={kind} />
        </div>
      </div>
      <Panel title="Starting stance">
        <StartingStance kind={kind} />
      </Panel>
    </>
  );
}
