'use client';

import { stageName } from '@/words/code-names';
import { useWords } from '../kit/words';
import { useState } from 'react';
import { readFormulaCsv } from '@/core/exchange/formula-csv';
import { readFormulaJson } from '@/core/exchange/formula-json';
import type { ReadFormula } from '@/core/exchange/read';
import { readRecipe } from '@/core/exchange/recipe';
import { readDraft } from '@/core/formula/draft';
import type { IngredientBook } from '@/core/formula/ingredient';
import type { Kitchen } from '@/core/units/measures';
import { Button } from '../kit/button';
import { FileIn } from '../kit/file-in';
import { Sheet } from '../kit/sheet';

interface Props {
  open: boolean;
  onOpenChange: (open: boolean) => void;
  book: IngredientBook;
  kitchen: Kitchen;
  onTake: (read: ReadFormula) => void;
}

/** Longest text that is read as a formula, characters. */
const LONGEST_FORMULA = 500_000;

/** By what it begins with: a formula file, a schema.org recipe, or a table. */
function readAny(text: string): ReadFormula {
  if (!/^\s*[[{]/.test(text)) return readFormulaCsv(text);
  return text.includes('"@type"') || text.includes('"@graph"') ? readRecipe(text) : readFormulaJson(text);
}

/** Reads a formula from a file, shows what is in it and what is wrong, and fills the rows when it is taken. */
export function ReadIn(props: Props) {
  const say = useWords();
  return (
    <Sheet open={props.open} onOpenChange={props.onOpenChange} title={say('formulas.readAFormulaIn')}>
      <ReadInForm {...props} />
    </Sheet>
  );
}

function ReadInForm({ onOpenChange, book, kitchen, onTake }: Props) {
  const say = useWords();
  const [text, setText] = useState('');
  const read = text.trim() === '' ? null : readAny(text);
  const rows = read?.draft.stages.flatMap(({ kind, rows: of }) => of.map((row) => ({ kind, ...row }))) ?? [];
  const unknown = read
    ? readDraft(read.draft, { book, kitchen, language: say.language }).faults.filter(
        ({ field }) => field === 'name',
      )
    : [];
  return (
    <div className="grid gap-4">
      <p>
        {say.rich('formulas.jSONCSVOrASchema', {
          a: (words) => (
            <a className="underline" href="/schemas/formula.schema.json">
              {words}
            </a>
          ),
        })}
      </p>
      <FileIn
        label={say('common.fileToRead')}
        accept=".json,.csv,.jsonld,application/json,text/csv"
        longest={LONGEST_FORMULA}
        text={text}
        onText={setText}
      />
      {read && read.faults.length > 0 && (
        <ul role="alert" aria-label={say('formulas.faults')} className="text-warn">
          {read.faults.slice(0, 20).map(({ line, message }) => (
            <li key={`${line}${say.coded(message)}`}>
              {say('common.line', { line, message: say.coded(message) })}
            </li>
          ))}
        </ul>
      )}
      {rows.length > 0 && (
        <div>
          <h3 className="text-lg font-semibold">{read?.name || say('formulas.withoutAName')}</h3>
          <ul className="max-h-48 overflow-y-auto">
            {rows.map(({ kind, name, amount }, i) => (
              <li key={i} className="flex justify-between border-b border-hairline">
                <span>
                  {name} <span className="text-[15px] text-quiet">{stageName(say, kind)}</span>
                </span>
                <span>{amount}</span>
              </li>
            ))}
          </ul>
          {unknown.length > 0 && (
            <p className="mt-2 text-quiet">{say('formulas.ofThemTheHouseDoes', { count: unknown.length })}</p>
          )}
        </div>
      )}
      <div className="flex justify-end">
        <Button
          look="act"
          className="min-h-11"
          disabled={rows.length === 0}
          onClick={() => {
            if (read) onTake(read);
            onOpenChange(false);
          }}
        >
          {say('formulas.takeRows', { count: rows.length })}
        </Button>
      </div>
    </div>
  );
}
