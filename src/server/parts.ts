import { readdir } from 'node:fs/promises';
import { join } from 'node:path';

/** Where the build keeps what browsers fetch; the same folder as in `next.config.ts`. */
const folder = () => join(process.cwd(), process.env.HEFETEIG_BUILD ?? '.next', 'static', 'chunks');

let known: Promise<string[]> | null = null;

/** Addresses of all scripts of the build: a build does not change while it runs. */
export function scriptParts(): Promise<string[]> {
  known ??= readdir(folder(), { recursive: true }).then((files) =>
    files.filter((name) => name.endsWith('.js')).map((name) => `/_next/static/chunks/${name}`),
  );
  return known;
}
