import { notFound, redirect } from 'next/navigation';
import { SITUATION_WORDS } from '@/core/practice/situation-words';
import type { SituationId } from '@/core/practice/situation';
import { mayDo } from '@/core/shopfloor/rights';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { nightById, ownSituations, type KeptNight } from '@/server/store/practice';
import { wordsHere } from '@/server/reader';
import { WordsOf } from '@/app/words-of';
import { NightScreen } from '@/ui/practice/night-screen';
import type { NightChoice } from '@/ui/practice/open-night';
import { ReviewView } from '@/ui/practice/review-view';
import { titled } from '../../../titled';

export const generateMetadata = titled('titles.practice');

/** What it takes to practise the same again. */
function choiceOf({ situation }: KeptNight): NightChoice {
  const [kind = '', number = '0', stepKey = ''] = situation.split(' ');
  if (kind === 'own') return { own: Number(number) };
  return kind === 'batch' ? { doughId: Number(number), stepKey } : { ships: situation as SituationId };
}

export default async function NightPage({ params }: { params: Promise<{ id: string }> }) {
  const { person } = await housePage('/practice/[id]');
  const id = Number((await params).id);
  const night = Number.isSafeInteger(id) && id > 0 ? await nightById(pool(), id) : null;
  if (!night) notFound();
  // Somebody else's night is for those who plan them to look back at.
  const isOwn = night.personId === person.id;
  if (!isOwn && !mayDo(person, 'save-situation')) redirect('/practice');
  const say = await wordsHere();
  const words = SITUATION_WORDS[night.situation as SituationId] as
    (typeof SITUATION_WORDS)[SituationId] | undefined;
  const name = night.name ?? (words ? say.coded(words.name) : '');
  const own = (await ownSituations(pool())).find((one) => night.situation === `own ${one.id}`);
  return (
    <WordsOf
      areas={[
        'bench',
        'causes',
        'cutting',
        'faults',
        'floor',
        'heat',
        'lamination',
        'names',
        'practice',
        'racks',
        'remarks',
        'shaping',
        'steps',
        'thread',
        'turns',
      ]}
    >
      {night.endedAt === null && isOwn ? (
        <NightScreen
          {...{ id, name, person }}
          brief={words ? say.coded(words.brief) : (own?.brief ?? '')}
          scene={night.scene}
          record={night.record}
        />
      ) : (
        <ReviewView
          {...{ name }}
          by={night.person}
          openedAt={night.openedAt}
          scene={night.scene}
          record={night.record}
          again={choiceOf(night)}
        />
      )}
    </WordsOf>
  );
}
