import { pathOf, type Drawing, type Mark, type Tone } from './drawing';

/** Fills for paper: what colour tells on a screen, grey tells here. */
const PAPER: Record<Tone, string> = {
  ...{ dough: '#ffffff', shade: '#e4e4e4', butter: '#f4f4f4', filling: '#bdbdbd', odd: '#dcdcdc' },
  ...{ second: '#ededed', third: '#d2d2d2', tin: '#ffffff', none: 'none' },
};

const escaped = (text: string) =>
  text.replace(
    /[<>&"]/g,
    (sign) => ({ '<': '&lt;', '>': '&gt;', '&': '&amp;', '"': '&quot;' })[sign] ?? sign,
  );

function element(mark: Mark, thin: number): string {
  const stroke = `stroke="#000" stroke-linejoin="round" stroke-width="${thin}"`;
  switch (mark.kind) {
    case 'area':
      return `<path d="${pathOf(mark.points, true)}" fill="${PAPER[mark.tone]}" ${mark.bare ? '' : stroke}/>`;
    case 'curve':
      return `<path d="${mark.path}" fill="${PAPER[mark.tone]}" ${stroke}${mark.dashed ? ` stroke-dasharray="${4 * thin} ${3 * thin}"` : ''}/>`;
    case 'line':
      return `<path d="${pathOf(mark.points, false)}" fill="none" stroke="#000" stroke-width="${mark.heavy ? 2 * thin : thin}"${mark.dashed ? ` stroke-dasharray="${4 * thin} ${3 * thin}"` : ''}/>`;
    case 'text':
      return `<text x="${mark.at[0]}" y="${mark.at[1]}" font-family="sans-serif" font-size="${mark.size}" text-anchor="${mark.anchor ?? 'middle'}">${escaped(mark.text)}</text>`;
  }
}

/**
 * A drawing as an SVG file at its true size: one unit of the drawing is `unitMm` millimetres on paper. Any program that
 * reads SVG opens it, and a plotter cuts by it.
 */
export function svgFile({ view, marks }: Drawing, title: string, unitMm: number): string {
  const [left, top, width, height] = view;
  const thin = Math.round((width / 1200) * 1000) / 1000;
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${width * unitMm}mm" height="${height * unitMm}mm" viewBox="${left} ${top} ${width} ${height}">`,
    `<title>${escaped(title)}</title>`,
    ...marks.map((mark) => element(mark, thin)),
    '</svg>',
    '',
  ].join('\n');
}
