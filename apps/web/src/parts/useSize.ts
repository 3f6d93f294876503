import { useEffect, useRef, useState, type RefObject } from 'react';

/** The size of an element as it is laid out, px; a guess until then. */
export function useSize(guess: { readonly width: number; readonly height: number }): {
  readonly frame: RefObject<HTMLDivElement | null>;
  readonly size: { readonly width: number; readonly height: number };
} {
  const frame = useRef<HTMLDivElement>(null);
  const [size, setSize] = useState(guess);
  useEffect(() => {
    if (!frame.current) return;
    const observer = new ResizeObserver(([entry]) => {
      if (entry) setSize({ width: entry.contentRect.width, height: entry.contentRect.height });
    });
    observer.observe(frame.current);
    return () => observer.disconnect();
  }, []);
  return { frame, size };
}
