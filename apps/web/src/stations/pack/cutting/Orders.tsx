import { hasArrived, ordersOf } from '@larchwood/core';
import type { OrderState, PlacedOrder } from '@larchwood/contract';
import type { CutOrder } from '@larchwood/format';
import { useEditor } from '../../../editor/editor';
import { Button } from '../../../parts/Button';
import { dropOrder, setArrived } from '../../../edits/orders';
import type { CuttingHand } from './useCutting';

const STEPS = ['ordered', 'cutting', 'sent', 'here'] as const;
type Stage = OrderState | 'here';
const WORDS: Readonly<Record<Stage, string>> = {
  ordered: 'Ordered',
  cutting: 'Being cut',
  sent: 'Sent',
  here: 'Here',
};

const dayText = (day: string): string =>
  new Date(`${day}T00:00:00Z`).toLocaleDateString('en-GB', {
    ...{ weekday: 'short', day: 'numeric', month: 'short', timeZone: 'UTC' },
  });

/** Orders of the build: how far each is, and what can be done about it. */
export function Orders({ hand }: { readonly hand: CuttingHand }) {
  const { document } = useEditor('document');
  const own = ordersOf(document);
  const known = new Map(hand.orders.map((order) => [order.id, order]));
  const uncounted = hand.orders.filter(({ id }) => own.every((order) => order.id !== id));
  if (own.length + uncounted.length === 0) return null;
  return (
    <section aria-label="Orders" className="border-b-2 border-ink px-4 py-2">
      <h2 className="font-bold">Orders</h2>
      <ul className="rows">
        {own.map((order) => (
          <OwnOrder key={order.id} order={order} placed={known.get(order.id)} hand={hand} />
        ))}
        {uncounted.map((order) => (
          <li key={order.id} className="flex flex-wrap items-center gap-x-4 gap-y-1 py-1.5">
            <span className="figure font-bold">{order.id}</span>
            <span className="min-w-56 flex-1">
              {canCountIn(order, hand)
                ? `The service has it, the build does not count it: ${marksOf(order)} would be cut twice.`
                : `The service has it, and none of ${marksOf(order)} is in the frame, or left to be cut.`}
            </span>
            {canCountIn(order, hand) && <Button onClick={() => hand.countIn(order)}>Count it in</Button>}
            {order.state === 'ordered' && (
              <Button look="quiet" onClick={() => void hand.cancel(order.id)}>
                Call it off
              </Button>
            )}
          </li>
        ))}
      </ul>
    </section>
  );
}

/** Whether any of its pieces is here, and neither cut nor ordered. */
const canCountIn = ({ pieces }: PlacedOrder, { open }: CuttingHand): boolean =>
  pieces.some(({ mark }) => open.some(({ item }) => item.mark === mark));

const marksOf = ({ pieces }: { readonly pieces: readonly { readonly mark: string }[] }): string =>
  pieces.map(({ mark }) => mark).join(', ');

function OwnOrder({
  order,
  placed,
  hand,
}: {
  readonly order: CutOrder;
  readonly placed: PlacedOrder | undefined;
  readonly hand: CuttingHand;
}) {
  const { document, edit, settle } = useEditor('document', 'edit', 'settle');
  const here = hasArrived(order, document);
  const stage: Stage | undefined = here ? 'here' : placed?.state;
  const arrive = (done: boolean) => {
    edit('order.arrived', setArrived(order, done, new Date()));
    settle();
  };
  return (
    <li className="flex flex-wrap items-center gap-x-4 gap-y-1 py-1.5">
      <span className="figure font-bold">{order.id}</span>
      <span className="min-w-56 flex-1">
        <span className="figure">{marksOf(order)}</span>
        <span className="caption block">
          {order.pieces.length} {order.pieces.length === 1 ? 'piece' : 'pieces'} for {order.price.toFixed(2)},
          ordered {dayText(order.on)}, promised for {dayText(order.due)}
        </span>
      </span>
      {stage ? (
        <Stages stage={stage} />
      ) : (
        <span className="text-larch-text">The service here does not know it</span>
      )}
      <span className="flex w-36 justify-end">
        {here ? (
          <Button look="quiet" onClick={() => arrive(false)}>
            Not here yet
          </Button>
        ) : stage === 'ordered' ? (
          <Button look="quiet" onClick={() => void hand.cancel(order.id)}>
            Call it off
          </Button>
        ) : stage === 'sent' ? (
          <Button onClick={() => arrive(true)}>They are here</Button>
        ) : (
          stage === undefined && (
            <Button
              look="quiet"
              onClick={() => {
                edit('order', dropOrder(order.id));
                settle();
              }}
            >
              Take it out
            </Button>
          )
        )}
      </span>
    </li>
  );
}

/** How far it is, as words in a row: what it has been through is underlined, where it is stands in bold. */
function Stages({ stage }: { readonly stage: Stage }) {
  const at = STEPS.indexOf(stage);
  return (
    <ol aria-label="How far it is" className="flex gap-1">
      {STEPS.map((step, index) => (
        <li
          key={step}
          aria-current={index === at ? 'step' : undefined}
          className={`border-b-4 px-2 text-[13px] ${
            index <= at ? 'border-spruce' : 'border-rule text-quiet'
          } ${index === at ? 'font-bold' : ''}`}
        >
          {WORDS[step]}
        </li>
      ))}
    </ol>
  );
}
