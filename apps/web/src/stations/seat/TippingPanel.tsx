import type { ReactNode } from 'react';
import { CHANGE, CHANGES, formatAngle, formatLength } from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { Findings } from '../../ledger/Findings';
import { Group, Panel, Row } from '../../ledger/Panel';
import { findingsAt } from '../state';

/** The limits as figures, what would raise the worst one most, and what they are not. */
export function TippingPanel() {
  const { document, plan, compared } = useEditor('document', 'plan', 'compared');
  const tipping = plan?.tipping;
  const before = compared?.plan.tipping;
  const findings = findingsAt(plan, 'seat').filter(({ where }) => /^(cg|sideways)/.test(where.ref));
  if (!plan || !tipping) return <Panel title="Tipping">{null}</Panel>;
  const grams = (value: number, was: number | undefined): ReactNode => (
    <>
      {was !== undefined && Math.abs(value - was) >= 0.005 && (
        <span className="figure mr-2 text-[12px] text-larch-text" title={`against ${compared!.label}`}>
          {value > was ? '+' : ''}
          {(value - was).toFixed(2)}
        </span>
      )}
      <span className="figure font-semibold">{value.toFixed(2)} g</span>
    </>
  );
  const { slopes } = tipping;
  return (
    <Panel title="Tipping" aside="riders aboard">
      <Findings findings={findings} />
      <Group title="It begins to tip">
        {tipping.sideways !== undefined && (
          <Row name="Sideways, in a turn">{grams(tipping.sideways, before?.sideways)}</Row>
        )}
        <Row name="Braking, rear lifts">{grams(tipping.braking, before?.braking)}</Row>
        <Row name="Driving, front lifts">{grams(tipping.driving, before?.driving)}</Row>
        <Row name="Straight up a slope of">
          <span className="figure">{formatAngle(slopes.up, 0)}</span>
        </Row>
        <Row name="Straight down a slope of">
          <span className="figure">{formatAngle(slopes.down, 0)}</span>
        </Row>
        {slopes.across !== undefined && (
          <Row name="Across a slope of">
            <span className="figure">{formatAngle(slopes.across, 0)}</span>
          </Row>
        )}
      </Group>
      {tipping.gains.length > 0 && (
        <Group title={`What ${formatLength(CHANGE, document.units)} would do sideways, most first`}>
          {tipping.gains.map(({ change, gain }) => (
            <Row key={change} name={CHANGES[change]}>
              <span className="figure">+{gain.toFixed(3)} g</span>
            </Row>
          ))}
        </Group>
      )}
      <section className="px-4 py-3 text-[13px] leading-snug">
        <h3 className="font-bold">What this is not</h3>
        <p>
          A static estimate of a rigid vehicle on level ground with rigid tyres: no test of a real one.
          Springs, tyres, bumps and a rider who moves make it tip earlier or later.
        </p>
        <p className="mt-1.5">
          First rides slow, away from traffic, with a helmet and a stop switch. Steering, brakes, roll
          structure and anything on a road: by the local vehicle code and the event’s rules, checked by
          whoever is qualified to.
        </p>
      </section>
    </Panel>
  );
}
