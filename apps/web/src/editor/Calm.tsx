import { useEffect, useRef, useState, type ReactNode } from 'react';
import { EditorContext, useEditor } from './editor';

/** How often figures beside the drawing are drawn again while a point is dragged, ms: faster cannot be read. */
const PAUSE = 160;

/**
 * Lists of figures beside the drawing. While a point is dragged they keep up a few times a second, so that the drawing
 * itself has every frame; at all other times they change at once.
 */
export function Calm({ children }: { readonly children: ReactNode }) {
  const editor = useEditor();
  const [shown, setShown] = useState(editor);
  const [dragging, setDragging] = useState(editor.dragging);
  // A drag sets out from the figures as they are at its first moment.
  if (dragging !== editor.dragging) {
    setDragging(editor.dragging);
    setShown(editor);
  }
  const newest = useRef(editor);
  useEffect(() => {
    newest.current = editor;
  });
  useEffect(() => {
    if (!editor.dragging) return;
    const timer = setInterval(() => setShown(newest.current), PAUSE);
    return () => clearInterval(timer);
  }, [editor.dragging]);
  return <EditorContext value={editor.dragging ? shown : editor}>{children}</EditorContext>;
}
