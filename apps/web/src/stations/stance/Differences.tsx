import { memo } from 'react';
import { useQuery } from '@tanstack/react-query';
import { toast } from 'sonner';
import { findKind, formatAngle, formatLength, planBuild, withArticle, type Dimension } from '@larchwood/core';
import { builds } from '../../api/builds';
import { useEditor, type Editor } from '../../editor/editor';
import { differs } from '../../ledger/differs';
import { Choice } from '../../parts/Choice';
import { Measure } from '../../parts/Figure';
import { Peg } from '../../parts/Marks';

/** Choice of what to compare with: another revision of this build, or another build. */
export function CompareChoice() {
  const { build, compared, compareWith } = useEditor('build', 'compared', 'compareWith');
  return <CompareList build={build} compared={compared} compareWith={compareWith} />;
}

/** Drawn again only when something is saved or chosen. */
const CompareList = memo(function CompareList({
  build,
  compared,
  compareWith,
}: Pick<Editor, 'build' | 'compared' | 'compareWith'>) {
  const revisions = useQuery({
    queryKey: ['revisions', build.id],
    queryFn: () => builds.revisions(build.id),
  });
  const others = useQuery({ queryKey: ['builds'], queryFn: () => builds.list() });
  const choose = async (value: string) => {
    if (value === 'none') return compareWith(undefined);
    const [what, id] = value.split(':') as [string, string];
    const [label, document] =
      what === 'revision'
        ? [`revision ${id}`, (await builds.revision(build.id, Number(id))).document]
        : await builds.get(id).then((other) => [other.name, other.document] as const);
    const planned = planBuild(document);
    if (planned.ok)
      compareWith({ label, document, plan: planned.plan, ...(what === 'revision' ? {} : { build: id }) });
    else toast(`${label} has no shape to compare with.`);
  };
  const options = [
    { options: [{ value: 'none', label: 'nothing' }] },
    {
      group: 'Revisions of this build',
      options: (revisions.data ?? []).map(({ revision, reason, name }) => ({
        value: `revision:${revision}`,
        label: `revision ${revision}, ${name ?? reason}`,
      })),
    },
    {
      group: 'Other builds',
      options: (others.data ?? [])
        .filter(({ id }) => id !== build.id)
        .map(({ id, name }) => ({ value: `build:${id}`, label: name })),
    },
  ];
  const value =
    compared === undefined
      ? 'none'
      : (options
          .flatMap((group) => group.options)
          .find(({ label }) => label === compared.label || label.startsWith(`${compared.label},`))?.value ??
        'none');
  return (
    <span className="inline-flex items-center gap-2 pl-4">
      <span className="caption">compared with</span>
      <Choice
        label="Compare with"
        value={value}
        groups={options}
        onChange={(next) =>
          void choose(next).catch((error: unknown) =>
            toast(error instanceof Error ? error.message : 'That did not work.'),
          )
        }
        className="max-w-48 min-h-7 text-[13px]"
      />
    </span>
  );
});

/** The dimensions that both have and that differ, side by side; `inFlow` they scroll with what stands about them. */
export function Differences({ inFlow = false }: { readonly inFlow?: boolean }) {
  const { document, plan, compared } = useEditor('document', 'plan', 'compared');
  const kind = findKind(document.kind);
  if (!plan || !kind) return null;
  if (!compared)
    return (
      <p className="bg-sheet p-8 text-quiet">
        Choose above what to compare with: a revision of this build, or another build.
      </p>
    );
  const rows = kind.dimensions.flatMap((dimension) => {
    const [here, there] = [plan.stance.values[dimension.id], compared.plan.stance.values[dimension.id]];
    return here === undefined || there === undefined
      ? []
      : [{ dimension, here, there, change: here - there }];
  });
  const changed = rows.filter(({ dimension, here, there }) => differs(dimension, here, there));
  const other = findKind(compared.plan.kind);
  return (
    <div
      className={`bg-sheet px-4 py-3 ${inFlow ? '' : 'h-full overflow-y-auto'}`}
      {...(inFlow ? {} : { tabIndex: 0 })}
      role="group"
      aria-label="Differences, rows"
    >
      <p className="mb-3">
        {changed.length === 0
          ? `No dimension differs from ${compared.label}. Choose another one above.`
          : `${changed.length} of ${rows.length} dimensions differ from ${compared.label}.`}
        {other && other.id !== kind.id && (
          <span className="caption">
            {' '}
            It is {withArticle(other.name)}: only dimensions of both are compared.
          </span>
        )}
      </p>
      {changed.length > 0 && (
        <table className="w-full max-w-3xl border-y-2 border-ink">
          <thead>
            <tr className="caption border-b border-rule text-right [&>th]:py-1 [&>th]:font-normal">
              <th className="text-left">Dimension</th>
              <th>{compared.label}</th>
              <th>Here</th>
              <th>Change</th>
            </tr>
          </thead>
          <tbody className="rows">
            {changed.map(({ dimension, here, there, change }) => (
              <tr key={dimension.id} className="text-right [&>td]:py-1">
                <td className="flex items-center gap-2 text-left">
                  <Peg held={dimension.id in plan.stance.held} size={13} />
                  {dimension.name}
                </td>
                <td className="text-quiet">
                  <Measure value={there} quantity={dimension.quantity} display={document.units} digits={1} />
                </td>
                <td className="font-semibold">
                  <Measure value={here} quantity={dimension.quantity} display={document.units} digits={1} />
                </td>
                <td className="figure text-larch-text">
                  {change > 0 ? '+' : ''}
                  {changeText(dimension, change, document.units)}
                </td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}

const changeText = (
  { quantity }: Dimension,
  change: number,
  display: Parameters<typeof formatLength>[1],
): string => (quantity === 'angle' ? formatAngle(change, 2) : formatLength(change, display, 1));
