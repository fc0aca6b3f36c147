import Joi from 'joi';

/** What a backup says of itself, beside it in `manifest.json`. */
export interface Manifest {
  format: 'hefeteig-backup/1';
  /** When it was begun: it holds what was recorded until then. */
  madeAt: string;
  /** The file with the database, and whether it is sealed with a passphrase. */
  file: string;
  sealed: boolean;
  bytes: number;
  /** SHA-256 of that file, hexadecimal. */
  sha256: string;
  /** The newest migration that the database had. */
  migration: string;
  /** Rows of each table. */
  rows: Readonly<Record<string, number>>;
}

export const MANIFEST = 'manifest.json';

const schema = Joi.object<Manifest>({
  format: Joi.valid('hefeteig-backup/1').required(),
  madeAt: Joi.string().isoDate().required(),
  file: Joi.valid('database.sql.gz', 'database.sql.gz.sealed').required(),
  sealed: Joi.boolean().required(),
  bytes: Joi.number().integer().min(0).required(),
  sha256: Joi.string().hex().length(64).required(),
  migration: Joi.string().required(),
  rows: Joi.object().pattern(Joi.string(), Joi.number().integer().min(0)).required(),
});

/** @throws {Error} where the text is no manifest of a backup */
export function readManifest(text: string): Manifest {
  const read = schema.validate(JSON.parse(text));
  if (read.error) throw new Error(`This is no manifest of a backup: ${read.error.message}.`);
  return read.value;
}
