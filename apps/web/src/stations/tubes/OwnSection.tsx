import { useState } from 'react';
import { chooseSection, noTube, ownSection, success } from '@larchwood/core';
import { LIMITS, type Limits, type Section } from '@larchwood/format';
import { useEditor } from '../../editor/editor';
import { lengthWithin } from '../../ledger/bounds';
import { Group, Row } from '../../ledger/Panel';
import { QuantityField } from '../../ledger/QuantityField';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';

type Shape = Section['shape'];
const SHAPES: readonly { readonly value: Shape; readonly label: string }[] = [
  { value: 'round', label: 'Round' },
  { value: 'rectangular', label: 'Square or rectangular' },
  { value: 'oval', label: 'Oval' },
];

/** A section that is in no list: typed in any unit, the wall also as a gauge, and given to the tubes in hand. */
export function OwnSection({ members }: { readonly members: readonly string[] }) {
  const { document, edit, settle, drafts } = useEditor('document', 'edit', 'settle', 'drafts');
  const [open, setOpen] = useState(false);
  const [shape, setShape] = useState<Shape>('round');
  const [sizes, setSizes] = useState({ width: 25.4, height: 25.4, wall: 1.5 });
  const round = shape === 'round';
  const bad = noTube({ shape, ...sizes }) ?? '';
  const unread = ['width', 'height', 'wall'].some((key) => drafts[`own.${key}`]?.message !== undefined);
  const set = (key: keyof typeof sizes, limits: Limits) => (value: number) =>
    lengthWithin(value, limits, () => {
      setSizes((before) => ({ ...before, [key]: value }));
      return success<true>(true);
    });
  if (!open)
    return (
      <div className="border-b border-rule px-4 py-2">
        <Button look="link" onClick={() => setOpen(true)}>
          A section that is in no list
        </Button>
      </div>
    );
  return (
    <Group title="A section of your own">
      <div className="px-4 pb-1">
        <Choice
          label="Shape"
          value={shape}
          groups={[{ options: SHAPES }]}
          onChange={(next) => setShape(next as Shape)}
          className="w-full"
        />
      </div>
      <Row name={round ? 'Diameter' : 'Across'}>
        <QuantityField
          field="own.width"
          label={round ? 'Diameter' : 'Across'}
          quantity="length"
          value={sizes.width}
          onCommit={set('width', LIMITS.section.outer)}
        />
      </Row>
      {!round && (
        <Row name="Up">
          <QuantityField
            field="own.height"
            label="Up"
            quantity="length"
            value={sizes.height}
            onCommit={set('height', LIMITS.section.outer)}
          />
        </Row>
      )}
      <Row name={<span title="A length, or a gauge such as 16 ga">Wall, or gauge</span>}>
        <QuantityField
          field="own.wall"
          label="Wall, or gauge"
          quantity={round ? 'roundWall' : 'boxWall'}
          digits={2}
          nudge={0.1}
          value={sizes.wall}
          onCommit={set('wall', LIMITS.section.wall)}
        />
      </Row>
      <p className="px-4 text-[13px] text-quiet">
        {round
          ? `Gauge by the Birmingham table for tube.${bad === '' ? ' A wall of half the diameter makes it a solid bar.' : ''}`
          : 'Gauge by the manufacturers’ standard for sheet.'}
        {bad !== '' && <span className="block text-brick">{bad}</span>}
      </p>
      <div className="px-4 py-1.5">
        <Button
          disabled={bad !== '' || unread}
          onClick={() => {
            const own = ownSection({ shape, ...sizes });
            const { sections: known } = document.frame;
            edit('section.own', chooseSection(members, known.find(({ id }) => id === own.id) ?? own));
            settle();
            setOpen(false);
          }}
        >
          Use it for {members.length === 1 ? 'this tube' : 'these tubes'}
        </Button>
      </div>
    </Group>
  );
}
