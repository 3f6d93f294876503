/** A part of a file that was not understood: where it stands, and why. */
export interface NotUnderstood {
  readonly where: string;
  readonly why: string;
}
/** Larger files than this are none that a person wrote, characters. */
export const LARGEST_IMPORT = 5_000_000;
