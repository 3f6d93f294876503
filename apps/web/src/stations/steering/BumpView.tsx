import { useMemo, useState } from 'react';
import { bumpSteerOf, formatAngle, nameInText, type Plan, type Steering } from '@larchwood/core';
import { axisText, axisUnit } from '../../charts/axisText';
import { Chart } from '../../charts/Chart';
import { useEditor } from '../../editor/editor';
import { Button } from '../../parts/Button';
import { Length } from '../../parts/Figure';
import type { Known } from './known';

const LENGTH = { quantity: 'length' } as const;

/** Toe of the front wheels over their travel, hands still, and where the rods' inner ends would change it least. */
export function BumpView({
  plan,
  known,
  steering,
}: {
  readonly plan: Plan;
  readonly known: Known;
  readonly steering: Steering;
}) {
  const { document, settle } = useEditor('document', 'settle');
  const { linkage, source } = known;
  const [at, setAt] = useState<number>();
  const [message, setMessage] = useState<string>();
  const bump = useMemo(() => bumpSteerOf(linkage, plan.stance, steering), [linkage, plan.stance, steering]);
  if (!bump) return <p className="p-8">Nothing of this linkage is moved by the front’s travel.</p>;
  const { better } = bump;
  const size = better && linkage.sizes.find(({ id }) => id === better.size);
  const axis = axisUnit(LENGTH, document.units);
  const text = axisText(LENGTH, document.units);
  return (
    <div className="flex h-full min-h-80 flex-col bg-sheet">
      <p className="max-w-3xl px-4 pt-3">
        Both front wheels up together, hands still.{' '}
        <span className="caption">
          The wheels go straight up until links of their own are drawn; toe is against ride height.
        </span>
      </p>
      <Chart
        title="Toe over the travel"
        about="fronts further inward is positive"
        across={{ name: axis.unit === undefined ? 'up' : `up, ${axis.unit}`, text }}
        up={{ text: (value) => formatAngle(value, 1) }}
        series={[{ name: 'toe', points: bump.steps.map(({ up, toeIn }) => [up, toeIn] as const) }]}
        band={{ low: -0.5, high: 0.5 }}
        at={at}
        onAt={setAt}
        last
      />
      <div
        className="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-t border-rule px-4 py-2"
        role="status"
      >
        <span>
          At the worst <b className="figure">{formatAngle(bump.worst, 2)}</b> over the travel.
        </span>
        {!bump.whole && <span className="font-bold text-brick">A rod does not reach all of the travel.</span>}
        {better && size ? (
          <>
            <span>
              With {nameInText(size.name)} at{' '}
              <b className="figure">
                <Length mm={better.value} display={document.units} digits={0} />
              </b>{' '}
              it would be <b className="figure">{formatAngle(better.worst, 2)}</b>.
            </span>
            <Button
              onClick={() => {
                const result = source.hold(better.size, better.value);
                settle();
                setMessage(result.ok ? undefined : result.message);
              }}
            >
              Put it there
            </Button>
          </>
        ) : bump.whole ? (
          <span className="text-quiet">The rods’ inner ends stand where it is least.</span>
        ) : (
          <span>Make the rods longer: no height of their inner ends near by reaches.</span>
        )}
        {message !== undefined && (
          <span role="alert" className="text-brick">
            {message}
          </span>
        )}
      </div>
    </div>
  );
}
