import { openedDemo, storedBuild } from '../../tests/support/opened'
import { EMPTY_DRAFT } from './readingDraft'
import { useReadings } from './readings'

const stepOf = (readings: ReturnType<typeof useReadings>, id: string) =>
  readings.steps.find((one) => one.id === id)!

describe('useReadings', () => {
  it('keeps a reading as typed, with who took it and when, and no nulls', async () => {
    await openedDemo((raw) => (raw.setups[0].by = 'Odo'))
    const readings = useReadings()
    const step = stepOf(readings, 'point-height-pinion-joint')
    readings.keep(step, { ...EMPTY_DRAFT, text: ' 1 1/4" ', way: 'below' })
    const { readings: all } = await storedBuild()
    const kept = all.at(-1)!
    expect(kept).toMatchObject({
      kind: 'point-height',
      values: ['1 1/4"'],
      way: 'below',
      takenBy: 'Odo',
      tool: 'tape',
    })
    expect(kept.takenAt).toMatch(/^\d{4}-\d\d-\d\dT/)
    expect(JSON.stringify(kept)).not.toContain('null')
    // The one before stays as history.
    expect(
      all.filter((one) => 'point' in one && one.point === 'pinion-joint' && one.kind === 'point-height'),
    ).toHaveLength(2)
    expect(stepOf(readings, 'point-height-pinion-joint').reading!.id).toBe(kept.id)
  })

  it('adds repeats, takes them out, and writes both down', async () => {
    const workbench = await openedDemo()
    const readings = useReadings()
    const reading = () =>
      workbench.build!.readings.find(({ id }) => id === 'r4')! as { values: readonly string[] }
    readings.repeat(
      workbench.build!.readings.find(({ id }) => id === 'r4')!,
      '3.5',
    )
    expect(reading().values).toEqual(['3.4', '3.4', '3.5'])
    readings.removeRepeat(workbench.build!.readings.find(({ id }) => id === 'r4')! as never, 0)
    expect(reading().values).toEqual(['3.4', '3.5'])
    const build = await storedBuild()
    expect(build.readingLog!.map(({ what }) => what)).toEqual(['repeated', 'repeat-removed'])
    expect(build.readingLog![1]).toMatchObject({
      before: { values: ['3.4', '3.4', '3.5'] },
      after: { values: ['3.4', '3.5'] },
    })
    expect(new Set(build.readingLog!.map(({ id }) => id)).size).toBe(2)
  })

  it('takes the reading out with its last repeat, and undo brings both back', async () => {
    const workbench = await openedDemo()
    const readings = useReadings()
    readings.removeRepeat(workbench.build!.readings.find(({ id }) => id === 'r5')! as never, 0)
    let build = await storedBuild()
    expect(build.readings.some(({ id }) => id === 'r5')).toBe(false)
    expect(build.readingLog!.at(-1)).toMatchObject({
      what: 'removed',
      reading: 'r5',
      before: { values: ['2317'] },
    })
    workbench.undo()
    build = await storedBuild()
    expect(build.readings.some(({ id }) => id === 'r5')).toBe(true)
    expect(build.readingLog ?? []).toEqual([])
  })

  it('puts a mistake right with one tap and keeps what it was', async () => {
    const workbench = await openedDemo((raw) => (raw.readings[3].values = ['86.6']))
    const readings = useReadings()
    const mistake = readings.mistakes.find(({ kind }) => kind === 'face-or-tube')!
    readings.correct(mistake, mistake.corrections[0]!)
    expect(readings.mistakes.some(({ kind }) => kind === 'face-or-tube')).toBe(false)
    const build = await storedBuild()
    expect(build.readingLog!.at(-1)).toMatchObject({
      what: 'corrected',
      before: { kind: 'axis-level' },
      after: { kind: 'axis-face' },
    })
    workbench.undo()
    await storedBuild()
    expect(readings.mistakes.some(({ kind }) => kind === 'face-or-tube')).toBe(true)
  })

  it('leaves a reading that was looked into', async () => {
    await openedDemo((raw) => (raw.readings[3].values = ['86.6']))
    const readings = useReadings()
    readings.accept(readings.mistakes[0]!)
    expect(readings.mistakes.filter(({ kind }) => kind === 'face-or-tube')).toEqual([])
    expect((await storedBuild()).readings[3]!.accepted).toEqual(['face-or-tube'])
  })

  it('carries a reading over only with a reason', async () => {
    await openedDemo((raw) => raw.setups.push({ ...raw.setups[0], id: 'two', name: 'Ramp' }))
    const readings = useReadings()
    const old = () => readings.steps.length > 0 && readings.setup!.id === 'two'
    expect(old()).toBe(true)
    const { build } = await import('./workbench').then(({ useWorkbench }) => useWorkbench())
    const level = build!.readings.find(({ id }) => id === 'r4')! as never
    readings.copyHere(level, 'ok')
    expect((await storedBuild()).readings).toHaveLength(23)
    readings.copyHere(level, '  engine not moved since ')
    expect((await storedBuild()).readings.at(-1)).toMatchObject({
      setup: 'two',
      copiedFrom: 'r4',
      copyReason: 'engine not moved since',
    })
  })

  it('says a draft back before it is kept, and what is wrong with it', async () => {
    await openedDemo()
    const readings = useReadings()
    const step = stepOf(readings, 'axis-level-output')
    expect(readings.echo(step, EMPTY_DRAFT)).toBeNull()
    expect(readings.echo(step, { ...EMPTY_DRAFT, text: '3.6', way: 'rear' })!.text).toContain(
      'to the chassis tail down 4.40°',
    )
    expect(readings.draftMistakes(step, { ...EMPTY_DRAFT, text: '86.6', way: 'rear' })[0]!.kind).toBe(
      'face-or-tube',
    )
    expect(readings.freshDraft(step)).toMatchObject({ text: '', way: 'rear', method: 'along' })
  })

  it('counts what is needed and what is done', async () => {
    await openedDemo((raw) => (raw.readings = raw.readings.slice(0, 4)))
    const readings = useReadings()
    expect([readings.openCount, readings.doneCount, readings.steps.length]).toEqual([6, 4, 24])
    expect(readings.next('axis-level-output')!.id).toBe('point-station-pinion-joint')
    expect(readings.maySkipGroup('joints')).toBe(false)
    expect(readings.maySkipGroup('levers')).toBe(true)
    expect(readings.beyond('joints')!.group).toBe('checks')
  })
})
