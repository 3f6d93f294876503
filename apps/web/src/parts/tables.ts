/** Looks that the tables of all stations share. */
export const HEAD_ROW =
  'caption border-b-2 border-ink text-right align-bottom [&>th]:px-2 [&>th]:py-1 [&>th]:font-normal';
/** A row that can be chosen: the one in hand is lit. */
export const rowLook = (lit: boolean): string =>
  `cursor-pointer border-b border-rule text-right [&>td]:px-2 [&>td]:py-1 ${lit ? 'bg-larch-wash' : 'hover:bg-paper'}`;
