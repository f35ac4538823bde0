import assert from 'node:assert/strict'
import { readFileSync } from 'node:fs'
import { chosenSettings, evaluateBuild } from './core/model/evaluateBuild'
import { shaftStrengths } from './core/show/parts/strengthOf'
import { tubesThatDo } from './core/show/parts/tubesThatDo'
import { parseBuild } from './core/file/open/parseBuild'
import { checkLabel } from './core/show/text/checkText'

const raw = JSON.parse(readFileSync('demo/fen-tender.lurvan.json', 'utf8'))

function evaluated(change: (raw: any) => void) {
  const changed = structuredClone(raw)
  change(changed)
  const parsed = parseBuild(changed)
  assert(parsed.ok, JSON.stringify(!parsed.ok && parsed.problems))
  return { build: parsed.value, ...evaluateBuild(parsed.value, chosenSettings(parsed.value)) }
}

// A joint of the new kind turns as a constant-velocity joint does, to the last figure.
const jointed = (kind: string) => {
  const { ride } = evaluated(({ lines }) => (lines[0].joints[0].kind = kind)).lines[0]!
  assert(ride.known)
  return [ride.value.anglesDeg, ride.value.whole]
}
assert.deepEqual(jointed('ball'), jointed('cv'))
assert.notDeepEqual(jointed('ball'), jointed('cross'))

// The new limit is judged, told and called by its row.
const limit = {
  id: 'first',
  quantity: 'first-angle',
  unit: 'deg',
  scope: 'ride',
  warnAbove: 0.1,
  basis: 'made up',
}
const limited = evaluated(({ limits }) => limits.entries.push(limit))
const check = limited.checks.find(({ id }) => id === 'rear/first-angle')!
const { ride } = limited.lines[0]!
assert(ride.known)
assert(Math.abs(check.value! - ride.value.anglesDeg[0]!) < 1e-9)
assert.deepEqual([check.verdict, check.basis, checkLabel(check)], ['tight', 'made up', 'first joint'])

// A critical speed that is twice as high is so in the check, in the table of tubes and on the page.
const before = Number(process.argv[2])
const of = limited.lines[0]!
const share = of.checks.find(({ quantity }) => quantity === 'critical-speed-ratio')!.value!
assert(Math.abs(share - before / 2) < 1e-9, `${share} of ${before}`)
const tubes = tubesThatDo(limited.build, of, 0)
assert(tubes.known)
assert(Math.abs(tubes.value.rows.find(({ isTaken }) => isTaken)!.speedShare - share) < 1e-9)
const [strength] = shaftStrengths(of)
assert(strength!.figures.known && Math.abs(strength!.figures.value.speedShare - share) < 1e-9)
