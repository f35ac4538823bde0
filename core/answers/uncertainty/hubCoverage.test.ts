import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { isSameState } from '../../check/check'
import { withHubMotion, withLength } from '../../file/edits/hubEdits'
import { withMotion, withTravel } from '../../file/edits/motionEdits'
import type { Evaluation } from '../../model/evaluateBuild'
import type { Build } from '../../file/build/build'
import { parseBuild } from '../../file/open/parseBuild'
import { coverage, within } from '../../testdata/coverage'
import { evenly, readOnce } from '../../testdata/readOnce'
import { halfshaftFigureId } from '../../model/halfshaftSubject'
import { lineFigureId } from '../../model/lineSubject'

function demo(id: string): Build {
  const parsed = parseBuild(
    JSON.parse(readFileSync(join(__dirname, `../../../demo/${id}.lurvan.json`), 'utf8')),
  )
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.problems))
  return parsed.value
}

const stateOf = (evaluation: Evaluation, line: number, at: string) => {
  const state = evaluation.lines[line]!.states.find((one) =>
    isSameState(one, { state: 'ride', at: { id: at, name: '' } }),
  )!
  if (!state.figures.known) throw new Error(JSON.stringify(state.figures.missing))
  return state.figures.value
}
const LEFT = { lineId: 'left-half', shaft: 0 }

describe('the ± of a halfshaft covers what is true in 95 of a hundred vehicles', () => {
  it('on a strut, at full droop and for the length to order', () => {
    const truth = demo('medlar-hatch')
    const found = coverage({
      truth,
      readOnce: (random) => readOnce(truth, random),
      figures: {
        [lineFigureId(
          'left-half',
          { state: 'ride', at: { id: 'travel-droop', name: '' } },
          'shafts[0].plungeLeftMm',
        )]: (evaluation) =>
          18 - Math.abs(stateOf(evaluation, 0, 'travel-droop').shafts()[0]!.lengths.all[0]!.length - 503),
        [halfshaftFigureId(LEFT, 'middleMm')]: ({ halfshafts }) => halfshafts[0]!.lengths.middleMm,
        [halfshaftFigureId(LEFT, 'rideMm')]: ({ halfshafts }) => halfshafts[0]!.rideMm,
      },
    })
    for (const share of Object.values(found)) expect(share).toEqual(within)
  })

  it('by distances that were measured at three heights', () => {
    const bare = withHubMotion(demo('medlar-hatch'), 'left-hub', 'lengths')
    const rows = [
      [-85, 519.6],
      [0, 522.1],
      [70, 519.9],
    ] as const
    const told = (build: Build, by: (row: number) => number) =>
      rows.reduce(
        (sum, [wheelUpMm, lengthMm], i) =>
          withLength(sum, 'left-hub', { wheelUpMm, lengthMm: lengthMm + by(i) }),
        build,
      )
    const truth = told(bare, () => 0)
    const found = coverage({
      truth,
      readOnce: (random) => told(readOnce(bare, random), () => evenly(random)(1) + 0.8 * random.normal()),
      figures: {
        [halfshaftFigureId(LEFT, 'rideMm')]: ({ halfshafts }) => halfshafts[0]!.rideMm,
        [lineFigureId(
          'left-half',
          { state: 'ride', at: { id: 'travel-droop', name: '' } },
          'shafts[0].plungeLeftMm',
        )]: (evaluation) =>
          18 - Math.abs(stateOf(evaluation, 0, 'travel-droop').shafts()[0]!.lengths.all[0]!.length - 503),
      },
    })
    for (const share of Object.values(found)) expect(share).toEqual(within)
  })
})

describe('the ± of an axle that was read at its heights', () => {
  it('covers what is true at full droop in 95 of a hundred vehicles', () => {
    const bare = withTravel(withMotion(demo('tansy-wagon'), 'rear-axle', 'table'), 'rear-axle', {})
    const rows = [
      { wheelUpMm: -130, forwardMm: -14, noseUpDeg: 3.1 },
      { wheelUpMm: -60, forwardMm: -5, noseUpDeg: 1.4 },
      { wheelUpMm: 0, forwardMm: 0, noseUpDeg: 0 },
      { wheelUpMm: 80, forwardMm: 2, noseUpDeg: -1.2 },
    ]
    const told = (build: Build, changed: typeof rows): Build => ({
      ...build,
      bodies: build.bodies.map((body) =>
        body.kind === 'axle' ? { ...body, motion: { kind: 'table', rows: changed } } : body,
      ),
    })
    const [straight] = [
      bare.axes.map(({ id }) => ({
        id: `given-${id}`,
        kind: 'given-axis' as const,
        axis: id,
        fall: id === 'pinion' ? '2.2' : '3.6',
        low: 'rear' as const,
        plan: '0',
      })),
    ]
    const levelled: Build = {
      ...bare,
      readings: [...bare.readings.filter(({ kind }) => kind !== 'axis-level'), ...straight],
    }
    const truth = told(levelled, rows)
    const closed = truth.lines[0]!.shafts[0]!.slip!.closedMm!
    const droop = { state: 'ride', at: { id: 'travel-droop', name: '' } } as const
    const found = coverage({
      truth,
      readOnce: (random) => {
        const length = () => evenly(random)(1) + 0.8 * random.normal()
        const angle = () => evenly(random)(0.05) + 0.08 * random.normal()
        // What was read at ride height goes into every row.
        const [atRide, noseAtRide] = [length(), angle()]
        return told(
          readOnce(levelled, random),
          rows.map((row) =>
            row.wheelUpMm === 0
              ? row
              : {
                  ...row,
                  forwardMm: row.forwardMm + length() - atRide,
                  noseUpDeg: row.noseUpDeg + angle() - noseAtRide,
                },
          ),
        )
      },
      figures: {
        [lineFigureId('rear', droop, 'shafts[0].slipLeftMm')]: (evaluation) =>
          stateOf(evaluation, 0, 'travel-droop').shafts()[0]!.lengths.all[0]!.length - closed,
        [lineFigureId('rear', droop, 'joints[1].angleDeg')]: (evaluation) =>
          stateOf(evaluation, 0, 'travel-droop').anglesDeg[1]!,
      },
    })
    for (const share of Object.values(found)) expect(share).toEqual(within)
  })
})
