import { readFileSync } from 'node:fs'
import { getDocumentProxy, getResolvedPDFJS } from 'unpdf'

/** Reads PDFs back with another package and tells their pages, texts and straight lines in mm, as JSON. */
const POINT_MM = 25.4 / 72
const { OPS } = await getResolvedPDFJS()
/** How a path is told: a number for what is done, then its places. */
const [MOVE, LINE, CURVE, CLOSE] = [0, 1, 2, 3]

const times = ([a, b, c, d, e, f], [g, h, i, j, k, l]) => [
  a * g + c * h,
  b * g + d * h,
  a * i + c * j,
  b * i + d * j,
  a * k + c * l + e,
  b * k + d * l + f,
]

function linesOf({ fnArray, argsArray }) {
  const [lines, stack] = [[], []]
  let matrix = [1, 0, 0, 1, 0, 0]
  const on = (x, y) => [matrix[0] * x + matrix[2] * y + matrix[4], matrix[1] * x + matrix[3] * y + matrix[5]]
  fnArray.forEach((fn, i) => {
    if (fn === OPS.save) stack.push(matrix)
    if (fn === OPS.restore) matrix = stack.pop() ?? matrix
    if (fn === OPS.transform) matrix = times(matrix, argsArray[i])
    if (fn !== OPS.constructPath) return
    let last = [0, 0]
    const path = argsArray[i][1][0] ?? []
    for (let k = 0; k < path.length;) {
      const [op, x, y] = path.slice(k, k + 3)
      const next = op === LINE || op === MOVE ? on(x, y) : last
      if (op === LINE) lines.push(Math.hypot(next[0] - last[0], next[1] - last[1]) * POINT_MM)
      last = op === CURVE ? on(path[k + 5], path[k + 6]) : next
      k += 1 + (op === CURVE ? 6 : op === CLOSE ? 0 : 2)
    }
  })
  return lines
}

const read = async (file) => {
  const pdf = await getDocumentProxy(new Uint8Array(readFileSync(file)), { verbosity: 0 })
  const page = await pdf.getPage(1)
  const { items } = await page.getTextContent()
  return {
    pages: pdf.numPages,
    size: page.view.slice(2).map((points) => points * POINT_MM),
    text: items.map(({ str }) => str).join(' '),
    lowest: Math.min(...items.map(({ transform }) => transform[5] * POINT_MM)),
    lines: linesOf(await page.getOperatorList()),
  }
}
const all = []
for (const file of process.argv.slice(2)) all.push(await read(file))
process.stdout.write(JSON.stringify(all))
