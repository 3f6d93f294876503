/** A finding in words: the same on screen, on paper and in the log. */
export interface FindingText {
  readonly title: string;
  readonly text: string;
  readonly remedies: readonly string[];
}
/** How a finding's values are put into the build's units and words. */
export interface Say {
  readonly mm: (key: string) => string;
  readonly degrees: (key: string) => string;
  readonly of: (key: string) => string;
  /** A length or an angle, as the finding's own `quantity` says. */
  readonly measure: (key: string) => string;
  /** A plain number with so many digits after its point, times a factor. */
  readonly fixed: (key: string, digits: number, times?: number) => string;
}

export type Words = Readonly<Record<string, (say: Say) => FindingText>>;
