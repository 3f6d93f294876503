/** A name inside a sentence: only its first letter is lowered, and names such as BB keep their capitals. */
export const nameInText = (name: string): string =>
  /^[A-Z]{2}/.test(name) ? name : name.charAt(0).toLowerCase() + name.slice(1);

/** A name with its article: `a kart`, `an off-road kart or buggy`. */
export const withArticle = (name: string): string =>
  `${/^[aeiou]/i.test(name) ? 'an' : 'a'} ${nameInText(name)}`;

/** A use that a band is usual for, with its article: `a road bicycle`, `any bicycle`. */
export const bandUseText = (use: string): string => (use.startsWith('any ') ? use : withArticle(use));

/** The first letter as at the start of a sentence. */
export const asSentence = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
