import { frameEdits, type FrameEdit } from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { Group } from '../../ledger/Panel';
import { useTools } from '../../space/tools';

/** The format's property names in plain words. */
const WORDS: Readonly<Record<string, string>> = {
  anchor: 'place',
  nodes: 'ends',
  bends: 'bends',
  section: 'section',
  material: 'material',
  turn: 'turn',
  ends: 'cuts',
  mirrored: 'twin',
  name: 'name',
};

/** What the builder has changed since its layout made the frame. */
export function EditsGroup() {
  const { document } = useEditor('document');
  const { pick } = useTools();
  const edits = frameEdits(document);
  if (edits.length === 0) return null;
  return (
    <Group title={`Changed by hand: ${edits.length}`}>
      <ul className="px-4 pb-1 text-[13px]">
        {edits.map((edit) => (
          <li key={`${edit.what}${edit.id}`} className="py-0.5">
            {edit.what === 'tube' && edit.how !== 'taken out' ? (
              <button
                type="button"
                className="text-left underline decoration-rule underline-offset-2"
                onClick={() => pick(edit.id)}
              >
                {edit.name}
              </button>
            ) : (
              edit.name
            )}
            : {said(edit)}
          </li>
        ))}
      </ul>
    </Group>
  );
}

const said = ({ what, how, properties }: FrameEdit): string =>
  how === 'changed'
    ? properties.map((property) => WORDS[property] ?? property).join(', ')
    : what === 'tube'
      ? how
      : `${what} ${how}`;
