import { useState } from 'react';
import {
  formatAngle,
  lengthBothWays,
  searchable,
  success,
  type LengthDisplay,
  type Proposal,
} from '@larchwood/core';
import { useEditor } from '../../editor/editor';
import { Group, Row } from '../../ledger/Panel';
import { QuantityField } from '../../ledger/QuantityField';
import { lengthWithin } from '../../ledger/bounds';
import { Button } from '../../parts/Button';
import { Check } from '../../parts/Check';
import { Choice } from '../../parts/Choice';
import { Measure } from '../../parts/Figure';
import { setLinkage } from '../../edits/steering';
import { useSteeringMotion } from './motion';
import { useSearch } from './useSearch';
import type { Known } from './known';

const SIXTEENTH = 25.4 / 16;
/** Lengths of a proposal come to these; a pattern of holes has a pitch of its own. */
const STEPS = { mm: 1, inch: SIXTEENTH } as const;
const PITCH_LIMITS = [2, 100] as const;
const ANGLE_STEP = 0.5;

/** How near it comes to tubes and tyres, where that is too near. */
function Room({
  before,
  after,
  units,
}: Pick<Proposal, 'before' | 'after'> & { readonly units: LengthDisplay }) {
  if (Math.max(before.crowded, after.crowded) < LEAST_ROOM)
    return <p className="text-quiet">Its rods and arms stay clear of every tube and tyre.</p>;
  const near = (crowded: number) => <Measure value={crowded} quantity="length" display={units} digits={1} />;
  return (
    <p>
      A rod or an arm is {near(before.crowded)} too near to a tube or a tyre;{' '}
      {after.crowded < LEAST_ROOM ? (
        'then it stands clear.'
      ) : (
        <>then {near(after.crowded)}. These sizes alone do not bring it clear: see Seat, Clearances.</>
      )}
    </p>
  );
}
/** Less than this nobody measures, mm. */
const LEAST_ROOM = 0.1;

/** Sizes that are left free are moved until the front wheels roll about one centre as nearly as can be. */
export function ProposalGroup({ linkage, held }: Known) {
  const { document, plan, edit, settle } = useEditor('document', 'plan', 'edit', 'settle');
  const { found, propose } = useSteeringMotion();
  const proposal = found?.proposal;
  const { progress, look, stop } = useSearch();
  const may = searchable(linkage, held);
  const [chosen, setChosen] = useState<Readonly<Record<string, boolean>>>({});
  const [steps, setSteps] = useState<'mm' | 'inch' | 'holes'>(document.units.length === 'mm' ? 'mm' : 'inch');
  const [pitch, setPitch] = useState(10);
  const stance = plan?.stance;
  const of = (id: string) => linkage.sizes.find((size) => size.id === id)!;
  // With springs the heights are set for the bumps: they are moved where that is said.
  const isFree = (id: string) => chosen[id] ?? !(stance?.postures && of(id).bumps);
  const free = may.filter(isFree);
  if (may.length === 0 || !stance || stance.steered.length < 2) return null;
  const step = steps === 'holes' ? pitch : STEPS[steps];
  const take = () => {
    if (!proposal) return;
    edit('steering.proposal', setLinkage(linkage, stance, proposal.held, document.steering?.near));
    settle();
  };
  return (
    <Group title="A better linkage">
      <fieldset className="px-4">
        <legend className="text-quiet">May be moved:</legend>
        <div className="grid grid-cols-2 gap-x-3">
          {may.map((id) => (
            <Check
              key={id}
              checked={isFree(id)}
              onChange={(on) => setChosen((before) => ({ ...before, [id]: on }))}
            >
              {of(id).name}
            </Check>
          ))}
        </div>
      </fieldset>
      <Row name="Made in steps of">
        <Choice
          label="Steps of lengths"
          value={steps}
          groups={[
            {
              options: [
                { value: 'mm', label: '1 mm' },
                { value: 'inch', label: '1/16 in' },
                { value: 'holes', label: 'a row of holes' },
              ],
            },
          ]}
          onChange={(value) => setSteps(value as typeof steps)}
        />
      </Row>
      {steps === 'holes' && (
        <Row name="Hole to hole">
          <QuantityField
            field="steering.pitch"
            label="Hole to hole"
            quantity="length"
            value={pitch}
            digits={1}
            onCommit={(value) =>
              lengthWithin(value, PITCH_LIMITS, () => {
                setPitch(value);
                return success(true);
              })
            }
          />
        </Row>
      )}
      <div className="flex items-center gap-3 px-4 py-1.5">
        {progress === undefined ? (
          <Button
            disabled={free.length === 0}
            onClick={() => look({ free, step, angleStep: ANGLE_STEP, tyreGap: document.seat.gaps.tyre })}
          >
            Look for a better one
          </Button>
        ) : (
          <>
            <progress className="h-3 min-w-0 flex-1 accent-larch" value={progress} aria-label="Looking" />
            <Button onClick={stop}>Stop</Button>
          </>
        )}
      </div>
      <div role="status">
        {found && !proposal && (
          <p className="px-4 pb-2 text-quiet">
            Nothing better with these sizes free, {lengthBothWays(step)} at a time, that reaches the lock and
            comes no nearer to a tube or a tyre.
          </p>
        )}
        {proposal && (
          <div className="mx-3 mb-2 border-l-4 border-spruce bg-sheet px-3 py-2">
            <h4 className="font-bold">
              {formatAngle(proposal.before.rms, 2)} becomes {formatAngle(proposal.after.rms, 2)}
            </h4>
            <p className="text-quiet">
              Error of the outer wheel on the whole; at the worst{' '}
              {formatAngle(Math.abs(proposal.before.worst), 1)}, then{' '}
              {formatAngle(Math.abs(proposal.after.worst), 1)}. {proposal.looked} linkages looked at.
            </p>
            <Room {...proposal} units={document.units} />
            <table className="my-1 w-full">
              <tbody>
                {proposal.changes.map(({ id, from, to }) => (
                  <tr key={id}>
                    <th scope="row" className="text-left font-normal">
                      {of(id).name}
                    </th>
                    <td className="text-right text-quiet">
                      <Measure
                        value={from}
                        quantity={of(id).quantity ?? 'length'}
                        display={document.units}
                        digits={1}
                      />
                    </td>
                    <td className="pl-2 text-right font-bold">
                      <Measure
                        value={to}
                        quantity={of(id).quantity ?? 'length'}
                        display={document.units}
                        digits={1}
                      />
                    </td>
                  </tr>
                ))}
              </tbody>
            </table>
            <div className="flex gap-3">
              <Button look="strong" onClick={take}>
                Take it
              </Button>
              <Button onClick={() => propose(undefined)}>Leave it</Button>
            </div>
          </div>
        )}
      </div>
    </Group>
  );
}
