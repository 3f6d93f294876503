import type { Section } from '@larchwood/format';
import { formatLength, INCH, trimZeros, type LengthDisplay } from '../units/length.js';
import { findSection, soldInInches } from './library.js';
import { ownSection } from './ownSection.js';
import { isBar } from './sections.js';

/** A size is named by a fraction of an inch where that is the size to within this, mm: what a caliper tells apart. */
const SAME_SIZE = 0.06;

/**
 * A section in the build's units: `28.6 × 0.9`, `1 1/8 × .035 in`. One of the shipped library that is sold in those units,
 * and one that the builder named, go by their name.
 */
export function sectionText(section: Section, display: LengthDisplay): string {
  const shipped = findSection(section.id);
  const inches = display.length !== 'mm';
  if (inches && isNamedBySize(section)) return described(section, inchText(display), inchWall, ' in');
  if (!shipped || shipped.name !== section.name || soldInInches(section.id) === inches) return section.name;
  return inches
    ? described(section, inchText(display), inchWall, ' in')
    : described(section, metric(1), metric(2), '');
}

/** The same with the name it is sold by where that is another: `1 1/8 × .035 in (28.6 × 0.9 mm)`. */
export function sectionLabel(section: Section, display: LengthDisplay): string {
  const text = sectionText(section, display);
  if (text === section.name) return text;
  return display.length === 'mm' ? `${text} mm (${section.name})` : `${text} (${section.name} mm)`;
}

/** Turned or bored for one place, or of the builder's own sizes without a name of its own. */
function isNamedBySize(section: Section): boolean {
  if (/^(bar|boss|collar)-/.test(section.id)) return /^(Bar )?[\d.]+( x [\d.]+)?$/.test(section.name);
  const width = section.shape === 'round' ? section.diameter : section.width;
  const height = section.shape === 'round' ? section.diameter : section.height;
  return (
    section.id.startsWith('own-') &&
    ownSection({ ...section, width, height, name: undefined }).name === section.name
  );
}

type Figure = (millimetres: number) => string;

const metric =
  (digits: number): Figure =>
  (millimetres) =>
    trimZeros(millimetres.toFixed(digits));
/** Inches to a thousandth, without the nought before the point: how walls are sold. */
const inchWall: Figure = (millimetres) => trimZeros((millimetres / INCH).toFixed(3)).replace(/^0\./, '.');
const inchText =
  (display: LengthDisplay): Figure =>
  (millimetres) => {
    const inches = millimetres / INCH;
    const nearest = (Math.round(inches * display.denominator) / display.denominator) * INCH;
    return display.length === 'fraction' && Math.abs(nearest - millimetres) < SAME_SIZE
      ? formatLength(millimetres, display, 1, true)
      : inchWall(millimetres);
  };

function described(section: Section, size: Figure, wall: Figure, unit: string): string {
  if (section.shape === 'rectangular')
    return `${size(section.width)} × ${size(section.height)} × ${wall(section.wall)}${unit}`;
  if (section.shape === 'oval')
    return `${size(section.width)} × ${size(section.height)} oval × ${wall(section.wall)}${unit}`;
  const { diameter, butts, taper } = section;
  if (taper) return `${size(diameter)} to ${size(taper.diameter)} × ${wall(section.wall)}${unit}`;
  if (isBar(section)) return `Bar ${size(diameter)}${unit}`;
  if (!butts) return `${size(diameter)} × ${wall(section.wall)}${unit}`;
  const walls = [butts.start?.wall, section.wall, butts.end?.wall].flatMap((each) =>
    each === undefined ? [] : [wall(each)],
  );
  return `${size(diameter)} × ${walls.join('/')}${unit}, ${size(butts.soldLength)}${unit} long`;
}
