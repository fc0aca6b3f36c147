'use client';

import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { settingQuantity } from '@/core/bakery/settings';
import { coded } from '@/core/codes/coded';
import { SET_UP_PARTS, type SetUpPart } from '@/core/exchange/set-up-parts';
import type { SetUpPreview } from '@/core/wire/set-up-preview';
import type { MessageKey } from '@/words/message';
import { Button } from '../kit/button';
import { FileIn } from '../kit/file-in';
import { Sheet } from '../kit/sheet';
import { useWords } from '../kit/words';
import { send, workOut } from '../live/command';

/** Longest file that is read, characters. */
const LONGEST = 1_000_000;

const PART_NAMES: Record<SetUpPart, MessageKey> = {
  ...{ places: 'setup.partPlaces', machines: 'setup.partMachines', people: 'setup.partPeople' },
  ...{ values: 'setup.partValues', products: 'setup.partProducts' },
};

/** Reads a set-up from a file, shows what it would bring part by part, and takes over the parts that are ticked. */
export function ReadSetUp({ onClose }: { onClose: () => void }) {
  const say = useWords();
  const router = useRouter();
  const [text, setText] = useState('');
  const [preview, setPreview] = useState<SetUpPreview | null>(null);
  const [left, setLeft] = useState<readonly SetUpPart[]>([]);
  const [trouble, setTrouble] = useState<string | null>(null);
  useEffect(() => {
    if (text.trim() === '') return;
    let isOver = false;
    void workOut('/api/setup/read', { text }).then((answer) => {
      if (isOver) return;
      setPreview(answer.ok ? (answer.result as SetUpPreview) : null);
      setTrouble(answer.ok ? null : answer.message);
      setLeft([]);
    });
    return () => {
      isOver = true;
    };
  }, [text]);
  const offered = preview ? SET_UP_PARTS.filter((part) => countOf(preview, part) > 0) : [];
  const parts = offered.filter((part) => !left.includes(part));
  const take = async () => {
    const answer = await send('take-set-up', { text, parts });
    if (!answer.ok) return setTrouble(answer.message);
    router.refresh();
    onClose();
  };
  return (
    <Sheet open onOpenChange={onClose} title={say('setup.readASetUp')}>
      <div className="grid gap-4">
        <p>
          {say.rich('setup.filesHaveThisForm', {
            a: (words) => (
              <a className="underline" href="/schemas/set-up.schema.json">
                {words}
              </a>
            ),
          })}
        </p>
        <FileIn
          label={say('setup.fileOfASetUp')}
          accept=".json,application/json"
          longest={LONGEST}
          {...{ text, trouble }}
          onText={setText}
        />
        {preview && (
          <Brings
            {...{ preview, offered, left }}
            onToggle={(part) =>
              setLeft(left.includes(part) ? left.filter((one) => one !== part) : [...left, part])
            }
          />
        )}
        {preview && (
          <Button
            look="act"
            className="min-h-11 justify-self-start"
            disabled={parts.length === 0}
            onClick={() => void take()}
          >
            {say('setup.takeOver', { name: preview.name })}
          </Button>
        )}
      </div>
    </Sheet>
  );
}

const countOf = ({ brings, values }: SetUpPreview, part: SetUpPart) =>
  part === 'values' ? values.length : brings[part].length;

interface BringsProps {
  preview: SetUpPreview;
  offered: readonly SetUpPart[];
  left: readonly SetUpPart[];
  onToggle: (part: SetUpPart) => void;
}

function Brings({ preview, offered, left, onToggle }: BringsProps) {
  const say = useWords();
  const { brings, keepsOwn, values } = preview;
  const wordsOf = (part: SetUpPart) =>
    part === 'values'
      ? values
          .map(({ name, was, becomes }) =>
            say.coded(
              coded('setup.valueChange', {
                value: coded(`settings.${name}`),
                ...{ was: settingQuantity(name, was), becomes: settingQuantity(name, becomes) },
              }),
            ),
          )
          .join('; ')
      : brings[part].join(', ');
  return (
    <div>
      {offered.length === 0 && <p className="text-lg">{say('setup.bringsNothing')}</p>}
      <ul>
        {offered.map((part) => (
          <li key={part}>
            <label className="flex min-h-11 items-start gap-2 border-b border-hairline py-1.5">
              <input
                type="checkbox"
                className="mt-0.5 size-5 flex-none"
                checked={!left.includes(part)}
                onChange={() => onToggle(part)}
              />
              <span>
                <span className="font-semibold">
                  {say(PART_NAMES[part], { count: countOf(preview, part) })}
                </span>{' '}
                <span className="text-quiet">{wordsOf(part)}</span>
              </span>
            </label>
          </li>
        ))}
      </ul>
      {offered.includes('people') && <p className="text-[15px]">{say('setup.peopleNeedPins')}</p>}
      {keepsOwn.length > 0 && (
        <p className="text-[15px] text-quiet">{say('setup.staysAsItIs', { names: keepsOwn.join(', ') })}</p>
      )}
    </div>
  );
}
