import { fixed, formatLength } from '../../base/units/format'
import type { Build } from '../../file/build/build'
import { MEMBER_KINDS, type Crossmember } from '../../file/kinds/memberKinds'
import type { StepSubject } from '../../file/kinds/tickKinds'
import { pressedDeg } from '../../making/bends/trialBend'
import { mouthMm } from '../../making/templates/memberTemplate'
import { tackPlan } from '../../making/welds/tacks'
import { COPED_TUBES, type CopedTubeEvaluation } from '../../model/copedTubeSubject'
import type { Evaluation } from '../../model/evaluateBuild'
import { MEMBERS } from '../../model/memberSubject'
import { cornersInOrder, type WayFound } from '../../model/memberWork'
import { PLATES } from '../../model/plateSubject'
import { foundOf } from '../../model/subject'
import { betweenEdges, printedEnds, tubeStock } from './copedTubeText'
import { blankStock, stackWords } from './memberText'
import { plateSteps } from './plateSteps'
import type { WorkStep } from './workStep'

/** What is made step by step, with its steps; none while a figure of them is missing. */
export interface SteppedWork {
  readonly of: StepSubject
  readonly thing: string
  readonly title: string
  readonly steps: readonly WorkStep[]
}

/** Everything of a build that is made step by step. */
export function steppedWorks(build: Build, { subjects }: Pick<Evaluation, 'subjects'>): SteppedWork[] {
  const bars = foundOf(subjects, MEMBERS).flatMap(({ member, ways }) => {
    const way = ways.find((one) => one.way.id === member.chosen)
    return way ? [workOf('bar', member, barSteps(build, member, way))] : []
  })
  const tubes = foundOf(subjects, COPED_TUBES).map((one) => workOf('tube', one.tube, tubeWork(build, one)))
  const plates = foundOf(subjects, PLATES).map((one) => workOf('plate', one.plate, plateSteps(build, one)))
  const welds = (build.welds ?? []).map((weld) => workOf('weld', weld, weldWork(build, weld)))
  return [...bars, ...tubes, ...plates, ...welds]
}

const workOf = (
  of: StepSubject,
  { id, name }: { readonly id: string; readonly name: string },
  steps: readonly WorkStep[],
): SteppedWork => ({ of, thing: id, title: name, steps })

function barSteps({ units }: Build, member: Crossmember, found: WayFound): WorkStep[] {
  const { way, figures } = found
  const blank = figures.known ? figures.value.blankMm : undefined
  if (blank === undefined) return []
  const corners = cornersInOrder(found).map(({ corner, isTurnedOver }, i): WorkStep => {
    const turn = Math.abs(corner.turnDeg)
    const over = isTurnedOver ? 'turn it over; ' : ''
    const at = `at ${formatLength(corner.atMm, units)} from the left end, ${corner.turnDeg > 0 ? 'up' : 'down'}`
    if (way.kind === 'folded')
      return {
        name: `notch ${i + 1}`,
        figure: formatLength(mouthMm(way, corner.turnDeg), units),
        note: `${at}: notch so wide ${corner.turnDeg > 0 ? 'in the top' : 'underneath'}, fold by ${fixed(turn, 1)}°`,
      }
    const { springbackDeg } = way
    const pressed = springbackDeg === undefined ? turn : pressedDeg(turn, { backDeg: springbackDeg })
    return {
      name: `bend ${i + 1}`,
      figure: `${fixed(pressed, 1)}°`,
      note: `${over}${at}; ${fixed(180 - turn, 1)}° included${springbackDeg === undefined ? '' : `, ${fixed(turn, 1)}° once it is let go`}`,
    }
  })
  const fill = figures.known && MEMBER_KINDS[way.kind].hasSpacers ? figures.value.fillMm : undefined
  return [
    {
      name: way.kind === 'old' ? 'cut two plates' : 'cut the bar',
      figure: formatLength(blank, units),
      note: `of ${blankStock(member, way)}`,
    },
    ...corners,
    ...(fill === undefined
      ? []
      : [
          {
            name: 'spacers under the bush',
            figure: formatLength(fill, units),
            note: `so thick in all${stackWords(fill, member.spacersMm ?? [])}`,
          },
        ]),
    {
      name: 'hold it up',
      figure: formatLength(member.bushMm, units),
      note: 'from the face of the gearbox to its seat: every bolt drops in by hand',
    },
  ]
}

function tubeWork({ points, units }: Build, evaluation: CopedTubeEvaluation): WorkStep[] {
  const { tube, found } = evaluation
  const { sawMm, matchMm, axisMm, twistDeg } = found.known ? found.value.figures : {}
  if (sawMm === undefined || matchMm === undefined || axisMm === undefined) return []
  const ends = printedEnds(evaluation, points)
  const between = betweenEdges(axisMm, ends)
  return [
    { name: 'saw the tube', figure: formatLength(sawMm, units), note: tubeStock(tube) },
    { name: 'scribe the match line', note: 'one straight line along it, from end to end' },
    ...(ends.length === 0
      ? []
      : [
          {
            name: 'wrap the prints',
            figure: formatLength(between, units),
            note: 'between their straight edges; both begin at the match line, words outside',
          },
        ]),
    ...ends.map(({ name, faces }, i): WorkStep => ({
      key: `cut/${i}`,
      name: `cut the ${name}`,
      note: `along the edge, saw square to the tube; its match line faces ${faces}`,
    })),
    ...(twistDeg === undefined
      ? []
      : [
          {
            name: 'look along it',
            figure: `${fixed(Math.abs(twistDeg), 1)}°`,
            note: 'its ends are turned so far to each other',
          },
        ]),
    {
      name: 'measure it',
      figure: formatLength(matchMm, units),
      note: 'from cut to cut along the match line',
    },
  ]
}

function weldWork({ units }: Build, weld: NonNullable<Build['welds']>[number]): WorkStep[] {
  const { atMm, lengthMm } = tackPlan(weld.lengthMm, weld.thicknessMm)
  return [
    ...atMm.map((mm, i): WorkStep => ({
      name: `tack ${i + 1}`,
      figure: formatLength(mm, units),
      note: `from one end, ${formatLength(lengthMm, units)} long, both sides; diagonals after each pair`,
    })),
    ...weld.readings.map(({ id, name }): WorkStep => ({
      key: `read/${id}`,
      name: `read ${name}`,
      note: 'tacked and cold',
      isRead: true,
    })),
    { name: 'weld', note: 'short, opposite, back-stepped, from the stiff side outwards' },
    { name: 'look again after 30 minutes', note: 'for what smoulders on both sides of the sheet' },
    { name: 'look again after 60 minutes', note: 'for what smoulders on both sides of the sheet' },
    { name: 'read it all again', note: 'cold; the old figures are out of sight', isRead: true },
    {
      name: 'read where the powertrain stands',
      note: 'the points that were read tacked; not where this weld carries none of it',
      isRead: true,
    },
  ]
}
