import type { Column } from '../../base/columns/graph'
import { known, unknown, type Known } from '../../base/known'
import type { Build } from '../../file/build/build'
import type { Gap } from '../../file/parts/gap'
import type { Id } from '../../file/parts/id'
import type { GapReading } from '../../file/kinds/gapKinds'
import type { PlacedReading } from '../targets/chosen'
import type { ReadingContext } from '../figures/context'
import { measuredFigure } from '../figures/figure'
import { lengthParser } from './pointReading'

/** A gap as read: the figure, and the lift-in it was read in. */
export interface MeasuredGap {
  readonly figure: Column
  /** Null for the first. */
  readonly trial: Id | null
}

/**
 * The reading of a gap that is in force: the last one, whichever trial it was taken in, for a gap carries over to every position by the
 * move between.
 */
export function gapReading({ readings }: Build, gap: Id): PlacedReading<GapReading> | null {
  const index = readings.findLastIndex((reading) => reading.kind === 'gap' && reading.gap === gap)
  const reading = readings[index]
  return reading?.kind === 'gap' ? { reading, path: `readings[${index}]` } : null
}

/** A gap as an input: mm between the two things in the trial it was read in; below nought where they overlap. */
export function measuredGap(context: ReadingContext, gap: Gap): Known<MeasuredGap> {
  const placed = gapReading(context.build, gap.id)
  if (!placed) return unknown(`${gap.name}: gap not read`)
  const { reading, path } = placed
  const figure = measuredFigure(context, placed, {
    field: 'value',
    label: gap.name,
    unit: 'mm',
    texts: reading.values,
    textPath: `${path}.values`,
    parse: lengthParser(context.build, reading.unit),
    direction: {
      word: reading.way,
      positive: 'free',
      fallback: 'free',
      question: gap.name,
      path: `${path}.way`,
    },
  })
  if (!figure.known) return figure
  const isFirst = reading.trial === undefined || reading.trial === context.build.trials[0]?.id
  const said = reading.provisional ? [`${gap.name}: provisional, read it again when the part is there`] : []
  return known({ figure: figure.value, trial: isFirst ? null : (reading.trial ?? null) }, [
    ...figure.assumptions,
    ...said,
  ])
}
