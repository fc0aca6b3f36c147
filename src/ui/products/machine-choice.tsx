'use client';

import { machinesOf, type MachineKind } from '@/core/bakery/machines';
import type { MakingBakery } from '@/core/process/product-faults';
import { Choice } from '../kit/field';
import { useWords } from '../kit/words';

interface Props {
  kind: MachineKind;
  machines: MakingBakery['machines'];
  /** Those that may be used, the preferred first; none for any. */
  only: readonly string[];
  onChange: (only: string[]) => void;
}

/** Which of several machines of a kind may be used, and which is preferred; nothing where the bakery has one of it at most. */
export function MachineChoice({ kind, machines, only, onChange }: Props) {
  const say = useWords();
  const able = machinesOf(kind, machines);
  if (able.length < 2) return null;
  const allowed = only.length > 0 ? only.filter((id) => able.some((one) => one.id === id)) : [];
  const isOn = (id: string) => allowed.length === 0 || allowed.includes(id);
  const toggle = (id: string) => {
    const all = able.map((one) => one.id).filter((one) => (one === id ? !isOn(id) : isOn(one)));
    const inOrder = [
      ...allowed.filter((one) => all.includes(one)),
      ...all.filter((one) => !allowed.includes(one)),
    ];
    const isAny = all.length === able.length && allowed.length === 0;
    onChange(isAny || all.length === 0 ? [] : inOrder);
  };
  const prefer = (id: string) => {
    const rest = able.map((one) => one.id).filter((one) => isOn(one) && one !== id);
    onChange(id === '' ? (rest.length === able.length ? [] : rest) : [id, ...rest]);
  };
  return (
    <div className="col-span-full grid items-end gap-3 sm:grid-cols-3">
      <fieldset className="sm:col-span-2">
        <legend className="text-[15px]">{say('product.mayUse')}</legend>
        <div className="flex flex-wrap gap-x-4">
          {able.map(({ id, label }) => (
            <label key={id} className="flex min-h-8 items-center gap-1 text-[15px]">
              <input type="checkbox" className="size-5" checked={isOn(id)} onChange={() => toggle(id)} />
              {say.named(label)}
            </label>
          ))}
        </div>
      </fieldset>
      <Choice
        label={say('product.preferred')}
        value={allowed[0] ?? ''}
        options={[
          { id: '', name: say('product.noPreference') },
          ...able.filter(({ id }) => isOn(id)).map(({ id, label }) => ({ id, name: say.named(label) })),
        ]}
        onChoose={prefer}
      />
    </div>
  );
}
