import {
  bendMember,
  chooseSection,
  deleteMembers,
  MATERIALS,
  mirrorMember,
  splitMember,
  straighten,
  success,
} from '@larchwood/core';
import { LIMITS, type Member } from '@larchwood/format';
import { useEditor } from '../../editor/editor';
import { changeMember } from '../../edits/frame';
import { useFrameEdit } from '../../frame/useFrameEdit';
import { angleWithin, lengthWithin } from '../../ledger/bounds';
import { Group, Row } from '../../ledger/Panel';
import { QuantityField } from '../../ledger/QuantityField';
import { TextField } from '../../ledger/TextField';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Angle, Length, Mass } from '../../parts/Figure';
import { EndRows } from './EndRows';
import { NodeRows } from './NodeRows';
import { SectionChoice } from './SectionChoice';
import { useTools } from '../../space/tools';

/** How far a new bend moves the middle of a tube off its line, mm: enough to see and to take hold of. */
const BEND = 40;

/** What can be changed about one tube: what it is, where it runs, how its ends are cut, its bends. */
export function MemberDetail({ member }: { readonly member: Member }) {
  const { document, plan, edit, settle } = useEditor('document', 'plan', 'edit', 'settle');
  const { pick } = useTools();
  const { apply, message } = useFrameEdit();
  const pieces = plan?.frame.pieces.filter((piece) => piece.member.id === member.id) ?? [];
  const cut = plan && [...plan.cuts, ...plan.given].find(({ piece }) => piece === pieces[0]?.id);
  const note = MATERIALS.find((material) => material.id === member.material)?.note;
  const square = document.frame.sections.find(({ id }) => id === member.section)?.shape !== 'round';
  const mass = plan?.weights
    .filter((weight) => weight.member === member.id)
    .reduce((sum, each) => sum + each.mass, 0);
  return (
    <>
      <Group title={`Piece ${member.piece}${member.mirrored ? ', left and right' : ''}`}>
        <div className="flex flex-col gap-1.5 px-4 pb-1.5">
          <TextField
            field={`name.${member.id}`}
            label="Name"
            value={member.name}
            required
            onCommit={(name) => edit(`name.${member.id}`, changeMember(member.id, { name }))}
            className="w-full font-bold"
          />
          <SectionChoice
            label="Section"
            value={member.section}
            workshop
            onChange={(section, whole) => {
              edit(`section.${member.id}`, chooseSection([member.id], whole ?? section));
              settle();
            }}
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
        {square && (
          <Row name="Turned about its length">
            <QuantityField
              field={`turn.${member.id}`}
              label="Turned about its length"
              quantity="angle"
              value={member.turn}
              nudge={1}
              onCommit={(turn) =>
                angleWithin(turn, LIMITS.turn, () =>
                  edit(`turn.${member.id}`, changeMember(member.id, { turn })),
                )
              }
            />
          </Row>
        )}
        {cut && (
          <Row name={<span className="text-quiet">Longest, overall</span>}>
            <Length mm={cut.overall} display={document.units} />
          </Row>
        )}
        <Row name={<span className="text-quiet">Mass{member.mirrored ? ', both' : ''}</span>}>
          <span className="text-quiet">
            {document.units.length === 'mm' ? (
              <span className="figure">{((mass ?? 0) * 1000).toFixed(0)} g</span>
            ) : (
              <Mass kg={mass ?? 0} display={document.units} digits={3} />
            )}
          </span>
        </Row>
        {cut?.handedness !== undefined && (
          <p className="px-4 pb-1 text-[13px] text-quiet">
            {cut.handedness === 'turned over'
              ? 'Left and right are the same piece, turned over.'
              : 'Left and right are mirror parts: not the same piece.'}
          </p>
        )}
      </Group>
      <NodeRows member={member} />
      <EndRows member={member} />
      {member.bends.length > 0 && (
        <Group title="Bends">
          {member.bends.map((bend, index) => {
            const arc = pieces[0]?.path.arcs[index];
            return (
              <Row
                key={bend.node}
                name={
                  <>
                    Bend {index + 1}, radius{' '}
                    {arc && (
                      <span className="text-quiet">
                        turn <Angle degrees={arc.angle} />
                      </span>
                    )}
                  </>
                }
              >
                <QuantityField
                  field={`bend.${member.id}.${index}`}
                  label={`Radius of bend ${index + 1}`}
                  quantity="length"
                  value={bend.radius}
                  nudge={5}
                  onCommit={(radius) =>
                    lengthWithin(radius, LIMITS.bendRadius, () =>
                      edit(
                        `bend.${member.id}.${index}`,
                        changeMember(member.id, {
                          bends: member.bends.map((each, at) => (at === index ? { ...each, radius } : each)),
                        }),
                      ),
                    )
                  }
                />
                <Button
                  look="link"
                  className="ml-2"
                  aria-label={`Take bend ${index + 1} out`}
                  onClick={() => apply('frame.straighten', (before) => straighten(before, member.id, index))}
                >
                  Take out
                </Button>
              </Row>
            );
          })}
        </Group>
      )}
      <div className="flex flex-wrap gap-1.5 border-b border-rule px-4 py-2">
        <Button
          onClick={() =>
            apply('frame.bend', (before, frame) => bendMember(before, frame, member.id, 0.5, BEND))
          }
        >
          Bend it
        </Button>
        <Button
          onClick={() => apply('frame.split', (before, frame) => splitMember(before, frame, member.id, 0.5))}
        >
          Split it
        </Button>
        <Button
          onClick={() => apply('frame.mirror', (before, frame) => mirrorMember(before, frame, member.id))}
        >
          {member.mirrored ? 'Leave the right one out' : 'Mirror it'}
        </Button>
        <Button
          onClick={() => {
            if (apply('frame.delete', (before, frame) => success(deleteMembers(before, frame, [member.id]))))
              pick(undefined);
          }}
        >
          Delete
        </Button>
        {message !== '' && (
          <p role="alert" className="w-full text-[13px] text-brick">
            {message}
          </p>
        )}
      </div>
    </>
  );
}
