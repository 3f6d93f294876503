import { Link } from 'react-router';
import { useState } from 'react';
import {
  seatAtEase,
  SET_MASS,
  SET_STATURE,
  type Kind,
  type PostureName,
  type Seating,
} from '@larchwood/core';
import type { BuildDocument } from '@larchwood/format';
import { useEditor } from '../../editor/editor';
import { DimensionRow } from '../../ledger/DimensionRow';
import { Findings } from '../../ledger/Findings';
import { Group, Panel, Row } from '../../ledger/Panel';
import { Button } from '../../parts/Button';
import { Choice } from '../../parts/Choice';
import { Length, Mass, Measure } from '../../parts/Figure';
import { findingsAt } from '../state';
import { setAboard } from '../../edits/seat';
import { useClearances } from '../../planning/clearances';

const POSTURE_WORDS: Readonly<Record<PostureName, string>> = {
  upright: 'upright',
  crouched: 'astride',
  standing: 'standing',
  'feet-forward': 'feet forward',
  reclined: 'reclined',
  bucket: 'bucket seat',
};

/** Who sits where, what is wrong with it, and every dimension of the seat. */
export function SeatPanel({ kind }: { readonly kind: Kind }) {
  const { plan } = useEditor('plan');
  const { findings: gaps } = useClearances();
  const findings = findingsAt(plan, 'seat');
  const worst = findings.filter(({ severity }) => severity !== 'note');
  return (
    <Panel title="Seat" aside={plan?.stance.places.map(({ posture }) => POSTURE_WORDS[posture])[0]}>
      <Findings findings={[...worst, ...gaps.slice(0, 3)]} />
      {gaps.length > 3 && (
        <p className="px-4 pb-2">
          <Link to="?show=gaps" className="font-semibold text-larch-text underline underline-offset-2">
            {gaps.length - 3} more {gaps.length === 4 ? 'gap' : 'gaps'} under what is wanted
          </Link>
        </p>
      )}
      <Aboard kind={kind} />
      {kind.seat.groups.map(({ title, ids }) => (
        <Group key={title} title={title}>
          {ids.map((id) => {
            const dimension = kind.dimensions.find((each) => each.id === id);
            return dimension && <DimensionRow key={id} dimension={dimension} />;
          })}
        </Group>
      ))}
      <Findings findings={findings.filter(({ severity }) => severity === 'note')} refused={false} />
    </Panel>
  );
}

function Aboard({ kind }: { readonly kind: Kind }) {
  const { build, document, plan, edit, settle } = useEditor('build', 'document', 'plan', 'edit', 'settle');
  const { riders } = document.brief;
  const { slots } = kind.seat;
  const [seating, setSeating] = useState<Seating>();
  const there = plan?.stance.places ?? [];
  return (
    <Group title="Who sits here">
      {slots
        .filter(({ id }) => there.some((place) => place.id === id))
        .map(({ id, name }, place) => {
          const rider = document.seat.aboard[place] ?? place;
          const known = riders[rider];
          return (
            <Row key={id} name={<span className="whitespace-nowrap">{name}</span>}>
              {riders.length > 1 ? (
                <Choice
                  label={`${name}: who`}
                  className="max-w-36"
                  value={String(known ? rider : riders.length)}
                  groups={[
                    {
                      options: [
                        ...riders.map(({ name: who }, index) => ({ value: String(index), label: who })),
                        ...(known ? [] : [{ value: String(riders.length), label: 'nobody named' }]),
                      ],
                    },
                  ]}
                  onChange={(value) => {
                    edit('seat.aboard', setAboard(place, Number(value), slots.length));
                    settle();
                  }}
                />
              ) : (
                <span className="text-right font-semibold">{known?.name ?? 'nobody named'}</span>
              )}
              <span className="ml-2 whitespace-nowrap text-quiet">
                <Length mm={known?.stature ?? SET_STATURE} display={document.units} digits={0} />
                {', '}
                <Mass kg={known?.mass ?? SET_MASS} display={document.units} />
              </span>
            </Row>
          );
        })}
      <div className="flex gap-4 px-4 py-1">
        <Link
          to={`/builds/${build.id}/brief`}
          className="font-semibold text-larch-text underline underline-offset-2"
        >
          {riders.length > 0 ? 'Riders in the brief' : 'Name a rider in the brief'}
        </Link>
        {riders.length > 0 && (
          <Button
            look="link"
            onClick={() => {
              const next = seatAtEase(document);
              setSeating(next);
              if (next.changed.length === 0) return;
              edit('seat.ease', (before) => seatAtEase(before).document);
              settle();
            }}
          >
            Fit the seat to them
          </Button>
        )}
      </div>
      <div role="status">
        {seating && <SeatingReport kind={kind} seating={seating} units={document.units} />}
      </div>
    </Group>
  );
}

/** What fitting the seat changed, or why it did not. */
function SeatingReport({
  kind,
  seating: { changed, left },
  units,
}: {
  readonly kind: Kind;
  readonly seating: Seating;
  readonly units: BuildDocument['units'];
}) {
  const of = (id: string) => kind.dimensions.find((each) => each.id === id);
  return (
    <ul className="px-4 pb-2">
      {changed.map(({ id, from, to }) => {
        const { name = id, quantity = 'length' } = of(id) ?? {};
        const value = (each: number) => (
          <Measure value={each} quantity={quantity} display={units} digits={1} />
        );
        return (
          <li key={id}>
            {name}: {value(from)} to {value(to)}
          </li>
        );
      })}
      {left.map(({ id, why }) => (
        <li key={`${id} left`} className="text-quiet">
          {of(id)?.name ?? id} was left: {why}.
        </li>
      ))}
      {changed.length + left.length === 0 && <li>Nothing to change: the seat fits them as it stands.</li>}
    </ul>
  );
}
