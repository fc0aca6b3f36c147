import { readFileSync } from 'node:fs';
import compile from 'icu-minify/compile';
import { describe, expect, it } from 'vitest';
import { areasOf, filesUnder, keysIn } from '../../test-support/areas-of';
import { en } from './en';

/** What a page or layout sends, as it is written there. */
function sentBy(file: string): Set<string> {
  const [, list = ''] = /<WordsOf\s+areas=\{\[([^\]]*)\]\}/.exec(readFileSync(file, 'utf8')) ?? [];
  return new Set([...list.matchAll(/'(\w+)'/g)].map(([, area = '']) => area));
}

const LAYOUT = 'src/app/layout.tsx';
const pages = filesUnder('src/app').filter((file) => file.endsWith('/page.tsx'));
const everywhere = ['src/ui/shell/shell.tsx', 'src/ui/live/try-again.tsx', 'src/app/sign-in/page.tsx'];

describe('a page is sent the words that it says', () => {
  const base = sentBy(LAYOUT);

  it('from the layout what all pages say, and no more', () => {
    expect([...base].sort()).toEqual([...new Set(everywhere.flatMap((file) => [...areasOf(file)]))].sort());
  });

  it.each(pages)('%s', (page) => {
    const wanted = [...areasOf(page)].filter((area) => !base.has(area));
    expect([...sentBy(page)].sort()).toEqual(wanted.sort());
  });
});

describe('the catalog', () => {
  const messages = Object.entries(en).flatMap(([area, own]) =>
    Object.entries(own).map(([name, text]) => [`${area}.${name}`, text] as const),
  );

  it('has no message that nobody says', () => {
    const said = keysIn(
      ['app', 'core', 'ui', 'words', 'server'].flatMap((folder) => filesUnder(`src/${folder}`)),
    );
    expect(messages.map(([key]) => key).filter((key) => !said.has(key))).toEqual([]);
  });

  it('has every sentence once, and words only: no code of a page', () => {
    const sentences = messages.map(([, text]) => text).filter((text) => text.split(/\s+/).length >= 3);
    const twice = sentences.filter((text, i) => sentences.indexOf(text) !== i);
    expect(twice).toEqual([]);
    expect(messages.filter(([, text]) => /var\(|\[contenteditable|\bpx\b|=>/.test(text))).toEqual([]);
  });

  it('has messages that can be read as ICU', () => {
    expect(messages.length).toBeGreaterThan(1000);
    for (const [key, text] of messages) expect(() => compile(text), key).not.toThrow();
  });
});
