import { randomBytes } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';

/** What has to be known beside the database to forge a session or to guess a PIN from its hash. */
export interface Secrets {
  /** Keys that seal session cookies, the newest first; cookies of the older ones are still read. */
  sessionKeys: readonly [string, ...string[]];
  /** Goes into the hash of every PIN. */
  pepper: string;
}

const held = globalThis as { hefeteigSecrets?: Secrets };
const SHORTEST = 32;

function checked(sessionKeys: readonly unknown[], pepper: unknown, where: string): Secrets {
  const keys = sessionKeys.filter((key) => typeof key === 'string');
  const [newest, ...older] = keys;
  if (newest === undefined || [newest, ...older].some((key) => key.length < SHORTEST))
    throw new Error(
      `${where}: every session key has at least ${SHORTEST} characters, and there is at least one.`,
    );
  if (typeof pepper !== 'string' || pepper.length < SHORTEST)
    throw new Error(`${where}: the pepper has at least ${SHORTEST} characters.`);
  return { sessionKeys: [newest, ...older], pepper };
}

/**
 * The secrets of this process: from the file that `HEFETEIG_SECRETS` names (JSON with `sessionKeys`, newest first, and
 * `pepper`), or from `HEFETEIG_SESSION_KEYS` (with commas between them) and `HEFETEIG_PEPPER`.
 *
 * @throws {Error} where they are missing or too short
 */
export function secrets(): Secrets {
  return (held.hefeteigSecrets ??= read());
}

function read(): Secrets {
  const { HEFETEIG_SECRETS: file, HEFETEIG_SESSION_KEYS: keys, HEFETEIG_PEPPER: pepper } = process.env;
  if (keys && pepper) return checked(keys.split(','), pepper, 'HEFETEIG_SESSION_KEYS and HEFETEIG_PEPPER');
  if (!file) throw new Error('HEFETEIG_SECRETS names no file with the session keys and the pepper.');
  const { sessionKeys, pepper: own } = JSON.parse(readFileSync(file, 'utf8')) as Record<string, unknown>;
  return checked(Array.isArray(sessionKeys) ? sessionKeys : [], own, file);
}

/** Makes the file of secrets where there is none, readable by its owner alone. Returns true where it was made now. */
export function keepSecrets(file: string): boolean {
  if (existsSync(file)) return false;
  const made = { sessionKeys: [randomBytes(32).toString('hex')], pepper: randomBytes(32).toString('hex') };
  writeFileSync(file, `${JSON.stringify(made, null, 2)}\n`, { mode: 0o600, flag: 'wx' });
  return true;
}
