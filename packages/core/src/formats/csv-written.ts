import Papa from 'papaparse';

/**
 * A table as a CSV file. A cell that begins as a formula does is led by a stroke: no spreadsheet reckons with it.
 */
export const csvWritten = (fields: readonly string[], data: readonly (readonly (string | number)[])[]): string =>
  `\uFEFF${Papa.unparse({ fields: [...fields], data: data.map((row) => [...row]) }, { escapeFormulae: true })}\r\n`;
