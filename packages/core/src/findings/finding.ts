export type Severity = 'stop' | 'look' | 'note';
export type Station = 'stance' | 'seat' | 'tubes' | 'joints' | 'patterns' | 'fixture';

/** What the builder should know, as data; the words are in the catalogue. */
export interface Finding {
  readonly code: string;
  readonly severity: Severity;
  readonly where: { readonly station: Station; readonly ref: string };
  /** mm and degrees by default; the catalogue knows which is which. */
  readonly values: Readonly<Record<string, number | string>>;
}
