import type { ThreeEvent } from '@react-three/fiber';
import { useMemo } from 'react';
import { DoubleSide, FrontSide, type Plane } from 'three';
import type { Piece, Vector } from '@larchwood/core';
import { assembled, type Part } from './geometry';
import type { Palette } from './palette';
import { useDisposal } from './useDisposal';

interface Props {
  readonly parts: readonly Part[];
  readonly palette: Palette;
  readonly planes?: readonly Plane[];
  readonly faint?: boolean;
  readonly onPress?: (piece: Piece, at: Vector, more: boolean) => void;
}

/** A press that was no turn of the view. */
const isPress = (event: ThreeEvent<MouseEvent>): boolean => event.delta <= 3;

/** Cut tubes with their cut edges drawn, and plates. The light on them is in their colours. */
export function Solids({ parts, palette, planes = [], faint = false, onPress }: Props) {
  const { solid, edges, partAt } = useMemo(() => assembled(parts), [parts]);
  useDisposal(solid);
  useDisposal(edges);
  const press = (event: ThreeEvent<MouseEvent>) => {
    const part = typeof event.faceIndex === 'number' ? partAt(event.faceIndex) : undefined;
    if (!part?.piece || !isPress(event)) return;
    event.stopPropagation();
    const [x, y, z] = part.offset;
    const { point } = event;
    onPress?.(
      part.piece,
      [point.x - x, point.y - y, point.z - z],
      event.shiftKey || event.ctrlKey || event.metaKey,
    );
  };
  return (
    <>
      <mesh geometry={solid} {...(onPress ? { onClick: press } : {})}>
        <meshBasicMaterial
          key={planes.length}
          vertexColors
          side={planes.length > 0 ? DoubleSide : FrontSide}
          transparent={faint}
          opacity={faint ? 0.25 : 1}
          clippingPlanes={[...planes]}
        />
      </mesh>
      <lineSegments geometry={edges}>
        <lineBasicMaterial
          key={planes.length}
          color={palette.ink}
          transparent={faint}
          opacity={faint ? 0.3 : 1}
          clippingPlanes={[...planes]}
        />
      </lineSegments>
    </>
  );
}
