import { Trash2 } from 'lucide-react';
import type { ReactNode } from 'react';
import { IconButton } from './Button';

/** A part of the brief: its question, what it is for, and its rows. */
export function BriefPart({
  title,
  about,
  children,
}: {
  readonly title: string;
  readonly about?: ReactNode;
  readonly children: ReactNode;
}) {
  return (
    <section className="mb-6">
      <h3 className="flex items-baseline justify-between gap-4 border-b-2 border-ink pb-1 font-bold">
        {title}
        {about !== undefined && <span className="caption font-normal">{about}</span>}
      </h3>
      {children}
    </section>
  );
}

export function RemoveButton({ name, onClick }: { readonly name: string; readonly onClick: () => void }) {
  return (
    <IconButton name={`Take out ${name}`} onClick={onClick} className="shrink-0 self-start">
      <Trash2 size={15} aria-hidden />
    </IconButton>
  );
}
