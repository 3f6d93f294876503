/** The part of the packer used here. Its own typings name the build that Node cannot load as a module. */
declare module 'maxrects-packer/dist/maxrects-packer.mjs' {
  export interface PackedRectangle<D> {
    readonly x: number;
    readonly y: number;
    readonly rot: boolean;
    readonly data: D;
  }
  export class MaxRectsPacker<D> {
    constructor(
      width: number,
      height: number,
      padding: number,
      options: { smart: boolean; pot: boolean; square: boolean; allowRotation: boolean },
    );
    add(width: number, height: number, data: D): void;
    addArray(rectangles: readonly { width: number; height: number; data: D }[]): void;
    readonly bins: readonly { readonly rects: readonly PackedRectangle<D>[] }[];
  }
}
