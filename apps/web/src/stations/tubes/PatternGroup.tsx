import { useState } from 'react';
import { frameFromPattern, frameMadeAgain, patternsFor } from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { useFrameEdit } from '../../frame/useFrameEdit';
import { Group } from '../../ledger/Panel';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { useTools } from './tools';

/** The frame made from a pattern: once more from the stance as it is now, or another one. */
export function PatternGroup() {
  const { document } = useEditor();
  const { pick } = useTools();
  const { apply, message } = useFrameEdit();
  const patterns = patternsFor(document.kind, document.startingSet);
  const own = document.frame.origin?.pattern ?? patterns[0]?.id;
  const [chosen, setChosen] = useState<string>();
  const pattern = patterns.find(({ id }) => id === (chosen ?? own));
  const framed = document.frame.members.length > 0;
  if (!pattern) return null;
  return (
    <Group title={framed ? 'Pattern' : 'Make a frame'}>
      <div className="flex flex-col gap-1.5 px-4 pb-2">
        <Choice
          label="Pattern"
          value={pattern.id}
          groups={[{ options: patterns.map(({ id, name }) => ({ value: id, label: name })) }]}
          onChange={setChosen}
          className="w-full"
        />
        <p className="text-[13px] text-quiet">
          {pattern.about} Builders measure from:{' '}
          {pattern.datum.charAt(0).toLowerCase() === 'b' ? pattern.datum : pattern.datum.toLowerCase()}.
        </p>
        {framed && pattern.id === document.frame.origin?.pattern && (
          <Button onClick={() => apply('frame.again', (before) => frameMadeAgain(before))}>
            Make again from the stance, keep my changes
          </Button>
        )}
        <Button
          onClick={() => {
            if (apply('frame.pattern', (before) => frameFromPattern(before, pattern.id))) pick(undefined);
          }}
        >
          {framed ? 'Start again with this pattern' : 'Make this frame'}
        </Button>
        {framed && <p className="text-[13px] text-quiet">Undo brings the tubes of now back.</p>}
        {message !== '' && (
          <p role="alert" className="text-[13px] text-brick">
            {message}
          </p>
        )}
      </div>
    </Group>
  );
}
