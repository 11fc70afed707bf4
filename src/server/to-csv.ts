import Papa from 'papaparse';
import type { Cell } from '@/core/keeping';

/** Rows as CSV (RFC 4180). Text that a spreadsheet would take for a formula is set in quotes of its own (CWE-1236). */
export const toCsv = (rows: readonly (readonly Cell[])[]): string =>
  rows.length === 0 ? '' : `${Papa.unparse(rows as Cell[][], { escapeFormulae: true, newline: '\r\n' })}\r\n`;
