import { CircleCheck, OctagonX, TriangleAlert } from 'lucide-react';
import type { Verdict } from '@larchwood/core';

const LOOK = {
  pass: { Shape: CircleCheck, tint: 'text-spruce', word: 'pass' },
  look: { Shape: TriangleAlert, tint: 'text-larch-text', word: 'look' },
  stop: { Shape: OctagonX, tint: 'text-brick', word: 'stop' },
} as const;

/** Pass, look or stop: by shape and by word, never by colour alone. */
export function VerdictMark({ verdict }: { readonly verdict: Verdict }) {
  const { Shape, tint, word } = LOOK[verdict];
  return (
    <span className={`inline-flex items-center gap-1 text-[13px] font-semibold ${tint}`}>
      <Shape size={15} aria-hidden />
      {word}
    </span>
  );
}
