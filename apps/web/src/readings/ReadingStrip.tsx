import { memo } from 'react';
import {
  findKind,
  formatAngle,
  formatLength,
  bandUseText,
  type Band,
  type Dimension,
  type LengthDisplay,
} from '@larchwood/core';
import { useEditor, type Editor } from '../editor/editor';
import { CopyValue } from '../parts/CopyValue';
import { Measure } from '../parts/Figure';
import { useSlow } from '../planning/useSlow';

/** The few numbers that matter for this kind, in sight on every station: figure, change, and the usual band. */
export function ReadingStrip() {
  const { document, plan, compared, setActive } = useEditor('document', 'plan', 'compared', 'setActive');
  const kind = findKind(document.kind);
  const built = useSlow('checkResults').value?.at(-1)?.built.figures;
  if (!plan || !kind) return null;
  return (
    <section
      aria-label="Readings"
      className="flex shrink-0 overflow-x-auto border-t-2 border-ink contain-content print:contain-none"
      tabIndex={0}
    >
      {kind.readings.map((id) => {
        const dimension = kind.dimensions.find((candidate) => candidate.id === id);
        const value = plan.stance.values[id];
        if (!dimension || value === undefined) return null;
        return (
          <Reading
            key={id}
            dimension={dimension}
            value={value}
            before={compared?.plan.stance.values[id]}
            against={compared?.label}
            band={plan.stance.bands[id]}
            built={built?.find((figure) => figure.id === id && figure.told)?.value}
            units={document.units}
            setActive={setActive}
          />
        );
      })}
    </section>
  );
}

interface ReadingProps extends Pick<Editor, 'setActive'> {
  readonly dimension: Dimension;
  readonly value: number;
  /** Its value in what is compared with. */
  readonly before: number | undefined;
  readonly against: string | undefined;
  readonly band: Band | undefined;
  /** As it was measured, where that was told. */
  readonly built: number | undefined;
  readonly units: LengthDisplay;
}

const Reading = memo(function Reading({
  dimension,
  value,
  before,
  against,
  band,
  built,
  units,
  setActive,
}: ReadingProps) {
  const { id } = dimension;
  const change = before === undefined ? 0 : value - before;
  const inside = !band || (value >= band.low && value <= band.high);
  return (
    <div
      className="min-w-[118px] flex-1 border-r border-rule px-3 pt-1.5 pb-2 last:border-r-0"
      onPointerEnter={() => setActive(id)}
      onPointerLeave={() => setActive(undefined)}
    >
      <div className="flex items-baseline justify-between gap-1">
        <span className="caption truncate" title={dimension.name}>
          {dimension.name}
        </span>
        {Math.abs(change) >= 0.05 && (
          <span className="figure text-[12px] text-larch-text" title={`against ${against}`}>
            {change > 0 ? '+' : ''}
            {dimension.quantity === 'angle'
              ? formatAngle(change, 1, true)
              : formatLength(change, units, 1, true)}
          </span>
        )}
      </div>
      <div className="text-[19px] leading-tight font-bold">
        <CopyValue
          what={dimension.name}
          text={dimension.quantity === 'angle' ? formatAngle(value, 1) : formatLength(value, units)}
          className="-ml-[3px] px-0.5"
        >
          <Measure value={value} quantity={dimension.quantity} display={units} />
        </CopyValue>
      </div>
      <BandRule band={band} value={value} inside={inside} name={dimension.name} />
      {built !== undefined && (
        <div className="text-[12px] font-semibold whitespace-nowrap text-spruce" title="By the last readings">
          built <Measure value={built} quantity={dimension.quantity} display={units} />
        </div>
      )}
    </div>
  );
});

/** A rule with the usual band as a box and the present value as a mark. */
function BandRule({
  band,
  value,
  inside,
  name,
}: {
  readonly band: Band | undefined;
  readonly value: number;
  readonly inside: boolean;
  readonly name: string;
}) {
  if (!band) return <div className="caption h-3 leading-3">no usual band</div>;
  const span = band.high - band.low;
  const low = Math.min(band.low - span * 0.7, value - span * 0.1);
  const high = Math.max(band.high + span * 0.7, value + span * 0.1);
  const at = (number: number) => `${(((number - low) / (high - low)) * 100).toFixed(1)}%`;
  return (
    <svg
      className="mt-1 block h-3 w-full"
      role="img"
      aria-label={`${name}: ${inside ? 'inside' : 'outside'} the usual band of ${bandUseText(band.use)}`}
    >
      <line x1="0" x2="100%" y1="6" y2="6" stroke="var(--rule)" strokeWidth="1.5" />
      <rect
        x={at(band.low)}
        width={`${((span / (high - low)) * 100).toFixed(1)}%`}
        y="2.5"
        height="7"
        fill="var(--spruce-wash)"
        stroke="var(--spruce)"
      />
      <line
        x1={at(value)}
        x2={at(value)}
        y1="0"
        y2="12"
        stroke={inside ? 'var(--ink)' : 'var(--larch)'}
        strokeWidth="3"
      />
    </svg>
  );
}
