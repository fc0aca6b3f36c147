/** One layer of a pile: fat or dough, and its share of the thickness of the whole. */
export interface Layer {
  fat: boolean;
  share: number;
}

/** How many layers there are of each share. */
export type Sizes = ReadonlyMap<number, number>;

/**
 * A pile of dough and fat from bottom to top, kept as the folds made it and not layer by layer: ten book folds are a
 * million layers of fat, but only ten piles of four. What is needed of the layers between the outer two is how many there
 * are of each thickness; the outer two are kept by themselves, since they merge with what they come to lie on.
 */
export interface Pile {
  share: number;
  fatShare: number;
  bottom: Layer;
  top: Layer;
  /** The whole pile is one layer: `bottom` and `top` are the same. */
  single: boolean;
  fat: Sizes;
  dough: Sizes;
  /** What it was put together from; none for a single layer. */
  parts: readonly Part[];
}

/** A pile within a pile: perhaps turned over, and thinned by `thin`. */
export interface Part {
  pile: Pile;
  turned: boolean;
  thin: number;
}

/** A pile of one layer. */
export function layerPile(layer: Layer): Pile {
  return {
    share: layer.share,
    fatShare: layer.fat ? layer.share : 0,
    ...{ bottom: layer, top: layer, single: true, fat: new Map(), dough: new Map(), parts: [] },
  };
}

/** Lays piles on each other from bottom to top; where like meets like they become one layer. */
export function joined(parts: readonly Part[]): Pile {
  const inner = { fat: new Map<number, number>(), dough: new Map<number, number>() };
  let bottom: Layer | null = null;
  let open: Layer | null = null;
  const close = (layer: Layer) => {
    if (bottom === null) bottom = layer;
    else count(layer.fat ? inner.fat : inner.dough, layer.share, 1);
  };
  for (const { pile, turned, thin } of parts) {
    const thinned = ({ fat, share }: Layer): Layer => ({ fat, share: share * thin });
    const [first, last] = turned
      ? [thinned(pile.top), thinned(pile.bottom)]
      : [thinned(pile.bottom), thinned(pile.top)];
    const under = open;
    const met: Layer =
      under?.fat === first.fat ? { fat: first.fat, share: under.share + first.share } : first;
    if (under && met === first) close(under);
    if (pile.single) {
      open = met;
      continue;
    }
    close(met);
    for (const [share, times] of pile.fat) count(inner.fat, share * thin, times);
    for (const [share, times] of pile.dough) count(inner.dough, share * thin, times);
    open = last;
  }
  const top = open;
  if (top === null) throw new RangeError('A pile has at least one layer.');
  return {
    share: parts.reduce((sum, { pile, thin }) => sum + pile.share * thin, 0),
    fatShare: parts.reduce((sum, { pile, thin }) => sum + pile.fatShare * thin, 0),
    bottom: bottom ?? top,
    top,
    single: bottom === null,
    ...inner,
    parts,
  };
}

/** Twelve digits tell layers apart; what differs beyond that is rounding, and the layers are alike. */
function count(sizes: Map<number, number>, share: number, times: number): void {
  const key = Number(share.toPrecision(12));
  sizes.set(key, (sizes.get(key) ?? 0) + times);
}

/** All layers of one kind by their share, the outer ones included. */
export function sizesOf(pile: Pile, fat: boolean): Sizes {
  const sizes = new Map(fat ? pile.fat : pile.dough);
  if (pile.bottom.fat === fat) count(sizes, pile.bottom.share, 1);
  if (!pile.single && pile.top.fat === fat) count(sizes, pile.top.share, 1);
  return sizes;
}

/** A layer with its place in the pile, in shares of the whole counted from the bottom. */
export interface PlacedLayer {
  fat: boolean;
  from: number;
  to: number;
}

/**
 * The layers that reach into a window, from bottom to top; null where there are more than `most`. The first and last
 * may be cut where a part of the pile ends outside the window.
 */
export function layersBetween(pile: Pile, from: number, to: number, most: number): PlacedLayer[] | null {
  const found: PlacedLayer[] = [];
  const visit = (part: Pile, base: number, thin: number, turned: boolean): boolean => {
    const end = base + part.share * thin;
    if (end <= from || base >= to) return true;
    if (part.parts.length === 0) {
      const last = found.at(-1);
      if (last?.fat === part.bottom.fat) last.to = end;
      else found.push({ fat: part.bottom.fat, from: base, to: end });
      return found.length <= most;
    }
    let at = base;
    for (const inner of turned ? [...part.parts].reverse() : part.parts) {
      const height = thin * inner.thin;
      if (!visit(inner.pile, at, height, turned !== inner.turned)) return false;
      at += inner.pile.share * height;
    }
    return true;
  };
  return visit(pile, 0, 1, false) ? found : null;
}

/** Fat within a window, in shares of the whole: what a part of the section looks like where layers are too thin to draw. */
export function fatBetween(pile: Pile, from: number, to: number): number {
  const visit = (part: Pile, base: number, thin: number, turned: boolean): number => {
    const end = base + part.share * thin;
    if (end <= from || base >= to) return 0;
    if (base >= from && end <= to) return part.fatShare * thin;
    if (part.parts.length === 0) return part.bottom.fat ? Math.min(end, to) - Math.max(base, from) : 0;
    let [at, fat] = [base, 0];
    for (const inner of turned ? [...part.parts].reverse() : part.parts) {
      const height = thin * inner.thin;
      fat += visit(inner.pile, at, height, turned !== inner.turned);
      at += inner.pile.share * height;
    }
    return fat;
  };
  return visit(pile, 0, 1, false);
}
