import { Link } from 'react-router';

export function LostPage() {
  return (
    <main className="mx-auto max-w-xl p-10">
      <h1 className="mb-2 text-lg font-bold">There is nothing at this address</h1>
      <p>
        <Link to="/" className="font-semibold text-larch-text underline">
          Go to the workshop
        </Link>
      </p>
    </main>
  );
}
