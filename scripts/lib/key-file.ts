import { readFileSync } from 'node:fs';

/**
 * The passphrase that a key file holds; undefined where no file is named.
 *
 * @throws {Error} where the file has no text: what was meant to be sealed must not lie open
 */
export function passphraseIn(file: string | undefined): string | undefined {
  if (file === undefined) return undefined;
  const text = readFileSync(file, 'utf8').trim();
  if (text === '') throw new Error(`The key file ${file} is empty: nothing can be sealed with it.`);
  return text;
}
