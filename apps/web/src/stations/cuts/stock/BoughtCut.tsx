import { Link } from 'react-router';
import { hasArrived, ordersOf } from '@larchwood/core';
import { useEditor } from '../../../editor/editor';

/** What comes cut from somebody else, and is not sawn again. */
export function BoughtCut() {
  const { build, document } = useEditor('build', 'document');
  const orders = ordersOf(document);
  if (orders.length === 0) return null;
  return (
    <section aria-label="Bought cut" className="border-t-2 border-ink px-4 py-2">
      <h2 className="font-bold">Bought cut</h2>
      <ul className="rows">
        {orders.map((order) => (
          <li key={order.id} className="flex min-h-9 flex-wrap items-center justify-between gap-3">
            <span>
              Order {order.id}:{' '}
              <span className="figure font-bold">{order.pieces.map(({ mark }) => mark).join(', ')}</span>
              {hasArrived(order, document) ? ', here' : ', on its way'}
            </span>
            <Link
              to={`/builds/${build.id}/pack?show=cutting`}
              className="font-semibold text-larch-text underline underline-offset-2"
            >
              The order
            </Link>
          </li>
        ))}
      </ul>
    </section>
  );
}
