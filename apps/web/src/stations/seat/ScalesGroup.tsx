import { useState } from 'react';
import {
  failure,
  formatLength,
  formatMass,
  massBothWays,
  without,
  type Plan,
  type Result,
} from '@larchwood/core';
import { LIMITS, type Scales } from '@larchwood/format';
import { useEditor } from '../../editor/editor';
import { lengthWithin } from '../../ledger/bounds';
import { Group, Row } from '../../ledger/Panel';
import { QuantityField } from '../../ledger/QuantityField';
import { simulatedScales } from '../../instruments/simulatedScales';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { setMass } from '../../edits/seat';
import { wheelName } from './wheelName';

/** Readings of scales below the wheels, level and with one end raised: they take the place of the estimate. */
export function ScalesGroup() {
  const { document, plan, edit, settle } = useEditor('document', 'plan', 'edit', 'settle');
  const { scales } = document.mass;
  if (!plan) return null;
  const wheels = plan.mass.laden.loads.map(({ wheel }) => wheel);
  const change = (key: string, part: (before: Scales) => Scales): Result<true> =>
    edit(`scales.${key}`, (before) =>
      before.mass.scales ? setMass({ scales: part(before.mass.scales) })(before) : before,
    );
  const begin = () => {
    edit('scales.begin', setMass({ scales: { aboard: true, level: {} } }));
    settle();
  };
  const drop = () => {
    edit('scales.drop', (before) => ({ ...before, mass: without(before.mass, 'scales') }));
    settle();
  };
  const raise = () => {
    change('raise', (before) => ({ ...before, raised: { end: 'front', by: 300, loads: {} } }));
    settle();
  };
  if (!scales)
    return (
      <Group title="On the scales">
        <p className="px-4 py-0.5 text-quiet">
          A scale below each wheel tells more than any estimate: level for where the weight is, one end raised
          for how high.
        </p>
        <div className="px-4 pb-1">
          <Button look="link" onClick={begin}>
            Enter scale readings
          </Button>
        </div>
      </Group>
    );
  const { raised } = scales;
  const reading = (when: 'level' | 'raised', wheel: string, value: number): Result<true> => {
    if (value < 0) return failure('A scale shows no less than 0.');
    const most = LIMITS.weighing.load[1];
    if (value > most) return failure(`That is over ${massBothWays(most)}.`);
    return change(`${when}.${wheel}`, (before) =>
      when === 'level'
        ? { ...before, level: { ...before.level, [wheel]: value } }
        : before.raised
          ? { ...before, raised: { ...before.raised, loads: { ...before.raised.loads, [wheel]: value } } }
          : before,
    );
  };
  const fields = (when: 'level' | 'raised', loads: Readonly<Record<string, number>>) =>
    wheels.map((wheel) => (
      <Row key={wheel} name={wheelName(wheel)}>
        <QuantityField
          field={`scales.${when}.${wheel}`}
          label={`${when === 'level' ? 'Level' : 'Raised'}, ${wheelName(wheel).toLowerCase()}`}
          quantity="mass"
          value={loads[wheel] ?? 0}
          digits={1}
          nudge={0.1}
          onCommit={(value) => reading(when, wheel, value)}
        />
      </Row>
    ));
  const fault = plan.mass.faults.find(({ waiting }) => !waiting);
  const waiting = plan.mass.faults.length > 0 && !fault;
  return (
    <Group title="On the scales">
      <Row name="Weighed">
        <Choice
          label="Weighed with or without riders"
          value={scales.aboard ? 'aboard' : 'bare'}
          groups={[
            {
              options: [
                { value: 'aboard', label: 'riders aboard' },
                { value: 'bare', label: 'without riders' },
              ],
            },
          ]}
          onChange={(value) => {
            change('aboard', (before) => ({ ...before, aboard: value === 'aboard' }));
            settle();
          }}
        />
      </Row>
      <p className="caption px-4 pt-1">Level, wheels free to roll</p>
      {fields('level', scales.level)}
      {raised ? (
        <>
          <Row
            name={
              <Choice
                label="End that is raised"
                value={raised.end}
                groups={[
                  {
                    options: [
                      { value: 'front', label: 'Front raised by' },
                      { value: 'rear', label: 'Rear raised by' },
                    ],
                  },
                ]}
                onChange={(value) => {
                  change('end', (before) => ({
                    ...before,
                    raised: { ...raised, end: value as 'front' | 'rear' },
                  }));
                  settle();
                }}
              />
            }
          >
            <QuantityField
              field="scales.raised.by"
              label="Raised by"
              quantity="length"
              value={raised.by}
              digits={0}
              onCommit={(value) =>
                lengthWithin(value, LIMITS.weighing.raisedBy, () =>
                  change('by', (before) => ({ ...before, raised: { ...raised, by: value } })),
                )
              }
            />
          </Row>
          <p className="caption px-4">Springs locked, brakes off; block the lower wheels lightly</p>
          {fields('raised', raised.loads)}
        </>
      ) : (
        <div className="px-4 py-1">
          <Button look="link" onClick={raise}>
            Weigh again with one end raised, for the height
          </Button>
        </div>
      )}
      {fault && <p className="px-4 py-1 text-[13px] text-larch-text">{fault.message} The estimate stands.</p>}
      {waiting && (
        <p className="px-4 py-1 text-[13px] text-quiet">
          The estimate stands until every wheel has a reading.
        </p>
      )}
      <Simulated plan={plan} />
      <div className="px-4 py-1">
        <Button look="link" onClick={drop}>
          Drop the readings
        </Button>
      </div>
    </Group>
  );
}

/** Simulated scales: read a made-up vehicle, to try the weighing out. */
function Simulated({ plan }: { readonly plan: Plan }) {
  const { document, edit, settle } = useEditor('document', 'edit', 'settle');
  const estimate = document.mass.scales?.aboard ? plan.mass.laden : plan.mass.bare;
  const [higher, setHigher] = useState(40);
  const scales = document.mass.scales;
  if (!scales) return null;
  const against =
    higher === 0
      ? 'as high as now'
      : `${formatLength(Math.abs(higher), document.units, 0)} ${higher > 0 ? 'higher' : 'lower'} than now`;
  const take = async () => {
    const hidden = {
      mass: estimate.mass,
      at: [estimate.at[0], estimate.at[1], estimate.at[2] + higher] as const,
    };
    const level = await simulatedScales(plan, hidden).read();
    const { raised } = scales;
    const loads = raised && (await simulatedScales(plan, hidden, raised).read());
    edit(
      'scales.read',
      setMass({ scales: { ...scales, level, ...(raised && loads ? { raised: { ...raised, loads } } : {}) } }),
    );
    settle();
    setHigher(0);
  };
  return (
    <div className="mx-4 my-1.5 border border-rule bg-sheet px-2 py-1.5">
      <p className="caption">
        Simulated scales: {formatMass(estimate.mass, document.units, 1)} stand on them, the weight {against}
      </p>
      <div className="flex items-center gap-3">
        <input
          type="range"
          aria-label="Height of the weight on the simulated scales"
          aria-valuetext={against}
          className="min-w-0 flex-1 accent-larch"
          min={-100}
          max={100}
          step={10}
          value={higher}
          onChange={(event) => setHigher(Number(event.target.value))}
        />
        <Button look="link" onClick={() => void take()}>
          Read the scales
        </Button>
      </div>
    </div>
  );
}
