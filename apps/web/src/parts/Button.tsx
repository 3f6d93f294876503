import type { ComponentProps } from 'react';

const LOOK = {
  strong: 'border border-ink bg-ink text-paper hover:bg-spruce hover:border-spruce',
  plain: 'border border-ink bg-sheet hover:bg-larch-wash',
  quiet: 'border border-transparent hover:border-rule hover:bg-sheet',
  link: 'underline decoration-1 underline-offset-2 font-semibold text-larch-text hover:decoration-2 !px-0 !min-h-0',
} as const;

export interface ButtonProps extends ComponentProps<'button'> {
  readonly look?: keyof typeof LOOK;
}

export function Button({ look = 'plain', className = '', type = 'button', ...rest }: ButtonProps) {
  return (
    <button
      type={type}
      className={`inline-flex min-h-8 items-center print:hidden justify-center gap-1.5 px-3 font-semibold whitespace-nowrap disabled:opacity-45 ${LOOK[look]} ${className}`}
      {...rest}
    />
  );
}

/** A square button that holds one icon; its name is read out and shown as a hint. */
export function IconButton({
  name,
  className = '',
  ...rest
}: ComponentProps<'button'> & { readonly name: string }) {
  return (
    <button
      type="button"
      aria-label={name}
      title={name}
      className={`inline-flex size-8 print:hidden items-center justify-center border border-transparent hover:border-rule hover:bg-sheet disabled:opacity-40 ${className}`}
      {...rest}
    />
  );
}
