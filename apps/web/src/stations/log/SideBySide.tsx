import { useMemo } from 'react';
import { toast } from 'sonner';
import { differenceOf, findingText, takeMember, type PieceDifference } from '@larchwood/core';
import { memberOf, useEditor } from '../../editor/editor';
import { Button } from '../../parts/Button';
import { Length, Mass } from '../../parts/Figure';
import { useShop } from '../../lists/useShop';
import { CompareChoice, Differences } from '../stance/Differences';

/** Pieces that can be taken over, once for a pair: there and not here, or made of something else. */
function takeableOf(pieces: readonly PieceDifference[]): ReadonlySet<string> {
  const first = new Map<string, string>();
  for (const { piece, how, made } of pieces) {
    const member = memberOf(piece)!;
    if ((how === 'gone' || made) && !first.has(member)) first.set(member, piece);
  }
  return new Set(first.values());
}

/** The present build beside another state of it, or beside another build: dimensions, pieces, masses, findings. */
export function SideBySide() {
  const { build, plan, compared, document, edit, settle } = useEditor(
    'build',
    'plan',
    'compared',
    'document',
    'edit',
    'settle',
  );
  const { shop } = useShop();
  const difference = useMemo(() => plan && compared && differenceOf(plan, compared.plan), [plan, compared]);
  const takeable = useMemo(() => takeableOf(difference?.pieces ?? []), [difference]);
  const { units } = document;
  const costs = (id: string) =>
    Object.values(shop.entries).reduce((sum, each) => sum + (each.build === id ? (each.cost ?? 0) : 0), 0);
  const take = (piece: string) => {
    if (!compared) return;
    const id = memberOf(piece)!;
    const there = { document: compared.document, frame: compared.plan.frame };
    const taken = takeMember(document, there, id);
    if (!taken.ok) return void toast(taken.message);
    const result = edit(`take.${id}`, (before) => {
      const again = takeMember(before, there, id);
      return again.ok ? again.value : before;
    });
    settle();
    toast(result.ok ? `Taken over from ${compared.label}. Undo takes it back.` : result.message);
  };
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
      <Differences inFlow />
      {difference && compared && (
        <div className="max-w-3xl px-4 pb-6">
          <h3 className="pt-2 pb-1 font-bold">
            {difference.pieces.length === 0
              ? 'No piece differs'
              : `${difference.pieces.length} pieces differ`}
          </h3>
          {difference.pieces.map(({ piece, mark, name, how, lengths, made }) => (
            <p key={piece} className="flex items-baseline gap-x-4 border-b border-rule py-1">
              <span className="shrink-0">
                <strong className="figure">{mark}</strong> {name}
              </span>
              <span className="ml-auto text-right text-quiet">
                {how !== 'changed' && (how === 'new' ? 'new here' : 'gone')}
                {lengths && (
                  <>
                    <Length mm={lengths[0]} display={units} /> to <Length mm={lengths[1]} display={units} />
                  </>
                )}
                {made && `${lengths ? '; ' : ''}${made[0]} to ${made[1]}`}
              </span>
              <span className="w-28 shrink-0 text-right">
                {takeable.has(piece) && (
                  <Button look="link" onClick={() => take(piece)} aria-label={`Take ${mark} over`}>
                    Take it over
                  </Button>
                )}
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
          {compared.build !== undefined && costs(compared.build) + costs(build.id) > 0 && (
            <p className="flex justify-between border-b border-rule py-1">
              <span>Cost, by the log</span>
              <span className="figure">
                {costs(compared.build).toFixed(2)} to {costs(build.id).toFixed(2)}
              </span>
            </p>
          )}
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
