import { Plus } from 'lucide-react';
import { acrossOf, formatLength } from '@larchwood/core';
import type { Die } from '@larchwood/format';
import { useEditor } from '../../../editor/editor';
import { ChoiceRow } from '../../../ledger/ChoiceRow';
import { Group, Row } from '../../../ledger/Panel';
import { Button } from '../../../parts/Button';
import { ShopSize, ShopText } from '../../../shop/ShopFields';
import type { ShopHand } from '../../../lists/useShop';
import { Entry } from './ToolList';

const LENGTHS = [
  ['size', 'For a tube of'],
  ['radius', 'Radius of the middle'],
  ['clamp', 'Clamp wants'],
  ['follow', 'Follower wants'],
  ['mark', 'Its mark past the start'],
  ['reach', 'Frame reaches about it'],
  ['below', 'Frame lies below'],
  ['floor', 'Over the floor'],
] as const;
const ANGLES = [
  ['zero', 'Scale at a straight tube', 1],
  ['step', 'Step of its scale', 0.5],
  ['spring', 'Springback, until logged', 0.5],
  ['most', 'Farthest it bends', 5],
] as const;

/** Bending dies, with what their bender leaves room for. */
export function DieList({ hand }: { readonly hand: ShopHand }) {
  const { document, plan } = useEditor('document', 'plan');
  const text = (mm: number) => formatLength(mm, document.units, 1);
  // A new one begins as the first bent piece here needs it.
  const bent = plan?.bends[0];
  const piece = plan?.frame.pieces.find(({ id }) => id === bent?.piece);
  const size = piece ? acrossOf(piece.section) : 25.4;
  const radius = bent?.bends[0]?.radius ?? 76.2;
  const fresh: Die = {
    ...{
      name: `${text(size)} on ${text(radius)}`,
      size,
      shape: 'round',
      radius,
      clamp: 2 * size,
      follow: 3 * size,
    },
    ...{ mark: 0, zero: 0, step: 1, spring: 2, most: 180, reach: 0, below: 0, floor: 0 },
  };
  return (
    <Group title="Bending dies">
      {Object.entries(hand.shop.dies).map(([id, die]) => {
        const given = { hand, list: 'dies', id, item: die } as const;
        return (
          <Entry
            key={id}
            name={die.name}
            detail={text(die.radius)}
            onRemove={() => hand.remove('dies', id, die.name)}
          >
            <Row name="Name">
              <ShopText {...given} of="name" label="Name of the die" required className="w-44" />
            </Row>
            <ChoiceRow
              name="For tubes that are"
              value={die.shape}
              options={[
                { value: 'round', label: 'round' },
                { value: 'square', label: 'square' },
              ]}
              onChange={(shape) => hand.keep('dies', id, { ...die, shape: shape as Die['shape'] })}
            />
            {LENGTHS.map(([of, name]) => (
              <Row key={of} name={name}>
                <ShopSize {...given} of={of} label={name} />
              </Row>
            ))}
            {ANGLES.map(([of, name, nudge]) => (
              <Row key={of} name={name}>
                <ShopSize {...given} of={of} label={name} quantity="angle" nudge={nudge} />
              </Row>
            ))}
          </Entry>
        );
      })}
      {Object.keys(hand.shop.dies).length === 0 && (
        <p className="px-4 text-quiet">None yet: with a die every bend gets its setting.</p>
      )}
      <Button look="quiet" className="ml-2" onClick={() => hand.add('dies', fresh)}>
        <Plus size={14} aria-hidden /> Add a die
      </Button>
    </Group>
  );
}
