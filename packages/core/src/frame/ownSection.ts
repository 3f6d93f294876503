import type { Section } from '@larchwood/format';

/** A section in no list: mm; of a round one the width is its diameter. */
export interface OwnSize {
  readonly shape: Section['shape'];
  readonly width: number;
  readonly height: number;
  readonly wall: number;
  /** Outer radius of the corners; twice the wall where it is not known: common practice, no source. */
  readonly corner?: number;
  readonly name?: string | undefined;
}

const figure = (value: number): string => String(Math.round(value * 100) / 100);

/** Why sizes make neither a tube nor a round bar, whose wall is half of it, in words; undefined where they do. */
export const noTube = ({ shape, width, height, wall }: OwnSize): string | undefined =>
  shape === 'round' && Math.abs(2 * wall - width) < 1e-6
    ? undefined
    : 2 * wall >= (shape === 'round' ? width : Math.min(width, height))
      ? `Twice the wall leaves no bore.${shape === 'round' ? ' For a solid bar the wall is half the diameter.' : ''}`
      : undefined;

/** A section by its sizes; the same sizes have the same id. */
export function ownSection({ shape, width, height, wall, corner, name: given }: OwnSize): Section {
  const size = shape === 'round' ? figure(width) : `${figure(width)}x${figure(height)}`;
  const id = `own-${shape}-${size}x${figure(wall)}`;
  const name = given ?? `${size.replace('x', ' × ')} × ${figure(wall)}${shape === 'oval' ? ' oval' : ''}`;
  if (shape === 'round') {
    const solid = Math.abs(2 * wall - width) < 1e-6;
    return { id, name: solid && !given ? `Bar ${size}` : name, shape, diameter: width, wall };
  }
  if (shape === 'oval') return { id, name, shape, width, height, wall };
  const most = Math.min(width, height) / 2;
  return { id, name, shape, width, height, wall, corner: Math.min(corner ?? 2 * wall, most) };
}
