import { rollup } from 'd3-array';
import { useMemo, type ReactNode } from 'react';
import { useNavigate } from 'react-router';
import { toast } from 'sonner';
import {
  bringCentreLines,
  formatLength,
  likelyPlace,
  likelyPlan,
  pointOn,
  SECTION_LIBRARY,
  success,
  type BringOptions,
  type DrawnFile,
  type LayerPlan,
  type Path,
  type ViewName,
} from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import { useEditor } from '../../editor/editor';
import { ChoiceRow } from '../../ledger/ChoiceRow';
import { Group, Panel, Row } from '../../ledger/Panel';
import { QuantityField } from '../../ledger/QuantityField';
import { Button } from '../../parts/Button';
import { Check } from '../../parts/Check';
import { Choice } from '../../parts/Choice';
import { FrameOutlines } from '../../sheet/FrameOutlines';
import { outlinesOf, seenFrom } from '../../sheet/outlines';
import { useKept } from '../../parts/useKept';
import { SectionChoice } from '../tubes/SectionChoice';
import { NotUnderstoodList } from './NotUnderstoodList';
import { readDrawingApart } from './readDrawingApart';

const PLANES = [
  { value: 'side', label: 'Side' },
  { value: 'plan', label: 'Plan' },
  { value: 'front', label: 'Front' },
] as const;
const OFF: Readonly<Record<ViewName, string>> = { side: 'to the left', plan: 'up', front: 'forward' };
const UNITS = [
  { value: '1', label: 'millimetres' },
  { value: '10', label: 'centimetres' },
  { value: '1000', label: 'metres' },
  { value: '25.4', label: 'inches' },
] as const;
const NONE: ReadonlySet<string> = new Set();
/** Points of a tube's line that are drawn. */
const SHOWN = 120;

/** A drawing of centre lines: its layers, where it stands, and the tubes that come of it. */
export function DrawingIn({
  name,
  text,
  drawn: first,
  kept,
  choose,
  leave,
}: {
  readonly name: string;
  /** Where its choices are kept while another view is looked at. */
  readonly kept: string;
  readonly text: string;
  readonly drawn: DrawnFile;
  readonly choose: ReactNode;
  readonly leave: () => void;
}) {
  const { document, plan, edit, settle, build } = useEditor('document', 'plan', 'edit', 'settle', 'build');
  const navigate = useNavigate();
  const of = (choice: string) => `${kept}/${choice}`;
  const [drawn, setDrawn] = useKept(of('drawn'), first);
  const [unit, setUnit] = useKept(of('unit'), first.unit ?? 1);
  const [view, setView] = useKept<ViewName>(of('view'), 'side');
  const section = usualSection(document);
  const [layers, setLayers] = useKept<Readonly<Record<string, LayerPlan>>>(
    of('layers'),
    Object.fromEntries(first.layers.map((layer) => [layer, likelyPlan(layer, section)])),
  );
  const [left, setLeft] = useKept<ReadonlySet<string>>(of('left'), NONE);
  const [facesLeft, setFacesLeft] = useKept(of('faces left'), false);
  const [instead, setInstead] = useKept(of('instead'), true);
  const corner = useMemo(() => lowerRear(plan?.frame.pieces.map(({ path }) => path) ?? []), [plan]);
  const [moved, setMoved] = useKept<readonly [number, number] | undefined>(of('moved'), undefined);
  const at = moved ?? likelyPlace(drawn.strokes, facesLeft, corner);
  const chosen = Object.fromEntries(Object.entries(layers).filter(([layer]) => !left.has(layer)));
  const options: BringOptions = { layers: chosen, at, facesLeft, instead };
  const brought = bringCentreLines(document, drawn.strokes, options);
  const tubes = brought.ok ? brought.value.tubes : [];
  const putUnit = async (next: number) => {
    setUnit(next);
    setMoved(undefined);
    const read = await readDrawingApart(text, next);
    if (read.ok) setDrawn(read.value);
  };
  const put = (layer: string, part: Partial<LayerPlan>) =>
    setLayers((before) => ({ ...before, [layer]: { ...before[layer]!, ...part } }));
  const take = () => {
    const done = edit('import.drawing', (before) => {
      const made = bringCentreLines(before, drawn.strokes, options);
      return made.ok ? made.value.document : before;
    });
    if (!done.ok) return toast(done.message);
    settle();
    leave();
    toast(`${counted(tubes.length, 'tube')} came from ${name}. Undo takes all of it back.`);
    return void navigate(`/builds/${build.id}/tubes`);
  };
  const bends = tubes.reduce((sum, each) => sum + each.bends, 0);
  const see = seenFrom(view);
  const shapes = plan ? outlinesOf(plan, view) : [];
  return (
    <>
      <div className="flex min-h-0 min-w-0 flex-1 flex-col bg-sheet">
        <div className="flex min-h-10 shrink-0 flex-wrap items-center justify-between gap-x-4 border-b border-rule px-4 py-1">
          <span>
            <span className="font-bold">{counted(tubes.length, 'tube')}</span>{' '}
            <span className="caption">
              with {counted(bends, 'bend')},{' '}
              {formatLength(
                tubes.reduce((sum, { length }) => sum + length, 0),
                document.units,
              )}{' '}
              in all; the frame as it is in thin lines
            </span>
          </span>
          <Choice
            label="View"
            value={view}
            className="w-28"
            groups={[{ options: [...PLANES] }]}
            onChange={(next) => setView(next as ViewName)}
          />
        </div>
        <FrameOutlines
          label={`The drawing’s tubes, in the ${view} view`}
          shapes={[
            ...shapes,
            // There and back again: it is only to make room for them.
            ...tubes.map(({ name: id, path }) => {
              const points = pointsOf(path).map(see);
              return { id, mark: '', points: [...points, ...[...points].reverse()] };
            }),
          ]}
          margin={0.06}
          className="min-h-60 flex-1"
        >
          {() =>
            tubes.map(({ name: id, path }) => (
              <polyline
                key={id}
                points={pointsOf(path)
                  .map((point) => see(point).join(','))
                  .join(' ')}
                fill="none"
                stroke="var(--larch)"
                strokeWidth={3}
                vectorEffect="non-scaling-stroke"
              />
            ))
          }
        </FrameOutlines>
        <div
          className="max-h-[40%] shrink-0 overflow-auto border-t border-rule"
          tabIndex={0}
          role="group"
          aria-label="Not understood"
        >
          <NotUnderstoodList not={drawn.not} />
        </div>
      </div>
      <Panel title="Centre lines" aside={name}>
        <ChoiceRow
          name="Drawn in"
          value={String(unit)}
          options={[...UNITS]}
          onChange={(next) => void putUnit(Number(next))}
        />
        {first.unit === undefined && (
          <p className="caption px-4">The file does not say: look at the length in all.</p>
        )}
        <Row name="">
          <Check
            checked={facesLeft}
            onChange={(next) => {
              setFacesLeft(next);
              setMoved(undefined);
            }}
          >
            Its front is at the left
          </Check>
        </Row>
        {(['forward', 'up'] as const).map((way, axis) => (
          <Row key={way} name={`Origin lies ${way}`}>
            <QuantityField
              field={`import.${way}`}
              label={`Origin lies ${way}`}
              quantity="length"
              value={at[axis]!}
              nudge={1}
              onCommit={(value) => {
                if (Math.abs(value) > 20_000) return { ok: false, message: 'Within 20 m.' };
                setMoved(axis === 0 ? [value, at[1]] : [at[0], value]);
                return success(true as const);
              }}
            />
          </Row>
        ))}
        {Object.entries(layers).map(([layer, own]) => (
          <Group key={layer} title={`Layer ${layer}`}>
            <Row name="">
              <Check
                checked={!left.has(layer)}
                onChange={(into) =>
                  setLeft(
                    (before) =>
                      new Set(into ? [...before].filter((each) => each !== layer) : [...before, layer]),
                  )
                }
              >
                It becomes tubes
              </Check>
            </Row>
            {!left.has(layer) && (
              <>
                <ChoiceRow
                  name="Seen from"
                  label={`Layer ${layer}: plane`}
                  value={own.plane}
                  options={[...PLANES]}
                  onChange={(plane) => put(layer, { plane: plane as ViewName })}
                />
                <Row name={`Lies ${OFF[own.plane]} by`}>
                  <QuantityField
                    field={`import.layer.${layer}`}
                    label={`Layer ${layer}: lies ${OFF[own.plane]} by`}
                    quantity="length"
                    value={own.off}
                    nudge={1}
                    onCommit={(off) => {
                      if (Math.abs(off) > 20_000) return { ok: false, message: 'Within 20 m.' };
                      put(layer, { off });
                      return success(true as const);
                    }}
                  />
                </Row>
                <Row name="">
                  <Check checked={own.both} onChange={(both) => put(layer, { both })}>
                    A left and a right one
                  </Check>
                </Row>
                <div className="px-4 py-1">
                  <SectionChoice
                    label={`Layer ${layer}: section`}
                    value={own.section}
                    onChange={(next) => put(layer, { section: next })}
                  />
                </div>
              </>
            )}
          </Group>
        ))}
        <Group title="And the frame that is there">
          <Row name="">
            <Check checked={instead} onChange={setInstead}>
              They take its place
            </Check>
          </Row>
        </Group>
        {!brought.ok && (
          <p role="alert" className="px-4 text-brick">
            {brought.message}
          </p>
        )}
        <p className="flex flex-wrap gap-2 px-4 py-2">
          <Button look="strong" disabled={!brought.ok} onClick={take}>
            Bring them in
          </Button>
          <Button look="quiet" onClick={leave}>
            Leave it
          </Button>
          {choose}
        </p>
      </Panel>
    </>
  );
}

/** The section that most tubes of the build have. */
function usualSection({ frame: { members } }: BuildDocument): string {
  const counts = rollup(
    members,
    (all) => all.length,
    ({ section }) => section,
  );
  const [most] = [...counts].sort(([, a], [, b]) => b - a);
  return most?.[0] ?? SECTION_LIBRARY[0]!.sections[0]!.id;
}

const counted = (count: number, what: string): string => `${count} ${what}${count === 1 ? '' : 's'}`;
const pointsOf = (path: Path) =>
  Array.from({ length: SHOWN + 1 }, (_, step) => pointOn(path, (path.length * step) / SHOWN).at);

/** Rearmost and lowest of the frame's lines, mm. */
function lowerRear(paths: readonly Path[]): { readonly rear: number; readonly low: number } {
  const points = paths.flatMap(pointsOf);
  if (points.length === 0) return { rear: 0, low: 0 };
  return { rear: Math.min(...points.map(([x]) => x)), low: Math.min(...points.map(([, , z]) => z)) };
}
