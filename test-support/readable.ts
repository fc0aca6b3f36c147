/** A text of a page that cannot be read: cut off by what it is in, beside the page, or under another text. */
export interface Unread {
  how: 'cut' | 'outside' | 'overlaid';
  text: string;
  /** What lies over it, or cuts it. */
  by: string;
}

/**
 * What cannot be read of a page as it is shown; runs in the page, as its own text. What is meant for a screen reader alone,
 * or is scrolled to, can be read.
 */
export function unreadTexts(): Unread[] {
  /** Letters have room above and below that is empty: boxes may touch, px. */
  const TOUCH = 3;
  const found: Unread[] = [];
  const words = (text: string | null) => (text ?? '').replace(/\s+/g, ' ').trim().slice(0, 60);
  const isForReaders = (element: Element): boolean =>
    element.closest('.sr-only, [aria-hidden=true]:not(svg *), noscript, option, datalist, title, desc') !==
    null;
  const shown = (element: Element): boolean =>
    element.checkVisibility({ opacityProperty: true, visibilityProperty: true });
  /** What cuts a box off; `scrolled` where its surroundings scroll to it. */
  const cutBy = (element: Element, box: DOMRect): Element | 'scrolled' | null => {
    for (
      let around: Element | null = element;
      around && around !== document.body;
      around = around.parentElement
    ) {
      const { overflowX, overflowY, position } = getComputedStyle(around);
      if (overflowX === 'visible' && overflowY === 'visible') continue;
      const isSvg = around instanceof SVGSVGElement;
      if (isSvg && getComputedStyle(around).overflow === 'visible') continue;
      const room = around.getBoundingClientRect();
      // For a screen reader alone.
      if (room.width <= 2) return 'scrolled';
      const scrolls = (overflow: string) => overflow === 'auto' || overflow === 'scroll';
      const wide = box.left < room.left - 1 || box.right > room.right + 1;
      const high = box.top < room.top - TOUCH || box.bottom > room.bottom + TOUCH;
      if ((wide && scrolls(overflowX)) || (high && scrolls(overflowY))) return 'scrolled';
      if ((wide && overflowX !== 'visible') || (high && overflowY !== 'visible')) return around;
      if (position === 'fixed') break;
    }
    return null;
  };
  const boxes: { text: string; box: DOMRect; element: Element; node: Node }[] = [];
  const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
    const element = node.parentElement;
    const text = words(node.textContent);
    if (!element || text === '' || isForReaders(element) || !shown(element)) continue;
    if (['SCRIPT', 'STYLE', 'TEXTAREA'].includes(element.tagName)) continue;
    const range = document.createRange();
    range.selectNodeContents(node);
    for (const box of range.getClientRects()) {
      if (box.width < 2 || box.height < 2) continue;
      const cutter = cutBy(element, box);
      if (cutter === 'scrolled') continue;
      if (cutter) found.push({ how: 'cut', text, by: words(cutter.tagName + ' ' + cutter.className) });
      else boxes.push({ text, box, element, node });
    }
  }
  // A column that is narrower than a word shows no scroll bar: the word only runs out of it.
  if (document.documentElement.scrollWidth > innerWidth + 1)
    for (const { text, box } of boxes)
      if (box.right > innerWidth + 1) found.push({ how: 'outside', text, by: String(Math.round(box.right)) });
  const layerOf = (element: Element) => element.closest('[role=dialog], [data-radix-popper-content-wrapper]');
  boxes.sort((a, b) => a.box.top - b.box.top);
  for (const [i, one] of boxes.entries())
    for (let j = i + 1; j < boxes.length; j++) {
      const other = boxes[j];
      if (!other || other.box.top > one.box.bottom - TOUCH) break;
      const across =
        Math.min(one.box.right, other.box.right) - Math.max(one.box.left, other.box.left) > TOUCH &&
        Math.min(one.box.bottom, other.box.bottom) - Math.max(one.box.top, other.box.top) > TOUCH;
      if (!across || one.node === other.node || layerOf(one.element) !== layerOf(other.element)) continue;
      found.push({ how: 'overlaid', text: other.text, by: one.text });
    }
  return found;
}

/** Whatever is tapped on a floor's screen and is lower than a knuckle needs, px; runs in the page, as its own text. */
export function smallTargets(): string[] {
  const KNUCKLE = 56;
  return [...document.querySelectorAll('main button, main a, main select, main input')]
    .filter((element) => element.checkVisibility() && element.closest('.sr-only') === null)
    .map((element) => ({ element, height: Math.round(element.getBoundingClientRect().height) }))
    .filter(({ height }) => height > 0 && height < KNUCKLE)
    .map(({ element, height }) => `${(element.textContent || element.tagName).slice(0, 40)}: ${height}`);
}
