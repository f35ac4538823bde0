import type { Build } from '../../file/build/build'
import { OPPOSITE, quarterOf, type ArmWay } from '../../file/parts/armWays'
import type { KINDS_OF_SHIFTS, ShiftGateReading, ShiftTypes } from '../../file/kinds/shiftKinds'
import { fixed } from '../../base/units/format'
import { degrees } from '../../base/units/angle'
import { readingContext } from '../../measure/geometry/readingContext'
import { armPlane, gateAngle } from '../../measure/points/armReading'
import { sentenceCase } from '../text/checkText'
import { missingEcho } from './echoParts'
import { shiftOf, type ToldChange } from './leverTold'
import type { Echo, SubjectWords } from './subjectWords'

const LEANS: readonly (readonly [ArmWay, string])[] = [
  ['forward', 'its end leans forward'],
  ['back', 'its end leans back'],
  ['up', 'its end is up'],
  ['down', 'its end is down'],
  ['left', 'its end leans to the left'],
  ['right', 'its end leans to the right'],
]
const FORE_AND_AFT = LEANS.slice(0, 2)
const UP_AND_DOWN = LEANS.slice(2, 4)
const ASIDE = LEANS.slice(4)

/** The two ways that an arm can lean, by the way that it points and whether its axis lies across. */
const leansOf = ([x, , z]: readonly [number, number, number], isAcross: boolean) => {
  if (z !== 0) return isAcross ? FORE_AND_AFT : ASIDE
  if (isAcross) return UP_AND_DOWN
  return x !== 0 ? ASIDE : [...UP_AND_DOWN, ...FORE_AND_AFT]
}

const LONGER = ['further out', 'further in'] as const
/** A rod at its ends. */
const screwed = ({ build, lever, size, way }: ToldChange): string =>
  `Make the rod of ${shiftOf(build, lever.shift)} ${size} ${way}`
/** A hole that is there already, or a new one. */
const pinned = ({ build, lever, size, way }: ToldChange): string => {
  const whose = lever.kind === 'lever-arm' ? 'lever' : 'gearbox’s arm'
  return `Put the pin of ${shiftOf(build, lever.shift)} ${size} ${way} on the ${whose}`
}

/** Words for levers that shift gearboxes. */
export const SHIFT_WORDS: SubjectWords<ShiftTypes, keyof typeof KINDS_OF_SHIFTS.levers> = {
  steps: {
    'shift-gate': {
      asks: ({ end, toward, isAcross }, name) => ({
        title: sentenceCase(name),
        hint:
          end === 'lever'
            ? 'Put the gearbox into that gate with the rod off, and the lever where you want it for it. Hold the level on the lever: how far it is off the way that it points, plumb or level.'
            : 'Put the gearbox into that gate until its detent holds, the rod off. Hold the level on its arm: how far it is off the way that it points, plumb or level.',
        ways: leansOf(toward ?? [0, 0, 1], isAcross),
      }),
      scene: () => 'arm',
    },
  },
  echoes: { 'shift-gate': gateEcho },
  levers: {
    'rod-length': { name: 'rod', ways: ['longer', 'shorter'], told: screwed },
    'lever-arm': { name: 'pin on the lever', ways: LONGER, told: pinned },
    'box-arm': { name: 'pin on the gearbox’s arm', ways: LONGER, told: pinned },
  },
}

function gateEcho(build: Build, reading: ShiftGateReading): Echo {
  const shift = build.shifts?.find(({ id }) => id === reading.shift)
  const gate = shift?.gates.find(({ id }) => id === reading.gate)
  if (!shift || !gate) return { ok: false, text: 'Its linkage or its gate is missing.' }
  const arm = shift[reading.end]
  const context = readingContext(build)
  const plane = armPlane(context, arm)
  if (!plane.known) return missingEcho(plane.missing)
  const read = gateAngle(context, shift, reading.end, gate, plane.value)
  if (!read.known) return missingEcho(read.missing)
  const [at, to] = [arm.points, reading.lean ?? arm.points].map((way) => quarterOf(arm.lies, way) ?? 0)
  const sense = ((to ?? 0) - (at ?? 0) + 4) % 4 === 1 ? 1 : -1
  const off = sense * (degrees(context.graph.at(read.value)) - 90 * (at ?? 0))
  const lean = reading.lean ?? arm.points
  const who = reading.end === 'lever' ? 'The lever' : 'The gearbox’s arm'
  return {
    ok: true,
    text: `${who} in ${gate.name}: ${fixed(Math.abs(off), 1)}° ${off < 0 ? OPPOSITE[lean] : lean} of pointing ${arm.points}, to the chassis.`,
  }
}
