import { useState } from 'react';
import { formatAngle, inOneSetUp, success, type Job } from '@larchwood/core';
import { useUnits } from '../../../editor/editor';
import { lengthWithin } from '../../../ledger/bounds';
import { ChoiceRow } from '../../../ledger/ChoiceRow';
import { Group, Row } from '../../../ledger/Panel';
import { QuantityField } from '../../../ledger/QuantityField';
import { Length } from '../../../parts/Figure';

const APART = [5, 2000] as const;

/** Two ends bored with one setting: what lies under the smaller tube, and what a level across both reads. */
export function OneSetUp({ job, jobs }: { readonly job: Job; readonly jobs: readonly Job[] }) {
  const units = useUnits();
  const [withId, setWith] = useState<string>();
  const [apart, setApart] = useState(100);
  const others = jobs.filter(({ kind, piece }) => kind === 'cope' && piece !== job.piece);
  const other = others.find(({ id }) => id === withId);
  if (job.kind !== 'cope' || others.length === 0) return null;
  const lies = other && inOneSetUp([job.across, other.across], apart);
  return (
    <Group title="Two in one set-up">
      <ChoiceRow
        name="With"
        changes={false}
        label="With which other end"
        value={withId ?? ''}
        placeholder="choose an end…"
        options={others.map(({ id, mark, what }) => ({ value: id, label: `${mark}, ${what}` }))}
        onChange={setWith}
      />
      {other && lies && (
        <>
          <Row name="Centre lines apart">
            <QuantityField
              field="tools.apart"
              label="Centre lines apart"
              quantity="length"
              value={apart}
              onCommit={(typed) =>
                lengthWithin(typed, APART, () => {
                  setApart(typed);
                  return success(true as const);
                })
              }
            />
          </Row>
          {lies.shim < 0.005 ? (
            <p className="px-4 pb-2">Both are of one size: nothing goes under either.</p>
          ) : (
            <>
              <Row name={`Under ${job.across < other.across ? job.mark : other.mark} goes`}>
                <Length mm={lies.shim} display={units} digits={2} />
              </Row>
              <Row name="A level across both reads">
                <span className="figure font-semibold">{formatAngle(lies.reads, 1)}</span>
              </Row>
            </>
          )}
        </>
      )}
    </Group>
  );
}
