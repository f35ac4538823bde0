import { demoFile } from '../../testdata/demoFile'
import { readingEcho } from '../../show/told/echo'
import { readingsFromTable } from '../../measure/csv/readingsFromTable'
import { readingTable } from '../../measure/csv/readingTable'
import { measuringTour } from '../../measure/tour/tour'
import type { MeasuredReading } from '../../file/build/reading'
import { findMistakes } from './findMistakes'

const CART = demoFile('burdock-cart')

describe('a chain that cannot be so long', () => {
  const kinds = (links: number) =>
    findMistakes(demoFile('burdock-cart', (raw) => (raw.chains[0].links = links))).map(({ kind }) => kind)

  it('was counted wrong', () => {
    expect(kinds(110)).toEqual([])
    expect(kinds(114)).toEqual(['chain-length'])
    expect(kinds(104)).toEqual(['chain-length'])
    const [found] = findMistakes(demoFile('burdock-cart', (raw) => (raw.chains[0].links = 114)))
    expect(found?.sentence).toBe(
      'drive chain: by its slack it is 3.3 % shorter than 114 new links. Count the links again: 110 would fit, or read the sprockets’ places again.',
    )
  })

  it('is not spoken of again once it was looked into', () => {
    const accepted = demoFile('burdock-cart', (raw) => {
      raw.chains[0].links = 114
      raw.readings.find((one: any) => one.kind === 'chain-slack' && one.chain === 'drive').accepted = [
        'chain-length',
      ]
    })
    expect(findMistakes(accepted)).toEqual([])
  })
})

describe('readings of chains', () => {
  it('go out as a table and come in again as they were', () => {
    let next = 0
    const result = readingsFromTable(CART, readingTable(CART), () => `new-${++next}`)
    if (!result.ok) throw new Error(JSON.stringify(result.problems))
    const strip = (one: object) => ({ ...one, id: '' })
    const sent = CART.readings.filter((one) => 'values' in one).map((one) => ({ ...one, unit: undefined }))
    expect(result.readings.map((one) => strip({ ...one, unit: undefined }))).toEqual(sent.map(strip))
  })

  it('are refused with their line where the place or the run is none', () => {
    const header = ['setup', 'kind', 'of', 'place', 'shaft', 'length [mm]']
    const from = (row: string[]) => {
      const result = readingsFromTable(CART, { header, rows: [row] }, () => 'new')
      return result.ok ? [] : result.problems.map(({ line, message }) => `${line}: ${message}`)
    }
    const setup = CART.setups[0]!.name
    expect(from([setup, 'sprocket-face', 'axle sprocket', 'left', '', '20'])).toEqual([
      '2: place "left" is not one of: front, rear, top, bottom',
    ])
    expect(from([setup, 'sprocket-face', 'nothing', 'front', '', '20'])).toEqual([
      '2: there is no sprocket "nothing"',
    ])
    expect(from([setup, 'chain-slack', 'drive chain', '', '9', '20'])).toEqual([
      '2: "drive chain" has no run "9"',
    ])
    expect(from([setup, 'chain-slack', 'drive chain', '', '2', '20'])).toEqual([])
  })

  it('are asked for in the tour: places, faces, slack; no face of a shaft along the vehicle', () => {
    const steps = measuringTour(CART, 'setup-1').filter(({ group }) => group === 'chains')
    const ids = steps.map(({ id }) => id)
    expect(ids).toEqual(
      expect.arrayContaining([
        'point-station-engine-sprocket',
        'sprocket-face-axle-top',
        'chain-slack-steering',
      ]),
    )
    expect(ids.filter((id) => id.startsWith('sprocket-face'))).toHaveLength(8)
    expect(steps.every(({ reading }) => reading !== null)).toBe(true)
  })

  it('are said back', () => {
    const base = { id: 'draft', setup: 'setup-1', tool: 'laser' }
    const say = (reading: object) => readingEcho(CART, { ...base, ...reading } as MeasuredReading)
    expect(say({ kind: 'chain-slack', chain: 'drive', values: ['18'] })).toEqual({
      ok: true,
      text: 'Drive chain moves 18.0 mm up and down in all at the middle of its slack run.',
    })
    expect(
      say({
        kind: 'sprocket-face',
        sprocket: 'axle',
        place: 'front',
        stands: 'left',
        values: ['22.7'],
        radius: '95',
      }),
    ).toEqual({
      ok: true,
      text: 'Axle sprocket: its face stands 22.7 mm to the right of the line at the front.',
    })
    expect(say({ kind: 'sprocket-face', sprocket: 'axle', place: 'front', values: ['22.7'] })).toMatchObject({
      ok: false,
      text: expect.stringContaining('which side the laser or straight-edge stands on'),
    })
    const bare = demoFile('burdock-cart', (raw) => {
      raw.readings = raw.readings.filter(({ kind }: any) => kind !== 'sprocket-face')
    })
    expect(
      readingEcho(bare, {
        ...base,
        kind: 'sprocket-face',
        sprocket: 'axle',
        place: 'front',
        stands: 'left',
        values: ['22.7'],
      } as MeasuredReading).text,
    ).toContain('One more place on this face shows which way it is turned.')
  })
})
