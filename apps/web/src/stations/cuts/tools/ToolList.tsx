import { ChevronDown, ChevronRight } from 'lucide-react';
import { useState, type ReactNode } from 'react';
import { TOOL_SORTS, type Tool } from '@larchwood/format';
import { ChoiceRow } from '../../../ledger/ChoiceRow';
import { Group, Row } from '../../../ledger/Panel';
import { Choice } from '../../../parts/Choice';
import { ShopSize, ShopSizes, ShopText } from '../../../shop/ShopFields';
import type { ShopHand } from '../../../lists/useShop';
import { RemoveButton } from '../../../parts/RowList';

const NAMES: Readonly<Record<Tool['sort'], string>> = {
  notcher: 'hole-saw notcher',
  mill: 'mill',
  saw: 'saw',
  paper: 'paper and grinder',
  drill: 'drill',
  'hole-saws': 'hole saws',
};
const NEW: Omit<Tool, 'name' | 'sort'> = {
  ...{ scale: 'from-square', most: 60, largest: 60, sizes: [], play: 0, speeds: [0, 0] },
};

/** Tools that the workshop owns, each with its limits. */
export function ToolList({ hand }: { readonly hand: ShopHand }) {
  return (
    <Group title="Tools">
      {Object.entries(hand.shop.tools).map(([id, tool]) => (
        <Entry
          key={id}
          name={tool.name}
          detail={NAMES[tool.sort]}
          onRemove={() => hand.remove('tools', id, tool.name)}
        >
          <ToolForm hand={hand} id={id} tool={tool} />
        </Entry>
      ))}
      {Object.keys(hand.shop.tools).length === 0 && (
        <p className="px-4 text-quiet">
          None yet: put in what stands in the shop, and each job gets its setting.
        </p>
      )}
      <div className="px-3 py-1">
        <Choice
          label="Add a tool"
          value=""
          placeholder="Add a tool"
          groups={[{ options: TOOL_SORTS.map((sort) => ({ value: sort, label: NAMES[sort] })) }]}
          onChange={(sort) =>
            hand.add('tools', { ...NEW, sort: sort as Tool['sort'], name: NAMES[sort as Tool['sort']] })
          }
        />
      </div>
    </Group>
  );
}

/** A line of a list that opens to its fields. */
export function Entry({
  name,
  detail,
  onRemove,
  children,
}: {
  readonly name: string;
  readonly detail: string;
  readonly onRemove: () => void;
  readonly children: ReactNode;
}) {
  const [open, setOpen] = useState(false);
  const Mark = open ? ChevronDown : ChevronRight;
  return (
    <div className={open ? 'border-y border-rule bg-sheet pb-1' : ''}>
      <div className="flex min-h-8 items-center gap-1 px-3">
        <button
          type="button"
          aria-expanded={open}
          onClick={() => setOpen(!open)}
          className="flex min-w-0 flex-1 items-center gap-1 text-left"
        >
          <Mark size={14} aria-hidden className="shrink-0" />
          <span className="truncate">{name}</span>
          <span className="caption ml-auto shrink-0">{detail}</span>
        </button>
        <RemoveButton name={name} onClick={onRemove} />
      </div>
      {open && children}
    </div>
  );
}

function ToolForm({ hand, id, tool }: { readonly hand: ShopHand; readonly id: string; readonly tool: Tool }) {
  const given = { hand, list: 'tools', id, item: tool } as const;
  const makesHoles = tool.sort === 'drill' || tool.sort === 'hole-saws';
  const cuts = tool.sort === 'notcher' || tool.sort === 'mill';
  return (
    <>
      <Row name="Name">
        <ShopText {...given} of="name" label="Name of the tool" required className="w-44" />
      </Row>
      {(cuts || tool.sort === 'saw') && (
        <ChoiceRow
          name="Its scale counts"
          value={tool.scale}
          options={[
            { value: 'from-square', label: 'from square' },
            { value: 'from-parallel', label: 'from parallel' },
          ]}
          onChange={(scale) => hand.keep('tools', id, { ...tool, scale: scale as Tool['scale'] })}
        />
      )}
      {!makesHoles && (
        <Row name="Farthest off square">
          <ShopSize {...given} of="most" label="Farthest off square" quantity="angle" nudge={1} />
        </Row>
      )}
      {tool.sort !== 'paper' && (
        <Row name={makesHoles ? 'Largest hole' : 'Largest tube'}>
          <ShopSize {...given} of="largest" label={makesHoles ? 'Largest hole' : 'Largest tube'} />
        </Row>
      )}
      {cuts && (
        <Row name="Play of its arbor">
          <ShopSize {...given} of="play" label="Play of its arbor" nudge={0.05} />
        </Row>
      )}
      {(cuts || makesHoles) && (
        <div className="px-4 pb-1">
          <span className="caption">{cuts ? 'Cutters on hand' : 'Sizes on hand'}</span>
          <ShopSizes hand={hand} id={id} item={tool} label={cuts ? 'Cutters on hand' : 'Sizes on hand'} />
        </div>
      )}
    </>
  );
}
