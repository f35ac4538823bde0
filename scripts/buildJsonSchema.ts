// The published JSON Schema of the build file, written out from the schema that the program itself checks by.
import type { AnyObject, Schema, SchemaDescription } from 'yup'
import { FORMAT_NAME, FORMAT_VERSION } from '../core/file/build/build'
import { buildSchema } from '../core/file/build/build'
import { variantsOf } from '../core/file/parts/byWord'
import { SCHEMA_NOTES } from './schemaNotes'

type Json = Record<string, unknown>

/** What yup keeps of a schema and tells nobody's types. */
interface Inner {
  readonly type: string
  readonly fields?: Readonly<Record<string, Schema>>
  readonly innerType?: Schema
}

/** The whole schema of a build file. */
export function buildJsonSchema(): Json {
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    $id: `${FORMAT_NAME}-${FORMAT_VERSION}.schema.json`,
    title: `Lurvan build file, version ${FORMAT_VERSION}`,
    ...schemaOf(buildSchema as unknown as Schema, ''),
  }
}

/** The note on a place, by its whole path or its last words. */
function noteOn(path: string): string | undefined {
  const words = path.split('.')
  for (let from = 0; from < words.length; from++) {
    const note = SCHEMA_NOTES[words.slice(from).join('.')]
    if (note !== undefined) return note
  }
  return undefined
}

function schemaOf(schema: Schema, path: string): Json {
  const note = noteOn(path)
  return { ...plainSchemaOf(schema, path), ...(note !== undefined && { description: note }) }
}

function plainSchemaOf(schema: Schema, path: string): Json {
  const variants = variantsOf(schema)
  if (variants)
    return {
      oneOf: Object.entries(variants.shapes).map(([word, shape]) => {
        const found = schemaOf(shape, `${path}.${word}`)
        const properties = { ...(found.properties as Json), [variants.key]: { const: word } }
        const required = [...new Set([variants.key, ...((found.required as string[] | undefined) ?? [])])]
        return { ...found, properties, required }
      }),
    }
  const { type, fields, innerType } = schema as unknown as Inner
  if (fields) return objectOf(fields, path)
  if (type === 'array') return arrayOf(schema, innerType, path)
  return leafOf(schema.describe() as SchemaDescription)
}

function objectOf(fields: Readonly<Record<string, Schema>>, path: string): Json {
  const names = Object.keys(fields)
  if (names.length === 0)
    return { type: 'object', additionalProperties: { type: 'number', minimum: -1000, maximum: 1000 } }
  const required = names.filter((name) => isRequired(fields[name] as Schema))
  return {
    type: 'object',
    properties: Object.fromEntries(
      names.map((name) => [name, schemaOf(fields[name] as Schema, path ? `${path}.${name}` : name)]),
    ),
    ...(required.length > 0 && { required }),
  }
}

const isRequired = (schema: Schema): boolean =>
  variantsOf(schema)?.isRequired ?? (schema.describe() as AnyObject).optional === false

function arrayOf(schema: Schema, innerType: Schema | undefined, path: string): Json {
  const { min, max, length } = bounds(schema.describe() as SchemaDescription)
  return {
    type: 'array',
    ...(innerType && { items: plainSchemaOf(innerType, path) }),
    ...((min ?? length) !== undefined && { minItems: min ?? length }),
    ...((max ?? length) !== undefined && { maxItems: max ?? length }),
  }
}

function leafOf(description: SchemaDescription): Json {
  const { type, oneOf, tests } = description
  const { min, max } = bounds(description)
  if (oneOf.length === 1) return { const: oneOf[0] }
  if (oneOf.length > 1) return { enum: oneOf }
  if (type === 'boolean') return { type }
  if (type === 'number')
    return {
      type: tests.some(({ name }) => name === 'integer') ? 'integer' : 'number',
      ...(min !== undefined && { minimum: min }),
      ...(max !== undefined && { maximum: max }),
    }
  const matches = tests.find(({ name }) => name === 'matches')?.params?.regex as RegExp | undefined
  return {
    type: 'string',
    ...(min !== undefined && { minLength: min }),
    ...(max !== undefined && { maxLength: max }),
    ...(matches && { pattern: matches.source }),
  }
}

function bounds({ tests }: SchemaDescription): { min?: number; max?: number; length?: number } {
  const found = (name: string) =>
    tests.find((test) => test.name === name)?.params?.[name] as number | undefined
  return { min: found('min'), max: found('max'), length: found('length') }
}
