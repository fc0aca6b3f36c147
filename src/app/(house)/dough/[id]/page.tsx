import { titled } from '../../../titled';
import { notFound } from 'next/navigation';
import { doughBoard } from '@/server/dough-board';
import { housePage } from '@/server/house-page';
import { WordsOf } from '@/app/words-of';
import { DoughView } from '@/ui/dough/dough-view';

export const generateMetadata = titled('titles.dough');

export default async function DoughPage({ params }: { params: Promise<{ id: string }> }) {
  const { person, now } = await housePage('/dough/[id]');
  const board = await doughBoard((await params).id, now);
  if (!board) notFound();
  return (
    <WordsOf
      areas={[
        'bench',
        'cutting',
        'dough',
        'drift',
        'heat',
        'lamination',
        'names',
        'racks',
        'remarks',
        'rooms',
        'schemes',
        'scrap',
        'shaping',
        'steps',
        'thread',
        'turns',
      ]}
    >
      <DoughView board={board} person={person} />
    </WordsOf>
  );
}
