import { formatMass, groupWeights, massUnitOf, type LengthDisplay } from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { Group, Row } from '../../ledger/Panel';
import { Mass } from '../../parts/Figure';

/** Mass of the frame by group, and what has changed against the build it is compared with. */
export function WeightGroup() {
  const { document, plan, compared } = useEditor('document', 'plan', 'compared');
  if (!plan) return null;
  const groups = groupWeights(document, plan.weights);
  const total = (weights: typeof plan.weights) => weights.reduce((sum, { mass }) => sum + mass, 0);
  const before = compared && total(compared.plan.weights);
  const now = total(plan.weights);
  return (
    <Group title="Weight as cut">
      {groups.length > 1 &&
        groups.map(({ id, name, mass }) => (
          <Row key={id} name={name}>
            <Mass kg={mass} display={document.units} digits={2} />
          </Row>
        ))}
      <Row name={<strong>Frame</strong>}>
        <strong>
          <Mass kg={now} display={document.units} digits={2} />
        </strong>
      </Row>
      {before !== undefined && Math.abs(now - before) >= 0.0005 && (
        <Row name={<span className="text-quiet">Against {compared!.label}</span>}>
          <span className="figure">{difference(now - before, document.units)}</span>
        </Row>
      )}
    </Group>
  );
}

const difference = (kilograms: number, display: LengthDisplay): string => {
  const size = Math.abs(kilograms);
  const sign = kilograms < 0 ? '−' : '+';
  return massUnitOf(display) === 'kg'
    ? `${sign}${(size * 1000).toFixed(0)} g`
    : `${sign}${formatMass(size, display, 3)}`;
};
