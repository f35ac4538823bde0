import { bodyReferences } from './bodyReferences'
import type { Build } from '../build/build'
import { chainReferences } from './chainReferences'
import { mountReferences } from './mountReferences'
import { shiftReferences } from './shiftReferences'
import type { FileProblem } from '../parts/problem'
import type { Reading } from '../build/reading'
import { NAMED_LISTS } from '../kinds/listFacts'
import { listsOf } from '../build/listsOf'
import { unmetTarget } from '../build/targets'
import { isGiven, READING_KINDS, wayOf, wordsOf } from '../build/readingKinds'
import { crossesOf } from '../parts/stock'
import type { ToolKind } from '../parts/tool'

type Named = { readonly id: string }

/**
 * Every name in a build that points at nothing, every id given twice, and every count that does not fit.
 *
 * @returns problems with their paths; empty when all names meet
 */
export function referenceProblems(build: Build): FileProblem[] {
  const problems: FileProblem[] = []
  const complain = (path: string, message: string) => problems.push({ path, message })
  const idsOf = (items: readonly Named[]) => new Set(items.map((item) => item.id))

  const collections: readonly (readonly [string, readonly Named[]])[] = [
    ['tools', build.tools],
    ['setups', build.setups],
    ['points', build.points],
    ['axes', build.axes],
    ['readings', build.readings],
    ['bodies', build.bodies],
    ['trials', build.trials],
    ['states', build.states],
    ['photos', build.photos ?? []],
    ['services', build.services ?? []],
    ['levers', build.levers],
    ['positions', build.positions],
    ['limits.entries', build.limits.entries],
    ['mating.stacks', build.mating?.stacks ?? []],
    ...(build.mating?.stacks ?? []).map((stack, i) => [`mating.stacks[${i}].parts`, stack.parts] as const),
    ['mating.rounds', build.mating?.rounds ?? []],
    ['weight.masses', build.weight?.masses ?? []],
    ['weight.balances', build.weight?.balances ?? []],
    ['tubes', build.tubes ?? []],
    ['crosses', build.crosses ?? []],
    ['patterns', build.patterns ?? []],
    ['axleCuts', build.axleCuts ?? []],
    ...listsOf(build).map(({ key, entries }) => [key, entries] as const),
  ]
  for (const [name, items] of collections) {
    const seen = new Set<string>()
    items.forEach((item, index) => {
      if (seen.has(item.id)) complain(`${name}[${index}].id`, `"${item.id}" is already used in ${name}`)
      seen.add(item.id)
    })
  }

  const points = idsOf(build.points)
  const axes = idsOf(build.axes)
  const bodies = idsOf(build.bodies)
  const requireIn = (known: ReadonlySet<string>, id: string | undefined, path: string, what: string) => {
    if (id !== undefined && !known.has(id)) complain(path, `there is no ${what} "${id}"`)
  }

  build.points.forEach((point, i) => requireIn(bodies, point.body, `points[${i}].body`, 'body'))
  build.axes.forEach((axis, i) => {
    requireIn(bodies, axis.body, `axes[${i}].body`, 'body')
    axis.through?.forEach((id, k) => requireIn(points, id, `axes[${i}].through[${k}]`, 'point'))
  })
  readingReferences(build, requireIn, complain)
  build.setups.forEach((setup, i) => {
    requireIn(axes, setup.plumbAxis, `setups[${i}].plumbAxis`, 'axis')
    if (build.axes.some(({ id, lies }) => id === setup.plumbAxis && lies === 'across'))
      complain(
        `setups[${i}].plumbAxis`,
        'a face is made plumb by pitching the vehicle, so its axis runs along it',
      )
    if (setup.datum === 'face-plumb' && setup.plumbAxis === undefined)
      complain(`setups[${i}].plumbAxis`, 'a setup pitched until a face is plumb needs the axis of that face')
  })
  build.centrePairs?.forEach((pair, i) => {
    requireIn(points, pair.left, `centrePairs[${i}].left`, 'point')
    requireIn(points, pair.right, `centrePairs[${i}].right`, 'point')
  })
  const crosses = idsOf(crossesOf(build))
  build.lines.forEach((line, i) =>
    line.joints.forEach((joint, k) =>
      requireIn(crosses, joint.cross, `lines[${i}].joints[${k}].cross`, 'size of cross'),
    ),
  )
  listReferences(build, complain)
  const photos = idsOf(build.photos ?? [])
  build.bodies.forEach((body, i) =>
    body.outlines?.forEach((outline, k) =>
      requireIn(photos, outline.photo, `bodies[${i}].outlines[${k}].photo`, 'photograph'),
    ),
  )
  requireIn(idsOf(build.trials), build.countedFrom, 'countedFrom', 'trial')
  requireIn(points, build.shiftLever?.point, 'shiftLever.point', 'point')
  build.services?.forEach((service, i) => {
    requireIn(bodies, service.body, `services[${i}].body`, 'body')
    if (service.toward.every((part) => part === 0))
      complain(`services[${i}].toward`, 'points nowhere: one of its figures must not be 0')
  })
  build.weight?.masses.forEach((mass, i) => {
    requireIn(bodies, mass.body, `weight.masses[${i}].body`, 'body')
  })
  bodyReferences(build, complain)
  chainReferences(build, complain)
  mountReferences(build, complain)
  shiftReferences(build, complain)
  settingReferences(build, complain)
  return problems
}

/** Every name in the lists that subjects add, and what else cannot be in them. */
function listReferences(build: Build, complain: (path: string, message: string) => void): void {
  for (const { key, facts, entries } of listsOf(build))
    entries.forEach((entry, i) => {
      for (const { at, in: list, id } of facts.names(entry))
        if (id !== undefined && !(build[list] ?? []).some((one: { readonly id: string }) => one.id === id))
          complain(`${key}[${i}].${at}`, `there is no ${NAMED_LISTS[list]} "${id}"`)
      facts.problems?.(build, entry, (at, message) => complain(`${key}[${i}].${at}`, message))
    })
}

function readingReferences(
  build: Build,
  requireIn: (known: ReadonlySet<string>, id: string | undefined, path: string, what: string) => void,
  complain: (path: string, message: string) => void,
): void {
  const setups = new Set(build.setups.map((setup) => setup.id))
  const tools = new Set(build.tools.map((tool) => tool.id))
  const trials = new Set(build.trials.map((trial) => trial.id))
  build.readings.forEach((reading, i) => {
    const at = `readings[${i}]`
    if ('setup' in reading) requireIn(setups, reading.setup, `${at}.setup`, 'setup')
    if ('tool' in reading) requireIn(tools, reading.tool, `${at}.tool`, 'tool')
    if ('trial' in reading) requireIn(trials, reading.trial, `${at}.trial`, 'trial')
    toolProblem(build, reading, (message) => complain(`${at}.tool`, message))
    const axisOf = 'axis' in reading ? build.axes.find(({ id }) => id === reading.axis) : undefined
    const sidesOf = wordsOf(reading.kind, 'display', axisOf?.lies === 'across')
    if ('display' in reading && reading.display && !sidesOf.includes(reading.display)) {
      const sides = sidesOf.join(' or ')
      complain(
        `${at}.display`,
        `a level laid this way shows its display to the ${sides}, not "${reading.display}"`,
      )
    }
    const unmet = unmetTarget(build, reading)
    if (unmet) complain(`${at}.${unmet.key}`, `there is no ${unmet.key} "${unmet.id}"`)
    endProblem(build, reading, (key, message) => complain(`${at}.${key}`, message))
  })
}

/** Tools that show no angle, and the one that shows nothing else. */
const SHOWS_NO_ANGLE: readonly ToolKind[] = [
  'tape',
  'laser',
  'plumb',
  'dial',
  'calliper',
  'feeler',
  'clay',
  'step-wedge',
]

function toolProblem(build: Build, reading: Reading, complain: (message: string) => void): void {
  const tool = 'tool' in reading ? build.tools.find((one) => one.id === reading.tool) : undefined
  if (!tool) return
  const readsAngle = READING_KINDS[reading.kind].unit === 'deg'
  if (readsAngle && SHOWS_NO_ANGLE.includes(tool.kind))
    complain(`"${tool.name}" is a ${tool.kind} and shows no angle`)
  if (!readsAngle && tool.kind === 'level') complain(`"${tool.name}" is a level and shows no length`)
}

/** The words of an axis' ends: an axis that lies across has no front, and one that runs along the vehicle no left. */
function endProblem(build: Build, reading: Reading, complain: (key: string, message: string) => void): void {
  if (!('axis' in reading)) return
  const axis = build.axes.find((one) => one.id === reading.axis)
  if (!axis) return
  const isAcross = axis.lies === 'across'
  if (reading.kind === 'given-axis' && isAcross)
    complain('kind', `"${axis.name}" lies across the vehicle: it is given by rise and sweep`)
  if (reading.kind === 'given-cross-axis' && !isAcross)
    complain('kind', `"${axis.name}" runs along the vehicle: it is given by fall and plan`)
  const { way } = READING_KINDS[reading.kind]
  if (way === null || isGiven(reading)) return
  const end = wayOf(reading)
  const ends = wordsOf(reading.kind, way, isAcross)
  if (end !== undefined && !ends.includes(end))
    complain(
      way,
      `"${axis.name}" ${isAcross ? 'lies across' : 'runs along'} the vehicle: say ${ends.join(' or ')}`,
    )
}

function settingReferences(build: Build, complain: (path: string, message: string) => void): void {
  const levers = new Set(build.levers.map((lever) => lever.id))
  build.positions.forEach((position, i) => {
    for (const id of Object.keys(position.settings)) {
      if (!levers.has(id)) complain(`positions[${i}].settings.${id}`, `there is no lever "${id}"`)
    }
  })
  if (!build.positions.some((position) => position.id === build.chosen)) {
    complain('chosen', `there is no position "${build.chosen}"`)
  }
  build.limits.entries.forEach((entry, i) => {
    const ends = [entry.failBelow, entry.warnBelow, entry.warnAbove, entry.failAbove].filter(
      (end) => end !== undefined,
    )
    if (ends.length === 0) complain(`limits.entries[${i}]`, 'has neither a warning nor a failing value')
    if (ends.some((end, k) => k > 0 && end < (ends[k - 1] ?? end))) {
      complain(`limits.entries[${i}]`, 'its values must rise: failBelow, warnBelow, warnAbove, failAbove')
    }
  })
}
