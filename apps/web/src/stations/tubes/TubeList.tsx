import { sectionLabel, sectionText, gaugeDisplay } from '@larchwood/core';
import type { Group as FrameGroup, Member, Plate } from '@larchwood/format';
import { memberOf, useEditor } from '../../editor/editor';
import { Length } from '../../parts/Figure';
import { useTools } from '../../space/tools';

/** Every tube and plate, by group, with its number and its section. */
export function TubeList() {
  const { document } = useEditor('document');
  const { groups, members, plates } = document.frame;
  const rest: FrameGroup = { id: '', name: groups.length > 0 ? 'Others' : '', donor: false };
  return (
    <div className="border-b border-rule">
      {[...groups, rest].map((group) => {
        const own = <T extends { readonly group?: string }>(items: readonly T[]) =>
          items.filter((item) => (item.group ?? '') === group.id);
        const [tubes, sheets] = [own(members), own(plates)];
        if (tubes.length + sheets.length === 0) return null;
        return (
          <section key={group.id} aria-label={group.name || 'Tubes'}>
            {group.name !== '' && (
              <h3 className="caption px-4 pt-2">
                {group.name}
                {group.donor && ', there already'}
              </h3>
            )}
            <ul className="rows">
              {tubes.map((member) => (
                <TubeRow key={member.id} member={member} />
              ))}
              {sheets.map((plate) => (
                <PlateRow key={plate.id} plate={plate} />
              ))}
            </ul>
          </section>
        );
      })}
    </div>
  );
}

function TubeRow({ member }: { readonly member: Member }) {
  const { document } = useEditor('document');
  const { picked, pick } = useTools();
  const lit = picked.some((each) => memberOf(each) === member.id);
  const section = document.frame.sections.find(({ id }) => id === member.section);
  return (
    <li>
      <button
        type="button"
        aria-pressed={lit}
        className={`flex min-h-[30px] w-full items-baseline gap-2.5 px-4 py-[3px] text-left ${lit ? 'bg-larch-wash font-bold' : 'hover:bg-sheet'}`}
        onClick={(event) => {
          const more = event.shiftKey || event.ctrlKey || event.metaKey;
          pick(lit && picked.length === 1 && !more ? undefined : member.id, more);
        }}
      >
        <span className="figure w-5 shrink-0 text-right">{member.piece}</span>
        <span className="min-w-0 flex-1">
          {member.name}
          {member.mirrored && <span className="caption font-normal"> L + R</span>}
        </span>
        <span
          className="caption max-w-40 truncate font-normal"
          title={section && sectionLabel(section, document.units)}
        >
          {section && sectionText(section, document.units)}
        </span>
      </button>
    </li>
  );
}

function PlateRow({ plate }: { readonly plate: Plate }) {
  const { document } = useEditor('document');
  return (
    <li className="flex min-h-[30px] items-baseline gap-2.5 px-4 py-[3px]">
      <span className="figure w-5 shrink-0 text-right">{plate.piece}</span>
      <span className="min-w-0 flex-1">
        {plate.name}
        {plate.mirrored && <span className="caption"> L + R</span>}
      </span>
      <span className="caption">
        plate,{' '}
        <Length mm={plate.thickness} display={gaugeDisplay(plate.thickness, document.units)} digits={2} />
      </span>
    </li>
  );
}
