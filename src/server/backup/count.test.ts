import { Readable } from 'node:stream';
import { buffer } from 'node:stream/consumers';
import * as fc from 'fast-check';
import { expect, it } from 'vitest';
import { counting } from './count';

const DUMP = [
  '-- MariaDB dump',
  'INSERT INTO `dough` VALUES (1,0xAB);',
  `INSERT INTO \`photo\` VALUES (1,0x${'FF'.repeat(3_000)});`,
  'INSERT INTO `dough` VALUES (2,"INSERT INTO `other` VALUES (1);");',
  '-- Dump completed on 2026-11-19  2:30:00',
  '',
].join('\n');

/** A text that comes in parts, cut at these places. */
async function counted(text: string, cuts: readonly number[]) {
  const at = [...new Set(cuts.map((cut) => cut % text.length))].sort((a, b) => a - b);
  const parts = [0, ...at].map((from, i) => Buffer.from(text.slice(from, at[i] ?? text.length)));
  const { through, counted: found } = counting();
  const out = await buffer(Readable.from(parts.filter(({ length }) => length > 0)).pipe(through));
  return { ...found, out: out.toString() };
}

it('counts the rows of each table, however the text comes in parts, and lets it through as it is', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(fc.nat(10_000), { maxLength: 40 }), async (cuts) => {
      expect(await counted(DUMP, cuts)).toEqual({ rows: { dough: 2, photo: 1 }, isWhole: true, out: DUMP });
    }),
  );
});

it('knows a dump that broke off', async () => {
  expect((await counted(DUMP.slice(0, DUMP.indexOf('-- Dump completed')), [])).isWhole).toBe(false);
});
