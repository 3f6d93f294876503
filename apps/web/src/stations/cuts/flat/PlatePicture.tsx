import { cornersOfPlate, formatLength, holeRing } from '@larchwood/core';
import type { Plate } from '@larchwood/format';
import { useEditor } from '../../../editor/editor';
import { useSize } from '../../../parts/useSize';

const GUESS = { width: 700, height: 300 };
const ROOM = 44;
const RING = 48;

/** A flat part to scale, with its size, holes by their numbers, and folds. */
export function PlatePicture({ plate }: { readonly plate: Plate }) {
  const { document } = useEditor('document');
  const { frame, size } = useSize(GUESS);
  const xs = plate.outline.map(([x]) => x);
  const ys = plate.outline.map(([, y]) => y);
  const [left, right, low, high] = [Math.min(...xs), Math.max(...xs), Math.min(...ys), Math.max(...ys)];
  const scale = Math.min(
    (size.width - 2 * ROOM) / Math.max(1, right - left),
    (size.height - 2 * ROOM) / Math.max(1, high - low),
  );
  const x = (at: number) => size.width / 2 + (at - (left + right) / 2) * scale;
  const y = (at: number) => size.height / 2 - (at - (low + high) / 2) * scale;
  const points = (ring: readonly (readonly [number, number])[]) =>
    ring.map(([px, py]) => `${x(px).toFixed(1)},${y(py).toFixed(1)}`).join(' ');
  const text = (mm: number) => formatLength(mm, document.units, 1);
  return (
    <div ref={frame} className="relative h-72 shrink-0 border-b border-rule">
      <svg
        width={size.width}
        height={size.height}
        className="absolute inset-0"
        role="img"
        aria-label={`${plate.name} to scale: ${text(right - left)} by ${text(high - low)}`}
      >
        <polygon points={points(plate.outline)} fill="var(--grid)" stroke="var(--ink)" strokeWidth="1.5" />
        {plate.bendLines.map(({ from, to }, index) => (
          <path
            key={index}
            d={`M${x(from[0])} ${y(from[1])}L${x(to[0])} ${y(to[1])}`}
            stroke="var(--steel)"
            strokeDasharray="9 4 2 4"
          />
        ))}
        {plate.holes.map((hole, index) => (
          <g key={index}>
            <polygon points={points(holeRing(hole, RING))} fill="var(--sheet)" stroke="var(--ink)" />
            <text
              x={x(hole.at[0])}
              y={y(hole.at[1]) - (hole.diameter / 2) * scale - 4}
              textAnchor="middle"
              fontSize="12"
              className="figure"
              fill="var(--ink)"
            >
              {index + 1}
            </text>
          </g>
        ))}
        {cornersOfPlate(plate)?.map(({ at }, index) => (
          <text
            key={index}
            x={x(at[0]) + Math.sign(at[0] - (left + right) / 2) * 14}
            y={y(at[1]) - Math.sign(at[1] - (low + high) / 2) * 12 + 4}
            textAnchor="middle"
            fontSize="12"
            className="figure"
            fill="var(--larch-text)"
          >
            {String.fromCharCode(97 + (index % 26))}
          </text>
        ))}
        <path d={`M${x(0) - 5} ${y(0)}h10M${x(0)} ${y(0) - 5}v10`} stroke="var(--larch)" strokeWidth="1.5" />
        <text x={size.width / 2} y={size.height - 8} textAnchor="middle" fontSize="13" fill="var(--quiet)">
          {text(right - left)} × {text(high - low)}; the cross is its node
        </text>
      </svg>
    </div>
  );
}
