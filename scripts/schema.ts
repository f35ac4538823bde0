// npm run schema: writes the JSON Schema of the build file.
import { writeFileSync } from 'node:fs'
import { format, resolveConfig } from 'prettier'
import { buildJsonSchema } from './buildJsonSchema'

const FILE = 'docs/format/lurvan-build.schema.json'
const options = await resolveConfig(FILE)
writeFileSync(FILE, await format(JSON.stringify(buildJsonSchema()), { ...options, parser: 'json' }))
