import { formatLength, type NestedBar } from '@larchwood/core';
import { useEditor } from '../../../editor/editor';

const WIDE = 660;
const HIGH = 34;
/** Width of a figure: a mark stands in its piece where there is room. */
const LETTER = 8.2;

/** A bar to scale with its pieces in the order they are sawn, and what is left of it. */
export function BarPicture({ bar, longest }: { readonly bar: NestedBar; readonly longest: number }) {
  const { document } = useEditor('document');
  const { source, pieces, left } = bar;
  const scale = (WIDE - 98) / longest;
  const text = (mm: number) => formatLength(mm, document.units, 0, true);
  const starts = pieces.map((_, index) =>
    pieces.slice(0, index).reduce((sum, { length }) => sum + length, 0),
  );
  const gap = Math.max(
    0,
    (source.length - left - pieces.reduce((sum, { length }) => sum + length, 0)) / Math.max(1, pieces.length),
  );
  return (
    <svg
      viewBox={`0 0 ${WIDE} ${HIGH}`}
      className="min-w-0 flex-1"
      role="img"
      aria-label={`Bar of ${text(source.length)}: ${pieces.map(({ mark }) => mark).join(', ')}; ${text(left)} left`}
    >
      <text x={0} y={22} fontSize="13" className="figure" fill="var(--ink)">
        {text(source.length)}
      </text>
      {source.offcut && (
        <text x={54} y={22} fontSize="13" fill="var(--quiet)">
          {source.donor ? 'donor' : 'rack'}
        </text>
      )}
      <g transform="translate(92 0)">
        <rect
          x={0}
          y={5}
          width={source.length * scale}
          height={24}
          fill="var(--grid)"
          stroke="var(--quiet)"
          strokeDasharray="3 3"
        />
        {pieces.map(({ mark, length }, index) => {
          const width = length * scale;
          const x = (starts[index]! + gap * index) * scale;
          return (
            <g key={mark}>
              <rect x={x} y={5} width={width} height={24} fill="var(--sheet)" stroke="var(--ink)" />
              <title>{`${mark}: ${text(length)}`}</title>
              {width > mark.length * LETTER + 4 && (
                <text x={x + width / 2} y={22} textAnchor="middle" fontSize="13" fill="var(--ink)">
                  <tspan className="figure" fontWeight="700">
                    {mark}
                  </tspan>
                  {width > (mark.length + text(length).length + 1) * LETTER + 8 && (
                    <tspan dx="6" className="figure" fontSize="13" fill="var(--quiet)">
                      {text(length)}
                    </tspan>
                  )}
                </text>
              )}
            </g>
          );
        })}
        {left * scale > text(left).length * LETTER + 4 && (
          <text
            x={(source.length - left / 2) * scale}
            y={22}
            textAnchor="middle"
            fontSize="13"
            className="figure"
            fill="var(--quiet)"
          >
            {text(left)}
          </text>
        )}
      </g>
    </svg>
  );
}
