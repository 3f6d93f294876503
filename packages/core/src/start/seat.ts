import type { SetLump, StartingSet } from '../stance/dimension.js';
import type { BuildDocument, Lump } from '@larchwood/format';

/** Gaps wanted: tyre 6, rider 20, moving metal 5 mm; all are common practice, no source. */
export const USUAL_SEAT: BuildDocument['seat'] = {
  aboard: [],
  gaps: { tyre: 6, rider: 20, metal: 5 },
  lock: 35,
  statures: [1550, 1900],
  legSlide: [-100, 100],
  armSlide: [-40, 40],
};

/** Seat of a build just started. */
export const seatOf = ({
  lock = USUAL_SEAT.lock,
  riderGap = USUAL_SEAT.gaps.rider,
}: StartingSet): BuildDocument['seat'] => ({
  ...USUAL_SEAT,
  lock,
  gaps: { ...USUAL_SEAT.gaps, rider: riderGap },
});

/** A starting set's lumps as a document holds them. */
export const lumpsOf = (lumps: readonly SetLump[]): Lump[] =>
  lumps.map(({ name, sort, mass, point, offset = [0, 0, 0], box }, index) => ({
    id: `lump${index + 1}`,
    name,
    sort,
    mass,
    point,
    offset: [...offset],
    ...(box ? { box: [...box] as [number, number, number] } : {}),
  }));
