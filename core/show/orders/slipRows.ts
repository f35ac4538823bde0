import { formatBothUnits } from '../../base/units/format'
import { slipYokeOf } from '../../file/parts/lineSpec'
import type { Build } from '../../file/build/build'
import type { LineEvaluation } from '../../model/lineEvaluation'
import { STATE_WORDS } from '../text/checkText'
import type { Fact } from '../text/lineFacts'
import type { SafeWay } from './shopLength'

/** A state of the vehicle with what a shaft has left in it. */
interface SlipState {
  readonly place: string
  /** How far it is pulled out from ride height; below nought it is pushed in. */
  readonly outMm: number
  readonly leftMm: number | null
  readonly engagedMm: number | null
}

/** What a shaft has left in each state that is known, at ride height first. */
function slipStates({ states, line }: LineEvaluation, shaft: number): SlipState[] {
  const yoke = slipYokeOf(line.shafts[shaft])
  const ride = states[0]?.figures
  const rideMm = ride?.known ? ride.value.shafts()[shaft]?.lengths.all[0]?.length : undefined
  return states.flatMap(({ at, state, figures }): SlipState[] => {
    if (!figures.known || rideMm === undefined) return []
    const found = figures.value.shafts()[shaft]
    const lengthMm = found?.lengths.all[0]?.length
    if (!found || lengthMm === undefined) return []
    const slide = figures.value.slideMm
    const resting = slide === null ? yoke : undefined
    return [
      {
        place: `${at?.name ?? 'ride height'}${STATE_WORDS[state]}`,
        outMm: yoke && slide !== null ? slide : yoke ? 0 : lengthMm - rideMm,
        leftMm: found.slipLeftMm ?? resting?.setInMm ?? found.plungeLeftMm,
        engagedMm: found.engagedMm ?? resting?.engagedMm ?? null,
      },
    ]
  })
}

/** What a shaft keeps in reserve, with the travel that it was worked out from. */
export interface SlipReserve {
  readonly rows: readonly Fact[]
  /** Which way its length may be rounded. */
  readonly safe: SafeWay
}

export function slipReserve(build: Build, line: LineEvaluation, shaft: number): SlipReserve {
  const states = slipStates(line, shaft)
  const both = (mm: number) => formatBothUnits(mm, build.units.inchFraction)
  const left = states.flatMap(({ leftMm, place }) => (leftMm === null ? [] : [{ mm: leftMm, place }]))
  const engaged = states.flatMap(({ engagedMm, place }) =>
    engagedMm === null ? [] : [{ mm: engagedMm, place }],
  )
  const least = (all: readonly { readonly mm: number; readonly place: string }[]) =>
    all.reduce<(typeof all)[number] | null>((best, one) => (best && best.mm <= one.mm ? best : one), null)
  const [leastLeft, leastEngaged] = [least(left), least(engaged)]
  if (!leastLeft && !leastEngaged) return { rows: [], safe: 'nearest' }
  const inward = Math.max(0, ...states.map(({ outMm }) => -outMm))
  const outward = Math.max(0, ...states.map(({ outMm }) => outMm))
  const travel = line.states.some(({ at }) => at !== null)
    ? `${both(inward)} in, ${both(outward)} out, over ${states.length} places and loads from ride height`
    : 'no travel was told: this is ride height alone'
  return {
    rows: [
      ...(leastLeft
        ? [
            {
              name: 'left before it bottoms, least',
              value: both(leastLeft.mm),
              remark: `at ${leastLeft.place}`,
            },
          ]
        : []),
      ...(leastEngaged
        ? [
            {
              name: 'spline engaged, least',
              value: both(leastEngaged.mm),
              remark: `at ${leastEngaged.place}`,
            },
          ]
        : []),
      { name: 'worked out from a travel of', value: travel },
    ],
    safe: !leastEngaged || (leastLeft && leastLeft.mm < leastEngaged.mm) ? 'shorter' : 'longer',
  }
}
