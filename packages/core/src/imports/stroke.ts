export type Flat = readonly [x: number, y: number];

/** A straight, or an arc by its centre and the way it turns; mm. */
export interface Stroke {
  readonly layer: string;
  readonly from: Flat;
  readonly to: Flat;
  /** How far it lies off the drawing's own plane, towards who looks at it; mm. */
  readonly level: number;
  readonly arc?: {
    readonly centre: Flat;
    readonly radius: number;
    /** Anticlockwise, radians. */ readonly sweep: number;
  };
}
