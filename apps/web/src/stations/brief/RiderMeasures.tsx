import { RotateCcw } from 'lucide-react';
import type { SEGMENTS } from '@larchwood/core';
import { bodyOf, inseamOf, without } from '@larchwood/core';
import { LIMITS, type Rider } from '@larchwood/format';
import { lengthWithin } from '../../ledger/bounds';
import { QuantityField } from '../../ledger/QuantityField';
import { IconButton } from '../../parts/Button';
import { useBriefList } from './brief';

type Measure = 'inseam' | (typeof SEGMENTS)[number];

const MEASURES: readonly { readonly id: Measure; readonly name: string; readonly how: string }[] = [
  { id: 'inseam', name: 'Inseam', how: 'floor to crotch, standing, a book pressed up' },
  { id: 'thigh', name: 'Thigh', how: 'hip joint to knee' },
  { id: 'shank', name: 'Shank', how: 'knee to ankle' },
  { id: 'ankleHeight', name: 'Ankle height', how: 'ankle above the sole' },
  { id: 'trunk', name: 'Trunk', how: 'hip joint to shoulder joint' },
  { id: 'upperArm', name: 'Upper arm', how: 'shoulder to elbow' },
  { id: 'forearm', name: 'Forearm', how: 'elbow to wrist' },
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
      {MEASURES.map(({ id, name, how }) => {
        const measured = rider[id];
        const limits = id === 'inseam' ? LIMITS.rider.inseam : LIMITS.rider.segment;
        return (
          <div key={id} className="flex min-h-8 items-center gap-2">
            <span className="min-w-0 flex-1 leading-tight">
              {name} <span className="caption block">{how}</span>
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
