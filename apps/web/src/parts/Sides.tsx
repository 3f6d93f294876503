import type { ReactNode } from 'react';

interface Side {
  readonly key: string;
  readonly name: string;
  readonly here: ReactNode;
  readonly there: ReactNode;
}

/** What two have changed, side by side: as it is here, and as it is there. */
export function Sides({ rows }: { readonly rows: readonly Side[] }) {
  return (
    <table className="mb-4 w-full">
      <thead>
        <tr className="caption border-b border-ink text-left">
          <th className="py-1 font-normal">What differs</th>
          <th className="pl-6 font-normal">Here</th>
          <th className="pl-6 font-normal">There</th>
        </tr>
      </thead>
      <tbody className="rows">
        {rows.map(({ key, name, here, there }) => (
          <tr key={key} className="align-top">
            <td className="py-1 first-letter:uppercase">{name}</td>
            <td className="max-w-40 py-1 pl-6 break-words">{here}</td>
            <td className="max-w-40 py-1 pl-6 break-words">{there}</td>
          </tr>
        ))}
      </tbody>
    </table>
  );
}
