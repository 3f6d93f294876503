import { frameFromPattern } from '@larchwood/core';
import { memberOf, useEditor } from '../../editor/editor';
import { Findings } from '../../ledger/Findings';
import { Group, Panel } from '../../ledger/Panel';
import { Button } from '../../parts/Button';
import { Sheet } from '../../sheet/Sheet';
import { Vehicle } from '../../sheet/Vehicle';
import { Balloons } from './Balloons';
import { MemberDetail } from './MemberDetail';

/** The tubes: which sections, from where to where. */
export function TubesStation() {
  const { document, plan, edit, settle, piece, setPiece } = useEditor();
  const { members } = document.frame;
  const selected = members.find((member) => member.id === memberOf(piece));
  const mass = plan?.frame.pieces.reduce((sum, each) => sum + each.mass, 0) ?? 0;
  const rebuild = () => {
    edit('frame', (before) => {
      const made = frameFromPattern(before);
      return made.ok ? made.value : before;
    });
    settle();
  };
  return (
    <>
      <div className="min-h-0 min-w-0 flex-1">
        {plan && (
          <Sheet
            plan={plan}
            title="Tubes, from the right"
            drawing={(view) => (
              <>
                <Vehicle plan={plan} view={view} selected={piece} onSelect={setPiece} />
                <Balloons plan={plan} view={view} selected={piece} onSelect={setPiece} />
              </>
            )}
          />
        )}
      </div>
      <Panel title="Tubes" aside={<span className="figure">{mass.toFixed(2)} kg uncut</span>}>
        {members.length === 0 ? (
          <p className="p-4">
            No tubes yet. <Button onClick={rebuild}>Make a diamond frame</Button>
          </p>
        ) : (
          <ul className="rows border-b border-rule">
            {members.map((member) => {
              const section = document.frame.sections.find((candidate) => candidate.id === member.section);
              const lit = member === selected;
              return (
                <li key={member.id}>
                  <button
                    type="button"
                    aria-pressed={lit}
                    className={`flex min-h-8 w-full items-baseline gap-3 px-4 py-1 text-left ${lit ? 'bg-larch-wash font-bold' : 'hover:bg-sheet'}`}
                    onClick={() => setPiece(lit ? undefined : member.id)}
                  >
                    <span className="figure w-5 text-right">{member.piece}</span>
                    <span className="flex-1">
                      {member.name}
                      {member.mirrored && <span className="caption font-normal"> L + R</span>}
                    </span>
                    <span className="caption max-w-36 truncate font-normal">{section?.name}</span>
                  </button>
                </li>
              );
            })}
          </ul>
        )}
        {selected && <MemberDetail member={selected} />}
        <Findings findings={plan?.findings.filter((finding) => finding.where.station === 'tubes') ?? []} />
        {members.length > 0 && (
          <Group title="Start the frame again">
            <p className="px-4 pb-2 text-[13px] text-quiet">
              Makes new tubes from the stance as it is now. Undo brings these back.
            </p>
            <div className="px-4 pb-2">
              <Button onClick={rebuild}>Diamond frame from the stance</Button>
            </div>
          </Group>
        )}
      </Panel>
    </>
  );
}
