import { useEffect } from 'react';
import type { BufferGeometry } from 'three';

/** Gives back what a geometry holds on the graphics card once it is drawn no more. */
export function useDisposal(geometry: BufferGeometry): void {
  useEffect(() => () => geometry.dispose(), [geometry]);
}
