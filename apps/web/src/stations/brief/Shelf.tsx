import { X } from 'lucide-react';
import {
  asSentence,
  failure,
  outsideLimits,
  parseTyreMarking,
  without,
  type Kind,
  type Result,
} from '@larchwood/core';
import { SHELF_SORTS, type ShelfItem, LIMITS, LONGEST } from '@larchwood/format';
import { useEditor } from '../../editor/editor';
import { lengthWithin } from '../../ledger/bounds';
import { QuantityField } from '../../ledger/QuantityField';
import { TextField } from '../../ledger/TextField';
import { IconButton } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { dimensionChoices, newPart, toTenths, useBriefList } from './brief';
import { BriefPart, RemoveButton } from '../../parts/RowList';

const SORTS = [{ options: SHELF_SORTS.map((sort) => ({ value: sort, label: asSentence(sort) })) }];
const MOST = 30;
const SIDES = ['long', 'wide', 'high'] as const;

type SetPart = (name: string, part: Partial<ShelfItem>) => Result<true>;
interface PartProps {
  readonly item: ShelfItem;
  readonly field: (name: string) => string;
  readonly onSet: SetPart;
}

/** What is there already: each part may settle a wheel or some dimensions of the starting stance. */
export function Shelf({ kind }: { readonly kind: Kind }) {
  const { document, plan } = useEditor('document', 'plan');
  const { rows, field, add, set, remove } = useBriefList('shelf');
  return (
    <BriefPart title="On the shelf" about="what a part settles is held; the rest follows">
      <ul className="rows">
        {rows.map((item, index) => {
          const part: PartProps = {
            item,
            field: (name) => field(index, name),
            onSet: (name, change) => set(index, name, change),
          };
          return (
            <li key={index} className="py-1.5">
              <div className="flex items-baseline gap-2">
                <Choice
                  label={`Part ${index + 1}, what it is`}
                  value={item.sort}
                  groups={SORTS}
                  onChange={(sort) => set(index, 'sort', { sort: sort as ShelfItem['sort'] })}
                  className="w-32"
                />
                <TextField
                  field={part.field('name')}
                  label={`Part ${index + 1}, name`}
                  value={item.name}
                  required
                  onCommit={(name) => part.onSet('name', { name })}
                  className="flex-1 font-semibold"
                />
                <RemoveButton name={item.name} onClick={() => remove(index)} />
              </div>
              <div className="flex flex-wrap items-baseline gap-x-5 gap-y-1 pl-[8.5rem]">
                {item.sort.endsWith('wheel') && <Marking {...part} />}
                {item.sort === 'engine' && <Box {...part} />}
                {!item.sort.endsWith('wheel') && item.sort !== 'stock' && <Gives {...part} kind={kind} />}
              </div>
            </li>
          );
        })}
      </ul>
      {rows.length === 0 && (
        <p className="py-1.5 text-quiet">
          Empty. Wheels, a fork, a donor frame or an engine that are there already decide the rest.
        </p>
      )}
      {rows.length < MOST && (
        <Choice
          label="Put a part on the shelf"
          value=""
          placeholder="Put on the shelf: …"
          groups={SORTS}
          onChange={(sort) => add(newPart(sort as ShelfItem['sort'], kind, document, plan))}
          className="mt-1 w-52 font-semibold text-larch-text"
        />
      )}
    </BriefPart>
  );
}

function Marking({ item, field, onSet }: PartProps) {
  return (
    <label className="flex items-baseline gap-1">
      <span className="caption">tyre</span>
      <TextField
        field={field('marking')}
        label={`${item.name}, tyre marking`}
        value={item.marking ?? ''}
        most={LONGEST.marking}
        placeholder="37-622, 110/70-17 or 22x7-10"
        onCommit={(marking) => {
          const read = parseTyreMarking(marking);
          return read.ok ? onSet('marking', { marking: marking.trim() }) : read;
        }}
        className="figure w-60"
      />
    </label>
  );
}

/** Room that an engine takes. */
function Box({ item, field, onSet }: PartProps) {
  const box = item.box ?? [400, 350, 400];
  return (
    <span className="flex items-baseline gap-2">
      {SIDES.map((side, index) => (
        <span key={side} className="flex items-baseline">
          <span className="caption">{side}</span>
          <QuantityField
            field={field(side)}
            label={`${item.name}, ${side}`}
            quantity="length"
            value={box[index]!}
            nudge={5}
            onCommit={(next) =>
              lengthWithin(next, LIMITS.shelfBox, () => {
                const changed: [number, number, number] = [...box];
                changed[index] = next;
                return onSet(side, { box: changed });
              })
            }
          />
        </span>
      ))}
    </span>
  );
}

/** Dimensions that the part settles. */
function Gives({ item, field, onSet, kind }: PartProps & { readonly kind: Kind }) {
  const { plan, setDraft } = useEditor('plan', 'setDraft');
  const { gives } = item;
  const left = dimensionChoices(kind, Object.keys(gives));
  return (
    <>
      {Object.entries(gives).map(([id, value]) => {
        const dimension = kind.dimensions.find((each) => each.id === id);
        if (!dimension) return null;
        return (
          <span key={id} className="flex items-baseline">
            <span className="caption">{dimension.name}</span>
            <QuantityField
              field={field(`gives.${id}`)}
              label={`${item.name}, ${dimension.name}`}
              quantity={dimension.quantity}
              value={value}
              onCommit={(next) => {
                const message = outsideLimits(dimension, next);
                return message === undefined
                  ? onSet(`gives.${id}`, { gives: { ...gives, [id]: next } })
                  : failure(message);
              }}
            />
            <IconButton
              name={`${item.name} does not settle ${dimension.name}`}
              onClick={() => {
                onSet('gives', { gives: without(gives, id) });
                setDraft(field(`gives.${id}`), undefined);
              }}
              className="!size-6 self-center"
            >
              <X size={13} aria-hidden />
            </IconButton>
          </span>
        );
      })}
      {left.length > 0 && (
        <Choice
          label={`${item.name} settles`}
          value=""
          placeholder="it settles …"
          groups={left}
          onChange={(id) =>
            onSet('gives', { gives: { ...gives, [id]: toTenths(plan?.stance.values[id] ?? 0) } })
          }
          className="min-h-6 !border-transparent text-[13px] text-larch-text"
        />
      )}
    </>
  );
}
