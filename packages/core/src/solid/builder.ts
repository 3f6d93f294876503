import { cross, dot, type Vector } from '../vector/vector.js';

/** Triangles: three coordinates in mm and three of the normal for each point; three points for each triangle, in turn right-handed about its outside. */
export interface Mesh {
  readonly positions: Float32Array;
  readonly normals: Float32Array;
  readonly indices: Uint32Array;
}

/** Puts a mesh together, point by point. */
export class Builder {
  private readonly positions: number[] = [];
  private readonly normals: number[] = [];
  private readonly indices: number[] = [];

  point(at: Vector, normal: Vector): number {
    this.positions.push(at[0], at[1], at[2]);
    this.normals.push(normal[0], normal[1], normal[2]);
    return this.positions.length / 3 - 1;
  }
  triangle(a: number, b: number, c: number): void {
    this.indices.push(a, b, c);
  }
  /** A strip between two closed rings of as many points each. */
  between(first: readonly number[], second: readonly number[], flipped: boolean): void {
    first.forEach((a, index) => {
      const next = (index + 1) % first.length;
      const [b, c, d] = [first[next]!, second[next]!, second[index]!];
      if (flipped) {
        this.triangle(a, c, b);
        this.triangle(a, d, c);
      } else {
        this.triangle(a, b, c);
        this.triangle(a, c, d);
      }
    });
  }
  mesh(): Mesh {
    return {
      positions: Float32Array.from(this.positions),
      normals: Float32Array.from(this.normals),
      indices: Uint32Array.from(this.indices),
    };
  }
}

/** Volume inside a closed mesh, mm3; source: signed tetrahedra, divergence theorem. */
export function meshVolume({ positions, indices }: Mesh): number {
  let volume = 0;
  const at = (index: number): Vector => [
    positions[3 * index]!,
    positions[3 * index + 1]!,
    positions[3 * index + 2]!,
  ];
  for (let index = 0; index < indices.length; index += 3)
    volume += dot(at(indices[index]!), cross(at(indices[index + 1]!), at(indices[index + 2]!))) / 6;
  return volume;
}
