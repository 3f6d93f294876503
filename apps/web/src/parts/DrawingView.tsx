import { pathData, STROKES, textWidth, type Drawing } from '@larchwood/outputs';

/** A paper drawing on the screen, from the same marks that are printed. */
export function DrawingView({
  drawing,
  title,
  className = '',
}: {
  readonly drawing: Drawing;
  readonly title: string;
  readonly className?: string;
}) {
  // A drawing of metres, shown small: its lines would vanish.
  const large = drawing.width > LARGE;
  return (
    <svg
      viewBox={`0 0 ${drawing.width} ${drawing.height}`}
      className={className}
      role="img"
      aria-label={title}
      fill="none"
      stroke="#1c2823"
    >
      {drawing.marks.map((mark, index) => {
        if (mark.as === 'path') {
          const { width, dashes } = STROKES[mark.stroke];
          if (mark.filled) return <path key={index} d={pathData(mark)} fill="#1c2823" stroke="none" />;
          return (
            <path
              key={index}
              d={pathData(mark)}
              strokeWidth={large ? 2.4 * width : width}
              strokeDasharray={large ? undefined : dashes.join(' ')}
              vectorEffect={large ? 'non-scaling-stroke' : undefined}
            />
          );
        }
        const [x, y] = mark.at;
        if (mark.as === 'circle')
          return (
            <circle
              key={index}
              cx={x}
              cy={y}
              r={mark.radius}
              strokeWidth={STROKES[mark.stroke].width}
              vectorEffect={large ? 'non-scaling-stroke' : undefined}
            />
          );
        return (
          <text
            key={index}
            x={x}
            y={y}
            fontSize={mark.size}
            textAnchor={mark.anchor}
            fontWeight={mark.bold ? 700 : 400}
            fill="#1c2823"
            {...(mark.clear
              ? { paintOrder: 'stroke', stroke: '#fff', strokeWidth: 0.8 }
              : { stroke: 'none' })}
            textLength={textWidth(mark.text, mark.size, mark.bold)}
            lengthAdjust="spacingAndGlyphs"
            transform={mark.turned ? `rotate(90 ${x} ${y})` : undefined}
          >
            {mark.text}
          </text>
        );
      })}
    </svg>
  );
}

/** Drawings wider than this are shown smaller than their lines allow; mm. */
const LARGE = 600;
