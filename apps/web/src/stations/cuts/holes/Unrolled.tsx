import { faceWords, flatFaces, type DrilledPiece, type Piece, type PieceCut } from '@larchwood/core';
import { useSize } from '../../../parts/useSize';

interface Props {
  readonly piece: Piece;
  readonly cut: PieceCut;
  readonly drilled: DrilledPiece;
  readonly lit: string | undefined;
  readonly onChoose: (hole: string) => void;
}

const ROOM = { left: 84, right: 16, top: 22, bottom: 10 };
const GUESS = { width: 760, height: 220 };

/** The outside of a piece laid flat, from its start on the left: the top first, then clockwise. To scale both ways. */
export function Unrolled({ piece, cut, drilled, lit, onChoose }: Props) {
  const { frame, size } = useSize(GUESS);
  const { girth, length, bores } = drilled;
  const scale = Math.min(
    (size.width - ROOM.left - ROOM.right) / length,
    (size.height - ROOM.top - ROOM.bottom) / girth,
  );
  const x = (along: number) => ROOM.left + along * scale;
  const faces = flatFaces(piece);
  // The top begins at the upper edge, so that no face is cut in two.
  const begin = -faces[0]!.from;
  const y = (round: number) => ROOM.top + ((((round + begin) % girth) + girth) % girth) * scale;
  const box = piece.section.shape === 'rectangular';
  return (
    <div ref={frame} className="relative h-56 shrink-0 border-b border-rule">
      <svg
        width={size.width}
        height={size.height}
        className="absolute inset-0"
        role="img"
        aria-label={`The outside of piece ${cut.mark} laid flat with its holes`}
      >
        <rect
          x={x(0)}
          y={ROOM.top}
          width={length * scale}
          height={girth * scale}
          fill="var(--sheet)"
          stroke="var(--ink)"
        />
        {faces.map(({ face, from, middle: along }) => {
          const middle = y(along);
          return (
            <g key={face}>
              {box && face > 0 && (
                <path d={`M${x(0)} ${y(from)}H${x(length)}`} stroke="var(--ink)" strokeWidth="0.8" />
              )}
              <path
                d={`M${x(0)} ${middle}H${x(length)}`}
                stroke="var(--quiet)"
                strokeWidth="0.6"
                strokeDasharray="12 3 2 3"
              />
              <text x={x(0) - 8} y={middle + 4} textAnchor="end" fontSize="12.5" fill="var(--ink)">
                {face === 0 ? `top, ${faceWords(piece, face)}` : faceWords(piece, face)}
              </text>
            </g>
          );
        })}
        {bores.map((bore, index) => {
          const [long, wide] = [bore.long * scale, bore.diameter * scale];
          return (
            <rect
              key={index}
              x={x(bore.fromStart) - long / 2}
              y={y((bore.round * girth) / bore.girth) - wide / 2}
              width={Math.max(3, long)}
              height={Math.max(3, wide)}
              rx={Math.max(1.5, wide / 2)}
              fill={bore.hole === lit ? 'var(--larch-wash)' : 'var(--paper)'}
              stroke={bore.hole === lit ? 'var(--larch)' : 'var(--ink)'}
              strokeWidth={bore.hole === lit ? 2 : 1.2}
              className="cursor-pointer"
              onClick={() => onChoose(bore.hole)}
            />
          );
        })}
        <text x={x(0)} y={14} fontSize="12" fill="var(--quiet)">
          its start
        </text>
        <text x={x(length)} y={14} fontSize="12" textAnchor="end" fill="var(--quiet)">
          its end
        </text>
      </svg>
    </div>
  );
}
