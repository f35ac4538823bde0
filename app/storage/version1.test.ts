import 'fake-indexeddb/auto'
import { Dexie } from 'dexie'
import { enablePatches, produceWithPatches, type Patch } from 'immer'
import { resultJson } from '../../core/show/result/resultJson'
import { axleById, chassisOf, powertrainOf } from '../../core/file/parts/bodies'
import saved from '../../core/testdata/version-1/fen-tender.lurvan.json'
import { buildRepository } from './buildRepository'
import { LurvanDatabase } from './database'

enablePatches()

type Raw = Record<string, any>

const EDITS: readonly (readonly [string, (raw: Raw) => void])[] = [
  ['spring below', (raw) => (raw.axles[0].spring = 'below')],
  ['rails', (raw) => (raw.chassis.railDepthMm = 95)],
  ['width', (raw) => (raw.powertrain.sizes = { ...raw.powertrain.sizes, widthMm: 512 })],
  ['no sizes', (raw) => delete raw.powertrain.sizes],
  ['no ground', (raw) => delete raw.chassis.groundBelowMm],
  [
    'one more lever',
    (raw) =>
      raw.levers.push({ id: 'wedge-2', kind: 'wedge', axle: raw.axles[0].id, range: [-2, 2], step: 0.5 }),
  ],
  ['the tail', (raw) => (raw.positions[0].settings.tail = 4)],
  ['a name', (raw) => (raw.name = 'Fen tender, as it was')],
]

/** A database as version 1 of the file left it: a snapshot, the steps after it, and what can be undone. */
async function oldDatabase(name: string, edits = EDITS) {
  const old = new Dexie(name)
  old.version(2).stores({
    builds: 'id, changedAt',
    snapshots: 'buildId',
    steps: '[buildId+rev], buildId',
    history: '[buildId+seq], buildId',
  })
  let build: Raw = saved
  const id = saved.id
  await old.table('snapshots').put({ buildId: id, rev: 1, build })
  let rev = 1
  for (const [label, edit] of edits) {
    const [after, patches, inverse] = produceWithPatches(build, (draft) => void edit(draft)) as unknown as [
      Raw,
      Patch[],
      Patch[],
    ]
    rev++
    await old.table('steps').put({ buildId: id, rev, patches })
    await old.table('history').put({ buildId: id, seq: rev - 1, label, at: 'then', patches, inverse })
    build = after
  }
  const record = { id, name: build.name, rev, cursor: rev - 1, changedAt: 'then', deletedAt: null }
  await old.table('builds').put(record)
  old.close()
  return id
}

const open = (name: string) => buildRepository(new LurvanDatabase(name))
const loaded = async (repository: ReturnType<typeof open>, id: string) => {
  const result = await repository.load(id)
  if (!result?.ok) throw new Error(JSON.stringify(result))
  return result.value.build
}

describe('builds that version 1 of the file left in the browser', () => {
  it('open as version 2 with all that was done to them', async () => {
    const id = await oldDatabase('old-1')
    const build = await loaded(open('old-1'), id)
    expect(build.version).toBe(2)
    expect(axleById(build, 'rear-axle')).toMatchObject({ kind: 'axle', spring: 'below' })
    expect(chassisOf(build)?.sizes).toMatchObject({ railDepthMm: 95 })
    expect(chassisOf(build)?.sizes).not.toHaveProperty('groundBelowMm')
    expect(powertrainOf(build)).not.toHaveProperty('sizes')
    expect(build.levers.map(({ body }) => body)).toEqual(['powertrain', 'rear-axle', 'rear-axle'])
    expect(build.name).toBe('Fen tender, as it was')
  })

  it('can be undone step by step to where they began, and redone', async () => {
    const id = await oldDatabase('old-2')
    const repository = open('old-2')
    const whole = await loaded(repository, id)
    for (const [label] of [...EDITS].reverse()) {
      const before = await repository.load(id)
      expect(before?.ok && before.value.undoLabel).toBe(label)
      await repository.undo(id)
    }
    const first = await loaded(repository, id)
    expect(resultJson(first).lines[0]!.ride!.joints[1]!.angleDeg).toBeCloseTo(1.730265529, 8)
    expect(powertrainOf(first)?.sizes?.widthMm).toBe(saved.powertrain.sizes.widthMm)
    expect(first.levers).toHaveLength(2)
    for (let step = 0; step < EDITS.length; step++) await repository.redo(id)
    expect(await loaded(repository, id)).toEqual(whole)
    // And a change of today goes on from there.
    const rev = await repository.load(id)
    await repository.change(id, rev?.ok ? rev.value.rev : 0, 'today', (draft) => void (draft.name = 'Today'))
    expect((await loaded(open('old-2'), id)).name).toBe('Today')
  })

  it('stay as they are where they cannot be read, and hide no other', async () => {
    const id = await oldDatabase('old-3', [])
    const raw = new Dexie('old-3')
    await raw.open()
    await raw
      .table('snapshots')
      .put({ buildId: 'broken', rev: 1, build: { format: 'lurvan-build', version: 1, axles: 'x' } })
    await raw
      .table('builds')
      .put({ id: 'broken', name: 'b', rev: 1, cursor: 0, changedAt: 'then', deletedAt: null })
    raw.close()
    const repository = open('old-3')
    expect((await loaded(repository, id)).name).toBe(saved.name)
    const broken = await repository.load('broken')
    expect(broken?.ok).toBe(false)
    expect(await repository.summaries()).toHaveLength(2)
  })
})
