import type { FindingCode, FindingValues } from './values.js';

export type Severity = 'stop' | 'look' | 'note';
export type Station =
  'stance' | 'seat' | 'steering' | 'tubes' | 'joints' | 'cuts' | 'patterns' | 'fixture' | 'work' | 'checks';

/** What the builder should know, as data: its code says what it carries, and the catalogue has its words. */
export type Finding<C extends FindingCode = FindingCode> = { readonly [K in C]: FindingOf<K> }[C];

interface FindingOf<C extends FindingCode> {
  readonly code: C;
  readonly severity: Severity;
  readonly where: { readonly station: Station; readonly ref: string };
  readonly values: Readonly<FindingValues[C]>;
}

/** Makes the findings of one station: `tell('wheels-overlap', 'stop', 'wheelbase', { overlap: 28 })`. */
export const teller =
  (station: Station) =>
  <C extends FindingCode>(code: C, severity: Severity, ref: string, values: FindingValues[C]): Finding => {
    const finding: FindingOf<C> = { code, severity, where: { station, ref }, values };
    // Of one code it is one of all: that much the compiler does not see.
    return finding as unknown as Finding;
  };

/** Whether a finding is of a code, so that its values are known: `findings.find(isFinding('rule-limit'))`. */
export const isFinding =
  <C extends FindingCode>(code: C) =>
  (finding: Finding): finding is Finding<C> & Finding =>
    finding.code === code;
