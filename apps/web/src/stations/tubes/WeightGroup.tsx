import { groupWeights } from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { Group, Row } from '../../ledger/Panel';

/** Mass of the frame by group, and what has changed against the build it is compared with. */
export function WeightGroup() {
  const { document, plan, compared } = useEditor();
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
            <span className="figure">{mass.toFixed(2)} kg</span>
          </Row>
        ))}
      <Row name={<strong>Frame</strong>}>
        <span className="figure font-bold">{now.toFixed(2)} kg</span>
      </Row>
      {before !== undefined && Math.abs(now - before) >= 0.0005 && (
        <Row name={<span className="text-quiet">Against {compared!.label}</span>}>
          <span className="figure">{grams(now - before)}</span>
        </Row>
      )}
    </Group>
  );
}

const grams = (kilograms: number): string =>
  `${kilograms < 0 ? '−' : '+'}${Math.abs(kilograms * 1000).toFixed(0)} g`;
