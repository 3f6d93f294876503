import type { Section } from '@larchwood/format';

/** Outer size of a section, mm: across and up. */
export interface Size {
  readonly width: number;
  readonly height: number;
}

/**
 * Outer size of a section at a distance from the member's start, given the member's length; mm.
 * @param memberLength along its centre line, mm
 * @param fromStart mm; a tapered end narrows as the section says
 */
export function sizeAt(section: Section, memberLength: number, fromStart: number): Size {
  if (section.shape !== 'round') return section;
  if (section.ovalEnd) {
    const { width, height, length } = section.ovalEnd;
    const share = Math.min(1, Math.max(0, memberLength - fromStart) / length);
    const { diameter } = section;
    return { width: width + (diameter - width) * share, height: height + (diameter - height) * share };
  }
  const diameter = diameterAt(section, memberLength, fromStart);
  return { width: diameter, height: diameter };
}

/** Whether a section is a solid bar: a round one whose wall is half of it. */
export const isBar = (section: Section): boolean =>
  section.shape === 'round' && section.wall >= section.diameter / 2 - 1e-6;

/** The larger outer size of a section, mm. */
export const acrossOf = (section: Section): number =>
  section.shape === 'round' ? section.diameter : Math.max(section.width, section.height);

/** Outer diameter at a distance from the member's start, given its length; the larger size of one that is not round; mm. */
export function diameterAt(section: Section, memberLength: number, fromStart: number): number {
  if (section.shape !== 'round') return acrossOf(section);
  if (!section.taper) return section.diameter;
  const fromEnd = Math.max(0, memberLength - fromStart);
  const share = Math.min(1, fromEnd / section.taper.length);
  return section.taper.diameter + (section.diameter - section.taper.diameter) * share;
}

/** Area in mm2 and second moment in mm4 of a round tube; source: pi/4 (D2 - d2) and pi/64 (D4 - d4). */
export function roundTube(diameter: number, wall: number): { area: number; secondMoment: number } {
  const inner = Math.max(0, diameter - 2 * wall);
  return {
    area: (Math.PI / 4) * (diameter ** 2 - inner ** 2),
    secondMoment: (Math.PI / 64) * (diameter ** 4 - inner ** 4),
  };
}

/** Area mm2, and second moments mm4 for bending up and down and for bending sideways. */
export interface SectionProperties {
  readonly area: number;
  readonly upright: number;
  readonly sideways: number;
}

/**
 * Properties of a section in its plain middle part.
 * @returns area of metal, mm², and second moments of area, mm⁴
 */
export function propertiesOf(section: Section): SectionProperties {
  if (section.shape === 'round') {
    const { area, secondMoment } = roundTube(section.diameter, section.wall);
    return { area, upright: secondMoment, sideways: secondMoment };
  }
  const { width, height, wall } = section;
  const solid = section.shape === 'oval' ? ellipse : roundedBox(section.corner);
  const hole = section.shape === 'oval' ? ellipse : roundedBox(Math.max(0, section.corner - wall));
  const outside = solid(width, height);
  const inside = hole(Math.max(0, width - 2 * wall), Math.max(0, height - 2 * wall));
  return {
    area: outside.area - inside.area,
    upright: outside.upright - inside.upright,
    sideways: outside.sideways - inside.sideways,
  };
}

/** Source: pi/4 ab and pi/64 b h3, any strength-of-materials text. The hole of an even wall is an ellipse to 0.5 %. */
const ellipse = (width: number, height: number): SectionProperties => ({
  area: (Math.PI / 4) * width * height,
  upright: (Math.PI / 64) * width * height ** 3,
  sideways: (Math.PI / 64) * height * width ** 3,
});

/** A rectangle less its four corners: each a square of side r without its quarter circle (parallel-axis rule). */
const roundedBox =
  (r: number) =>
  (width: number, height: number): SectionProperties => {
    const corner = (1 - Math.PI / 4) * r ** 2;
    // Centroid of what is missing from a corner, from the square's outer sides; and its second moment about itself.
    const from = r > 0 ? ((10 - 3 * Math.PI) / (12 - 3 * Math.PI)) * r : 0;
    const own = (1 / 3 - Math.PI / 16 - 1 / (9 * (4 - Math.PI))) * r ** 4;
    const about = (half: number) => 4 * (own + corner * (half - from) ** 2);
    return {
      area: width * height - 4 * corner,
      upright: (width * height ** 3) / 12 - about(height / 2),
      sideways: (height * width ** 3) / 12 - about(width / 2),
    };
  };
