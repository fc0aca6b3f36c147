import { describe, expect, it } from 'vitest';
import { en } from './en';

/** What a reader reads of a message: its text without names of values and forms. */
const readText = (message: string): string =>
  message
    .replace(/<\/?\w+>/g, ' ')
    .replace(/\{\w+(, (plural|select|number)(, )?)?/g, ' ')
    .replace(/\b(=\d|one|other|true) \{/g, ' ')
    .replace(/[{}]/g, ' ');

/** Wordings of another language, and what a baker has no use for on a screen. */
const NOT_SAID: readonly RegExp[] = [
  /\b(tell|say) it\b/i,
  /\btold\b/i,
  /at the soonest/i,
  /\bcomes? to\b/i,
  /taken so\b/i,
  /\bneedles?\b/i,
  /(?<!percentage )\bpoints?\b(?!: measured)/i,
  /\bplays\b/i,
  /\bstands in\b/i,
  /\blet go\b/i,
  /\bis little\b/i,
  /\banew\b/i,
  /the house (has|knows|makes|does)/i,
  /\bthere is no such\b/i,
  /\bis no (number|time|day|turn|wait|picture|file|json|stage|oven|dough)\b/i,
  /\bgiven otherwise\b/i,
  /\bonce more\b/i,
  /\bthe line is down\b/i,
  /\bnot below\b|\bnot above\b/i,
];

describe('the wording', () => {
  const messages = Object.entries(en).flatMap(([area, own]) =>
    Object.entries(own).map(([name, text]) => ({ key: `${area}.${name}`, text: readText(text) })),
  );

  it.each(NOT_SAID)('is never %s', (wording) => {
    expect(messages.filter(({ text }) => wording.test(text))).toEqual([]);
  });

  it('has times, numbers and percentages as bakers write them', () => {
    expect(
      messages.filter(({ text }) => /\d%|per cent of|\d min\./.test(text) && !/\d+ min\.$/.test(text.trim())),
    ).toEqual([]);
  });
});
