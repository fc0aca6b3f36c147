import { createCipheriv, createDecipheriv, randomBytes, scryptSync } from 'node:crypto';
import { createReadStream, createWriteStream } from 'node:fs';
import { open, stat } from 'node:fs/promises';
import { type Readable, Transform, type TransformCallback } from 'node:stream';
import { pipeline } from 'node:stream/promises';

/** How a sealed file begins: what it is, the salt of its key, the nonce. It ends with the tag that proves it whole. */
const MARK = Buffer.from('hefeteig-seal-1\n');
const SALT = 16;
const NONCE = 12;
const TAG = 16;
const HEAD = MARK.length + SALT + NONCE;
const CIPHER = 'aes-256-gcm';

/** The key of a passphrase, made slow to guess (scrypt, 2^15 rounds). */
const keyOf = (passphrase: string, salt: Buffer): Buffer =>
  scryptSync(passphrase, salt, 32, { N: 2 ** 15, maxmem: 64 * 1024 * 1024 });

/** Encrypts what goes through with AES-256-GCM, head and tag around it. */
export function sealing(passphrase: string): Transform {
  const [salt, nonce] = [randomBytes(SALT), randomBytes(NONCE)];
  const cipher = createCipheriv(CIPHER, keyOf(passphrase, salt), nonce);
  const sealed = new Transform({
    transform(part: Buffer, _, done: TransformCallback) {
      done(null, cipher.update(part));
    },
    flush(done) {
      this.push(cipher.final());
      done(null, cipher.getAuthTag());
    },
  });
  sealed.push(Buffer.concat([MARK, salt, nonce]));
  return sealed;
}

/**
 * Decrypts a sealed file as a stream. It fails at its end where a byte was changed, so what came out is of use only when
 * the stream has ended well.
 *
 * @throws {Error} where the file is no sealed one; the stream fails where the passphrase is another
 */
export async function unsealed(file: string, passphrase: string): Promise<Readable> {
  const { size } = await stat(file);
  const handle = await open(file);
  try {
    const [head, tag] = [Buffer.alloc(HEAD), Buffer.alloc(TAG)];
    await handle.read(head, 0, HEAD, 0);
    if (size <= HEAD + TAG || !head.subarray(0, MARK.length).equals(MARK))
      throw new Error(`${file} is no sealed file.`);
    await handle.read(tag, 0, TAG, size - TAG);
    const key = keyOf(passphrase, head.subarray(MARK.length, MARK.length + SALT));
    const decipher = createDecipheriv(CIPHER, key, head.subarray(MARK.length + SALT));
    decipher.setAuthTag(tag);
    const sealed = createReadStream(file, { start: HEAD, end: size - TAG - 1 });
    sealed.on('error', (error) => decipher.destroy(error));
    return sealed.pipe(decipher);
  } finally {
    await handle.close();
  }
}

/** Seals a whole file into another one. */
export const sealFile = (from: string, to: string, passphrase: string): Promise<void> =>
  pipeline(createReadStream(from), sealing(passphrase), createWriteStream(to, { mode: 0o600 }));
