import { parse, TYPE, type MessageFormatElement } from '@formatjs/icu-messageformat-parser';
import { describe, expect, it } from 'vitest';
import { de } from './de';
import { en } from './en';
import { fr } from './fr';
import type { Catalog } from './message';

const OTHERS: [string, Catalog][] = [
  ['German', de],
  ['French', fr],
];

/** Messages of a language by their keys, in the order of English. */
const flat = (catalog: Catalog): [key: string, text: string][] =>
  Object.entries(en).flatMap(([area, own]) =>
    Object.keys(own).map((name): [string, string] => [
      `${area}.${name}`,
      (catalog[area as keyof Catalog] as Record<string, string>)[name] ?? '',
    ]),
  );
const english = flat(en);

/** What a message asks values for, and what it gives tags to. */
function asks(text: string): string[] {
  const names = new Set<string>();
  const walk = (parts: readonly MessageFormatElement[]) => {
    for (const part of parts) {
      if (part.type === TYPE.literal || part.type === TYPE.pound) continue;
      names.add(part.type === TYPE.tag ? `<${part.value}>` : part.value);
      if (part.type === TYPE.tag) walk(part.children);
      if (part.type === TYPE.select || part.type === TYPE.plural)
        for (const { value } of Object.values(part.options)) walk(value);
    }
  };
  walk(parse(text));
  return [...names].sort();
}

type Choose = (forms: string[]) => string;
const all: Choose = (forms) => forms.map((form) => ` ${form} `).join('');
const longest: Choose = (forms) => forms.toSorted((a, b) => b.length - a.length)[0] ?? '';

/** What is read of a message: of its forms all or the longest, without names of values. */
function read(text: string, choose = all): string {
  const walk = (parts: readonly MessageFormatElement[]): string =>
    parts
      .map((part) => {
        if (part.type === TYPE.literal) return part.value;
        if (part.type === TYPE.tag) return walk(part.children);
        if (part.type === TYPE.select || part.type === TYPE.plural)
          return choose(Object.values(part.options).map(({ value }) => walk(value)));
        return '';
      })
      .join('');
  return walk(parse(text)).trim();
}

/** What a label of law has to say, however long. */
const PRESCRIBED = new Set(['labels.bestBefore']);

/** The trade's own terms: where English has one, each language has its own. */
const TERMS: readonly [english: RegExp, german: RegExp, french: RegExp][] = [
  [/\bformulas?\b/i, /Rezeptur/, /formule/i],
  [/baker’s percent/i, /Bäckerprozent/, /pourcentage du boulanger/],
  [/dough before butter/i, /Grundteig/, /détrempe/],
  [/\bsponge\b/i, /Vorteig/, /levain-levure/i],
  [/\bpoolish\b/i, /Poolish/, /poolish/i],
  [/\blevain\b/i, /Sauerteig/i, /levain/i],
  [/windowpane/i, /Fensterprobe/, /voile/],
  [/dough temperature/i, /Teigtemperatur|Temperaturen von Teig/, /températures? de pâte/i],
  [/bulk fermentation/i, /Stockgare/, /pointage/i],
  [/stretch and fold/i, /Aufziehen/, /rabat/i],
  [/\bretarder\b/i, /Kühlraum/, /chambre froide/i],
  [/\bretard\b/i, /Kühlgare|führen/, /pousse au froid|mener/i],
  [/\btemper\b/i, /temperier/i, /à température/i],
  [/lock-in/i, /Einschlagen/i, /enchâssage/i],
  [/butter block/i, /Butterplatte/, /beurre de tourage/i],
  [/letter fold/i, /einfache Tour/i, /tour simple/i],
  [/book fold/i, /doppelte Tour/i, /tour double/i],
  [/\bsheeter\b/i, /Ausrollmaschine/, /laminoir/i],
  [/cut plan/i, /Schneideplan/, /plan de découpe/i],
  [/trimmings/i, /Abschnitt/, /rognures/i],
  [/\bproofer/i, /Gärschrank/, /étuve/i],
  [/underproofed/i, /untergar/i, /manque d’apprêt/i],
  [/overproofed/i, /übergar/i, /excès d’apprêt/i],
  [/egg wash/i, /Eistreiche/, /dorure/i],
  [/\bdecks?\b/i, /Herd/, /étage|sole/i],
  [/bake programme/i, /Backprogramm/, /programme de cuisson/i],
  [/core temperature/i, /Kerntemperatur/, /température à cœur/i],
  [/unload/i, /ausback|ausgebacken/i, /défourn/i],
  [/\bcrumb\b/i, /Krume/, /mie/i],
  [/honeycomb/i, /Porung/, /alvéolage/i],
  [/\bbatch(es)?\b/i, /Charge/i, /fournée/i],
  [/standing order/i, /Dauerbestellung/i, /commandes? permanente/i],
  [/handover/i, /Übergabe/, /relève/i],
  [/\balarms?\b/i, /Alarm/, /alarme/i],
  [/core probe/i, /Einstechfühler/, /sonde à cœur/i],
  [/mise en place/i, /Vorbereitungsliste/, /mise en place/i],
];

/** Wordings that are taken over from another language, and second words for what has a term. */
const NOT_SAID: Record<string, readonly RegExp[]> = {
  German: [
    /\b(Lamination|laminier)/i,
    /\bProofer\b/i,
    /\bBatch\b/i,
    /\bRetarder\b/i,
    /\b(Nadel|Sonde)\b/i,
    /Kruemel/i,
    /\bSchritte? machen Sinn\b/i,
    /\bPunkte mehr\b/i,
    /!/,
  ],
  French: [
    /\blaminer\b/i,
    /\bbatch\b/i,
    /\bproof/i,
    /\blot\b/i,
    /\baiguille\b/i,
    /\bfermenteur\b/i,
    /'/,
    /!/,
  ],
};

describe.each(OTHERS)('%s', (name, catalog) => {
  const messages = flat(catalog);

  it('has something to say wherever English has, and asks for the same values', () => {
    const differ = english.flatMap(([key, text], i) => {
      const own = messages[i]?.[1] ?? '';
      return text.trim() !== '' && own.trim() === ''
        ? [key]
        : String(asks(text)) === String(asks(own))
          ? []
          : [key];
    });
    expect(differ).toEqual([]);
  });

  it('has no label that is twice as long as the English one and longer by 14 characters', () => {
    const long = english.flatMap(([key, text], i) => {
      const [own, length] = [read(messages[i]?.[1] ?? '', longest), read(text, longest).length];
      const isLabel = length <= 30 && !PRESCRIBED.has(key);
      return isLabel && own.length > 2 * length && own.length > length + 14 ? [`${key}: ${own}`] : [];
    });
    expect(long).toEqual([]);
  });

  it('uses the terms of the trade', () => {
    const wrong = english.flatMap(([key, text], i) => {
      const [has, own] = [read(text), messages[i]?.[1] ?? ''];
      return TERMS.flatMap(([term, german, french]) =>
        term.test(has) && !(name === 'German' ? german : french).test(own) ? [`${key}: ${own}`] : [],
      );
    });
    expect(wrong).toEqual([]);
  });

  it.each(NOT_SAID[name] ?? [])('never says %s', (wording) => {
    expect(messages.filter(([, text]) => wording.test(read(text)))).toEqual([]);
  });
});
