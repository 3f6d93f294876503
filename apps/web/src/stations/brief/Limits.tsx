import { AlertOctagon, Check } from 'lucide-react';
import { keepsLimit, type Kind } from '@larchwood/core';
import { LIMITS, LONGEST, type RuleLimit } from '@larchwood/format';
import { useEditor } from '../../editor/editor';
import { angleWithin, lengthWithin } from '../../ledger/bounds';
import { QuantityField } from '../../ledger/QuantityField';
import { TextField } from '../../ledger/TextField';
import { Choice } from '../../parts/Choice';
import { Measure } from '../../parts/Figure';
import { dimensionChoices, toTenths, useBriefList } from './brief';
import { BriefPart, RemoveButton } from '../../parts/RowList';

const MOST = 30;
const BOUNDS = [
  {
    options: [
      { value: 'most', label: 'at most' },
      { value: 'least', label: 'at least' },
    ],
  },
];

/** Limits of an event, a shed or a trailer: broken, each becomes a finding that stops. */
export function Limits({ kind }: { readonly kind: Kind }) {
  const { plan } = useEditor('plan');
  const { rows, field, add, set, remove } = useBriefList('limits');
  const present = (id: string) => toTenths(plan?.stance.values[id] ?? 0);
  return (
    <BriefPart title="Limits to keep" about="of an event, a shed, a gate, a trailer">
      <ul className="rows">
        {rows.map((limit, index) => {
          const dimension = kind.dimensions.find(({ id }) => id === limit.dimension);
          if (!dimension) return null;
          return (
            <li key={index} className="py-1">
              <div className="flex flex-wrap items-baseline gap-2">
                <Choice
                  label={`Limit ${index + 1}, dimension`}
                  value={limit.dimension}
                  groups={dimensionChoices(kind)}
                  onChange={(id) => set(index, 'dimension', { dimension: id, value: present(id) })}
                  className="w-52"
                />
                <Choice
                  label={`Limit ${index + 1}, which way`}
                  value={limit.bound}
                  groups={BOUNDS}
                  onChange={(bound) => set(index, 'bound', { bound: bound as RuleLimit['bound'] })}
                  className="w-24"
                />
                <QuantityField
                  field={field(index, 'value')}
                  label={`${dimension.name} ${limit.bound === 'most' ? 'at most' : 'at least'}`}
                  quantity={dimension.quantity}
                  value={limit.value}
                  onCommit={(next) =>
                    (dimension.quantity === 'angle' ? angleWithin : lengthWithin)(
                      next,
                      LIMITS.ruleLimit,
                      () => set(index, 'value', { value: next }),
                    )
                  }
                />
                <TextField
                  field={field(index, 'rule')}
                  label={`Limit ${index + 1}, where it comes from`}
                  value={limit.rule}
                  most={LONGEST.rule}
                  placeholder="where it comes from"
                  onCommit={(rule) => set(index, 'rule', { rule })}
                  className="min-w-40 flex-1"
                />
                <RemoveButton name={`the limit of ${dimension.name}`} onClick={() => remove(index)} />
              </div>
              <Kept
                limit={limit}
                value={plan?.stance.values[limit.dimension]}
                quantity={dimension.quantity}
              />
            </li>
          );
        })}
      </ul>
      {rows.length === 0 && (
        <p className="py-1.5 text-quiet">None. A limit that is broken becomes a finding.</p>
      )}
      {rows.length < MOST && (
        <Choice
          label="Add a limit"
          value=""
          placeholder="Add a limit on …"
          groups={dimensionChoices(kind)}
          onChange={(dimension) => add({ dimension, bound: 'most', value: present(dimension), rule: '' })}
          className="mt-1 w-52 font-semibold text-larch-text"
        />
      )}
    </BriefPart>
  );
}

function Kept({
  limit,
  value,
  quantity,
}: {
  readonly limit: RuleLimit;
  readonly value: number | undefined;
  readonly quantity: 'length' | 'angle';
}) {
  const { document } = useEditor('document');
  if (value === undefined) return null;
  const kept = keepsLimit(limit, value);
  return (
    <p className={`flex items-center gap-1.5 pl-2 text-[13px] ${kept ? 'text-spruce' : 'text-brick'}`}>
      {kept ? <Check size={14} aria-hidden /> : <AlertOctagon size={14} aria-hidden />}
      {kept ? 'kept' : 'broken'}: it is <Measure value={value} quantity={quantity} display={document.units} />
    </p>
  );
}
