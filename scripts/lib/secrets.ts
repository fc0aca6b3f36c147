import { existsSync, mkdirSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { keepSecrets } from '@/server/auth/secrets';

/** Where session keys and the pepper are kept when nobody says otherwise. */
const SECRETS = 'data/secrets.json';

/** Makes the secrets at the first start, where they are not given from outside, and says where they are. */
export function keepOwnSecrets(): void {
  if (process.env.HEFETEIG_PEPPER) return;
  const file = process.env.HEFETEIG_SECRETS ?? SECRETS;
  mkdirSync(dirname(file), { recursive: true });
  if (keepSecrets(file))
    console.log(
      `Session keys and the pepper of PINs are in ${file}. Keep a copy with your backups: without it no PIN is right.`,
    );
  process.env.HEFETEIG_SECRETS = file;
}

/** The file with the secrets of the bakery of a folder, or of the one that is served here; null where there is none. */
export function ownSecrets(folder: string | undefined): string | null {
  const file =
    process.env.HEFETEIG_SECRETS ?? (folder === undefined ? SECRETS : join(folder, 'secrets.json'));
  return existsSync(file) ? file : null;
}
