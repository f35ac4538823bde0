import type { Reading, TourQuantity } from '~~/core/project/reading'
import { READING_KINDS, wayOf } from '~~/core/project/readingKinds'
import type { TourStep } from '~~/core/readings/tour'

/** What a step of the tour asks, and the two answers to "which way?". */
export interface StepWords {
  readonly title: string
  readonly hint: string
  readonly unit: 'angle' | 'length'
  /** [word in the file, words on screen] for the two answers; the first is drawn rear or left low, left, rearward, above. */
  readonly ways: readonly (readonly [string, string])[]
}

const FACE_HINTS = {
  front: 'From the laser or straight-edge to the face at its front edge, level with the shaft.',
  rear: 'From the line to the face at its rear edge. Front and rear show how it is turned.',
  top: 'From the line to the face straight above the shaft.',
  bottom: 'From the line to the face straight below the shaft. Top and bottom show how it leans.',
} as const

const capital = (text: string) => text.charAt(0).toUpperCase() + text.slice(1)

type Row<Q extends TourQuantity> = (
  step: Extract<TourStep, { readonly quantity: Q }>,
  name: string,
  method: 'along' | 'face',
) => Omit<StepWords, 'unit'>

/** What each quantity is asked with. */
const STEP_WORDS: { readonly [Q in TourQuantity]: Row<Q> } = {
  'chassis-fall': () => ({
    title: 'Chassis, fore and aft',
    hint: 'Level along a straight, clean stretch of frame rail, the surface that is your datum plane.',
    ways: [
      ['rear', 'rear is lower'],
      ['front', 'front is lower'],
    ],
  }),
  'chassis-roll': () => ({
    title: 'Chassis, across',
    hint: 'Level across both frame rails, on a straight bar if they are far apart.',
    ways: [
      ['left', 'left is lower'],
      ['right', 'right is lower'],
    ],
  }),
  'axis-level': (step, name, method) =>
    method === 'face'
      ? {
          title: `${capital(name)}, across a face`,
          hint: 'Level upright on a machined face square to it: flange, yoke ears out of the way.',
          ways: step.isAcross
            ? [
                ['left', 'top leans to the left'],
                ['right', 'top leans to the right'],
              ]
            : [
                ['rear', 'top leans to the rear'],
                ['front', 'top leans to the front'],
              ],
        }
      : {
          title: `${capital(name)}, along`,
          hint: 'Level on a surface that runs true with it: a machined rib, the pan rail, a bar in the yoke.',
          ways: step.isAcross
            ? [
                ['left', 'left end is lower'],
                ['right', 'right end is lower'],
              ]
            : [
                ['rear', 'rear end is lower'],
                ['front', 'front end is lower'],
              ],
        },
  'shaft-level': (_, name) => ({
    title: `${capital(name)}, its own angle`,
    hint: 'Level on the tube itself, clear of welds and weights. It checks the joint points.',
    ways: [
      ['rear', 'rear end is lower'],
      ['front', 'front end is lower'],
    ],
  }),
  gap: (_, name) => ({
    title: `Gap: ${name}`,
    hint: 'The shortest way between the two, by feeler, stepped wedge, tape, or clay squeezed in and measured. Nothing may be leaning on the engine.',
    ways: [
      ['free', 'free between them'],
      ['overlap', 'they lie in each other'],
    ],
  }),
  'sprocket-face': (step, name) => ({
    title: `${capital(name)}, face at the ${step.place}`,
    hint: FACE_HINTS[step.place],
    ways: [
      ['left', 'the line stands left of the face'],
      ['right', 'the line stands right of it'],
    ],
  }),
  'chain-slack': (_, name) => ({
    title: `${capital(name)}, slack`,
    hint: 'Engine off, key out. Turn the wheel until the other run is taut. At the middle of the slack run: from lifted to pressed down by hand, the whole way.',
    ways: [],
  }),
  'point-station': (_, name) => ({
    title: `${capital(name)}, station`,
    hint: 'Tape along the chassis from the datum to the middle of it. Plumb both down to the floor if the tape cannot run straight.',
    ways: [
      ['rearward', 'behind the datum'],
      ['forward', 'ahead of the datum'],
    ],
  }),
  'point-offset': (_, name) => ({
    title: `${capital(name)}, offset`,
    hint: 'From the string or laser on the chassis centreline to the middle of it.',
    ways: [
      ['left', 'left of centre'],
      ['right', 'right of centre'],
    ],
  }),
  'point-height': (_, name) => ({
    title: `${capital(name)}, height`,
    hint: 'From the datum plane, square to it, to the middle of it. A straight-edge under both rails helps.',
    ways: [
      ['above', 'above the plane'],
      ['below', 'below the plane'],
    ],
  }),
}

/** Words for a step, by what is read and how. */
export function stepWords(step: TourStep, method: 'along' | 'face'): StepWords {
  const row = STEP_WORDS[step.quantity] as Row<TourQuantity>
  const unit = READING_KINDS[step.quantity].unit === 'deg' ? 'angle' : 'length'
  return { ...row(step, step.targetName, method), unit }
}

/** The answer to "which way?" that a reading keeps, in the words of its step; empty when it keeps none. */
export function readingWay(step: TourStep, reading: Reading): string {
  const { ways } = stepWords(step, reading.kind === 'axis-face' ? 'face' : 'along')
  return ways.find(([word]) => word === wayOf(reading))?.[1] ?? ''
}
