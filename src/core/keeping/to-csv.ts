import Papa from 'papaparse';
import type { Cell } from './tables';

/**
 * What a spreadsheet would take for a formula (CWE-1236): an equals, plus, minus or at sign, in their usual or full width,
 * also behind blanks and line ends; and whatever begins with a tab or a line end, by which a cell is left.
 */
const FORMULA = /^(?:[\t\r\n]|\s*[=+\-@\u2212\uff0b\uff0d\uff1d\uff20])/;

/** Rows as CSV (RFC 4180): CRLF, quotes doubled, a decimal point. Text that is a formula is set in quotes of its own. */
export const toCsv = (rows: readonly (readonly Cell[])[]): string =>
  rows.length === 0 ? '' : `${Papa.unparse(rows as Cell[][], { escapeFormulae: FORMULA, newline: '\r\n' })}\r\n`;
