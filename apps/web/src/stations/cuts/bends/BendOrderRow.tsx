import type { BendSchedule, OnBender } from '@larchwood/core';
import type { BendingChange } from '../../../edits/cuts';
import { useEditor } from '../../../editor/editor';
import { Row } from '../../../ledger/Panel';
import { Button } from '../../../parts/Button';

const times = (count: number): string => (count === 1 ? 'once' : `${count} times`);

/** In which order the bends are made; and the one with the least in the way, to take with one press. */
export function BendOrderRow({
  schedule,
  made: { better },
  change,
}: {
  readonly schedule: BendSchedule;
  readonly made: OnBender;
  readonly change: (part: BendingChange) => void;
}) {
  const { settle } = useEditor('settle');
  const { order, from } = schedule;
  if (order.length < 2) return null;
  const along = order.every((number, index) => number === index + 1);
  const take = (part: BendingChange) => {
    change(part);
    settle();
  };
  return (
    <>
      <Row name="Bends are made in the order">
        <span className="figure">{order.join(', ')}</span>
      </Row>
      {!along && (
        <p className="px-4 text-[13px]">
          <Button look="link" onClick={() => take({ order: undefined })}>
            Make them along the tube again
          </Button>
        </p>
      )}
      {better && (
        <p className="px-4 pt-1 text-[13px]">
          A better way: marks from its {better.from}, bends in the order{' '}
          <span className="figure">{better.order.join(', ')}</span>.{' '}
          {better.troubles === 0 ? 'Nothing is in the way.' : 'Less is in the way.'}{' '}
          {better.turns === 0
            ? 'The tube is not turned about itself.'
            : `The tube is turned about itself ${times(better.turns)}.`}{' '}
          <Button
            look="link"
            onClick={() =>
              take({
                ...(better.from === from ? {} : { from: better.from }),
                order: better.order.every((number, index) => number === index + 1)
                  ? undefined
                  : [...better.order],
              })
            }
          >
            Bend it so
          </Button>
        </p>
      )}
    </>
  );
}
