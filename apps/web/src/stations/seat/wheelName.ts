import { asSentence } from '@larchwood/core';

/** A wheel's id as words: frontLeft is read "Front left wheel". */
export const wheelName = (id: string): string =>
  `${asSentence(id.replace(/[A-Z]/g, (letter) => ` ${letter.toLowerCase()}`))} wheel`;
