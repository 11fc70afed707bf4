import Papa from 'papaparse';
import { toCsv } from './to-csv';

const back = (text: string): string[][] => Papa.parse<string[]>(text, { skipEmptyLines: true }).data;

describe('a table for a spreadsheet', () => {
  it('takes nothing for a formula: whatever it begins with, behind whatever blanks, over whatever lines', () => {
    const signs = ['=', '+', '-', '@', '\u2212', '＝', '＋', '－', '＠'];
    const bites = [
      ...signs.flatMap((sign) => [`${sign}1+1`, ` ${sign}A1`, `\u00a0\u3000${sign}A1`, `${sign}a\nb`, `\n\n ${sign}x`]),
      '\tx',
      '\rx',
      '=HYPERLINK("http://x","y")\r\nmore',
    ];
    for (const cell of bites) expect(back(toCsv([[cell]]))).toEqual([[`'${cell}`]]);
  });

  it('leaves other text and numbers as they are', () => {
    const plain = ['oak = hard', 'a-b', '5 + 3 coats', '', 'said "so",\nand went', '’=', '7'];
    expect(back(toCsv([plain]))).toEqual([plain]);
    expect(toCsv([[-5, 1e-7, 0.25, undefined, '-5']])).toBe('-5,1e-7,0.25,,"\'-5"\r\n');
    expect(toCsv([])).toBe('');
  });
});
