import { findKind, type Dimension } from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { Choice } from '../../parts/Choice';
import { DimensionRow } from '../../ledger/DimensionRow';
import { Findings } from '../../ledger/Findings';
import { Group, Panel, Row } from '../../ledger/Panel';
import { DimensionLabels } from '../../sheet/DimensionLabels';
import { DimensionLines } from '../../sheet/DimensionLines';
import { Sheet } from '../../sheet/Sheet';
import { Vehicle } from '../../sheet/Vehicle';
import { bicycleDimensions } from './bicycleDrawing';
import { setForkMeasured } from './hold';
import { WheelRow } from './WheelRow';

/** How each kind's dimensions are grouped in the ledger; whatever is not named follows at the end. */
const GROUPS: readonly { readonly title: string; readonly ids: readonly string[] }[] = [
  { title: 'Front end', ids: ['headAngle', 'forkOffset', 'axleToCrown', 'lowerStack', 'headTubeLength'] },
  { title: 'Length: one of these is held', ids: ['reach', 'wheelbase', 'frontCentre'] },
  {
    title: 'Rear and seat tube',
    ids: ['chainstayLength', 'bottomBracketDrop', 'seatTubeAngle', 'seatTubeLength'],
  },
];
const RIDER = ['crankLength', 'toeAllowance'];
const HIDDEN = ['rearRadius', 'frontRadius'];

export function StanceStation() {
  const { document, plan, edit, settle, active, compared } = useEditor();
  const kind = findKind(document.kind);
  if (!kind) return null;
  const pick = (ids: readonly string[]): Dimension[] =>
    ids.flatMap((id) => kind.dimensions.find((dimension) => dimension.id === id) ?? []);
  const named = [...GROUPS.flatMap((group) => group.ids), ...RIDER, ...HIDDEN];
  const following = kind.dimensions.filter((dimension) => !named.includes(dimension.id));
  const count = Object.keys(document.stance.held).length;
  const held = (id: string) => id in document.stance.held;
  const differs =
    compared &&
    plan &&
    Object.entries(plan.stance.values).some(
      ([id, value]) => Math.abs(value - (compared.plan.stance.values[id] ?? value)) > 0.05,
    );
  return (
    <>
      <div className="min-h-0 min-w-0 flex-1">
        {plan ? (
          <Sheet
            plan={plan}
            title="Side, from the right"
            note={differs ? `dashed: ${compared.label}` : undefined}
            drawing={(view) => (
              <>
                {differs && <Vehicle plan={compared.plan} view={view} ghost />}
                <Vehicle plan={plan} view={view} />
                <DimensionLines dimensions={bicycleDimensions(plan, view)} held={held} active={active} />
              </>
            )}
            overlay={(view) => <DimensionLabels dimensions={bicycleDimensions(plan, view)} />}
          />
        ) : (
          <p className="p-8">
            The drawing comes as soon as the dimensions make a bicycle: see what is said beside.
          </p>
        )}
      </div>
      <Panel title="Stance" aside={`${count + 2} held, ${kind.dimensions.length - count - 2} follow`}>
        <Group title="Wheels">
          <WheelRow end="front" />
          <WheelRow end="rear" />
        </Group>
        {GROUPS.map(({ title, ids }) => (
          <Group key={title} title={title}>
            {pick(ids).map((dimension) => (
              <DimensionRow key={dimension.id} dimension={dimension} />
            ))}
            {ids.includes('axleToCrown') && (
              <Row name={<span className="caption pl-6">Axle to crown is measured</span>}>
                <Choice
                  label="How axle to crown is measured"
                  value={document.stance.forkMeasured}
                  groups={[
                    {
                      options: [
                        { value: 'straight', label: 'straight' },
                        { value: 'alongAxis', label: 'along the axis' },
                      ],
                    },
                  ]}
                  onChange={(way) => {
                    edit('stance.forkMeasured', setForkMeasured(way as 'straight' | 'alongAxis'));
                    settle();
                  }}
                  className="min-h-7 text-[13px]"
                />
              </Row>
            )}
          </Group>
        ))}
        <Group title="What follows">
          {following.map((dimension) => (
            <DimensionRow key={dimension.id} dimension={dimension} />
          ))}
        </Group>
        <Group title="For the toe">
          {pick(RIDER).map((dimension) => (
            <DimensionRow key={dimension.id} dimension={dimension} />
          ))}
        </Group>
        <Findings findings={plan?.findings.filter((finding) => finding.where.station === 'stance') ?? []} />
      </Panel>
    </>
  );
}
