import { Trash2 } from 'lucide-react';
import { frontShare, type Laden, type Plan, type Result } from '@larchwood/core';
import { LUMP_SORTS, type Lump, LIMITS, type Limits } from '@larchwood/format';
import { useEditor } from '../../editor/editor';
import { lengthWithin, massWithin } from '../../ledger/bounds';
import { Findings } from '../../ledger/Findings';
import { Group, Panel, Row } from '../../ledger/Panel';
import { QuantityField } from '../../ledger/QuantityField';
import { TextField } from '../../ledger/TextField';
import { Button, IconButton } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Length, Mass } from '../../parts/Figure';
import { findingsAt } from '../state';
import { freeId, setLump, setMass } from '../../edits/seat';
import { ScalesGroup } from './ScalesGroup';
import { wheelName } from './wheelName';

/** What everything weighs, where, and what stands on each wheel. */
export function MassPanel() {
  const { document, plan, compared, edit, settle } = useEditor(
    'document',
    'plan',
    'compared',
    'edit',
    'settle',
  );
  const { lumps } = document.mass;
  const findings = findingsAt(plan, 'seat').filter(({ where }) => /^(cg|lumps|scales)/.test(where.ref));
  const add = () => {
    edit('mass.add', (before) =>
      setMass({
        lumps: [
          ...before.mass.lumps,
          {
            id: freeId(before),
            name: 'Something',
            sort: 'part',
            mass: 1,
            point: 'rearAxle',
            offset: [300, 0, 200],
          },
        ],
      })(before),
    );
    settle();
  };
  return (
    <Panel title="Mass" aside={plan?.mass.measured ? 'weighed' : 'estimate'}>
      <Findings findings={findings} />
      {plan && <Totals plan={plan} {...(compared ? { before: compared } : {})} />}
      <ScalesGroup />
      <Group title="Weighs itself">
        {plan?.mass.parts
          .filter(({ sort }) => sort === 'rider' || sort === 'tubes' || sort === 'plates')
          .map(({ id, name, mass }) => (
            <Row key={id} name={name}>
              <Mass kg={mass} display={document.units} />
            </Row>
          ))}
      </Group>
      <Group title="Placed by you">
        <ul>
          {lumps.map((lump) => (
            <LumpRow key={lump.id} lump={lump} />
          ))}
        </ul>
        <div className="px-4 py-1.5">
          {lumps.length < 60 && (
            <Button look="link" onClick={add}>
              Place something
            </Button>
          )}
        </div>
      </Group>
    </Panel>
  );
}

function Totals({
  plan,
  before,
}: {
  readonly plan: Plan;
  readonly before?: { readonly label: string; readonly plan: Plan };
}) {
  const { document } = useEditor('document');
  const { laden, bare } = plan.mass;
  const rows: readonly (readonly [string, (of: Laden) => React.ReactNode])[] = [
    ['Total', ({ mass }) => <Mass kg={mass} display={document.units} />],
    ['Ahead of rear axle', ({ at }) => <Length mm={at[0]} display={document.units} digits={0} />],
    ['Off the middle, left', ({ at }) => <Length mm={at[1]} display={document.units} digits={0} />],
    ['Above the ground', ({ at }) => <Length mm={at[2]} display={document.units} digits={0} />],
    ['On the front', ({ loads }) => <span className="figure">{(frontShare(loads) * 100).toFixed(0)} %</span>],
    ...laden.loads.map(
      ({ wheel }) =>
        [
          wheelName(wheel),
          ({ loads }: Laden) => (
            <Mass kg={loads.find((each) => each.wheel === wheel)?.load ?? 0} display={document.units} />
          ),
        ] as const,
    ),
  ];
  const was = before && differ(before.plan.mass.laden, laden) ? before : undefined;
  return (
    <section className="border-b border-rule pb-2">
      <table className="w-full">
        <thead>
          <tr className="caption text-right">
            <th className="px-4 pt-2 pb-1 text-left font-normal">Centre of gravity</th>
            <th className="pt-2 pb-1 pr-3 font-normal">{was ? 'aboard' : 'riders aboard'}</th>
            {was && (
              <th className="pt-2 pb-1 pr-3 font-normal" title={`${was.label}, riders aboard`}>
                {was.label}
              </th>
            )}
            <th className="pt-2 pr-4 pb-1 font-normal">bare</th>
          </tr>
        </thead>
        <tbody>
          {rows.map(([name, of]) => (
            <tr key={name} className="text-right">
              <th scope="row" className="px-4 py-[2px] text-left font-normal">
                {name}
              </th>
              <td className="pr-3 font-semibold">{of(laden)}</td>
              {was && <td className="pr-3 text-larch-text">{of(was.plan.mass.laden)}</td>}
              <td className="pr-4 text-quiet">{of(bare)}</td>
            </tr>
          ))}
        </tbody>
      </table>
    </section>
  );
}

/** Weight or place differ by what can be measured. */
const differ = (a: Laden, b: Laden): boolean =>
  Math.abs(a.mass - b.mass) > 0.05 || a.at.some((each, axis) => Math.abs(each - b.at[axis]!) > 0.5);

function LumpRow({ lump }: { readonly lump: Lump }) {
  const { document, plan, edit, settle, setPiece, piece } = useEditor(
    'document',
    'plan',
    'edit',
    'settle',
    'setPiece',
    'piece',
  );
  const { id, name, sort, mass, point, offset, box } = lump;
  const set =
    (key: string, part: (value: number) => Partial<Lump>, within: typeof lengthWithin, limits: Limits) =>
    (value: number): Result<true> =>
      within(value, limits, () => edit(`mass.${id}.${key}`, setLump(id, part(value))));
  const points = Object.keys(plan?.stance.points ?? {}).sort();
  const open = piece === `lump/${id}`;
  return (
    <li className={`border-l-4 ${open ? 'border-larch bg-larch-wash' : 'border-transparent'}`}>
      <div className="flex items-center gap-1 pr-2 pl-2" onFocus={() => setPiece(`lump/${id}`)}>
        <TextField
          field={`mass.${id}.name`}
          label={`${name}, name`}
          value={name}
          required
          onCommit={(text) => edit(`mass.${id}.name`, setLump(id, { name: text }))}
          className="flex-1"
        />
        <QuantityField
          field={`mass.${id}.mass`}
          label={`${name}, mass`}
          quantity="mass"
          value={mass}
          digits={1}
          nudge={0.5}
          onCommit={set('mass', (value) => ({ mass: value }), massWithin, LIMITS.lump.mass)}
        />
        <IconButton
          name={`Take out ${name}`}
          onClick={() => {
            edit('mass.remove', (before) =>
              setMass({ lumps: before.mass.lumps.filter((each) => each.id !== id) })(before),
            );
            settle();
          }}
        >
          <Trash2 size={15} aria-hidden />
        </IconButton>
      </div>
      {open && (
        <div className="flex flex-col gap-1 px-4 pb-2">
          <div className="flex gap-2">
            <Choice
              label={`${name}, what it is`}
              value={sort}
              groups={[{ options: LUMP_SORTS.map((value) => ({ value, label: value })) }]}
              onChange={(value) => {
                edit(`mass.${id}.sort`, setLump(id, { sort: value as Lump['sort'] }));
                settle();
              }}
              className="flex-1"
            />
            <Choice
              label={`${name}, goes with`}
              value={points.includes(point) ? point : 'origin'}
              groups={[
                { options: [{ value: 'origin', label: 'the ground below the rear axle' }] },
                { group: 'Goes with', options: points.map((value) => ({ value, label: spoken(value) })) },
              ]}
              onChange={(value) => {
                edit(`mass.${id}.point`, setLump(id, { point: value }));
                settle();
              }}
              className="flex-1"
            />
          </div>
          {(['ahead', 'to the left', 'above'] as const).map((way, axis) => (
            <div key={way} className="flex items-center justify-between">
              <span className="text-quiet">{way}</span>
              <QuantityField
                field={`mass.${id}.offset.${axis}`}
                label={`${name}, ${way}`}
                quantity="length"
                value={offset[axis]!}
                digits={0}
                nudge={document.units.length === 'mm' ? 5 : 3.175}
                onCommit={set(
                  `offset.${axis}`,
                  (value) => ({
                    offset: offset.map((each, place) => (place === axis ? value : each)) as Lump['offset'],
                  }),
                  lengthWithin,
                  LIMITS.coordinate,
                )}
              />
            </div>
          ))}
          {box ? (
            (['long', 'wide', 'high'] as const).map((way, axis) => (
              <div key={way} className="flex items-center justify-between">
                <span className="text-quiet">{way}</span>
                <QuantityField
                  field={`mass.${id}.box.${axis}`}
                  label={`${name}, ${way}`}
                  quantity="length"
                  value={box[axis]!}
                  digits={0}
                  nudge={document.units.length === 'mm' ? 5 : 3.175}
                  onCommit={set(
                    `box.${axis}`,
                    (value) => ({
                      box: box.map((each, place) => (place === axis ? value : each)) as Lump['box'] & object,
                    }),
                    lengthWithin,
                    LIMITS.lump.box,
                  )}
                />
              </div>
            ))
          ) : (
            <div>
              <Button
                look="link"
                onClick={() => {
                  edit(`mass.${id}.box`, setLump(id, { box: [200, 200, 200] }));
                  settle();
                }}
              >
                Give it room, to keep other parts off
              </Button>
            </div>
          )}
        </div>
      )}
    </li>
  );
}

/** A point's name as words: rearAxle is read "rear axle". */
const spoken = (id: string): string => id.replace(/([A-Z])/g, ' $1').toLowerCase();
