import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
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
