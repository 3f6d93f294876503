import { useState } from 'react';
import type { Frame, Result } from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import { useEditor } from '../editor/editor';

export type FrameCommand = (document: BuildDocument, frame: Frame) => Result<BuildDocument>;

/** Does a change of the frame that may be refused, and keeps the reason until the next one. */
export function useFrameEdit() {
  const { present, plan, edit, settle } = useEditor('present', 'plan', 'edit', 'settle');
  const [message, setMessage] = useState('');
  const apply = (key: string, command: FrameCommand): BuildDocument | undefined => {
    if (!plan) return undefined;
    const done = command(present(), plan.frame);
    const taken = done.ok ? edit(key, () => done.value) : done;
    settle();
    setMessage(taken.ok ? '' : taken.message);
    return done.ok && taken.ok ? done.value : undefined;
  };
  return { apply, message, clear: () => setMessage('') };
}
