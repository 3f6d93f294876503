import { LIMITS, type Anchor, type Member, type Node } from '@larchwood/format';
import { useEditor } from '../../editor/editor';
import { moveNode, offsetNode, slidesOn } from '../../edits/frame';
import { lengthWithin } from '../../ledger/bounds';
import { Group, Row } from '../../ledger/Panel';
import { QuantityField } from '../../ledger/QuantityField';
import { Choice } from '../../parts/Choice';
import { placings, type Placing } from './placings';

/** Where the corners of a tube are: what each is tied to, in the words builders use, and what that leaves free. */
export function NodeRows({ member }: { readonly member: Member }) {
  const { document } = useEditor('document');
  const ids = [member.nodes[0], ...member.bends.map(({ node }) => node), member.nodes[1]];
  return (
    <Group title="Where it runs">
      {ids.map((id, index) => {
        const node = document.frame.nodes.find((each) => each.id === id);
        const name = index === 0 ? 'First end' : index === ids.length - 1 ? 'Second end' : `Corner ${index}`;
        return node ? <NodeRow key={id} node={node} name={name} member={member} /> : null;
      })}
    </Group>
  );
}

function NodeRow({
  node,
  name,
  member,
}: {
  readonly node: Node;
  readonly name: string;
  readonly member: Member;
}) {
  const { document, plan, present, edit, settle } = useEditor(
    'document',
    'plan',
    'present',
    'edit',
    'settle',
  );
  if (!plan) return null;
  const choices = placings(document, plan.frame, node, member);
  const now = choices.find(({ current }) => current);
  return (
    <>
      <div className="flex min-h-[30px] items-center gap-2 px-4 pt-0.5">
        <span className="w-[74px] shrink-0 text-quiet" title={node.name}>
          {name}
        </span>
        <Choice
          label={`${name}: place`}
          value={now?.id ?? ''}
          placeholder={now?.label ?? 'Place'}
          groups={grouped(choices)}
          className="min-w-0 flex-1"
          onChange={(id) => {
            const choice = placings(present(), plan.frame, node, member).find((each) => each.id === id);
            if (choice?.change) {
              edit(`node.${node.id}`, choice.change);
              settle();
            }
          }}
        />
      </div>
      <FreeRows node={node} />
    </>
  );
}

function grouped(choices: readonly Placing[]) {
  const names = [...new Set(choices.map(({ group }) => group))];
  return names.map((group) => ({
    ...(group === '' ? {} : { group }),
    options: choices.filter((each) => each.group === group).map(({ id, label }) => ({ value: id, label })),
  }));
}

const AXES = ['ahead', 'to the left', 'up'] as const;

/** What is left free of a node: its way along its host, or its coordinates off what it is tied to. */
function FreeRows({ node }: { readonly node: Node }) {
  const { document, plan, edit } = useEditor('document', 'plan', 'edit');
  const { anchor } = node;
  const host = slidesOn(document, anchor);
  const length = plan?.frame.pieces.find(
    ({ member, side }) => member.id === host?.id && side !== 'right',
  )?.length;
  const key = `node.${node.id}`;
  return (
    <>
      {host && length !== undefined && (anchor.on === 'member' || anchor.on === 'share') && (
        <Row
          name={
            <span className="pl-[82px] text-[13px]">
              {anchor.on === 'member' && anchor.from === 'end' ? 'From its second end' : 'From its first end'}
            </span>
          }
        >
          <QuantityField
            field={`${key}.distance`}
            label={`${node.name}, distance`}
            quantity="length"
            value={anchor.on === 'member' ? anchor.distance : anchor.share * length}
            onCommit={(value) =>
              lengthWithin(value, LIMITS.alongMember, () =>
                edit(`${key}.distance`, moveNode(node.id, anchor.on === 'member' ? value : value / length)),
              )
            }
          />
        </Row>
      )}
      {anchor.on === 'parallel' && (
        <Row name={<span className="pl-[82px] text-[13px]">Apart</span>}>
          <QuantityField
            field={`${key}.apart`}
            label={`${node.name}, apart`}
            quantity="length"
            value={anchor.distance}
            onCommit={(value) =>
              lengthWithin(value, LIMITS.apart, () => edit(`${key}.apart`, moveNode(node.id, value)))
            }
          />
        </Row>
      )}
      {offsets(anchor).map(([axis, value]) => (
        <Row key={axis} name={<span className="pl-[82px] text-[13px]">{AXES[axis]}</span>}>
          <QuantityField
            field={`${key}.${axis}`}
            label={`${node.name}, ${AXES[axis]}`}
            quantity="length"
            value={value}
            nudge={axis === 1 ? 0.5 : 1}
            onCommit={(next) =>
              lengthWithin(next, LIMITS.coordinate, () =>
                edit(`${key}.${axis}`, offsetNode(node.id, axis, next)),
              )
            }
          />
        </Row>
      ))}
    </>
  );
}

/** The coordinates a builder would set: all of a free node's, of one on a tube only those that are not zero. */
function offsets(anchor: Anchor): (readonly [0 | 1 | 2, number])[] {
  const values = anchor.on === 'fixed' ? anchor.at : 'offset' in anchor ? anchor.offset : undefined;
  if (!values) return [];
  const all = ([0, 1, 2] as const).map((axis) => [axis, values[axis]] as const);
  const bound = anchor.on === 'member' || anchor.on === 'share';
  const resting = anchor.on === 'stance' && values.every((value) => value === 0);
  return bound || resting ? all.filter(([, value]) => value !== 0) : all;
}
