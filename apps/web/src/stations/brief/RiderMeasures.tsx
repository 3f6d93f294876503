import { RotateCcw } from 'lucide-react';
import { bodyOf, inseamOf, without } from '@larchwood/core';
import { LIMITS, SEGMENT_IDS, SEGMENTS, type Rider } from '@larchwood/format';
import { lengthWithin } from '../../ledger/bounds';
import { QuantityField } from '../../ledger/QuantityField';
import { IconButton } from '../../parts/Button';
import { useBriefList } from './brief';

const MEASURES = [
  { id: 'inseam' as const, name: 'Inseam', span: 'floor to crotch, standing, a book pressed up' },
  ...SEGMENT_IDS.map((id) => ({ id, ...SEGMENTS[id] })),
];

/** A rider's segments: usual ones for the stature, until one is measured. */
export function RiderMeasures({ index }: { readonly index: number }) {
  const { rows, field, set, replace } = useBriefList('riders');
  const rider = rows[index];
  if (!rider) return null;
  const usual = { ...bodyOf(rider), inseam: inseamOf(rider) };
  return (
    <>
      <h3 className="font-bold">{rider.name}, measures</h3>
      <p className="mb-2 text-quiet">
        Usual proportions of the stature stand here until something is measured; a measured inseam stretches
        the leg.
      </p>
      {MEASURES.map(({ id, name, span }) => {
        const measured = rider[id];
        const limits = id === 'inseam' ? LIMITS.rider.inseam : LIMITS.rider.segment;
        return (
          <div key={id} className="flex min-h-8 items-center gap-2">
            <span className="min-w-0 flex-1 leading-tight">
              {name} <span className="caption block">{span}</span>
            </span>
            <span className={measured === undefined ? 'text-quiet' : ''}>
              <QuantityField
                field={field(index, id)}
                label={`${rider.name}, ${name.toLowerCase()}`}
                quantity="length"
                value={measured ?? usual[id]}
                digits={0}
                onCommit={(next) =>
                  lengthWithin(next, limits, () => set(index, id, { [id]: next } as Partial<Rider>))
                }
              />
            </span>
            <span className="flex w-20 items-center justify-end">
              {measured === undefined ? (
                <span className="caption">usual</span>
              ) : (
                <>
                  <span className="caption">measured</span>
                  <IconButton
                    name={`Go back to the usual ${name.toLowerCase()}`}
                    className="!size-7"
                    onClick={() => replace(index, without(rider, id) as Rider)}
                  >
                    <RotateCcw size={13} aria-hidden />
                  </IconButton>
                </>
              )}
            </span>
          </div>
        );
      })}
    </>
  );
}
