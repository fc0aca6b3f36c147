import { STATE, WARMTH } from './words';

/** Words of state anywhere in what follows an amount are remarks; the rest is what they leave. */
export function statesIn(text: string): { remarks: string[]; left: string } {
  const remarks: string[] = [];
  let [body, left] = [text.trim(), ''];
  while (body !== '') {
    const state = WARMTH.exec(body) ?? STATE.exec(body);
    const taken = state?.[0] || /^[\p{L}\d’'-]+|^./u.exec(body)?.[0] || body;
    if (state?.[0]) remarks.push(taken.trim());
    else left += taken;
    const gap = /^[\s,;]+/.exec(body.slice(taken.length))?.[0] ?? '';
    if (!state?.[0] && gap !== '') left += ' ';
    body = body.slice(taken.length + gap.length);
  }
  left = left.replace(/^(?:of|de|d['’]|von)\s+/iu, '').replace(/^\W+$|\(\s*\)/u, '');
  return { remarks, left: left.replace(/^[,;\s]+|[,;\s]+$/g, '') };
}

/** Words of state in front of a number: `scant 1 cup`, `knapp 100 g`. */
export function statesBefore(text: string): { remarks: string[]; rest: string } {
  const state = STATE.exec(text)?.[0] ?? '';
  const rest = text.slice(state.length).trimStart();
  return state !== '' && /^(?:[\d½¼¾⅓⅔]|an?(?= )|eine?n?(?= )|une?(?= ))/iu.test(rest)
    ? { remarks: [state.trim()], rest }
    : { remarks: [], rest: text };
}
