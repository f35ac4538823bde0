import type { Build } from '../../file/build/build'
import { parseBuild } from '../../file/open/parseBuild'
import { changedDemo as changed, demoBuild } from '../../testdata/builds'
import { edited } from './edits'
import { acceptance, findMistakes } from './findMistakes'

const reading = (raw: Record<string, any>, id: string) => raw.readings.find((one: any) => one.id === id)
/** Each mistake injected must be found, cured by its first correction, and be gone after it. */
function expectCaught(build: Build, kind: string, sentence: RegExp, label: string) {
  const found = findMistakes(build).find((one) => one.kind === kind)
  expect(found?.sentence).toMatch(sentence)
  expect(found!.corrections[0]!.label).toBe(label)
  const after = edited(build, found!.corrections[0]!.edits)
  const proven = parseBuild(structuredClone(after))
  expect(proven.ok || proven.problems).toBe(true)
  expect(findMistakes(after).filter((one) => one.kind === kind)).toEqual([])
}

describe('findMistakes', () => {
  it('finds nothing wrong with the demo', () => {
    expect(findMistakes(demoBuild())).toEqual([])
  })

  it('catches a pinion read with the axle hanging', () => {
    expectCaught(
      changed((raw) => (raw.setups[0].standsOn = 'lift-frame')),
      'hanging-axle',
      /^pinion, pinion end, rear wheel axis: read with the axle hanging/,
      'Keep it as provisional until it is read again',
    )
  })

  it('catches a face entered as a tube, and a tube as a face', () => {
    expectCaught(
      changed((raw) => {
        const output = reading(raw, 'r4')
        output.values = ['86.6']
      }),
      'face-or-tube',
      /^gearbox output: 86.6° along it would be a wall/,
      'gearbox output was read across a face',
    )
    const asTube = changed((raw) => (reading(raw, 'r3').values = ['3.6']))
    expectCaught(asTube, 'face-or-tube', /3.6° would lie nearly flat/, 'The display calls plumb 0°')
    expect(findMistakes(asTube)[0]!.corrections[1]!.label).toBe('pinion was read along, not across a face')
  })

  it('catches readings of one line from a setup without an attitude', () => {
    expectCaught(
      changed((raw) => (raw.readings = raw.readings.filter((one: any) => one.kind !== 'chassis-fall'))),
      'no-attitude',
      /read against gravity in "On the floor, loaded", where the chassis was not read/,
      'The chassis stood level in "On the floor, loaded"',
    )
  })

  it('catches millimetres typed as inches and inches as millimetres', () => {
    expectCaught(
      changed((raw) => (reading(raw, 'r5').unit = 'in')),
      'inch-or-mm',
      /^pinion end, station: 2317 in is longer than any vehicle\. It looks like mm/,
      'It was read in mm',
    )
    expectCaught(
      changed((raw) => (reading(raw, 'r5').values = ['91.2'])),
      'inch-or-mm',
      /91.2 mm puts the joints of the line in the wrong order\. It looks like in/,
      'It was read in in',
    )
    expectCaught(
      changed((raw) => raw.readings.push({ ...reading(raw, 'r7'), id: 'again', values: ['1.22'] })),
      'inch-or-mm',
      /^pinion end, height: .* is 25.4 times off another reading of it/,
      'It was read in in',
    )
  })

  it('catches left and right swapped: mounts, and a point on an axis', () => {
    expectCaught(
      changed((raw) => {
        reading(raw, 'r16').side = 'right'
        reading(raw, 'r19').side = 'left'
      }),
      'swapped-sides',
      /Left and right were swapped/,
      'Put left engine mount and right engine mount on the other side',
    )
    expectCaught(
      changed((raw) => {
        Object.assign(reading(raw, 'r12'), { values: ['90'], side: 'left' })
        Object.assign(reading(raw, 'r9'), { values: ['70'], side: 'right' })
      }),
      'swapped-sides',
      /^gearbox output would point 7.4° across the vehicle/,
      'Put crankshaft nose on the other side',
    )
  })

  it('catches an unsigned tool taken the wrong way, by a second setup and by the heights of two points', () => {
    const second = (raw: Record<string, any>, chassisLow: string) => {
      raw.setups.push({ ...raw.setups[0], id: 'two', name: 'Lift' })
      raw.readings.push(
        { id: 'c2', kind: 'chassis-fall', setup: 'two', values: ['2.0'], low: chassisLow },
        { id: 'c3', kind: 'chassis-roll', setup: 'two', values: ['0.4'], low: 'left' },
        // Output falls 4.2° to the chassis; with the chassis 2.0° rear low the level shows 6.2°.
        { id: 'l2', kind: 'axis-level', axis: 'output', setup: 'two', values: ['6.2'], low: 'rear' },
      )
    }
    expect(findMistakes(changed((raw) => second(raw, 'rear')))).toEqual([])
    expectCaught(
      changed((raw) => second(raw, 'front')),
      'wrong-way',
      /^gearbox output: this reading says rear down 8.2°, other readings say rear down 4.2°/,
      'chassis: the rear was the low end',
    )
    expectCaught(
      changed((raw) => {
        // Nose 1240 mm ahead of the joint and 91 mm higher: 4.2° down to the rear.
        raw.readings.push({
          id: 'nh',
          kind: 'point-height',
          point: 'crank-nose',
          setup: 'setup-1',
          values: ['147'],
          way: 'above',
        })
        reading(raw, 'r4').low = 'front'
      }),
      'wrong-way',
      /^gearbox output: this reading says rear up 2.6°, other readings say rear down 4.2°/,
      'gearbox output: the rear was the low end',
    )
  })

  it('catches a shaft angle that contradicts its joint points, and leaves one that agrees', () => {
    const shaft = (value: string) => (raw: Record<string, any>) =>
      raw.readings.push({
        id: 's',
        kind: 'shaft-level',
        line: 'rear',
        shaft: 0,
        setup: 'setup-1',
        values: [value],
        low: 'rear',
      })
    // The shaft falls 4.32° to the chassis, whose front is 0.8° low: the level shows 3.6°.
    expect(findMistakes(changed(shaft('3.6')))).toEqual([])
    const off = changed(shaft('5.1'))
    const found = findMistakes(off)[0]!
    expect(found.kind).toBe('shaft-contradiction')
    expect(found.sentence).toMatch(
      /rear down 5.9°, its joint points say rear down 4.3°\. One of them is off by 1.6°/,
    )
    expect(found.corrections.at(-1)!.label).toBe('Keep the joint heights as provisional and take them again')
    const turned = changed((raw) => {
      shaft('3.6')(raw)
      raw.readings.at(-1).low = 'front'
    })
    expect(findMistakes(turned)[0]!.corrections[0]!.label).toBe('rear shaft: the rear was the low end')
  })

  it('flags an outlier among repeats and never drops it', () => {
    const build = changed((raw) => (reading(raw, 'r3').values = ['86.4', '86.5', '91.2']))
    expectCaught(
      build,
      'outlier',
      /the repeat 91.2 stands far off the others\. It still counts/,
      'Take out the repeat 91.2',
    )
  })

  it('does not raise again what was looked into', () => {
    const build = changed((raw) => (raw.setups[0].standsOn = 'lift-frame'))
    const [mistake] = findMistakes(build)
    const after = edited(build, acceptance(build, mistake!).edits)
    expect(findMistakes(after).filter(({ readingIds }) => readingIds[0] === mistake!.readingIds[0])).toEqual(
      [],
    )
  })
})
