import { outlineOf, type Outline, type Section } from '@larchwood/core';

/** The outline of a round tube of a radius and a wall, mm. */
export function roundOutline(radius: number, wall: number): Outline {
  const section: Section = { id: 'round', name: 'round', shape: 'round', diameter: 2 * radius, wall };
  return outlineOf(section, { width: 2 * radius, height: 2 * radius }, wall, false);
}
