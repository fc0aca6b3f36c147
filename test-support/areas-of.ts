import { existsSync, readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';
import { en } from '@/words/en';

/** Every source file in a folder and below it; tests are none. */
export const filesUnder = (folder: string): string[] =>
  readdirSync(folder, { recursive: true, encoding: 'utf8' })
    .filter((file) => /\.tsx?$/.test(file) && !/\.test\.tsx?$/.test(file))
    .map((file) => path.join(folder, file));

/** The file that an import means; null for a package, or for what says nothing. */
function fileOf(from: string, specifier: string): string | null {
  const base = specifier.startsWith('@/')
    ? path.join('src', specifier.slice(2))
    : path.join(path.dirname(from), specifier);
  if (!specifier.startsWith('@/') && !specifier.startsWith('.')) return null;
  if (!/^src\/(ui|core)\/|^src\/words\/(code-names|from-now)$/.test(base)) return null;
  return ['.tsx', '.ts'].map((end) => base + end).find((file) => existsSync(file)) ?? null;
}

/** What the server puts into words itself: no screen is sent it. */
const BY_SERVER = ['record', 'refusals', 'reasons', 'titles'];

/** Areas of messages that a page speaks from, through all that it imports of the screens and the core, now or later. */
export function areasOf(page: string): Set<string> {
  const found = new Set<string>();
  const seen = new Set<string>();
  const open = [page];
  for (let file = open.pop(); file !== undefined; file = open.pop()) {
    if (seen.has(file)) continue;
    seen.add(file);
    const text = readFileSync(file, 'utf8');
    for (const [, area = ''] of text.matchAll(/['`](\w+)\.(?:\w+'|\$\{)/g))
      if (area in en && !BY_SERVER.includes(area)) found.add(area);
    for (const [, specifier = ''] of text.matchAll(/(?:from|import\()\s*'([^']+)'/g)) {
      const next = fileOf(file, specifier);
      if (next !== null) open.push(next);
    }
  }
  return found;
}

/** Every key that is written somewhere in these files: by itself, or all of an area by their names ("settings.${name}"). */
export function keysIn(files: readonly string[]): Set<string> {
  const keys = files.flatMap((file) => {
    const text = readFileSync(file, 'utf8');
    const whole = [...text.matchAll(/`(\w+)\.\$\{/g)].flatMap(([, area = '']) =>
      area in en ? Object.keys(en[area as keyof typeof en]).map((name) => `${area}.${name}`) : [],
    );
    return [...whole, ...[...text.matchAll(/'(\w+\.\w+)'/g)].map(([, key = '']) => key)];
  });
  return new Set(keys);
}
