import { rawDemo, type RawBuild } from '../../testdata/builds'
import { parseBuild } from '../open/parseBuild'

/** What is said of the demo with one fault put in. */
const faults = (edit: (raw: RawBuild) => void): readonly string[] => {
  const raw = rawDemo()
  edit(raw)
  const parsed = parseBuild(raw)
  return parsed.ok ? [] : parsed.problems.map(({ path, message }) => `${path}: ${message}`)
}

const CASES: readonly (readonly [string, (raw: RawBuild) => void, string])[] = [
  ['a point on no body', (raw) => (raw.points[0].body = 'x'), 'points[0].body: there is no body "x"'],
  ['an axis on no body', (raw) => (raw.axes[0].body = 'x'), 'axes[0].body: there is no body "x"'],
  [
    'an axis through no point',
    (raw) => (raw.axes[1].through = ['crank-nose', 'x']),
    'axes[1].through[1]: there is no point "x"',
  ],
  [
    'a setup with a face that is no axis',
    (raw) => (raw.setups[0].plumbAxis = 'x'),
    'setups[0].plumbAxis: there is no axis "x"',
  ],
  [
    'a setup pitched until no face is plumb',
    (raw) => (raw.setups[0].datum = 'face-plumb'),
    'setups[0].plumbAxis: a setup pitched until a face is plumb needs the axis of that face',
  ],
  [
    'a pair of a point that is not there',
    (raw) => (raw.centrePairs = [{ id: 'p', name: 'rails', left: 'mount-left', right: 'x' }]),
    'centrePairs[0].right: there is no point "x"',
  ],
  [
    'a mount at no point',
    (raw) => (raw.bodies[1].mounts.tail = 'x'),
    'bodies[1].mounts.tail: there is no point "x"',
  ],
  [
    'an axle about no point',
    (raw) => (raw.bodies[2].centre = 'x'),
    'bodies[2].centre: there is no point "x"',
  ],
  [
    'a reading in no setup',
    (raw) => (raw.readings[0].setup = 'x'),
    'readings[0].setup: there is no setup "x"',
  ],
  ['a reading with no tool', (raw) => (raw.readings[0].tool = 'x'), 'readings[0].tool: there is no tool "x"'],
  ['a line that ends nowhere', (raw) => (raw.lines[0].driven = 'x'), 'lines[0].driven: there is no axis "x"'],
  [
    'a joint at no point',
    (raw) => (raw.lines[0].joints[0].point = 'x'),
    'lines[0].joints[0].point: there is no point "x"',
  ],
  [
    'two joints of one name',
    (raw) => (raw.lines[0].joints[1].id = 'front'),
    'lines[0].joints[1].id: "front" is already used in this line',
  ],
  [
    'a bearing at no point',
    (raw) => (raw.lines[0].shafts[0].bearing = { point: 'x' }),
    'lines[0].shafts[0].bearing.point: there is no point "x"',
  ],
  ['a lever on no body', (raw) => (raw.levers[1].body = 'x'), 'levers[1].body: there is no body "x"'],
  [
    'a lever its body cannot have',
    (raw) => (raw.levers[1].body = 'powertrain'),
    'levers[1].body: "wedge" does not move a powertrain',
  ],
  [
    'a body that stands on nothing',
    (raw) => (raw.bodies[2].standsOn = 'x'),
    'bodies[2].standsOn: there is no body "x"',
  ],
  [
    'bodies that stand on each other',
    (raw) => {
      raw.bodies[1].standsOn = 'rear-axle'
      raw.bodies[2].standsOn = 'powertrain'
    },
    'bodies[1].standsOn: bodies stand on each other in a circle',
  ],
  [
    'a second chassis',
    (raw) => raw.bodies.push({ ...raw.bodies[0], id: 'other' }),
    'bodies: must hold one chassis',
  ],
  ['no chassis', (raw) => (raw.bodies[0].kind = 'item'), 'bodies: must hold one chassis'],
  [
    'a second powertrain',
    (raw) => raw.bodies.push({ ...raw.bodies[1], id: 'other' }),
    'bodies: must hold no more than one powertrain',
  ],
  [
    'wheels of no axle',
    (raw) =>
      (raw.states = [{ id: 's', name: 's', wheels: [{ axle: 'chassis', leftUpMm: 1, rightUpMm: 1 }] }]),
    'states[0].wheels[0].axle: there is no axle "chassis"',
  ],
  [
    'wheels told twice',
    (raw) => {
      const wheel = { axle: 'rear-axle', leftUpMm: 1, rightUpMm: 1 }
      raw.states = [{ id: 's', name: 's', wheels: [wheel, wheel] }]
    },
    'states[0].wheels[1].axle: "rear-axle" is already told in this state',
  ],
  [
    'a final drive of no axle',
    (raw) => (raw.drivetrain = { axleRatios: [{ axle: 'x', ratio: 4 }] }),
    'drivetrain.axleRatios[0].axle: there is no axle "x"',
  ],
  [
    'an output of no axis',
    (raw) => (raw.drivetrain = { outputs: [{ axis: 'x' }] }),
    'drivetrain.outputs[0].axis: there is no axis "x"',
  ],
  [
    'a reading in no trial',
    (raw) => (raw.readings[0].trial = 'x'),
    'readings[0].trial: there is no trial "x"',
  ],
  [
    'a level along an axis with an end it has not',
    (raw) => (raw.readings.find((one: any) => one.kind === 'axis-level').low = 'left'),
    'readings[3].low: "gearbox output" runs along the vehicle: say front or rear',
  ],
  [
    'a lever whose range runs backwards',
    (raw) => (raw.levers[0].range = [60, -40]),
    'levers[0].range: must run from the lower to the higher figure',
  ],
  [
    'a position that sets no lever',
    (raw) => (raw.positions[0].settings = { x: 3 }),
    'positions[0].settings.x: there is no lever "x"',
  ],
  [
    'a limit without a figure',
    (raw) => delete raw.limits.entries[0].failAbove,
    'limits.entries[0]: has neither a warning nor a failing value',
  ],
  [
    'a limit whose figures fall',
    (raw) => (raw.limits.entries[1].warnAbove = 500),
    'limits.entries[1]: its values must rise: failBelow, warnBelow, warnAbove, failAbove',
  ],
]

describe('the names in a build', () => {
  it.each(CASES)('%s: the place is told', (_name, edit, problem) => {
    expect(faults(edit)).toContain(problem)
  })

  it.each(['tools', 'setups', 'points', 'axes', 'readings', 'bodies', 'lines', 'levers', 'positions'])(
    'meet only once in %s',
    (list) => {
      const problems = faults((raw) => raw[list].push({ ...raw[list][0] }))
      const last = rawDemo()[list].length
      expect(problems).toContain(`${list}[${last}].id: "${rawDemo()[list][0].id}" is already used in ${list}`)
    },
  )

  it('of a joint between two shafts lead to its centre and nothing else', () => {
    const problems = faults((raw) => {
      const [line] = raw.lines
      raw.points.push({ id: 'middle', name: 'centre joint', body: 'chassis' })
      line.joints.splice(1, 0, { id: 'middle', kind: 'cross', point: 'middle', pointIs: 'flange-face' })
      line.shafts.unshift({ id: 'first', bearing: { point: 'middle' } })
    })
    expect(problems).toEqual(['lines[0].joints[1].pointIs: a joint between two shafts is told by its centre'])
  })
})
