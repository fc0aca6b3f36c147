import { titled } from '../../titled';
import { pool } from '@/server/db/pool';
import { housePage } from '@/server/house-page';
import { board } from '@/server/store/board';
import { places } from '@/server/store/places';
import { roomDays, weatherUntil } from '@/server/store/room-outlook';
import { WordsOf } from '@/app/words-of';
import { RoomsView } from '@/ui/rooms/rooms-view';

export const generateMetadata = titled('titles.rooms');

export default async function RoomsPage() {
  const { person, now } = await housePage('/rooms');
  const db = pool();
  const [known, doughs, told, until] = await Promise.all([
    places(db, now),
    board(db, now, 0),
    roomDays(db, now),
    weatherUntil(db, now),
  ]);
  return (
    <WordsOf
      areas={[
        'cutting',
        'drift',
        'files',
        'heat',
        'lamination',
        'names',
        'racks',
        'remarks',
        'rooms',
        'shaping',
        'steps',
      ]}
    >
      <RoomsView places={known} board={doughs} person={person} ahead={{ told, weatherUntil: until }} />
    </WordsOf>
  );
}
