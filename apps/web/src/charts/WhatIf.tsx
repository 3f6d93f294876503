import { useDeferredValue, useMemo, useState } from 'react';
import { findKind, weightsOf, whatIf, type Dimension, type Kind, type Plan } from '@larchwood/core';
import { useEditor } from '../editor/editor';
import { Choice } from '../parts/Choice';
import { Measure } from '../parts/Figure';
import { axisText, axisUnit } from './axisText';
import { Chart } from './Chart';

const POINTS = 48;
/** What is most asked for, by the ids that kinds use; the first that the kind has. */
const ACROSS = ['headAngle', 'rake', 'caster', 'wheelbase'];
const SHOWN = ['trail', 'casterTrail', 'wheelFlop', 'scrubRadius', 'wheelbase', 'outsideCamber'];

/** Any dimension against any held one, all else held: three charts over one axis. */
export function WhatIf({ plan: newest }: { readonly plan: Plan }) {
  const { document } = useEditor('document');
  const plan = useDeferredValue(newest);
  const kind = findKind(plan.kind)!;
  const held = useMemo(
    () => kind.dimensions.filter(({ id }) => id in plan.stance.held && !kind.given.includes(id)),
    [kind, plan.stance.held],
  );
  const [chosen, setChosen] = useState<string>();
  const across =
    held.find(({ id }) => id === chosen) ??
    ACROSS.flatMap((id) => held.find((each) => each.id === id) ?? [])[0] ??
    held[0];
  const [picked, setPicked] = useState<Readonly<Record<number, string>>>({});
  const [at, setAt] = useState<number>();
  const points = useMemo(() => (across ? sweep(plan, across) : []), [plan, across]);
  if (!across) return null;
  const shown = answering(kind, plan, across).map((id, place) => picked[place] ?? id);
  const following = kind.dimensions.filter(({ id }) => !(id in plan.stance.held));
  const text = axisText(across, document.units, across.quantity === 'angle' ? 1 : 0);
  return (
    <div className="flex h-full min-h-80 flex-col bg-sheet">
      <div className="flex flex-wrap items-center gap-x-3 gap-y-1 px-4 pt-3">
        <span>What if</span>
        <Choice
          label="Held dimension that is taken through a range"
          value={across.id}
          groups={[{ options: held.map(({ id, name }) => ({ value: id, label: name })) }]}
          onChange={setChosen}
        />
        <span>
          were other than{' '}
          <Measure
            value={plan.stance.values[across.id]!}
            quantity={across.quantity}
            display={document.units}
          />
          , and all else held?
        </span>
      </div>
      {shown.map((id, index) => {
        const dimension = kind.dimensions.find((each) => each.id === id);
        if (!dimension) return null;
        return (
          <div key={index} className="relative flex min-h-0 flex-1 flex-col print:flex-none">
            <Chart
              title=""
              label={dimension.name}
              across={{
                name: axisUnit(across, document.units).unit ?? '',
                text,
                ticks: axisUnit(across, document.units).ticks,
              }}
              up={{ text: axisText(dimension, document.units), ...axisUnit(dimension, document.units) }}
              series={[
                { name: dimension.name, points: points.map(({ across: x, values }) => [x, values?.[id]]) },
              ]}
              band={plan.stance.bands[id]}
              present={[plan.stance.values[across.id]!, plan.stance.values[id]!]}
              at={at}
              onAt={setAt}
              last={index === shown.length - 1}
            />
            <div className="absolute top-0 left-4">
              <Choice
                label={`Dimension of chart ${index + 1}`}
                value={id}
                groups={[{ options: following.map(({ id: value, name }) => ({ value, label: name })) }]}
                onChange={(next) => setPicked({ ...picked, [index]: next })}
                className="min-h-7 border-transparent !bg-transparent font-bold"
              />
            </div>
          </div>
        );
      })}
      <p className="caption px-4 pb-2">
        Box: the usual band. Dot: this build. A gap: no vehicle comes of it.
      </p>
    </div>
  );
}

/** What is most asked for and answers to the dimension at all; then any other that does. */
function answering(kind: Kind, { stance }: Plan, across: Dimension): string[] {
  const answers = (id: string) =>
    Math.abs(weightsOf(kind, stance.state, stance.held, id).get(across.id) ?? 0) > 1e-3;
  const follows = kind.dimensions.filter(({ id }) => !(id in stance.held)).map(({ id }) => id);
  const asked = [...SHOWN, ...kind.readings].filter((id) => follows.includes(id));
  const wanted = [...new Set([...asked.filter(answers), ...follows.filter(answers), ...asked])];
  return wanted.slice(0, 3);
}

function sweep(plan: Plan, across: Dimension) {
  const kind = findKind(plan.kind)!;
  const value = plan.stance.values[across.id]!;
  const reach = across.quantity === 'angle' ? 6 : Math.max(30, Math.abs(value) * 0.12);
  const [low, high] = across.limits;
  return whatIf(kind, plan.stance.held, plan.stance.state, {
    across: across.id,
    from: Math.max(low, value - reach),
    to: Math.min(high, value + reach),
    count: POINTS,
  });
}
