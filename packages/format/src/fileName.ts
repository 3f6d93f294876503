import { FILE_SUFFIX } from './buildSchema.js';

/** A build's name as part of a file's name: letters, figures and dashes of any script. */
export function fileStem(name: string): string {
  return (
    name
      .trim()
      .toLowerCase()
      .replace(/[^\p{L}\p{N}]+/gu, '-')
      .replace(/^-|-$/g, '') || 'build'
  );
}

export const documentFileName = (name: string): string => `${fileStem(name)}${FILE_SUFFIX}`;

/** A document as the text of its file. */
export const documentText = (document: object): string => `${JSON.stringify(document, null, 2)}\n`;
