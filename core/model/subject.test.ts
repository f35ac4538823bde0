import type { PlannedCheck } from '../check/plannedCheck'
import { judge } from '../check/judge'
import { DIFFERENCE } from '../columns/arithmetic'
import { scalarStep } from '../columns/graph'
import { known, mapKnown } from '../known'
import { combinedWindow } from '../limits/verdict'
import { factsOf, type Quantity } from '../project/quantities'
import type { QuantityFacts } from '../project/kinds/quantityRow'
import type { LeverSettings } from '../placement/settings'
import { settingsAfter } from '../solver/cure'
import { nearestCures } from '../solver/findCures'
import { checkLabel, checkValueText } from '../text/checkText'
import { demoBuild } from '../testdata/demos'
import { checkFigureId, sampleModel } from '../uncertainty/sampleModel'
import { runMonteCarlo } from '../uncertainty/monteCarlo'
import { sureEvaluation } from '../uncertainty/sureness'
import { whyFigure } from '../why/why'
import { evaluateBuild } from './evaluateBuild'
import { namedFigures } from './namedFigures'
import { compile } from './compile'
import type { Subject } from './subject'

// Only these two files of the product are touched, each by a row.
jest.mock('./subjects', () => {
  const { SUBJECTS } = jest.requireActual<{ readonly SUBJECTS: readonly Subject[] }>('./subjects')
  return { SUBJECTS: [...SUBJECTS, roof()] }
})
jest.mock('../project/quantities', () => {
  const actual = jest.requireActual<{ readonly QUANTITIES: Readonly<Record<Quantity, QuantityFacts>> }>(
    '../project/quantities',
  )
  const roomUnder = { of: 'line', unit: 'mm', shown: { as: 'length' }, label: 'room under the roof' }
  const QUANTITIES = { ...actual.QUANTITIES, 'roof-room': roomUnder }
  return { ...actual, QUANTITIES, factsOf: (quantity: Quantity) => QUANTITIES[quantity] }
})

/** So high is a roof over the first joint, in mm above the datum plane. */
const ROOF_MM = 100
const QUANTITY = 'roof-room' as Quantity
const BOUND = { basis: 'a lid over the tail', failBelow: 42 }

/** Of a point and the roof over it: made up, to see that a subject is one row and one file. */
function roof(): Subject<{ readonly plan: PlannedCheck }, number> {
  return {
    key: 'roofs',
    compile: ({ build, graph, places }) => {
      const id = build.lines[0]!.joints.map(({ point }) => point)[0]!
      const room = mapKnown(places.placed(null, null).point(id!), ([, , up]) =>
        scalarStep(graph, DIFFERENCE, [graph.source(ROOF_MM), up]),
      )
      const plan: PlannedCheck = {
        head: {
          id: 'roof/tail',
          lineId: null,
          lineName: null,
          quantity: QUANTITY,
          subject: { of: 'body', id: 'roof', name: 'roof' },
          state: 'ride',
          at: null,
          speedRpm: null,
        },
        bounds: [BOUND],
        window: combinedWindow([BOUND]),
        unknownBounds: [],
        needs: mapKnown(room, () => null),
        value: room.known ? { column: room.value } : null,
      }
      const columns = room.known ? [room.value] : []
      return {
        key: 'roofs',
        things: [{ plan }],
        plans: [plan],
        mustKeep: [],
        wants: columns,
        swept: { plans: [], wants: [] },
        spares: [],
        figures: columns.map((column) => ({
          id: 'roof/room',
          place: 'roofs[0].roomMm',
          column,
          stands: ([found]) => found !== undefined,
        })),
        look: () => ({ set: [], found: ({ figure }) => columns.map(figure) }),
      }
    },
    checksOf: (found) =>
      found.map((room) => {
        const [{ plan }] = compile(build).subjects.at(-1)!.things as [{ plan: PlannedCheck }]
        return judge(plan.head, known(room), [BOUND])
      }),
    rejudged: (found) => found,
  }
}

const build = demoBuild('fen-tender')

describe('a subject that was made up', () => {
  const here = evaluateBuild(build, {})
  const check = here.checks.find(({ id }) => id === 'roof/tail')!

  it('is judged with the rest, at the very figure of its point', () => {
    const point = here.placed.points.get(build.lines[0]!.joints[0]!.point!)!
    if (!point.known) throw new Error('its point is not read')
    expect(check.value).toBeCloseTo(ROOF_MM - point.value[2], 9)
    expect(here.lines).toHaveLength(build.lines.length)
  })

  it('is told in the words of its row', () => {
    expect(factsOf(QUANTITY).unit).toBe('mm')
    expect(checkLabel(check)).toContain('room under the roof')
    expect(checkValueText(check, check.value, build.units)).toMatch(/^\d+\.\d mm$/)
  })

  it('has its ±, and a likelihood', () => {
    const sureness = runMonteCarlo(sampleModel(build, {}), { samples: 2000, seed: 11 })
    const spread = sureness.figures[checkFigureId(check)]!
    // One tape, read once.
    expect(spread.plusMinus).toBeGreaterThan(0.5)
    expect(spread.plusMinus).toBeLessThan(6)
    expect(sureness.figures['roof/room']!.plusMinus).toBeCloseTo(spread.plusMinus!, 9)
    expect(sureEvaluation(here, sureness).subjects.at(-1)!.found).toHaveLength(1)
  })

  it('tells which readings it comes from', () => {
    expect(namedFigures(compile(build)).map(({ place }) => place)).toContain('roofs[0].roomMm')
    const why = whyFigure(build, {}, 'roof/tail')
    expect(JSON.stringify(why)).toContain('height')
  })

  it('is kept by the search for settings', () => {
    const roomAt = (settings: LeverSettings) =>
      evaluateBuild(build, settings).checks.find(({ id }) => id === check.id)!.value!
    // What cures the demo without a roof would lift the tail into it.
    expect(roomAt({ tail: 5 })).toBeLessThan(BOUND.failBelow)
    const cures = nearestCures(build, {}).filter(({ reaches }) => reaches !== 'none')
    expect(cures.length).toBeGreaterThan(0)
    for (const cure of cures) expect(roomAt(settingsAfter({}, cure))).toBeGreaterThanOrEqual(BOUND.failBelow)
  })
})
