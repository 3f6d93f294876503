import { RotateCcw, Trash2 } from 'lucide-react';
import { nanoid } from 'nanoid';
import { useState } from 'react';
import { nameInText, success, takenOff, TOOL_NAMES, type Measurand, type Plan } from '@larchwood/core';
import { LONGEST, type BuildDocument, type CheckStage, type OwnMeasure } from '@larchwood/format';
import { useEditor } from '../../editor/editor';
import { InstrumentGroup } from '../../instruments/InstrumentGroup';
import { ChoiceRow } from '../../ledger/ChoiceRow';
import { Findings } from '../../ledger/Findings';
import { Group, Panel, Row } from '../../ledger/Panel';
import { QuantityField } from '../../ledger/QuantityField';
import { TextField } from '../../ledger/TextField';
import { Button, IconButton } from '../../parts/Button';
import { Measure } from '../../parts/Figure';
import { useSlow } from '../../planning/useSlow';
import {
  addOwnMeasure,
  changeOwnMeasure,
  checksOf,
  removeOwnMeasures,
  setMeasured,
  setTolerance,
} from '../../edits/checks';
import { MeasureDrawing } from './MeasureDrawing';
import type { ChecksHand } from './useChecks';

interface Props {
  readonly plan: Plan;
  readonly hand: ChecksHand;
  readonly stage: CheckStage;
  readonly measurand: Measurand;
  readonly document: BuildDocument;
  /** Face of the fixture from which heights are taken; from the ground where there is none. */
  readonly base: Plan['fixture']['base'];
}

/** How one measure is taken, how far it may be off, and what it read before. */
export function MeasureDetail({ plan, hand, stage, measurand, document, base }: Props) {
  const { edit, settle } = useEditor('edit', 'settle');
  const found = (useSlow('checked').value ?? []).filter(({ where }) => where.station === 'checks');
  const { id, name, about, tool, tolerance, quantity, own, strung } = measurand;
  const checks = checksOf(document);
  const reading = hand.readingAt(stage, id);
  const { units } = document;
  const less = takenOff(measurand, base);
  const change = (key: string, next: Parameters<typeof edit>[1]) => {
    edit(key, next);
    settle();
  };
  return (
    <Panel title="Measure" aside={TOOL_NAMES[tool]}>
      <MeasureDrawing
        plan={plan}
        measurand={measurand}
        points={hand.list.points}
        level={less}
        className="mx-4 mt-2 h-40 w-[290px] border border-rule bg-sheet"
      />
      {own ? (
        <div className="px-2.5 pt-1">
          <TextField
            field={`checks.own.${id}`}
            label="What is measured"
            value={name}
            required
            className="w-full font-bold"
            onCommit={(next) => {
              edit(`checks.own.${id}`, changeOwnMeasure(id, { name: next }));
              return success(true as const);
            }}
          />
        </div>
      ) : (
        <h3 className="px-4 pt-2 text-[16px] leading-tight font-bold">{name}</h3>
      )}
      <p className="px-4 py-1 text-[13.5px]">
        {less === 0 ? about : `Above ${base!.name}, with the frame still in the fixture.`}
      </p>
      {strung && (
        <>
          <Row name="String from the middle">
            <Measure value={strung.string} quantity="length" display={units} />
          </Row>
          {strung.edge !== undefined && (
            <Row name="Straight-edge">
              <Measure value={strung.edge} quantity="length" display={units} />
            </Row>
          )}
        </>
      )}
      <Row name="May be off, to either side">
        <QuantityField
          field={`checks.tolerance.${id}`}
          label={`${name}: may be off`}
          quantity={quantity}
          value={tolerance.value}
          nudge={quantity === 'angle' ? 0.1 : 0.5}
          onCommit={(value) =>
            value < 0.01 || value > 500
              ? { ok: false, message: 'From 0.01 to 500.' }
              : edit(
                  `checks.tolerance.${id}`,
                  own ? changeOwnMeasure(id, { tolerance: value }) : setTolerance(id, value),
                )
          }
        />
        {checks.tolerances[id] !== undefined && (
          <IconButton
            name={`${name}: the usual tolerance again`}
            className="!size-7"
            onClick={() => change('checks.tolerance', setTolerance(id, undefined))}
          >
            <RotateCcw size={13} aria-hidden />
          </IconButton>
        )}
      </Row>
      <p className="caption px-4">{tolerance.source}</p>
      {reading && (
        <>
          {reading.spread !== undefined && (
            <Row name="Several readings spread by">
              <Measure value={reading.spread} quantity={quantity} display={units} digits={2} />
            </Row>
          )}
          {(reading.before ?? []).length > 0 && (
            <Row name="Read before">
              <span>
                {reading.before!.map(({ value }, index) => (
                  <span key={index}>
                    {index > 0 && ', '}
                    <Measure value={value - less} quantity={quantity} display={units} />
                  </span>
                ))}
              </span>
            </Row>
          )}
          <Row name="Note">
            <TextField
              field={`checks.note.${stage}.${id}`}
              label={`${name}: note`}
              value={reading.note ?? ''}
              most={300}
              placeholder="what was seen"
              onCommit={(note) => {
                edit(`checks.note.${stage}.${id}`, setMeasured(stage, id, { note }, new Date()));
                return success(true as const);
              }}
            />
          </Row>
        </>
      )}
      <InstrumentGroup
        key={quantity}
        of={`${stage} ${id}`}
        quantity={quantity}
        nominal={measurand.nominal - less}
        onReading={(taken) =>
          change(
            `checks.${stage}.${id}`,
            setMeasured(stage, id, { ...taken, value: taken.value + less }, new Date()),
          )
        }
      />
      {own && (
        <p className="px-4 py-1">
          <Button onClick={() => change('checks.own', removeOwnMeasures([id]))}>
            <Trash2 size={14} aria-hidden /> Take it out of the list
          </Button>
        </p>
      )}
      <OwnForm hand={hand} />
      <Findings findings={found} refused={false} />
    </Panel>
  );
}

const WAYS = [
  { value: 'distance', label: 'From point to point' },
  { value: 'height', label: 'Height of a point' },
  { value: 'beside', label: 'A point beside the middle' },
] as const;

/** A measure of the builder's own, from any point to any point. */
function OwnForm({ hand }: { readonly hand: ChecksHand }) {
  const { edit, settle, setPiece } = useEditor('edit', 'settle', 'setPiece');
  const [as, setAs] = useState<OwnMeasure['as']>('distance');
  const [from, setFrom] = useState<string>();
  const { points } = hand.list;
  const options = Object.values(points).map(({ id, name }) => ({ value: id, label: name }));
  const add = (start: string, to?: string) => {
    const id = `own:${nanoid(8)}`;
    const name =
      to === undefined
        ? `${points[start]!.name}: ${as === 'height' ? 'height' : 'beside the middle'}`
        : `${points[start]!.name} to ${nameInText(points[to]!.name)}`;
    edit(
      'checks.own',
      addOwnMeasure({
        ...{ id, name: name.slice(0, LONGEST.name), as, from: start, tolerance: 2 },
        ...(to === undefined ? {} : { to }),
      }),
    );
    settle();
    setFrom(undefined);
    setPiece(id);
  };
  return (
    <Group title="A measure of your own">
      <ChoiceRow
        name="How"
        label="How it is measured"
        value={as}
        options={[...WAYS]}
        onChange={(next) => setAs(next as OwnMeasure['as'])}
      />
      <ChoiceRow
        name={as === 'distance' ? 'From' : 'Of'}
        label={as === 'distance' ? 'Measured from' : 'Measured point'}
        value={from ?? ''}
        placeholder="choose a point…"
        options={options}
        onChange={(next) => (as === 'distance' ? setFrom(next) : add(next))}
      />
      {as === 'distance' && from !== undefined && (
        <ChoiceRow
          name="To"
          label="Measured to"
          value=""
          placeholder="choose a point…"
          options={options.filter(({ value }) => value !== from)}
          onChange={(to) => add(from, to)}
        />
      )}
    </Group>
  );
}
