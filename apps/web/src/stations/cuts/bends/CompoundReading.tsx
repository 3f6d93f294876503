import { useState } from 'react';
import { compoundFrom, formatAngle, parseAngle } from '@larchwood/core';
import { Group } from '../../../ledger/Panel';

/** A bend that lies flat nowhere, read with an angle gauge on two faces, or along a V-block turned by a quarter. */
export function CompoundReading() {
  const [typed, setTyped] = useState<readonly [string, string]>(['', '']);
  const read = typed.map((text) => parseAngle(text));
  const [first, second] = read;
  const both =
    first?.ok && second?.ok && Math.abs(first.value) < 90 && Math.abs(second.value) < 90
      ? compoundFrom(first.value, second.value)
      : undefined;
  return (
    <Group title="Reading a compound bend">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1 px-4">
        {(['on one face', 'on the next'] as const).map((where, index) => (
          <label key={where} className="flex items-center gap-1.5">
            {where}
            <input
              aria-label={`Gauge ${where}, degrees`}
              className="figure min-h-8 w-16 border border-rule bg-sheet px-1.5 text-right"
              inputMode="decimal"
              value={typed[index]}
              onChange={(event) =>
                setTyped(index === 0 ? [event.target.value, typed[1]] : [typed[0], event.target.value])
              }
            />
            °
          </label>
        ))}
      </div>
      <p className="px-4 pt-1 pb-1 text-[13px]" role="status">
        {both ? (
          <>
            It is bent <b>{formatAngle(both.turn)}</b>, in a plane turned {formatAngle(both.plane)} from the
            first face.
          </>
        ) : typed.some(
            (text, index) => text !== '' && !(read[index]?.ok && Math.abs(read[index].value) < 90),
          ) ? (
          'Type two angles under 90°.'
        ) : (
          <span className="text-quiet">
            Zero the gauge on the straight part, then read it on two faces square to each other.
          </span>
        )}
      </p>
    </Group>
  );
}
