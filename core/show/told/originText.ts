import type { Build } from '../../file/build/build'
import type { Id } from '../../file/parts/id'
import type { Reading } from '../../file/build/reading'
import type { Input } from '../../measure/figures/inputs'
import { formatAngle, formatLength } from '../../base/units/format'
import type { Origin } from '../../answers/why/origin'
import { leverName, leverAmount } from './leverText'

/** One line of the tree that tells where a figure comes from. */
export interface OriginLine {
  /** Unique among its neighbours. */
  readonly key: string
  /** What it is: "rear: angle of joint 1", "pinion, level". */
  readonly title: string
  /** What was read, with what, when, in which setup; or by which formulas it is worked out. */
  readonly detail: string
  /** Share of the figure's doubt, 0 to 1; null for what is no input. */
  readonly share: number | null
  readonly isProvisional: boolean
  /** The reading to go to; null for what is none. */
  readonly readingId: Id | null
  /** Pages of docs/methods. */
  readonly pages: readonly string[]
  readonly parts: readonly OriginLine[]
}

/** The parts of a figure in words. */
export const originLines = (build: Build, parts: readonly Origin[]): OriginLine[] =>
  parts.map((part, index) => ({ ...lineOf(build, part), key: `${index}` }))

const PLAIN = { share: null, isProvisional: false, readingId: null, pages: [], parts: [] } as const

function lineOf(build: Build, part: Origin): Omit<OriginLine, 'key'> {
  switch (part.kind) {
    case 'input':
      return inputLine(build, part.input, part.share)
    case 'lever': {
      const lever = build.levers.find((one) => one.id === part.leverId)
      return {
        ...PLAIN,
        title: lever ? `lever: ${leverName(build, lever)}` : part.leverId,
        detail: lever ? leverAmount(lever, part.amount, build.units) : '',
      }
    }
    case 'given':
      return { ...PLAIN, title: part.name, detail: givenText(build, part) }
    case 'step':
      return {
        ...PLAIN,
        title: part.name,
        detail: part.isRepeated ? 'as above' : part.formulas.map(({ name }) => name).join(', '),
        pages: [...new Set(part.formulas.map(({ page }) => page))],
        parts: originLines(build, part.parts),
      }
  }
}

function inputLine(build: Build, input: Input, share: number | null): Omit<OriginLine, 'key'> {
  const reading = build.readings.find((one) => one.id === input.readingId)
  const isRead = input.source === undefined && reading !== undefined
  return {
    ...PLAIN,
    title: input.label,
    share,
    isProvisional: isRead && reading.provisional === true,
    readingId: isRead ? reading.id : null,
    detail: isRead ? readDetail(build, input, reading) : takenDetail(build, input),
  }
}

/** "as read 86.4, 86.5 with the 60 cm level in On the floor, loaded; taken as 3.55°, corrected for the tool". */
function readDetail(build: Build, input: Input, reading: Reading): string {
  const texts = 'values' in reading ? reading.values.join(', ') : 'from a drawing or data sheet'
  const way = wayOf(reading)
  const tool = 'tool' in reading ? build.tools.find((one) => one.id === reading.tool)?.name : undefined
  const setup = 'setup' in reading ? build.setups.find((one) => one.id === reading.setup)?.name : undefined
  const when = reading.takenAt?.slice(0, 16).replace('T', ' ')
  return [
    `as read ${texts}${way ? ` ${way}` : ''}`,
    tool ? `with ${tool}` : '',
    setup ? `in "${setup}"` : '',
    when ? `on ${when}` : '',
    `taken as ${figureText(build, input)}${doubtText(build, input)}`,
    reading.provisional ? 'provisional' : '',
  ]
    .filter((one) => one !== '')
    .join(', ')
}

/** The word that says which way a figure counts. */
function wayOf(reading: Reading): string | undefined {
  if ('low' in reading && reading.low) return `(${reading.low} end low)`
  if ('lean' in reading && reading.lean) return `(top leans to the ${reading.lean})`
  if ('side' in reading && reading.kind === 'point-offset') return reading.side
  return 'way' in reading ? reading.way : undefined
}

const SOURCES = {
  assumed: 'taken for granted',
  tool: 'shared by all readings of the tool',
  misfit: 'from datum points that do not quite fit',
} as const

const takenDetail = (build: Build, input: Input): string =>
  `${input.source ? SOURCES[input.source] : 'given'}: ${figureText(build, input)}${doubtText(build, input)}`

/** A figure of the file; wheels that hang down are below nought. */
function givenText({ units }: Build, { figure, unit }: Extract<Origin, { kind: 'given' }>): string {
  if (unit === null) return ''
  return unit === 'mm' ? formatLength(figure, units) : formatAngle(Math.abs(figure), units)
}

const figureText = ({ units }: Build, { unit, mean }: Input): string =>
  together(unit === 'deg' ? formatAngle(Math.abs(mean), units, 2) : formatLength(Math.abs(mean), units))

/** Keeps a figure, its unit and its ± on one line. */
const together = (text: string): string => text.replaceAll(' ', '\u00a0')

/** Two standard deviations of the input itself. */
function doubtText({ units }: Build, { unit, halfWidth, scatter, count }: Input): string {
  const plusMinus = 2 * Math.sqrt(halfWidth ** 2 / 3 + scatter ** 2 / Math.max(1, count))
  if (plusMinus === 0) return ', exact'
  return together(` ± ${unit === 'deg' ? formatAngle(plusMinus, units, 2) : formatLength(plusMinus, units)}`)
}

/** Doubts worth naming first, and the least share of one. */
const NAMED = 4
const LEAST = 0.05

/** The inputs that bring most of a figure's doubt, most first, each once. */
export function mostDoubt(lines: readonly OriginLine[]): OriginLine[] {
  const inputs = new Map<string, OriginLine>()
  const collect = (line: OriginLine): void => {
    if ((line.share ?? 0) >= LEAST) inputs.set(line.title, line)
    line.parts.forEach(collect)
  }
  lines.forEach(collect)
  return [...inputs.values()].sort((a, b) => (b.share ?? 0) - (a.share ?? 0)).slice(0, NAMED)
}

/** "26 % of the ±"; empty for what hardly counts. */
export const shareText = (share: number | null): string =>
  share === null || share < 0.005 ? '' : `${Math.round(share * 100)} % of the ±`

/** The tree as plain text, two spaces a level. */
export const originTree = (lines: readonly OriginLine[]): string =>
  treeText(lines, 1).replaceAll('\u00a0', ' ')

function treeText(lines: readonly OriginLine[], depth: number): string {
  return lines
    .map((line) => {
      const share = shareText(line.share)
      const percent = share === '' ? '' : `  [${share}]`
      const pages =
        line.pages.length > 0 ? `  (${line.pages.map((page) => `docs/methods/${page}.md`).join(', ')})` : ''
      const detail = line.detail === '' ? '' : `: ${line.detail}`
      return `${'  '.repeat(depth)}${line.title}${detail}${percent}${pages}\n${treeText(line.parts, depth + 1)}`
    })
    .join('')
}
