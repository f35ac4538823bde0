import type { Random } from '../base/chance/random'

/** How a random truth is read: what the tools and the hand really do, and what the file says of them. */
export interface ReadingWay {
  /** Zero error of the level, drawn evenly within ± this, in degrees: one for all its readings. */
  readonly zero: number
  /** Independent error of each length, drawn evenly within ± this, in mm. */
  readonly tape: number
  readonly hand: { readonly deg: number; readonly mm: number }
  readonly repeats: number
  /** Which way the display really looked at each level reading, in their order; absent when each error is its own. */
  readonly displays?: readonly ('left' | 'right' | 'front' | 'rear')[]
  /** The file does not say which way it looked. */
  readonly isSideUnsaid?: boolean
  /** Repeats of level readings that say only how steady the hand is. */
  readonly practice?: number
  /** Fields of the two tools; null for readings that name none. */
  readonly tools: { readonly level: object; readonly tape: object } | null
}

/** What is true of one random line: degrees and mm. */
export interface LineTruth {
  readonly fall: number
  readonly roll: number
  readonly output: number
  readonly pinion: number
  readonly front: readonly [number, number, number]
  readonly rear: readonly [number, number, number]
}

/** A line somewhere under a vehicle that stands a little askew. */
export function anyTruth(random: Random): LineTruth {
  const between = (from: number, to: number) => from + (to - from) * random.uniform()
  const either = (from: number, to: number) => between(from, to) * (random.uniform() < 0.5 ? -1 : 1)
  return {
    fall: either(0.8, 2),
    roll: either(0.8, 2),
    output: between(2, 6),
    pinion: between(2, 6),
    front: [between(800, 1200), either(8, 20), between(20, 80)],
    rear: [between(2000, 2500), either(8, 40), between(-90, -40)],
  }
}

/** The truth as a file that was read without any error. */
export function exactTruth(truth: LineTruth) {
  const exactly = (value: number) => [String(value)]
  return file(truth, exactly, exactly, null, undefined)
}

/** The truth as a file that was read by a hand with tools. */
export function readTruth(truth: LineTruth, way: ReadingWay, random: Random) {
  const zero = way.zero * (2 * random.uniform() - 1)
  const angle = (value: number, display: string | undefined, count: number) => {
    const own = display === undefined ? way.zero * (2 * random.uniform() - 1) : 0
    // A zero that reads the right-hand end too high shows too little where that end is the low one of the sign.
    const shared = display === undefined ? 0 : display === 'left' || display === 'front' ? -zero : zero
    return repeats(count, () => value + own + shared + way.hand.deg * random.normal())
  }
  const length = (value: number) => {
    const own = way.tape * (2 * random.uniform() - 1)
    return repeats(way.repeats, () => value + own + way.hand.mm * random.normal())
  }
  let level = 0
  const nextAngle = (value: number) => angle(value, way.displays?.[level++], way.repeats)
  const made = file(truth, nextAngle, length, way.tools, way.isSideUnsaid ? undefined : way.displays)
  if (way.practice === undefined) return made
  const values = angle(truth.roll, undefined, way.practice).map((one) => Math.abs(Number(one)).toFixed(6))
  const low = truth.roll >= 0 ? 'left' : 'right'
  const practice = { id: 'practice', kind: 'chassis-roll', setup: 'other', tool: 'level', values, low }
  const other = { ...made.setups[0], id: 'other', name: 'other' }
  return { ...made, setups: [...made.setups, other], readings: [...made.readings, practice] }
}

const repeats = (count: number, draw: () => number): string[] =>
  Array.from({ length: count }, () => String(draw()))

type Text = (value: number) => string[]

function file(
  truth: LineTruth,
  angle: Text,
  length: Text,
  tools: ReadingWay['tools'],
  displays: ReadingWay['displays'],
) {
  const named = tools !== null
  const level = { setup: 's', ...(named && { tool: 'level' }) }
  const tape = { setup: 's', ...(named && { tool: 'tape' }), unit: 'mm' }
  const levels = [
    { id: 'r1', kind: 'chassis-fall', value: truth.fall, words: ['rear', 'front'] },
    { id: 'r2', kind: 'chassis-roll', value: truth.roll, words: ['left', 'right'] },
    { id: 'r3', kind: 'axis-level', axis: 'output', value: truth.output, words: ['rear', 'front'] },
    { id: 'r4', kind: 'axis-level', axis: 'pinion', value: truth.pinion, words: ['rear', 'front'] },
  ] as const
  return {
    format: 'lurvan-build',
    version: 1,
    name: 'truth',
    tools: named
      ? [
          { id: 'level', name: 'level', kind: 'level', ...tools.level },
          { id: 'tape', name: 'tape', kind: 'tape', ...tools.tape },
        ]
      : [],
    setups: [{ id: 's', name: 's', standsOn: 'floor', loaded: true, settled: true, datum: 'read' }],
    points: [
      { id: 'front', name: 'front', body: 'powertrain' },
      { id: 'rear', name: 'rear', body: 'chassis' },
    ],
    axes: [
      { id: 'output', name: 'output', body: 'powertrain' },
      { id: 'pinion', name: 'pinion', body: 'chassis' },
    ],
    readings: [
      ...levels.map(({ value, words, ...reading }, i) => ({
        ...reading,
        ...level,
        ...(displays && { display: displays[i] }),
        ...signed(value, angle, 'low', words),
      })),
      // The direction in top view is known, so that nothing is taken for granted.
      ...(['output', 'pinion'] as const).map((axis) => ({
        id: `g-${axis}`,
        kind: 'given-axis',
        axis,
        fall: '0',
        plan: '0',
      })),
      ...(['front', 'rear'] as const).flatMap((point) => [
        { id: `${point}s`, kind: 'point-station', point, values: length(truth[point][0]), ...tape },
        { id: `${point}o`, kind: 'point-offset', point, ...signed(truth[point][1], length, 'side', ['left', 'right']), ...tape },
        { id: `${point}h`, kind: 'point-height', point, ...signed(truth[point][2], length, 'way', ['above', 'below']), ...tape },
      ]),
    ],
    lines: [
      {
        id: 'rear',
        name: 'rear',
        school: 'parallel',
        driving: 'output',
        driven: 'pinion',
        joints: [
          { id: 'a', kind: 'cross', point: 'front' },
          { id: 'b', kind: 'cross', point: 'rear' },
        ],
        shafts: [{}],
      },
    ],
  }
}

/** Repeats as magnitudes with the word of the truth; truths lie too far from nought for a reading to cross it. */
function signed(
  value: number,
  text: (value: number) => string[],
  key: string,
  [positive, negative]: readonly [string, string],
) {
  const values = text(value).map((one) => Math.abs(Number(one)).toFixed(6))
  return { values, [key]: value >= 0 ? positive : negative }
}
