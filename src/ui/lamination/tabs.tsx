const PAGES = [
  { href: '/lamination', name: 'Lamination' },
  { href: '/cutting', name: 'Cut plan' },
];

/** The two halves of the second day's work: layers, and what is cut from them. */
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
