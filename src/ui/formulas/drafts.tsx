'use client';

import { useWords } from '../kit/words';
import { useSyncExternalStore } from 'react';
import { allUnsaved } from './unsaved';

const neverTold = () => () => undefined;

/** Formulas that were begun or changed on this device and not kept yet: amounts may still be missing. */
export function Drafts() {
  const say = useWords();
  // Only the browser knows them; as text they are the same as long as nothing changes.
  const text = useSyncExternalStore(
    neverTold,
    () => JSON.stringify(allUnsaved()),
    () => '[]',
  );
  const drafts = JSON.parse(text) as ReturnType<typeof allUnsaved>;
  if (drafts.length === 0) return null;
  return (
    <section aria-label={say('formulas.drafts')} className="mb-4 border-l-4 border-butter pl-3 text-[17px]">
      <h2 className="font-semibold">{say('formulas.draftsOnThisDeviceNot')}</h2>
      <ul>
        {drafts.map(({ formulaId, name }) => (
          <li key={formulaId ?? 'new'}>
            <a href={`/formulas/${formulaId ?? 'new'}`} className="underline underline-offset-4">
              {name.trim() || say('formulas.aNewFormulaWithoutA')}
            </a>
          </li>
        ))}
      </ul>
    </section>
  );
}
