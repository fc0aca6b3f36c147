'use client';

import { Printer } from 'lucide-react';
import { useState } from 'react';
import type { GoodsLabel } from '@/core/wire/label';
import { LANGUAGE_NAMES } from '@/words/languages';
import { type Language, LANGUAGES } from '@/words/message';
import { Button } from '../kit/button';
import { Choice, Field } from '../kit/field';
import { type PackedWords, usePrintedWords, useWords } from '../kit/words';
import { LabelFace } from './label-face';
import { LABEL_SIZES, type LabelSize } from './label-sizes';

/** Most labels of one output that are printed at once. */
const MOST = 500;

/** A label a tray or bag; one for dough that is kept. */
const usualCount = ({ kept, pieces, perTray }: GoodsLabel): number =>
  kept === null || kept === 'pieces' ? Math.ceil(pieces / perTray) : 1;

/** Whole labels that a text asks for; null where it is no number of labels. */
function countOf(text: string): number | null {
  const count = /^\d+$/.test(text.trim()) ? Number(text) : NaN;
  return count <= MOST ? count : null;
}

interface Props {
  dough: { id: number; name: string };
  labels: readonly GoodsLabel[];
  zone: string;
  /** The languages of who buys the goods, in their order on the label. */
  languages: readonly PackedWords[];
}

/** The address of the labels with one more language, or without it where they have it; one stays. */
function languagesWith(languages: readonly PackedWords[], changed: Language): string {
  const chosen = languages.map(({ language }) => language);
  const others = chosen.filter((one) => one !== changed);
  const next = chosen.includes(changed) && others.length > 0 ? others : [...others, changed];
  return next.map((language) => `language=${language}`).join('&');
}

/** Labels of a dough's goods: in the size of the house's labels, as many as are needed, as they will be printed. */
export function LabelsView({ dough, labels, zone, languages }: Props) {
  const say = useWords();
  const says = usePrintedWords(languages);
  const [size, setSize] = useState<LabelSize>('wide');
  const [typed, setTyped] = useState<Record<number, string>>({});
  const lines = labels.map((label) => {
    const text = typed[label.outputId] ?? String(usualCount(label));
    return { label, text, count: countOf(text) };
  });
  const total = lines.reduce((sum, { count }) => sum + (count ?? 0), 0);
  return (
    <main className="p-5 print:p-0">
      <div className="mb-5 flex flex-wrap items-end gap-4 print:hidden">
        <h1 className="mr-auto text-3xl font-bold">{say('labels.labelsOf', { dough: dough.name })}</h1>
        <nav aria-label={say('labels.language')} className="flex gap-2">
          {LANGUAGES.map((language) => (
            <a
              key={language}
              lang={language}
              href={`/dough/${dough.id}/labels?${languagesWith(languages, language)}`}
              aria-current={languages.some((one) => one.language === language) ? 'true' : undefined}
              className="grid min-h-14 place-items-center rounded border border-edge bg-flour px-4 text-lg aria-[current]:border-2 aria-[current]:border-ink aria-[current]:font-bold"
            >
              {LANGUAGE_NAMES[language]}
            </a>
          ))}
        </nav>
        <Choice
          label={say('labels.size')}
          value={size}
          options={LABEL_SIZES.map((id) => ({ id, name: say('labels.sizes', { size: id }) }))}
          onChoose={(id) => setSize(LABEL_SIZES.find((one) => one === id) ?? 'wide')}
        />
        <Button
          look="act"
          floor
          className="flex items-center gap-2"
          disabled={total === 0 || lines.some(({ count }) => count === null)}
          onClick={() => window.print()}
        >
          <Printer aria-hidden size={22} />
          {say('labels.print', { count: total })}
        </Button>
        <a
          href={`/dough/${dough.id}`}
          className="grid min-h-14 place-items-center rounded border border-edge bg-flour px-5 text-xl"
        >
          {say('labels.dough')}
        </a>
      </div>
      <p className="mb-4 max-w-3xl text-quiet print:hidden">{say('labels.order')}</p>
      <ul className="grid grid-cols-[minmax(0,1fr)] gap-6 print:hidden">
        {lines.map(({ label, text, count }) => (
          <li key={label.outputId} className="flex flex-wrap items-start gap-6">
            <div className="relative max-w-full overflow-x-auto">
              <LabelFace {...{ label, size, zone, says }} />
            </div>
            <div className="grid w-64 gap-2">
              <Field
                label={say('labels.howMany', { product: say.inLine(label.product) })}
                value={text}
                inputMode="numeric"
                trouble={count === null ? say('labels.wholeNumber', { most: MOST }) : null}
                onType={(next) => setTyped({ ...typed, [label.outputId]: next })}
              />
              {!label.isMade && <p className="text-quiet">{say('labels.planned')}</p>}
              {label.undeclared.length > 0 && (
                <p className="border-l-4 border-warn pl-3 font-semibold text-warn">
                  {say('labels.incomplete', {
                    undeclared: label.undeclared.map((name) => say.named(name)).join(', '),
                  })}
                </p>
              )}
            </div>
          </li>
        ))}
      </ul>
      <div aria-hidden className={`hidden print:block labels-${size}`}>
        {lines.flatMap(({ label, count }) =>
          Array.from({ length: count ?? 0 }, (_, nth) => (
            <LabelFace key={`${label.outputId} ${nth}`} {...{ label, size, zone, says }} />
          )),
        )}
      </div>
    </main>
  );
}
