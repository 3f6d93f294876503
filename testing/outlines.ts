import { outlineOf, type Outline } from '@larchwood/core';
import type { Section } from '@larchwood/format';

/** The outline of a round tube of a radius and a wall, mm. */
export function roundOutline(radius: number, wall: number): Outline {
  const section: Section = { id: 'round', name: 'round', shape: 'round', diameter: 2 * radius, wall };
  return outlineOf(section, { width: 2 * radius, height: 2 * radius }, wall, false);
}
