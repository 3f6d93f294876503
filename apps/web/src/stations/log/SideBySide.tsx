import { useMemo } from 'react';
import { differenceOf, findingText } from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { Length, Mass } from '../../parts/Figure';
import { CompareChoice, Differences } from '../stance/Differences';

/** The present build beside another state of it, or beside another build: dimensions, pieces, masses, findings. */
export function SideBySide() {
  const { plan, compared, document } = useEditor('plan', 'compared', 'document');
  const difference = useMemo(() => plan && compared && differenceOf(plan, compared.plan), [plan, compared]);
  const { units } = document;
  return (
    <div
      className="min-h-0 flex-1 overflow-auto bg-sheet"
      tabIndex={0}
      role="group"
      aria-label="Side by side"
    >
      <div className="flex min-h-11 items-center border-b border-rule">
        <CompareChoice />
        <span className="caption px-4">
          It is drawn dashed at the stance, the seat and the tubes while it is compared with.
        </span>
      </div>
      <Differences />
      {difference && (
        <div className="max-w-3xl px-4 pb-6">
          <h3 className="pt-2 pb-1 font-bold">
            {difference.pieces.length === 0
              ? 'No piece differs'
              : `${difference.pieces.length} pieces differ`}
          </h3>
          {difference.pieces.map(({ piece, mark, name, how, lengths, made }) => (
            <p key={piece} className="flex flex-wrap justify-between gap-x-4 border-b border-rule py-1">
              <span>
                <strong className="figure">{mark}</strong> {name}
              </span>
              <span className="text-quiet">
                {how !== 'changed' && (how === 'new' ? 'new here' : 'gone')}
                {lengths && (
                  <>
                    <Length mm={lengths[0]} display={units} /> to <Length mm={lengths[1]} display={units} />
                  </>
                )}
                {made && ` ${made[0]} to ${made[1]}`}
              </span>
            </p>
          ))}
          {difference.masses.map(({ name, there, here }) => (
            <p key={name} className="flex justify-between border-b border-rule py-1">
              <span>{name}</span>
              <span>
                <Mass kg={there} display={units} digits={2} /> to{' '}
                <Mass kg={here} display={units} digits={2} />
              </span>
            </p>
          ))}
          {(
            [
              ['Found here only', difference.newFindings],
              ['Found there only', difference.goneFindings],
            ] as const
          ).map(
            ([title, findings]) =>
              findings.length > 0 && (
                <section key={title}>
                  <h3 className="pt-3 pb-1 font-bold">{title}</h3>
                  {findings.map((finding, index) => (
                    <p key={index} className="border-b border-rule py-1">
                      {findingText(finding, units).title}
                    </p>
                  ))}
                </section>
              ),
          )}
        </div>
      )}
    </div>
  );
}
