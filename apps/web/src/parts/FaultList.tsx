import type { Fault } from '@larchwood/format';

/** Every fault of a document, each with its path. */
export function FaultList({ faults }: { readonly faults: readonly Fault[] }) {
  return (
    <ul className="rows max-h-80 overflow-y-auto border-y border-rule">
      {faults.map((fault) => (
        <li key={fault.path + fault.message} className="py-1.5">
          <span className="figure block text-[13px] text-quiet">{fault.path}</span>
          {fault.message}
        </li>
      ))}
    </ul>
  );
}
