import { useState } from 'react';
import type { Frame, Spot } from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { useTools } from '../../space/tools';

interface Place {
  readonly value: string;
  readonly label: string;
  readonly spot: Spot;
}

/** Parts of the way along a tube that can be named without a pointer. */
const SHARES: readonly (readonly [share: number, words: string])[] = [
  [0.25, 'a quarter along'],
  [0.5, 'the middle of'],
  [0.75, 'three quarters along'],
];

/** Every place where a new tube may begin or end, by its name: nodes, and places along the tubes. */
function placesOf(frame: Frame, names: ReadonlyMap<string, string>): readonly Place[] {
  const nodes = Object.keys(frame.nodes).flatMap((node): Place[] => {
    const name = names.get(node);
    return name === undefined ? [] : [{ value: `node ${node}`, label: name, spot: { node } }];
  });
  const along = frame.pieces.flatMap((piece) =>
    SHARES.map(([share, words]): Place => ({
      value: `${piece.id} ${share}`,
      label: `${words} ${piece.mark}, ${piece.name}`,
      spot: { member: piece.member.id, side: piece.side, share },
    })),
  );
  return [...nodes, ...along];
}

/** A tube from one named place to another: without a pointer. */
export function ByName() {
  const { document, plan } = useEditor('document', 'plan');
  const { place, begun } = useTools();
  const [chosen, setChosen] = useState<string>();
  if (!plan || plan.frame.pieces.length === 0) return null;
  const names = new Map(document.frame.nodes.map(({ id, name }) => [id, name]));
  const places = placesOf(plan.frame, names);
  const now = places.find(({ value }) => value === chosen) ?? places[0];
  if (!now) return null;
  return (
    <span className="flex items-center gap-1.5">
      <Choice
        label={begun ? 'Where the tube ends' : 'Where the tube begins'}
        value={now.value}
        groups={[{ options: places.map(({ value, label }) => ({ value, label })) }]}
        onChange={setChosen}
        className="w-44"
      />
      <Button onClick={() => place(now.spot)}>{begun ? 'End here' : 'Begin here'}</Button>
    </span>
  );
}
