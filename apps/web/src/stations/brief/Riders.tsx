import { SET_STATURE, withArticle, type Kind } from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { QuantityField } from '../../ledger/QuantityField';
import { TextField } from '../../ledger/TextField';
import { Button } from '../../parts/Button';
import { Length } from '../../parts/Figure';
import { useBriefList, within } from './brief';
import { BriefPart, RemoveButton } from './RowList';

const MOST = 6;

/** Who sits in it: what is fitted to them is worked out from their stature. */
export function Riders({ kind }: { readonly kind: Kind }) {
  const { rows, field, add, set, remove } = useBriefList('riders');
  const { document } = useEditor();
  const seated = new Set(kind.startingSets.flatMap(({ fit }) => (fit ?? []).map(({ rider }) => rider)));
  const about = seated.has(1)
    ? 'from the front to the rear'
    : seated.has('tallest')
      ? 'the tallest must fit'
      : undefined;
  return (
    <BriefPart title="Who sits in it" about={about}>
      <ul className="rows">
        {rows.map(({ name, stature, mass }, index) => (
          <li key={index} className="flex items-baseline gap-3 py-1">
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
                  within(next, [500, 2500], 'A stature lies between 500 and 2500 mm (1′ 8″ and 8′ 2″).', () =>
                    set(index, 'stature', { stature: next }),
                  )
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
                  within(next, [5, 300], 'A mass lies between 5 and 300 kg.', () =>
                    set(index, 'mass', { mass: next }),
                  )
                }
              />
            </span>
            <RemoveButton name={name} onClick={() => remove(index)} />
          </li>
        ))}
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
            `Nothing of ${withArticle(kind.name)} is fitted to its rider so far; riders are kept with the build.`
          )}
        </p>
      )}
      {rows.length < MOST && (
        <Button
          look="link"
          onClick={() => add({ name: `Rider ${rows.length + 1}`, stature: SET_STATURE, mass: 75 })}
        >
          Add a rider
        </Button>
      )}
    </BriefPart>
  );
}
