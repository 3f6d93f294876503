import { SET_STATURE, withArticle, type Kind } from '@larchwood/core';
import { LIMITS } from '@larchwood/format';
import { useEditor } from '../../editor/editor';
import { lengthWithin, massWithin } from '../../ledger/bounds';
import { QuantityField } from '../../ledger/QuantityField';
import { TextField } from '../../ledger/TextField';
import { Button } from '../../parts/Button';
import { Length } from '../../parts/Figure';
import { Pop } from '../../parts/Pop';
import { useBriefList } from './brief';
import { KeepRider, WorkshopRiders } from './WorkshopRiders';
import { RiderMeasures } from './RiderMeasures';
import { BriefPart, RemoveButton } from '../../parts/RowList';

const MOST = 6;

/** Who sits in it: what is fitted to them is worked out from their stature. */
export function Riders({ kind }: { readonly kind: Kind }) {
  const { rows, field, add, set, remove } = useBriefList('riders');
  const { document } = useEditor('document');
  const seated = new Set(kind.startingSets.flatMap(({ fit }) => (fit ?? []).map(({ rider }) => rider)));
  const about = seated.has(1)
    ? 'from the front to the rear'
    : seated.has('tallest')
      ? 'the tallest must fit'
      : undefined;
  return (
    <BriefPart title="Who sits in it" about={about}>
      <ul className="rows">
        {rows.map((rider, index) => {
          const { name, stature, mass } = rider;
          return (
            <li key={index} className="flex flex-wrap items-baseline gap-x-3 py-1">
              <TextField
                field={field(index, 'name')}
                label={`Rider ${index + 1}, name`}
                value={name}
                required
                onCommit={(text) => set(index, 'name', { name: text })}
                className="flex-1 font-semibold"
              />
              <span className="flex items-baseline gap-1">
                <span className="caption">stature</span>
                <QuantityField
                  field={field(index, 'stature')}
                  label={`${name}, stature`}
                  quantity="length"
                  value={stature}
                  nudge={10}
                  onCommit={(next) =>
                    lengthWithin(next, LIMITS.rider.stature, () => set(index, 'stature', { stature: next }))
                  }
                />
              </span>
              <span className="flex items-baseline gap-1">
                <span className="caption">mass</span>
                <QuantityField
                  field={field(index, 'mass')}
                  label={`${name}, mass`}
                  quantity="mass"
                  value={mass}
                  onCommit={(next) =>
                    massWithin(next, LIMITS.rider.mass, () => set(index, 'mass', { mass: next }))
                  }
                />
              </span>
              <Pop
                trigger="Measures"
                label={`${name}, measures`}
                className="font-semibold text-larch-text underline underline-offset-2"
              >
                {() => <RiderMeasures index={index} />}
              </Pop>
              <KeepRider rider={rider} />
              <RemoveButton name={name} onClick={() => remove(index)} />
            </li>
          );
        })}
      </ul>
      {rows.length === 0 && (
        <p className="py-1.5 text-quiet">
          Nobody yet.{' '}
          {seated.size > 0 ? (
            <>
              The starting set is made for somebody of <Length mm={SET_STATURE} display={document.units} />; a
              rider’s stature moves what must fit.
            </>
          ) : (
            `A rider is seated in ${withArticle(kind.name)} as the set has it; name one and the seat can be fitted.`
          )}
        </p>
      )}
      {rows.length < MOST && (
        <div className="flex items-center gap-5">
          <Button
            look="link"
            onClick={() => add({ name: `Rider ${rows.length + 1}`, stature: SET_STATURE, mass: 75 })}
          >
            Add a rider
          </Button>
          <WorkshopRiders taken={rows.map(({ name }) => name)} onTake={add} />
        </div>
      )}
    </BriefPart>
  );
}
