import published from '../docs/format/lurvan-build.schema.json'
import { buildJsonSchema } from './buildJsonSchema'

describe('the published schema of the build file', () => {
  it('is what the program checks by; npm run schema writes it', () => {
    expect(JSON.parse(JSON.stringify(buildJsonSchema()))).toEqual(published)
  })

  it('tells every kind of reading and body, with what each must have', () => {
    const variants = (list: { readonly items: object }) =>
      (list.items as { oneOf: { properties: { kind: { const: string } }; required: string[] }[] }).oneOf
    const readings = variants(published.properties.readings)
    const face = readings.find(({ properties }) => properties.kind.const === 'axis-face')!
    expect([...face.required].sort()).toEqual(['axis', 'from', 'id', 'kind', 'setup', 'values'])
    expect(variants(published.properties.bodies).map(({ properties }) => properties.kind.const)).toEqual([
      'chassis',
      'powertrain',
      'transfer-case',
      'axle',
      'bearing-bracket',
      'hub',
      'live-axle',
      'item',
    ])
  })
})
