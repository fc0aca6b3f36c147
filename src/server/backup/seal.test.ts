import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { buffer } from 'node:stream/consumers';
import { afterAll, describe, expect, it } from 'vitest';
import { sealFile, unsealed } from './seal';

const folder = mkdtempSync(join(tmpdir(), 'hefeteig-seal-'));
afterAll(() => rmSync(folder, { recursive: true, force: true }));
const [plain, sealed] = [join(folder, 'plain'), join(folder, 'sealed')];
const opened = async (passphrase: string) => buffer(await unsealed(sealed, passphrase));

describe('a sealed file', () => {
  it.each([1, 200_000])('of %i bytes is opened by its passphrase alone', async (size) => {
    const content = Buffer.alloc(size, 'Backhaus');
    writeFileSync(plain, content);
    await sealFile(plain, sealed, 'a long passphrase');
    expect(readFileSync(sealed).includes('Backhaus')).toBe(false);
    expect((await opened('a long passphrase')).equals(content)).toBe(true);
    await expect(opened('another one')).rejects.toThrow();
  });

  it('that was changed or cut is refused', async () => {
    writeFileSync(plain, 'what was recorded');
    await sealFile(plain, sealed, 'a long passphrase');
    const whole = readFileSync(sealed);
    const changed = Buffer.from(whole);
    changed[50] = (changed[50] ?? 0) ^ 1;
    writeFileSync(sealed, changed);
    await expect(opened('a long passphrase')).rejects.toThrow();
    writeFileSync(sealed, whole.subarray(0, whole.length - 3));
    await expect(opened('a long passphrase')).rejects.toThrow();
    writeFileSync(sealed, 'no sealed file at all, but long enough to be one');
    await expect(opened('a long passphrase')).rejects.toThrow(/no sealed file/);
  });
});
