import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
import type { Person } from '@/core/bakery/people';

/** Somebody of the house, and whether their shift is on. */
export type Somebody = Pick<Person, 'id' | 'name' | 'role' | 'team'> & { here?: boolean };

const roleWords = (say: Say): Record<Person['role'], string | null> => ({
  planner: say('signIn.planner'),
  baker: null,
  helper: say('signIn.helper'),
  viewer: say('signIn.aScreenOnTheWall'),
});

/** Everybody of the house, big enough for a knuckle. */
export function Names({
  people,
  who,
  onChoose,
}: {
  people: readonly Somebody[];
  who: Somebody | null;
  onChoose: (person: Somebody) => void;
}) {
  const say = useWords();
  return (
    <div className="grid content-start gap-3 sm:grid-cols-2">
      {people.map((person) => (
        <button
          key={person.id}
          type="button"
          aria-pressed={who?.id === person.id}
          onClick={() => onChoose(person)}
          className="flex min-h-18 items-center justify-between rounded border border-edge bg-flour px-5 text-left aria-pressed:border-ink aria-pressed:bg-ink aria-pressed:text-ground"
        >
          <span>
            <span className="block text-2xl font-semibold">{person.name}</span>
            <span className="text-base opacity-80">{roleWords(say)[person.role] ?? person.team}</span>
          </span>
          {person.here && <span className="text-base opacity-80">{say('signIn.onShift')}</span>}
        </button>
      ))}
    </div>
  );
}
