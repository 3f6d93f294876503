import type { BuildDocument } from '@larchwood/format';

/** Which state of a build a file was made of. */
export interface Edition {
  /** `r12`, or what tells a file's content from another: letters, figures and dashes. */
  readonly mark: string;
  /** Of that state, not of the making: `2026-11-29`; none where it is not known. */
  readonly date?: string;
}

/** `r12-2026-11-29`: as the names of files have it. */
export const editionOf = ({ mark, date }: Edition): string => (date === undefined ? mark : `${mark}-${date}`);

/** `Paddock kart, r12, 2026-11-29`: which build a file is of, and which state of it. */
export const stampOf = ({
  document,
  edition,
}: {
  readonly document: Pick<BuildDocument, 'name'>;
  readonly edition: Edition;
}): string => [document.name, edition.mark, ...(edition.date === undefined ? [] : [edition.date])].join(', ');
