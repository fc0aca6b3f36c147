import Papa from 'papaparse';
import type { Words } from '../codes/coded';
import { formatLocal } from '../time/local';
import type { Paper } from './papers';

/** How what is read in a file is said. */
interface Saying {
  say: (words: Words) => string;
  /** A stage of a formula, or the name of a part. */
  what: (what: { stage: string } | { part: string }) => string;
}

const COLUMNS = {
  production: ['station', 'start', 'end', 'step', 'dough', 'pieces', 'trays', 'celsius', 'people'],
  'mise-en-place': ['time', 'station', 'dough', 'step', 'for', 'ingredient', 'grams', 'from the cold'],
  deliveries: ['customer', 'time', 'product', 'pieces', 'missing', 'late', 'from'],
} as const;

/** A day's list as a table: one row a line, times local to `zone`. */
export function writePaperCsv(paper: Paper, zone: string, { say, what }: Saying): string {
  const at = (instant: number) => formatLocal(instant, zone);
  const rows = (): (string | number)[][] => {
    switch (paper.kind) {
      case 'production':
        return paper.lines.map((line) => [
          ...[line.station ?? '', at(line.start), at(line.end), say(line.step), line.dough],
          ...[line.pieces ?? '', line.trays ?? '', line.celsius ?? '', line.people.join(', ')],
        ]);
      case 'mise-en-place':
        return paper.lines.map((line) => [
          ...[at(line.at), line.station ?? '', line.dough, say(line.step), what(line.what), line.ingredient],
          ...[line.grams === null ? '' : Math.round(line.grams * 10) / 10, line.isCold ? 'yes' : 'no'],
        ]);
      case 'deliveries':
        return paper.lines.map((line) => [
          ...[line.customer, at(line.at), line.product, line.pieces, line.short, line.late],
          line.from.join(', '),
        ]);
    }
  };
  const data = rows();
  // A cell that begins like a formula of a spreadsheet must not become one there.
  return `${Papa.unparse({ fields: [...COLUMNS[paper.kind]], data }, { newline: '\n', escapeFormulae: true })}\n`;
}
