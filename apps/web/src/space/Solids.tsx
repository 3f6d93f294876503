import type { ThreeEvent } from '@react-three/fiber';
import { memo } from 'react';
import { DoubleSide, type Plane } from 'three';
import type { Piece, PieceCut, PlacedPlate, Vector } from '@larchwood/core';
import { edgesOf, plateGeometry, solidOf } from './geometry';
import type { Palette } from './palette';

interface TubeProps {
  readonly piece: Piece;
  readonly cut: PieceCut;
  readonly lit: boolean;
  readonly palette: Palette;
  readonly every: number;
  readonly offset?: Vector;
  readonly planes?: readonly Plane[] | undefined;
  readonly faint?: boolean;
  readonly onPress?: ((piece: Piece, at: Vector, more: boolean) => void) | undefined;
}

/** A press that was no turn of the view. */
const isPress = (event: ThreeEvent<MouseEvent>): boolean => event.delta <= 3;

/** One cut tube, with its cut edges drawn. */
export const Tube = memo(function Tube({
  piece,
  cut,
  lit,
  palette,
  every,
  offset = [0, 0, 0],
  planes,
  faint = false,
  onPress,
}: TubeProps) {
  return (
    <group position={[offset[0], offset[1], offset[2]]}>
      <mesh
        geometry={solidOf(piece, cut, every)}
        {...(onPress
          ? {
              onClick: (event: ThreeEvent<MouseEvent>) => {
                if (!isPress(event)) return;
                event.stopPropagation();
                const { x, y, z } = event.point;
                onPress(
                  piece,
                  [x - offset[0], y - offset[1], z - offset[2]],
                  event.shiftKey || event.ctrlKey || event.metaKey,
                );
              },
            }
          : {})}
      >
        <meshLambertMaterial
          color={lit ? palette.larch : piece.supplied ? palette.quiet : STEEL}
          side={planes && planes.length > 0 ? DoubleSide : undefined}
          transparent={faint}
          opacity={faint ? 0.25 : 1}
          {...(planes ? { clippingPlanes: [...planes] } : {})}
        />
      </mesh>
      <lineSegments geometry={edgesOf(cut, every)}>
        <lineBasicMaterial
          color={palette.ink}
          transparent={faint}
          opacity={faint ? 0.3 : 1}
          {...(planes ? { clippingPlanes: [...planes] } : {})}
        />
      </lineSegments>
    </group>
  );
});
/** Bare tube, in both themes. */
const STEEL = '#b9beb8';

export const PlateSolid = memo(function PlateSolid({
  plate,
  palette,
  offset = [0, 0, 0],
  planes,
}: {
  readonly plate: PlacedPlate;
  readonly palette: Palette;
  readonly offset?: Vector;
  readonly planes?: readonly Plane[] | undefined;
}) {
  return (
    <mesh geometry={plateGeometry(plate)} position={[offset[0], offset[1], offset[2]]}>
      <meshLambertMaterial
        color={palette.steel}
        side={DoubleSide}
        {...(planes ? { clippingPlanes: [...planes] } : {})}
      />
    </mesh>
  );
});
