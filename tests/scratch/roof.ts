import assert from 'node:assert/strict'
import { readFileSync } from 'node:fs'
import { tabsOf } from './app/texts/views'
import { readingsFromTable } from './core/measure/csv/readingsFromTable'
import { readingTable } from './core/measure/csv/readingTable'
import { compile } from './core/model/compile'
import { chosenSettings, evaluateBuild } from './core/model/evaluateBuild'
import { namedFigures } from './core/model/namedFigures'
import { parseBuild } from './core/file/open/parseBuild'
import { measuringTour } from './core/measure/tour/tour'
import { resultJson } from './core/show/result/resultJson'
import { settingsAfter } from './core/answers/solver/cure'
import { nearestCures } from './core/answers/solver/findCures'
import { changeInstruction } from './core/show/told/leverText'
import { readingEcho } from './core/show/told/echo'
import { checkLabel, checkValueText } from './core/show/text/checkText'
import { stepScene, stepWords } from './core/show/told/stepText'
import { checkFigureId, sampleModel } from './core/answers/uncertainty/sampleModel'
import { runMonteCarlo } from './core/answers/uncertainty/monteCarlo'
import { whyFigure } from './core/answers/why/why'

const raw = JSON.parse(readFileSync('demo/fen-tender.lurvan.json', 'utf8'))
const line = raw.lines[0]
const tape = raw.tools.find(({ kind }: { kind: string }) => kind === 'tape').id
const reading = { kind: 'roof-height', id: 'roof-1', setup: raw.setups[0].id, tool: tape, roof: 'lid' }
raw.roofs = [{ id: 'lid', name: 'lid over the tail', line: line.id }]
raw.readings.push({ ...reading, unit: 'mm', values: ['100'], way: 'above' })
raw.levers.push({ id: 'roof-jack', kind: 'roof-up', body: 'powertrain', range: [-20, 60], step: 1 })
const limit = { id: 'roof', quantity: 'roof-room', unit: 'mm', scope: 'ride', failBelow: 60 }
raw.limits.entries.push({ ...limit, basis: 'a lid over the tail' })

const parsed = parseBuild(raw)
assert(parsed.ok, JSON.stringify(!parsed.ok && parsed.problems))
const build = parsed.value

const wrong = parseBuild({
  ...raw,
  readings: [...raw.readings, { ...reading, id: 'r2', values: ['1'], way: 'aside' }],
})
assert(!wrong.ok && wrong.problems[0]?.path.endsWith('.way'), 'a word that is none of its own is refused')

// Its list is part of the file: bounded, and every name in it meets a thing.
const refusedAt = (roofs: readonly object[]) => {
  const result = parseBuild({ ...raw, roofs })
  return result.ok ? 'let in' : result.problems.map(({ path }) => path).join(' ')
}
const lid = raw.roofs[0]
assert.equal(refusedAt([{ ...lid, line: 'no-such' }]), 'roofs[0].line')
assert.equal(refusedAt([{ ...lid, name: '' }]), 'roofs[0].name')
assert.equal(refusedAt([lid, lid]), 'roofs[1].id')
assert.equal(refusedAt(Array.from({ length: 21 }, (_, i) => ({ ...lid, id: `lid-${i}` }))), 'roofs')

const lost = parseBuild({ ...raw, roofs: [] })
assert(!lost.ok && lost.problems[0]?.path === `readings[${raw.readings.length - 1}].roof`)

// It is asked for, said back, and goes through a table.
const step = measuringTour(build, build.setups[0]!.id).find(({ quantity }) => quantity === 'roof-height')
assert(step?.isRead && step.group === 'checks')
assert.equal(stepWords(step, 'along').title, 'Lid over the tail')
assert.equal(stepWords(step, 'along').unit, 'length')
assert.equal(stepScene(step), 'gap')
const mine = build.readings.find(({ id }) => id === 'roof-1')!
assert(mine.kind === 'roof-height')
assert.equal(readingEcho(build, mine).text, 'The roof lies 100 up.')
const table = readingTable(build)
const back = readingsFromTable({ ...build, readings: [] }, table, () => 'again')
assert(back.ok, JSON.stringify(back))

// It is judged with the rest, told in its words, sampled, explained, published.
const settings = chosenSettings(build)
const roomAt = (more: Record<string, number>) => evaluateBuild(build, { ...settings, ...more })
const here = roomAt({})
const check = here.checks.find(({ quantity }) => quantity === 'roof-room')!
const joint = here.placed.points.get(build.lines[0]!.joints[0]!.point!)!
assert(joint.known)
assert(Math.abs(check.value! - (100 - joint.value[2])) < 1e-9)
assert.equal(checkLabel(check), 'lid over the tail: room under it')
assert.match(checkValueText(check, check.value, build.units), /^\d+\.\d mm$/)
assert.equal(check.basis, 'a lid over the tail')
const sureness = runMonteCarlo(sampleModel(build, settings), { samples: 2000, seed: 11 })
const { plusMinus } = sureness.figures[checkFigureId(check)]!
assert(plusMinus! > 0.5 && plusMinus! < 6, `its ± is ${plusMinus}`)
assert(namedFigures(compile(build)).some(({ place }) => place === 'roofs[0].roomMm'))
const published = resultJson(build) as unknown as { readonly roofs: readonly { readonly roomMm: number }[] }
assert.equal(published.roofs[0]!.roomMm, check.value)
assert(JSON.stringify(whyFigure(build, settings, check.id)).includes('lid over the tail'))

// Its lever moves it, and the search uses it where all else holds.
const cured = { ...settings, tail: 5, wedge: -1.5 }
const raised = roomAt({ 'roof-jack': 7 }).checks.find(({ id }) => id === check.id)!
assert(Math.abs(raised.value! - check.value! - 7) < 1e-9)
assert(check.verdict === 'out')
const cures = nearestCures(build, cured).filter(({ reaches }) => reaches !== 'none')
assert(cures.length > 0)
for (const cure of cures) {
  const after = evaluateBuild(build, settingsAfter(cured, cure)).checks.find(({ id }) => id === check.id)!
  assert(after.value! >= 60)
}
const jacks = cures.flatMap(({ changes }) => changes).filter(({ lever }) => lever.id === 'roof-jack')
assert(jacks.length > 0)
assert.match(changeInstruction(build, jacks[0]!), /^Raise the roof \d/)

// Its view stands among the tabs of its stage.
assert(tabsOf('place').some(({ key }) => key === 'roofs'))
