const PAGES = [
  { href: '/lamination', name: 'Lamination' },
  { href: '/cutting', name: 'Cut plan' },
  { href: '/fillings', name: 'Fillings and shapes' },
];

/** The second day's work: layers, what is cut from them, what goes in and how it is made up. */
export function Tabs({ at }: { at: string }) {
  return (
    <nav aria-label="Layers and cuts" className="flex items-baseline gap-5 print:hidden">
      {PAGES.map(({ href, name }) =>
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
