/**
 * Packs the files of a build that never change, once and as small as it goes, so that no request has to: a tablet on a weak
 * line waits for nothing longer. Started by bin/lib.sh after a build, with its folder.
 */
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';

/** Fonts are packed already; what is smaller than a packet gains nothing, bytes. */
const PACKS = /\.(js|css|svg|json|txt)$/;
const LEAST = 1_000;

const folder = join(process.argv[2] ?? '', 'static');
for (const name of readdirSync(folder, { recursive: true, encoding: 'utf8' })) {
  const file = join(folder, name);
  if (!PACKS.test(name) || statSync(file).size < LEAST) continue;
  const content = readFileSync(file);
  writeFileSync(`${file}.gz`, gzipSync(content, { level: constants.Z_BEST_COMPRESSION }));
  writeFileSync(
    `${file}.br`,
    brotliCompressSync(content, { params: { [constants.BROTLI_PARAM_SIZE_HINT]: content.length } }),
  );
}
