import { notFound } from 'next/navigation';
import { maySee } from '@/core/shopfloor/rights';
import { titled } from '../../../titled';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { readPaperAsk } from '@/server/paper-ask';
import { house } from '@/server/store/house';
import { paperOf } from '@/server/store/papers';
import { WordsOf } from '@/app/words-of';
import { PaperView } from '@/ui/papers/paper-view';

export const generateMetadata = titled('titles.papers');

interface Asked {
  params: Promise<{ kind: string }>;
  searchParams: Promise<{ day?: string | string[] }>;
}

export default async function PaperPage({ params, searchParams }: Asked) {
  const { person, now } = await housePage('/papers/[kind]');
  const db = pool();
  const [{ kind }, { day }, { zone, name }] = await Promise.all([params, searchParams, house(db)]);
  const ask = readPaperAsk(kind, typeof day === 'string' ? day : null, { now, zone });
  const mayDeliver = maySee(person, '/orders');
  if (!ask || (ask.kind === 'deliveries' && !mayDeliver)) notFound();
  const paper = await paperOf(db, ask.kind, { from: ask.from, now, zone });
  return (
    <WordsOf areas={['cutting', 'heat', 'lamination', 'names', 'papers', 'shaping', 'steps']}>
      <PaperView {...{ paper, zone, now, name, mayDeliver }} day={ask.day} from={ask.from} />
    </WordsOf>
  );
}
