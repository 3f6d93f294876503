import { useState } from 'react';
import {
  formatAngle,
  parseAngle,
  springbackText,
  trialsOf,
  type BendSchedule,
  type Springback,
} from '@larchwood/core';
import type { Die } from '@larchwood/format';
import { Group } from '../../../ledger/Panel';
import { Button } from '../../../parts/Button';
import { Check } from '../../../parts/Check';
import { today } from '../../../parts/today';
import { useShop } from '../../../shop/useShop';
import { RemoveButton } from '../../brief/RowList';
import { TrialChart } from './TrialChart';

interface Props {
  readonly die: Die & { readonly id: string };
  readonly spring: Springback;
  readonly schedule: BendSchedule;
  /** Section and material, as people say them. */
  readonly of: string;
}

/** Bends that were made with this die, and what they teach: the next setting comes from them. */
export function TrialLog({ die, spring, schedule, of }: Props) {
  const { shop, add, keep, remove } = useShop();
  const trials = trialsOf(shop.trials, {
    die: die.id,
    section: schedule.section,
    material: schedule.material,
  });
  return (
    <Group title={`Logged on ${die.name}, ${of}`}>
      <p className="px-4 pb-1">{springbackText(spring)}</p>
      <NewTrial
        key={trials.length}
        onLog={(asked, set, got) =>
          add('trials', {
            ...{ die: die.id, section: schedule.section, material: schedule.material },
            ...{ asked, set, got, on: today(), leftOut: false },
          })
        }
        wanted={schedule.bends[0]!.angle}
      />
      {trials.length > 1 && <TrialChart trials={trials.map(([, trial]) => trial)} spring={spring} />}
      <ul className="rows px-4 text-[13px]">
        {trials.map(([id, trial]) => (
          <li key={id} className="flex min-h-8 items-center justify-between gap-2">
            <span className="figure">
              {formatAngle(trial.set)} → {formatAngle(trial.got)}
            </span>
            {spring.far.includes(id) && <span className="font-bold text-larch-text">far off</span>}
            <span className="flex items-center">
              <Check
                checked={trial.leftOut}
                onChange={(leftOut) => keep('trials', id, { ...trial, leftOut })}
              >
                left out
              </Check>
              <RemoveButton
                name={`bend ${formatAngle(trial.set)} to ${formatAngle(trial.got)}`}
                onClick={() => remove('trials', id, `The bend of ${trial.on}`)}
              />
            </span>
          </li>
        ))}
      </ul>
    </Group>
  );
}

type Log = (asked: number, set: number, got: number) => ReturnType<ReturnType<typeof useShop>['add']>;

const ASKED = [0, 200] as const;

function NewTrial({ onLog, wanted }: { readonly onLog: Log; readonly wanted: number }) {
  const [typed, setTyped] = useState({ set: '', got: '' });
  const [message, setMessage] = useState<string>();
  const log = () => {
    const [set, got] = [parseAngle(typed.set), parseAngle(typed.got)];
    if (!set.ok || !got.ok) return setMessage('Type what was set and what came out, in degrees.');
    if ([set.value, got.value].some((value) => value < ASKED[0] || value > ASKED[1]))
      return setMessage(`Must lie between 0° and ${ASKED[1]}°.`);
    if (got.value > set.value + 3)
      return setMessage('More came out than was set: look at the scale’s zero, or swap the two.');
    const result = onLog(Math.min(ASKED[1], wanted), set.value, got.value);
    setMessage(result.ok ? undefined : result.message);
  };
  const field = (key: 'set' | 'got', words: string) => (
    <label className="flex items-center gap-1.5">
      {words}
      <input
        aria-label={`Trial bend: ${words}, degrees`}
        className="figure min-h-8 w-16 border border-rule bg-sheet px-1.5 text-right"
        inputMode="decimal"
        value={typed[key]}
        onChange={(event) => setTyped({ ...typed, [key]: event.target.value })}
        onKeyDown={(event) => event.key === 'Enter' && log()}
      />
      °
    </label>
  );
  return (
    <div className="flex flex-wrap items-center gap-x-3 gap-y-1 px-4 py-1">
      {field('set', 'set')}
      {field('got', 'came out')}
      <Button onClick={log}>Log it</Button>
      {message !== undefined && (
        <p role="alert" className="w-full text-[12px] text-brick">
          {message}
        </p>
      )}
    </div>
  );
}
