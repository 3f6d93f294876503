import { braceBay, chooseSection, deleteMembers, MATERIALS, success, withMember } from '@larchwood/core';
import type { Member } from '@larchwood/format';
import { useEditor } from '../../editor/editor';
import { useFrameEdit } from '../../frame/useFrameEdit';
import { Group } from '../../ledger/Panel';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { SectionChoice } from './SectionChoice';
import { useTools } from '../../space/tools';

/** Several tubes in hand: one section or material for all, a brace between two of them. */
export function SeveralDetail({ members }: { readonly members: readonly Member[] }) {
  const { edit, settle } = useEditor('edit', 'settle');
  const { picked, pick, section } = useTools();
  const { apply, message } = useFrameEdit();
  const ids = members.map(({ id }) => id);
  const same = (values: readonly string[]) => (new Set(values).size === 1 ? values[0]! : '');
  const brace = (other: boolean) => {
    const [first, second] = members;
    if (!first || !second) return;
    const sideOf = (index: number, member: Member) => {
      const named = picked[index]?.split(':')[1] as 'left' | 'right' | undefined;
      return member.mirrored ? (named ?? 'left') : ('middle' as const);
    };
    const sides = [sideOf(0, first), sideOf(1, second)] as const;
    // Two of a pair are braced on one side, and so on the other.
    const both = sides.includes('middle') ? sides : ([sides[0], sides[0]] as const);
    const made = apply('frame.brace', (before, frame) =>
      braceBay(
        before,
        frame,
        { member: first.id, side: both[0] },
        { member: second.id, side: both[1] },
        { name: 'Brace', section },
        other,
      ),
    );
    if (made) pick(made.frame.members.at(-1)!.id);
  };
  return (
    <Group title={`${members.length} tubes in hand: ${members.map(({ piece }) => piece).join(', ')}`}>
      <div className="flex flex-col gap-1.5 px-4 pb-2">
        <SectionChoice
          label="Section of all of them"
          value={same(members.map((member) => member.section))}
          placeholder="Several sections"
          workshop
          onChange={(chosen, whole) => {
            edit('section.several', chooseSection(ids, whole ?? chosen));
            settle();
          }}
        />
        <Choice
          label="Material of all of them"
          value={same(members.map((member) => member.material))}
          placeholder="Several materials"
          groups={[{ options: MATERIALS.map(({ id, name }) => ({ value: id, label: name })) }]}
          onChange={(material) => {
            edit('material.several', (before) =>
              ids.reduce((next, id) => withMember(next, id, { material }), before),
            );
            settle();
          }}
          className="w-full"
        />
        <div className="flex flex-wrap gap-1.5">
          {members.length === 2 && (
            <>
              <Button onClick={() => brace(false)}>Brace the bay</Button>
              <Button onClick={() => brace(true)}>Brace it the other way</Button>
            </>
          )}
          <Button
            onClick={() => {
              if (apply('frame.delete', (before, frame) => success(deleteMembers(before, frame, ids))))
                pick(undefined);
            }}
          >
            Delete them
          </Button>
        </div>
        {message !== '' && (
          <p role="alert" className="text-[13px] text-brick">
            {message}
          </p>
        )}
      </div>
    </Group>
  );
}
