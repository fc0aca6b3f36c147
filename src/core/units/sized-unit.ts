import { headUnit, isEgg, type EggSize, type Unit } from './measures';
import { STATE, word, type AmountLanguage } from './words';

const SIZES: [RegExp, EggSize][] = [
  [word('extra[- ]large|xl|jumbo|sehr groß(?:e|es)?|très gros(?:se)?s?'), 'XL'],
  [word('large|big|l|groß(?:e|er|es|en)?|gross(?:e|er|es|en)?|gros(?:se)?s?'), 'L'],
  [word('medium|mid-?size|m|mittel(?:groß)?(?:e|er|es|en)?|moyen(?:ne)?s?'), 'M'],
  [word('small|s|klein(?:e|er|es|en)?|petite?s?'), 'S'],
];
const SIZE_WORD = /^(?:\(|,)?\s*(?:(?:size|größe|gr\.|taille|calibre)\s*)?/iu;

/** A unit behind words of state and a size: `heaped cup`, `large whole eggs`, `eggs (L)`, `large`. */
export function unitAfter(
  text: string,
  language: AmountLanguage,
): { unit: Unit | null; size?: EggSize; rest: string } {
  let body = text.trimStart();
  let size: EggSize | undefined;
  for (;;) {
    const unit = headUnit(body, language);
    const sized = sizeAt(body);
    // "2 L milk" is litres; "2 L eggs" are large.
    const eggs =
      sized &&
      /^[\s,]*(?:\p{L}+\s+){0,2}?(?:eggs?|yolks?|whites?|egg|eier?|œufs?|oeufs?|jaunes?|blancs?)/iu.test(
        sized.rest,
      );
    if (sized && (eggs || !unit)) {
      [size, body] = [sized.size, sized.rest.trimStart()];
      if (body === '') return { unit: null, size, rest: '' };
      continue;
    }
    if (unit) {
      const after = isEgg(unit.unit) && !size ? sizeAt(unit.rest) : null;
      if (after) return { unit: unit.unit, size: after.size, rest: after.rest.replace(/^\)/, '') };
      return { unit: unit.unit, ...(size ? { size } : {}), rest: unit.rest };
    }
    const state = STATE.exec(body);
    // Only on the way to a unit: what describes a thing without one stays for the name.
    if (!state || state[0].length === 0 || !reachesUnit(body.slice(state[0].length), language)) break;
    body = body.slice(state[0].length).replace(/^[\s,]+/, '');
  }
  return size ? { unit: null, size, rest: body } : { unit: null, rest: text };
}

function reachesUnit(text: string, language: AmountLanguage): boolean {
  const body = text.replace(/^[\s,]+/, '');
  if (headUnit(body, language)) return true;
  const next = STATE.exec(body) ?? SIZES.map(([words]) => words.exec(body)).find(Boolean);
  return next ? reachesUnit(body.slice(next[0].length), language) : false;
}

function sizeAt(text: string): { size: EggSize; rest: string } | null {
  const begin = SIZE_WORD.exec(text.trimStart())?.[0].length ?? 0;
  const body = text.trimStart().slice(begin);
  for (const [words, size] of SIZES) {
    const match = words.exec(body);
    if (match) return { size, rest: body.slice(match[0].length) };
  }
  return null;
}
