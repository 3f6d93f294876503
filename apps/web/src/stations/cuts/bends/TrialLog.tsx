import { useState } from 'react';
import {
  formatAngle,
  parseAngle,
  scaleRead,
  setBeyondStraight,
  settingSum,
  springbackText,
  trialsOf,
  type BendSchedule,
  type OnBender,
  type Springback,
} from '@larchwood/core';
import type { Die } from '@larchwood/format';
import { Group } from '../../../ledger/Panel';
import { Button } from '../../../parts/Button';
import { Check } from '../../../parts/Check';
import { today } from '../../../parts/today';
import { useShop } from '../../../lists/useShop';
import { RemoveButton } from '../../../parts/RowList';
import { TrialChart } from './TrialChart';

interface Props {
  readonly die: Die & { readonly id: string };
  readonly spring: Springback;
  readonly schedule: BendSchedule;
  readonly settings: OnBender['settings'];
  /** Section and material, as people say them. */
  readonly of: string;
}

/** Bends that were made with this die, and what they teach: the next setting comes from them. */
export function TrialLog({ die, spring, schedule, settings, of }: Props) {
  const { shop, add, keep, remove } = useShop();
  const trials = trialsOf(shop.trials, {
    die: die.id,
    section: schedule.section,
    material: schedule.material,
  });
  return (
    <Group title={`Logged on ${die.name}, ${of}`}>
      <p className="px-4 pb-1">{springbackText(spring)}</p>
      {die.zero !== 0 && (
        <p className="px-4 pb-1 text-quiet">
          Log what the scale reads. It reads {formatAngle(die.zero)} at a straight tube: that is taken off
          here, and added to every setting.
        </p>
      )}
      <NewTrial
        key={trials.length}
        onLog={(asked, set, got) =>
          add('trials', {
            ...{ die: die.id, section: schedule.section, material: schedule.material },
            ...{ asked, set, got, on: today(), leftOut: false },
            ...(die.zero === 0 ? {} : { zero: die.zero }),
          })
        }
        wanted={schedule.bends[0]!.angle}
        die={die}
      />
      <ul className="px-4 pb-1 text-[13px]">
        {settings.map(({ bend, set, reads }) =>
          set === undefined || reads === undefined ? null : (
            <li key={bend.number}>
              Bend {bend.number}: {settingSum(bend.angle, set, die.zero, reads)}
            </li>
          ),
        )}
      </ul>
      {trials.length > 1 && <TrialChart trials={trials.map(([, trial]) => trial)} spring={spring} />}
      <ul className="rows px-4 text-[13px]">
        {trials.map(([id, trial]) => (
          <li key={id} className="flex min-h-8 items-center justify-between gap-2">
            <span className="figure">
              {formatAngle(scaleRead(trial))} → {formatAngle(trial.got)}
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
                name={`bend ${formatAngle(scaleRead(trial))} to ${formatAngle(trial.got)}`}
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

function NewTrial({
  onLog,
  wanted,
  die,
}: {
  readonly onLog: Log;
  readonly wanted: number;
  readonly die: Pick<Die, 'zero'>;
}) {
  const [typed, setTyped] = useState({ set: '', got: '' });
  const [message, setMessage] = useState<string>();
  const log = () => {
    const [read, got] = [parseAngle(typed.set), parseAngle(typed.got)];
    if (!read.ok || !got.ok) return setMessage('Type what the scale read and what came out, in degrees.');
    const set = setBeyondStraight(die, read.value);
    if (got.value < ASKED[0] || got.value > ASKED[1])
      return setMessage(`What came out must lie between 0° and ${ASKED[1]}°.`);
    if (set < ASKED[0] || set > ASKED[1])
      return setMessage(
        `The scale must read between ${formatAngle(die.zero)} and ${formatAngle(die.zero + ASKED[1])}.`,
      );
    if (got.value > set + 3)
      return setMessage('More came out than was set: look at the scale’s zero, or swap the two.');
    const result = onLog(Math.min(ASKED[1], wanted), set, got.value);
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
      {field('set', 'scale read')}
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
