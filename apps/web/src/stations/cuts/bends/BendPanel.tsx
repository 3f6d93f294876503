import { Link } from 'react-router';
import {
  diesFor,
  findMaterial,
  formatAngle,
  formatLength,
  sectionText,
  USUAL_BENDING,
  type BendSchedule,
  type OnBender,
  type Plan,
} from '@larchwood/core';
import type { Shop } from '@larchwood/format';
import { memberOf, useEditor } from '../../../editor/editor';
import { ChoiceRow } from '../../../ledger/ChoiceRow';
import { Findings } from '../../../ledger/Findings';
import { Group, Panel, Row } from '../../../ledger/Panel';
import { QuantityField } from '../../../ledger/QuantityField';
import { lengthWithin } from '../../../ledger/bounds';
import { Button } from '../../../parts/Button';
import { Length } from '../../../parts/Figure';
import { changeBending, letDieGo } from '../../../edits/cuts';
import { BendOrderRow } from './BendOrderRow';
import { CompoundReading } from './CompoundReading';
import { TaperForm } from './TaperForm';
import { TrialLog } from './TrialLog';

interface Props {
  readonly plan: Plan;
  readonly schedule: BendSchedule;
  readonly made: OnBender;
  /** The bend in hand. */
  readonly number: number;
  readonly shop: Shop;
}

/** Left on: three times what the far end scatters, in whole steps. Common practice, no source. */
const enoughFor = (farEnd: number): number => Math.ceil((3 * farEnd) / 5) * 5;
const enoughText = (farEnd: number, units: Plan['units']): string =>
  formatLength(enoughFor(farEnd), units, 0);

const LONG = [0, 2000] as const;
const BEST = 'best';

/** How one piece is bent: from which end, how long, on which die; and what that die has taught. */
export function BendPanel({ plan, schedule, made, number, shop }: Props) {
  const { document, edit, settle } = useEditor('document', 'edit', 'settle');
  const member = memberOf(schedule.piece)!;
  const bending = document.cuts?.bends[member] ?? USUAL_BENDING;
  const { bend, die, spring } = made.settings[number - 1] ?? {};
  const fitting = diesFor(shop, schedule, bend?.radius ?? 0);
  const change = (part: Parameters<typeof changeBending>[1]) =>
    edit(`bending.${member}`, changeBending(member, part));
  const piece = plan.frame.pieces.find(({ id }) => id === schedule.piece)!;
  const left = plan.findings.filter(
    ({ where }) => where.station === 'cuts' && memberOf(where.ref) === member,
  );
  return (
    <Panel
      title={`Piece ${schedule.mark.replace(/L$/, '')}`}
      aside={schedule.flat ? 'in one plane' : 'in several planes'}
    >
      <Findings findings={[...left, ...made.findings]} />
      <Group title="How it is bent">
        <ChoiceRow
          name="Marks from its"
          value={bending.from}
          options={[
            { value: 'start', label: 'start' },
            { value: 'end', label: 'end' },
          ]}
          onChange={(from) => {
            // Bends are numbered from that end: an order of one's own is told from the other one.
            change({ from: from as 'start' | 'end', order: undefined });
            settle();
          }}
        />
        <BendOrderRow schedule={schedule} made={made} change={change} />
        {(['start', 'end'] as const).map((end) => (
          <Row key={end} name={`Left on at its ${end}`}>
            <QuantityField
              field={`bending.${member}.${end}`}
              label={`Left on at its ${end}`}
              quantity="length"
              value={bending.extra[end]}
              onCommit={(value) =>
                lengthWithin(value, LONG, () => change({ extra: { ...bending.extra, [end]: value } }))
              }
            />
          </Row>
        ))}
        {(schedule.way === 'die' || fitting.length > 0) && (
          <ChoiceRow
            name="Die"
            value={bending.die ?? BEST}
            options={[
              {
                value: BEST,
                label: 'of each bend’s radius',
              },
              ...fitting.map(({ id, name }) => ({ value: id, label: name })),
              ...(bending.die !== undefined && !shop.dies[bending.die]
                ? [{ value: bending.die, label: 'one that is gone' }]
                : []),
            ]}
            onChange={(die) => {
              if (die === BEST) edit(`bending.${member}`, letDieGo(member));
              else change({ die });
              settle();
            }}
          />
        )}
        {made.farEnd !== undefined && (
          <p className="px-4 pt-1 text-[13px] text-quiet">
            By the scatter of the log its far end comes out within about{' '}
            <Length mm={made.farEnd} display={document.units} digits={0} />.{' '}
            <Button
              look="link"
              onClick={() => {
                const enough = enoughFor(made.farEnd!);
                change({ extra: { start: enough, end: enough } });
                settle();
              }}
            >
              Leave on what the log has earned: {enoughText(made.farEnd, document.units)}
            </Button>
          </p>
        )}
        <p className="px-4 pt-1 pb-1">
          <Link to="../cuts?show=tools" className="text-larch-text underline underline-offset-2">
            The workshop’s dies
          </Link>
        </p>
      </Group>
      {die && spring && (
        <TrialLog
          key={die.id}
          die={die}
          spring={spring}
          schedule={schedule}
          settings={made.settings}
          of={`${sectionText(piece.section, document.units)}, ${findMaterial(schedule.material)?.name ?? schedule.material}`}
        />
      )}
      {!die && schedule.way === 'rolled' && <Rolled schedule={schedule} />}
      {!die && schedule.way === 'wedge' && <Wedges schedule={schedule} />}
      <CompoundReading />
      <TaperForm />
      <p className="caption px-4 py-3">
        Benders and rolls take fingers: watch the exit side too. Bend an off-cut of the same tube first.
      </p>
    </Panel>
  );
}

/** A gauge to roll by: rise of the arc over a chord. */
function Rolled({ schedule }: { readonly schedule: BendSchedule }) {
  const { document } = useEditor('document');
  const chord = document.units.length === 'mm' ? 300 : 304.8;
  return (
    <Group title="Rolled on three rolls">
      {schedule.bends.map(({ number, radius, angle, arc }) => (
        <p key={number} className="px-4 py-0.5">
          <b>{number}</b>: <Length mm={arc} display={document.units} /> along it, {formatAngle(angle)}; over a
          straight-edge of <Length mm={chord} display={document.units} digits={0} /> it rises{' '}
          <b>
            <Length
              mm={radius - Math.sqrt(Math.max(0, radius ** 2 - (chord / 2) ** 2))}
              display={document.units}
            />
          </b>
          .
        </p>
      ))}
    </Group>
  );
}

/** Square stock is sawn nearly through, closed and welded. */
function Wedges({ schedule }: { readonly schedule: BendSchedule }) {
  const { document } = useEditor('document');
  return (
    <Group title="Bent by wedge cuts">
      {schedule.bends.map(({ number, angle }) => (
        <p key={number} className="px-4 py-0.5">
          <b>{number}</b>: a wedge{' '}
          <b>
            <Length
              mm={2 * schedule.across * Math.tan(((angle / 2) * Math.PI) / 180)}
              display={document.units}
            />
          </b>{' '}
          wide at the open face, closed by {formatAngle(angle)}.
        </p>
      ))}
      <p className="px-4 pb-1 text-[13px] text-quiet">
        Leave the far wall whole. Several narrow wedges make a rounder corner: share the width between them.
        Keep a spreader in while it is welded.
      </p>
    </Group>
  );
}
