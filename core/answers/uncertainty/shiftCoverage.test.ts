import type { seededRandom } from '../../base/chance/random'
import type { Evaluation } from '../../model/evaluateBuild'
import { cableFigureId, CABLES } from '../../model/cableSubject'
import { shiftFigureId, SHIFTS } from '../../model/shiftSubject'
import { foundOf } from '../../model/subject'
import type { Build } from '../../file/build/build'
import type { Reading } from '../../file/build/reading'
import { demoFile } from '../../testdata/demoFile'
import { demoBuild } from '../../testdata/demos'
import { evenly } from '../../testdata/readOnce'
import { coverage } from '../../testdata/coverage'

const WAYS: Readonly<Record<string, string>> = {
  ...{
    forward: 'rearward',
    rearward: 'forward',
    left: 'right',
    right: 'left',
    above: 'below',
    below: 'above',
  },
}
const PARTS = [
  ['station', 'stationWay'],
  ['offset', 'side'],
  ['height', 'heightWay'],
] as const

type Random = ReturnType<typeof seededRandom>

/** Places within their tolerance, gates by a level whose display looks to either side, a string by tape. */
function readOnce(truth: Build, random: Random): Build {
  const even = evenly(random)
  const zero = even(0.1)
  const readings = truth.readings.map((reading): Reading => {
    if (reading.kind === 'shift-gate') {
      const shown = zero * (random.uniform() < 0.5 ? -1 : 1) + 0.08 * random.normal()
      return { ...reading, values: [String(Math.max(0, Number(reading.values[0]) + shown))] }
    }
    if (reading.kind !== 'given-point' || reading.plusMinus === undefined) return reading
    const off = Number(reading.plusMinus)
    const moved = PARTS.map(([part, way]) => {
      const size = Number(reading[part]) + even(off)
      const word = reading[way] ?? ''
      return { [part]: String(Math.abs(size)), [way]: size < 0 ? (WAYS[word] ?? word) : word }
    })
    return Object.assign({}, reading, ...moved) as Reading
  })
  return { ...truth, readings }
}

/** Arms lean by so much that no hand turns the word of a reading. */
const CART = demoFile('burdock-cart', (raw) => {
  for (const reading of raw.readings)
    if (reading.kind === 'shift-gate' && reading.gate === 'rest') reading.values = ['3']
})
const HATCH = demoBuild('medlar-hatch')

const gateOf = (gate: string) => (evaluation: Evaluation) => {
  const { found } = foundOf(evaluation.subjects, SHIFTS)[0]!
  return (found.known && found.value.gates.find(({ id }) => id === gate)?.figures.errorDeg) || NaN
}
const lengthOf = (index: number) => (evaluation: Evaluation) => {
  const { found } = foundOf(evaluation.subjects, CABLES)[index]!
  return (found.known && found.value.figures.cableMm) || NaN
}

describe('± of a shift', () => {
  it('cover the error of a gate in about 95 of 100 vehicles', () => {
    const shares = coverage({
      truth: CART,
      readOnce: (random) => readOnce(CART, random),
      figures: {
        [shiftFigureId('hand-shift', 'down', 'errorDeg')]: gateOf('down'),
        [shiftFigureId('hand-shift', 'up', 'errorDeg')]: gateOf('up'),
      },
    })
    for (const share of Object.values(shares)) expect(share).toBeGreaterThan(0.9)
  })

  it('cover the length of a cable', () => {
    const shares = coverage({
      truth: HATCH,
      readOnce: (random) => readOnce(HATCH, random),
      figures: {
        [cableFigureId('shift-cable', 'cableMm')]: lengthOf(0),
        [cableFigureId('select-cable', 'cableMm')]: lengthOf(1),
      },
    })
    for (const share of Object.values(shares)) expect(share).toBeGreaterThan(0.9)
  })
})
