import { Transform, type TransformCallback } from 'node:stream';

/** How the last line of a whole dump begins. */
const END = '-- Dump completed';
const ROW = /^INSERT INTO `([^`]+)`/;
/** Of a line, no more is looked at than its beginning, bytes: a photo is a line of megabytes. */
const HEAD = 200;

/** What went by: rows of each table, and whether the dump had its end. */
export interface Counted {
  rows: Record<string, number>;
  isWhole: boolean;
}

/** Lets a dump through as it is and counts its rows. `counted` is filled while it goes by. */
export function counting(): { through: Transform; counted: Counted } {
  const counted: Counted = { rows: {}, isWhole: false };
  let head = '';
  const endLine = () => {
    const [, table] = ROW.exec(head) ?? [];
    if (table !== undefined) counted.rows[table] = (counted.rows[table] ?? 0) + 1;
    if (head.startsWith(END)) counted.isWhole = true;
    head = '';
  };
  const through = new Transform({
    transform(part: Buffer, _, done: TransformCallback) {
      for (let from = 0; from < part.length;) {
        const end = part.indexOf(10, from);
        const until = end < 0 ? part.length : end;
        const wanted = Math.min(until, from + HEAD - head.length);
        if (head.length < HEAD) head += part.toString('latin1', from, wanted);
        if (end >= 0) endLine();
        from = until + 1;
      }
      done(null, part);
    },
    flush(done) {
      endLine();
      done();
    },
  });
  return { through, counted };
}
