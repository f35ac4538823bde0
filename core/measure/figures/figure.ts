import { known, mapKnown, type Known } from '../../base/known'
import type { Id } from '../../file/parts/id'
import type { MeasuredReading, Reading } from '../../file/build/reading'
import type { Parsed } from '../../base/units/parsed'
import type { PlacedReading } from '../targets/chosen'
import type { ReadingContext } from './context'
import { PLUS_TIMES } from '../../base/columns/arithmetic'
import { scalarStep, type Column } from '../../base/columns/graph'
import type { Input } from './inputs'
import { readRepeats } from './readingValue'
import { signed } from './signed'
import { handScatter, ownScatter, widenedScatter } from './scatter'
import { toolError, type SharedError } from './toolError'

/** How the words of a reading become a sign. */
export interface Direction {
  readonly word: string | undefined
  /** The word that counts positive. */
  readonly positive: string
  /** Taken when no word is given; null when it must be said. */
  readonly fallback: string | null
  readonly question: string
  /** Place of the word in the file. */
  readonly path: string
}

/** One figure of a reading, before it becomes an input. */
export interface FigureSpec {
  readonly field: string
  readonly label: string
  readonly unit: Input['unit']
  readonly texts: readonly string[]
  readonly textPath: string
  readonly parse: (text: string) => Parsed
  readonly direction: Direction
  /** The text is one field of the file, not a list of repeats. */
  readonly isSingle?: boolean
  /** From what is shown to the magnitude meant, or what is wrong with it. */
  readonly magnitude?: (shown: number) => Known<number>
}

/** A measured figure as an input: parsed, averaged, signed, corrected, with what its tool and its hand may be off by. */
export function measuredFigure(
  context: ReadingContext,
  { reading }: PlacedReading<MeasuredReading>,
  spec: FigureSpec,
): Known<Column> {
  const read = signedFigure(spec)
  if (!read.known) return read
  const { build, list, scatter } = context
  const tool = build.tools.find((one) => one.id === reading.tool) ?? null
  const hand = ownScatter(build, reading) ?? handScatter(scatter, tool, spec.unit)
  const { halfWidth, correctionDeg, shared, sideless, assumptions } = toolError(
    build,
    reading,
    hand.deviation,
  )
  const count = spec.texts.length
  const figure = list.add({
    readingId: reading.id,
    field: spec.field,
    label: spec.label,
    unit: spec.unit,
    mean: read.value + (spec.unit === 'deg' ? correctionDeg : 0),
    halfWidth,
    scatter: widenedScatter(hand, halfWidth, count),
    count,
    ...(sideless && halfWidth > 0 && { zeroOf: sideless.id }),
  })
  const said = [...read.assumptions, ...assumptions]
  if (!shared) return known(figure, said)
  return known(
    scalarStep(context.graph, PLUS_TIMES, [figure, sharedZero(context, shared)], [shared.sign]),
    said,
  )
}

/** A level's zero error: one input that all its readings share. */
const sharedZero = ({ list }: ReadingContext, { tool, halfWidth, deviation }: SharedError): Column =>
  list.add({
    readingId: tool.id,
    source: 'tool',
    field: deviation > 0 ? 'zero-after-flip' : 'zero',
    label: `zero of ${tool.name}`,
    unit: 'deg',
    mean: 0,
    halfWidth,
    scatter: deviation,
    count: 1,
  })

/**
 * Something nobody read that is taken for granted, as an input with its usual doubt.
 *
 * @param of - the setup or axis it belongs to, with a label in a builder's words
 * @param doubt - standard deviation, in degrees
 */
export const assumedFigure = (
  { list }: ReadingContext,
  of: { readonly id: Id; readonly field: string; readonly label: string },
  doubt: number,
  halfWidth = 0,
): Column =>
  list.add({
    readingId: of.id,
    source: 'assumed',
    field: of.field,
    label: of.label,
    unit: 'deg',
    mean: 0,
    halfWidth,
    scatter: doubt,
    count: 1,
  })

/** A figure from a drawing or data sheet as an input, exact unless a tolerance stands beside it. */
export function givenFigure(
  context: ReadingContext,
  reading: Extract<Reading, { kind: 'given-point' | 'given-axis' | 'given-cross-axis' }>,
  spec: FigureSpec,
): Known<Column> {
  const tolerance = reading.plusMinus === undefined ? null : spec.parse(reading.plusMinus)
  return mapKnown(signedFigure(spec), (mean) =>
    context.list.add({
      readingId: reading.id,
      field: spec.field,
      label: spec.label,
      unit: spec.unit,
      mean,
      halfWidth: tolerance?.ok ? tolerance.value : 0,
      scatter: 0,
      count: 1,
    }),
  )
}

/** The signed figure that the texts and the word of a reading say. */
export function signedFigure(spec: FigureSpec): Known<number> {
  const { texts, parse, label, textPath, direction, magnitude } = spec
  const repeats = readRepeats(texts, parse, label, textPath)
  if (!repeats.known)
    return spec.isSingle
      ? { known: false, missing: repeats.missing.map((one) => ({ ...one, path: textPath })) }
      : repeats
  const meant = magnitude ? magnitude(repeats.value.mean) : known(repeats.value.mean)
  if (!meant.known) return meant
  const { word, positive, fallback, question, path } = direction
  return signed(meant.value, word, positive, fallback, question, path)
}
