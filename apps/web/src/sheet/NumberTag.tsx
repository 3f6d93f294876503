import type { Pixel } from './view';

interface Props {
  readonly at: Pixel;
  readonly number: number;
  readonly shape: 'round' | 'square';
  readonly tone?: 'plain' | 'lit' | 'bad';
}

const TONES = {
  plain: { fill: 'var(--sheet)', stroke: 'var(--ink)', text: 'var(--ink)', width: 1.2 },
  lit: { fill: 'var(--larch-wash)', stroke: 'var(--larch)', text: 'var(--ink)', width: 2 },
  bad: { fill: 'var(--brick)', stroke: 'var(--brick)', text: 'var(--sheet)', width: 1.2 },
} as const;

/** A number on the drawing: round for a piece, square for a step in an order. */
export function NumberTag({ at: [x, y], number, shape, tone = 'plain' }: Props) {
  const { fill, stroke, text, width } = TONES[tone];
  return (
    <g fill={fill} stroke={stroke} strokeWidth={width}>
      {shape === 'round' ? (
        <circle cx={x} cy={y} r="13" />
      ) : (
        <rect x={x - 10} y={y - 10} width="20" height="20" />
      )}
      <text
        x={x}
        y={y + 5}
        textAnchor="middle"
        className="figure"
        fontSize="14"
        fontWeight="700"
        fill={text}
        stroke="none"
      >
        {number}
      </text>
    </g>
  );
}
