import { useLayoutEffect, useState, type ReactNode } from 'react';
import { createStore } from 'zustand';
import { EditorContext, useEditorStore, type Editor } from './editor';

/** How often figures beside the drawing are drawn again while a point is dragged, ms: faster cannot be read. */
const PAUSE = 160;

/**
 * Lists of figures beside the drawing. While a point is dragged they keep up a few times a second, so that the drawing
 * itself has every frame; at all other times they change at once.
 */
export function Calm({ children }: { readonly children: ReactNode }) {
  const store = useEditorStore();
  const [calm] = useState(() => createStore<Editor>(() => store.getState()));
  useLayoutEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const catchUp = () => {
      clearTimeout(timer);
      timer = undefined;
      calm.setState(store.getState(), true);
    };
    const follow = () => {
      const { dragging } = store.getState();
      // A drag sets out from the figures as they are at its first moment, and ends with those of its last.
      if (!dragging || !calm.getState().dragging) catchUp();
      else timer ??= setTimeout(catchUp, PAUSE);
    };
    catchUp();
    const leave = store.subscribe(follow);
    return () => {
      leave();
      clearTimeout(timer);
    };
  }, [store, calm]);
  return <EditorContext value={calm}>{children}</EditorContext>;
}
