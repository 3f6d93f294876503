import { OrbitControls } from '@react-three/drei';
import { Canvas, useThree } from '@react-three/fiber';
import { useEffect, useMemo, type ReactNode } from 'react';
import { PerspectiveCamera, Vector3 } from 'three';
import type { Vector } from '@larchwood/core';
import { eyeThatSees } from './eye';
import type { Palette } from './palette';

/** From where the frame is looked at: a direction from it to the eye. */
export const STANDPOINTS = {
  corner: { name: 'Corner', from: [0.75, -1, 0.55] },
  side: { name: 'From the right', from: [0, -1, 0.0001] },
  plan: { name: 'From above', from: [0, -0.0001, 1] },
  front: { name: 'From ahead', from: [1, 0, 0.0001] },
  below: { name: 'From below', from: [0.3, -0.7, -0.8] },
} as const satisfies Record<string, { readonly name: string; readonly from: Vector }>;
export type Standpoint = keyof typeof STANDPOINTS;

interface Props {
  readonly points: readonly Vector[];
  /** The direction to the eye. */
  readonly from: Vector;
  /** Changes when the view should be set anew. */
  readonly fit: string;
  readonly palette: Palette;
  readonly label: string;
  readonly onMissed?: () => void;
  readonly children: ReactNode;
}

/** Whether the browser draws space without a graphics card: then smooth edges cost more than they give. */
const SOFTWARE = (() => {
  const gl = document.createElement('canvas').getContext('webgl2');
  const info = gl?.getExtension('WEBGL_debug_renderer_info');
  const name = gl && info ? String(gl.getParameter(info.UNMASKED_RENDERER_WEBGL)) : '';
  gl?.getExtension('WEBGL_lose_context')?.loseContext();
  return /swiftshader|llvmpipe|software/i.test(name);
})();

/** A place in space to look at, turned with the pointer; drawn only when something changes. */
export function Stage({ points, from, fit, palette, label, onMissed, children }: Props) {
  return (
    <div role="img" aria-label={label} className="h-full w-full">
      <Canvas
        frameloop="demand"
        // Colours are the screen's own from the start: no curve has to be put on each point of each picture.
        legacy
        linear
        flat
        dpr={SOFTWARE ? 1 : [1, 2]}
        camera={{ up: [0, 0, 1], fov: 32, near: 5, far: 60000 }}
        gl={{ antialias: !SOFTWARE, localClippingEnabled: true, preserveDrawingBuffer: false }}
        style={{ background: palette.sheet }}
        onPointerMissed={() => onMissed?.()}
      >
        <hemisphereLight args={['#ffffff', '#77736a', 2.1]} position={[0, 0, 1]} />
        <directionalLight position={[1500, -2500, 3500]} intensity={1.5} />
        <Look points={points} from={from} fit={fit} />
        {children}
      </Canvas>
    </div>
  );
}

/** How much of its room what is looked at fills. */
const FILLED = 0.92;

function Look({ points, from, fit }: Pick<Props, 'points' | 'from' | 'fit'>) {
  const { camera, controls, invalidate, size } = useThree();
  const shown = useMemo(
    () => points.map((point) => new Vector3(...point)),
    // The view holds still while the frame is edited: it is set anew only when asked.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [fit],
  );
  useEffect(() => {
    if (shown.length === 0 || !(camera instanceof PerspectiveCamera)) return;
    const up = Math.tan((camera.fov * Math.PI) / 360) * FILLED;
    const across = (up * size.width) / Math.max(1, size.height);
    const { eye, target } = eyeThatSees(shown, new Vector3(...from).normalize(), across, up);
    camera.position.copy(eye);
    camera.lookAt(target);
    const held = controls as { target?: Vector3; update?: () => void } | null;
    held?.target?.copy(target);
    held?.update?.();
    invalidate();
    // The size and the direction matter when the view is set, and not after.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [shown, camera, controls, invalidate]);
  return <OrbitControls makeDefault enableDamping={false} />;
}
