import type { Picture, Points, State } from '../dimension.js';

/** Pictures of dimensions that are not drawn on the sheet, and the points that only they need. */
export interface Pictured {
  readonly marks: (state: State) => Points;
  readonly pictures: readonly Picture[];
}

/** An assembly's pictures; its marks read the entries they name. */
export const pictured = <S>(marks: (state: S) => Points, pictures: readonly Picture[]): Pictured => ({
  marks: marks as unknown as (state: State) => Points,
  pictures,
});
