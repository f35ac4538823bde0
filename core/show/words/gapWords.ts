import type { Build } from '../../file/build/build'
import type { Echo, SubjectWords } from './subjectWords'
import type { GapReading, GapTypes } from '../../file/kinds/gapKinds'
import { formatLength } from '../../base/units/format'
import { measuredGap } from '../../measure/points/gapReading'
import { missingEcho } from './echoParts'
import { readingContext } from '../../measure/geometry/readingContext'
import { sentenceCase } from '../text/checkText'

/** Words for gaps. */
export const GAP_WORDS: SubjectWords<GapTypes, never> = {
  steps: {
    gap: {
      asks: (_, name) => ({
        title: `Gap: ${name}`,
        hint: 'The shortest way between the two, by feeler, stepped wedge, tape, or clay squeezed in and measured. Nothing may be leaning on the engine.',
        ways: [
          ['free', 'free between them'],
          ['overlap', 'they lie in each other'],
        ],
      }),
      scene: () => 'gap',
    },
  },
  echoes: { gap: gapEcho },
  levers: {},
}

function gapEcho(build: Build, reading: GapReading): Echo {
  const gap = build.gaps.find((one) => one.id === reading.gap)
  if (!gap) return { ok: false, text: 'Its gap is missing.' }
  const context = readingContext(build)
  const read = measuredGap(context, gap)
  if (!read.known) return missingEcho(read.missing)
  const size = context.graph.at(read.value.figure)
  const { trial } = read.value
  const stood = build.trials.find(({ id }) => id === trial)?.name
  const where = stood ? `, as it stood in ${stood}` : ''
  const amount = formatLength(Math.abs(size), build.units)
  return {
    ok: true,
    text:
      size < 0
        ? `${sentenceCase(gap.name)}: they lie ${amount} in each other${where}.`
        : `${sentenceCase(gap.name)}: ${amount} between them${where}.`,
  }
}
