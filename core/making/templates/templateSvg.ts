import { TEMPLATE_LAYERS, type Template, type TemplateLayer, type TemplateMark } from './template'

/** Paper round the part. */
const EDGE_MM = 5
const LOOKS: Readonly<Record<TemplateLayer, string>> = {
  cut: 'stroke="#000000"',
  drill: 'stroke="#b00020"',
  bend: 'stroke="#2f3fa3" stroke-dasharray="4 2"',
  scribe: 'stroke="#5d6474"',
}

/** A template as an SVG of its true size: one user unit is a millimetre. */
export function templateSvg({ name, size: [width, height], marks }: Template): string {
  const [whole, high] = [width + 2 * EDGE_MM, height + 2 * EDGE_MM]
  const layers = TEMPLATE_LAYERS.map((layer) => {
    const drawn = marks.flatMap((mark) => (mark.layer === layer ? [drawnMark(mark, height)] : []))
    return `<g id="${layer}" fill="none" stroke-width="0.2" ${LOOKS[layer]}>${drawn.join('')}</g>`
  })
  return [
    '<?xml version="1.0" encoding="UTF-8"?>',
    `<svg xmlns="http://www.w3.org/2000/svg" width="${mm(whole)}mm" height="${mm(high)}mm" viewBox="${-EDGE_MM} ${-EDGE_MM} ${mm(whole)} ${mm(high)}">`,
    `<title>${escaped(name)}</title>`,
    ...layers,
    '</svg>',
    '',
  ].join('\n')
}

function drawnMark(mark: TemplateMark, height: number): string {
  const at = ([x, y]: readonly [number, number]) => `${mm(x)},${mm(height - y)}`
  switch (mark.form) {
    case 'outline':
      return `<polygon points="${mark.points.map(at).join(' ')}"/>`
    case 'line': {
      const [x1, y1] = at(mark.from).split(',')
      const [x2, y2] = at(mark.to).split(',')
      return `<line x1="${x1}" y1="${y1}" x2="${x2}" y2="${y2}"/>`
    }
    case 'circle':
      return `<circle cx="${mm(mark.at[0])}" cy="${mm(height - mark.at[1])}" r="${mm(mark.radius)}"/>`
    case 'text':
      return `<text x="${mm(mark.at[0])}" y="${mm(height - mark.at[1])}" font-family="sans-serif" font-size="${mm(mark.size)}" fill="#1b2333" stroke="none">${escaped(mark.text)}</text>`
  }
}

/** To a thousandth, without noughts behind. */
const mm = (figure: number): string => String(Number(figure.toFixed(3)))

const escaped = (text: string): string =>
  text.replace(/[&<>"]/g, (sign) => ({ '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' })[sign] ?? '')
