import type { Section } from '@larchwood/format';
import { diameterAt, propertiesOf, roundTube } from './sections.js';

/** Metal in a tube cut square at both ends of its centre line; mm3. A taper keeps its wall. */
export function uncutVolume(section: Section, length: number): number {
  const body = propertiesOf(section).area;
  let volume = body * length;
  if (section.shape !== 'round') return volume;
  const { butts, taper, diameter, wall } = section;
  for (const butt of butts ? [butts.start, butts.end] : []) {
    const more = roundTube(diameter, butt.wall).area - body;
    volume += more * Math.min(length / 2, butt.length + butt.taper / 2);
  }
  if (taper) {
    const over = Math.min(taper.length, length);
    volume -= (body - roundTube(diameterAt(section, length, length - over / 2), wall).area) * over;
  }
  return volume;
}
