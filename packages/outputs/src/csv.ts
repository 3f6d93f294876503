import Papa from 'papaparse';

/** A byte-order mark: table programs then read letters outside ASCII, such as ×, as they are. */
const MARK = '\uFEFF';

/** Rows as comma-separated values that table programs open as they stand; text that they could take for a formula stays text. */
export const csvOf = (fields: readonly string[], data: readonly (readonly unknown[])[]): string =>
  MARK +
  Papa.unparse(
    { fields: [...fields], data: data.map((row) => [...row]) },
    { escapeFormulae: true, newline: '\r\n' },
  );
