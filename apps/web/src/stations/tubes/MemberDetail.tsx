import { failure, MATERIALS, SECTION_LIBRARY, type Member, type Node } from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { changeMember, chooseSection, moveNode, offsetNode } from '../../frame/changes';
import { Group, Row } from '../../ledger/Panel';
import { QuantityField } from '../../ledger/QuantityField';
import { Choice, type ChoiceGroup } from '../../parts/Choice';

/** What can be changed about one tube: its section, its material, and where its ends sit. */
export function MemberDetail({ member }: { readonly member: Member }) {
  const { document, plan, edit, settle } = useEditor();
  const own = document.frame.sections.find((section) => section.id === member.section);
  const inLibrary = SECTION_LIBRARY.some(({ sections }) =>
    sections.some((section) => section.id === member.section),
  );
  const groups: ChoiceGroup[] = [
    ...(own && !inLibrary ? [{ group: 'In this build', options: [{ value: own.id, label: own.name }] }] : []),
    ...SECTION_LIBRARY.map(({ group, sections }) => ({
      group,
      options: sections.map(({ id, name }) => ({ value: id, label: name })),
    })),
  ];
  const nodes = member.nodes.flatMap((id) => document.frame.nodes.find((node) => node.id === id) ?? []);
  const pieces = plan?.frame.pieces.filter((piece) => piece.member.id === member.id) ?? [];
  const note = MATERIALS.find((material) => material.id === member.material)?.note;
  return (
    <Group title={`Piece ${member.piece}, ${member.name.toLowerCase()}`}>
      <div className="flex flex-col gap-2 px-4 pb-2">
        <Choice
          label="Section"
          value={member.section}
          groups={groups}
          onChange={(section) => {
            edit(`section.${member.id}`, chooseSection(member.id, section));
            settle();
          }}
          className="w-full"
        />
        <Choice
          label="Material"
          value={member.material}
          groups={[{ options: MATERIALS.map(({ id, name }) => ({ value: id, label: name })) }]}
          onChange={(material) => {
            edit(`material.${member.id}`, changeMember(member.id, { material }));
            settle();
          }}
          className="w-full"
        />
        {note !== undefined && <p className="text-[13px] text-larch-text">{note}</p>}
      </div>
      {nodes.map((node) => (
        <NodeRows key={node.id} node={node} />
      ))}
      <Row name={<span className="text-quiet">Mass, uncut{member.mirrored ? ', each' : ''}</span>}>
        <span className="figure text-quiet">{((pieces[0]?.mass ?? 0) * 1000).toFixed(0)} g</span>
      </Row>
    </Group>
  );
}

function NodeRows({ node }: { readonly node: Node }) {
  const { document, edit } = useEditor();
  const { anchor } = node;
  if (anchor.on === 'fixed') return null;
  const host =
    anchor.on === 'member' ? document.frame.members.find((member) => member.id === anchor.member) : undefined;
  const y = anchor.offset[1];
  const bounded = (value: number, low: number, high: number, take: () => ReturnType<typeof edit>) =>
    value < low || value > high ? failure(`Must lie between ${low} and ${high} mm.`) : take();
  return (
    <>
      {anchor.on === 'member' && (
        <Row
          name={
            <span title={node.name}>
              {host
                ? `From the ${host.name.toLowerCase()}’s ${anchor.from === 'end' ? 'top' : 'foot'}`
                : node.name}
            </span>
          }
        >
          <QuantityField
            field={`node.${node.id}.distance`}
            label={`${node.name}, distance`}
            quantity="length"
            value={anchor.distance}
            onCommit={(value) =>
              bounded(value, -500, 5000, () => edit(`node.${node.id}.distance`, moveNode(node.id, value)))
            }
          />
        </Row>
      )}
      {y !== 0 && (
        <Row name={<span title={node.name}>{node.name}, off the middle</span>}>
          <QuantityField
            field={`node.${node.id}.off`}
            label={`${node.name}, off the middle`}
            quantity="length"
            value={y}
            nudge={0.5}
            onCommit={(value) =>
              bounded(value, -500, 500, () => edit(`node.${node.id}.off`, offsetNode(node.id, value)))
            }
          />
        </Row>
      )}
    </>
  );
}
