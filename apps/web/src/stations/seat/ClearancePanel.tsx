import { asSentence, type Clearance } from '@larchwood/core';
import { LIMITS, type BuildDocument } from '@larchwood/format';
import { useEditor } from '../../editor/editor';
import { angleWithin, lengthWithin } from '../../ledger/bounds';
import { Group, Panel, Row } from '../../ledger/Panel';
import { QuantityField } from '../../ledger/QuantityField';
import { Length } from '../../parts/Figure';
import { setLock } from '../../edits/steering';
import { LockLeft } from './LockLeft';
import { setSeat } from '../../edits/seat';
import { useClearances } from '../../planning/clearances';
import { useMotion } from './motion';

const WANTED = [
  { id: 'rider', name: 'Rider to a hard part' },
  { id: 'tyre', name: 'Tyre to anything' },
  { id: 'metal', name: 'Moving metal to metal' },
] as const;

/** Least gaps through a turn of the pedals, lock to lock and all of the travel; one pressed is shown on the drawing. */
export function ClearancePanel() {
  const { document, plan, edit } = useEditor('document', 'plan', 'edit');
  const { clearances, working } = useClearances();
  const { gap: shown, show } = useMotion();
  const { gaps: wanted, lock } = document.seat;
  const setGap = (id: keyof BuildDocument['seat']['gaps']) => (value: number) =>
    lengthWithin(value, LIMITS.gaps[id], () =>
      edit(`seat.gaps.${id}`, (before) => setSeat({ gaps: { ...before.seat.gaps, [id]: value } })(before)),
    );
  const gaps = clearances?.gaps ?? [];
  const short = gaps.filter(({ verdict }) => verdict !== 'clear').length;
  return (
    <Panel
      title="Clearances"
      aside={working ? 'working…' : short > 0 ? `${short} under what is wanted` : 'all as wanted'}
    >
      <Group title="Swept over">
        <Row name="Steering lock, each side">
          <QuantityField
            field="seat.lock"
            label="Steering lock"
            quantity="angle"
            value={lock}
            digits={1}
            nudge={1}
            onCommit={(value) =>
              angleWithin(value, LIMITS.lock, () => edit('seat.lock', setLock(value, plan?.stance)))
            }
          />
        </Row>
      </Group>
      {clearances?.lockLeft && <LockLeft {...clearances.lockLeft} />}
      <Group title="Least gap wanted">
        {WANTED.map(({ id, name }) => (
          <Row key={id} name={name}>
            <QuantityField
              field={`seat.gaps.${id}`}
              label={`Gap wanted, ${name.toLowerCase()}`}
              quantity="length"
              value={wanted[id]}
              digits={1}
              onCommit={setGap(id)}
            />
          </Row>
        ))}
      </Group>
      <Group title="Least gaps, tightest first">
        {gaps.length === 0 && !working && (
          <p className="px-4 py-1 text-quiet">Nothing comes near anything.</p>
        )}
        <ul>
          {gaps.map((each) => (
            <GapRow
              key={each.id}
              gap={each}
              units={document.units}
              pressed={shown?.id === each.id}
              onPress={() => show(shown?.id === each.id ? undefined : each)}
            />
          ))}
        </ul>
      </Group>
    </Panel>
  );
}

function GapRow({
  gap,
  units,
  pressed,
  onPress,
}: {
  readonly gap: Clearance;
  readonly units: BuildDocument['units'];
  readonly pressed: boolean;
  readonly onPress: () => void;
}) {
  const { verdict } = gap;
  return (
    <li>
      <button
        type="button"
        aria-pressed={pressed}
        onClick={onPress}
        title="Show where it is least"
        className={`flex min-h-8 w-full items-center gap-2 border-l-4 py-0.5 pr-4 pl-3 text-left hover:bg-larch-wash ${
          pressed ? 'border-brick bg-larch-wash' : 'border-transparent'
        }`}
      >
        <span className="min-w-0 flex-1 leading-tight">
          {asSentence(gap.a)} <span className="text-quiet">to {gap.b}</span>
        </span>
        <span
          className={`text-[12px] ${verdict === 'meet' ? 'font-bold text-brick' : verdict === 'close' ? 'font-bold text-larch-text' : 'text-quiet'}`}
        >
          {verdict}
        </span>
        <span className="w-[4.5rem] text-right">
          <Length mm={gap.gap} display={units} digits={Math.abs(gap.gap) < 10 ? 1 : 0} />
        </span>
      </button>
    </li>
  );
}
