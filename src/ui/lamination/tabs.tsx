import { useWords } from '../kit/words';
import type { Say } from '@/words/say';
const pagesWords = (say: Say) => [
  { href: '/lamination', name: say('schemes.lamination') },
  { href: '/cutting', name: say('schemes.cutPlan') },
  { href: '/fillings', name: say('schemes.fillingsAndShapes') },
];

/** The second day's work: layers, what is cut from them, what goes in and how it is made up. */
export function Tabs({ at }: { at: string }) {
  const say = useWords();
  return (
    <nav
      aria-label={say('schemes.layersAndCuts')}
      className="flex flex-wrap items-baseline gap-x-5 print:hidden"
    >
      {pagesWords(say).map(({ href, name }) =>
        href === at ? (
          <h1 key={href} className="text-3xl font-bold">
            {name}
          </h1>
        ) : (
          <a
            key={href}
            href={href}
            className="grid min-h-11 place-items-center text-2xl text-quiet underline-offset-4 hover:underline"
          >
            {name}
          </a>
        ),
      )}
    </nav>
  );
}
