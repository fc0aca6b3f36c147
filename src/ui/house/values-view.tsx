'use client';

import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { SETTING_GROUPS, type SettingGroup } from '@/core/bakery/setting-groups';
import { type SettingName, type Settings, SETTINGS } from '@/core/bakery/settings';
import type { Allergen } from '@/core/formula/ingredient';
import { Button } from '../kit/button';
import { Field } from '../kit/field';
import { useWords } from '../kit/words';
import { send } from '../live/command';
import { useUnits } from '../live/units';
import { ApartChoice } from './apart-choice';
import { settingUnitName } from '@/words/code-names';
import { settingUnits } from './setting-units';

interface Props {
  settings: Settings;
  changes: Partial<Record<SettingName, { by: string; at: number }>>;
  zone: string;
  apart: readonly Allergen[];
}

const GROUP_KEYS = {
  readings: 'setup.readings',
  planning: 'setup.planning',
  stock: 'setup.stock',
  calls: 'setup.calls',
  mixing: 'setup.mixing',
  formulas: 'setup.formulas',
  lamination: 'setup.lamination',
  layers: 'setup.layers',
  ovenAndTablets: 'setup.ovenAndTablets',
} as const satisfies Record<SettingGroup, `setup.${string}`>;

/** Every value that the house reckons with: what it means, its unit and range, and who set it. */
export function ValuesView({ settings, changes, zone, apart }: Props) {
  const say = useWords();
  const groups = Object.keys(SETTING_GROUPS) as SettingGroup[];
  return (
    <main className="mx-auto grid w-full max-w-7xl gap-x-10 gap-y-6 p-4 lg:grid-cols-2">
      <h1 className="text-3xl font-bold lg:col-span-2">{say('setup.values')}</h1>
      {groups.map((group) => (
        <section key={group} aria-label={say(GROUP_KEYS[group])}>
          <h2 className="border-b border-edge pb-1 text-xl font-bold">{say(GROUP_KEYS[group])}</h2>
          <ul>
            {SETTING_GROUPS[group].map((name) => (
              <ValueRow
                key={`${name} ${settings[name]}`}
                name={name}
                value={settings[name]}
                change={changes[name] ?? null}
                zone={zone}
              />
            ))}
          </ul>
        </section>
      ))}
      <ApartChoice apart={apart} />
    </main>
  );
}

interface RowProps {
  name: SettingName;
  value: number;
  change: { by: string; at: number } | null;
  zone: string;
}

/** One value: typed over and kept, or as usual again. */
function ValueRow({ name, value, change, zone }: RowProps) {
  const say = useWords();
  const router = useRouter();
  const { usual, least, most } = SETTINGS[name];
  const [units] = useUnits();
  const { unit: own, show, read } = settingUnits(name, units);
  const unit = settingUnitName(say, own);
  const [typed, setText] = useState<string | null>(null);
  const text = typed ?? show(value);
  const [trouble, setTrouble] = useState<string | null>(null);
  const keep = async (next: string | null) => {
    const answer = await send('set-value', {
      name,
      value: next === null ? null : (read(next) ?? next),
    });
    setTrouble(answer.ok ? null : answer.message);
    if (answer.ok) router.refresh();
  };
  const label = say(`settings.${name}`);
  return (
    <li className="border-b border-hairline py-2">
      <form
        className="grid grid-cols-[1fr_12rem] items-start gap-x-4"
        onSubmit={(event) => {
          event.preventDefault();
          void keep(text);
        }}
      >
        <div>
          <p className="text-[17px] font-semibold">{label}</p>
          <p className="text-[15px] text-quiet">
            {say('setup.usualFromTo', {
              usual: `${show(usual)} ${unit}`.trim(),
              least: show(least),
              most: show(most),
            })}
            {change && `; ${say('setup.changedBy', { by: change.by, day: say.dayMonth(change.at, zone) })}`}
          </p>
        </div>
        <div className="grid grid-cols-[6rem_1fr] items-start gap-2">
          <Field
            label={
              <span className="sr-only">{unit ? say('setup.valueIn', { setting: label, unit }) : label}</span>
            }
            inputMode="decimal"
            value={text}
            trouble={trouble}
            onType={setText}
          />
          <span className="min-w-0 pt-3 text-[15px] break-words text-quiet">{unit}</span>
        </div>
        {(text !== show(value) || value !== usual) && (
          <div className="col-span-2 mt-1 flex justify-end gap-2">
            {value !== usual && (
              <Button look="quiet" onClick={() => void keep(null)}>
                {say('setup.asUsual')}
              </Button>
            )}
            {text !== show(value) && (
              <Button look="act" type="submit">
                {say('setup.keep')}
              </Button>
            )}
          </div>
        )}
      </form>
    </li>
  );
}
