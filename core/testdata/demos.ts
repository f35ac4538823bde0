import { readdirSync, readFileSync } from 'node:fs'
import { join } from 'node:path'

const FOLDER = join(__dirname, '../../demo')

/** Every demo as it is shipped, as raw data fresh for each caller, by its id. */
export const rawDemos = (): { readonly id: string; readonly raw: any }[] => // eslint-disable-line @typescript-eslint/no-explicit-any
  readdirSync(FOLDER).map((file) => ({
    id: file.replace('.lurvan.json', ''),
    raw: JSON.parse(readFileSync(join(FOLDER, file), 'utf8')),
  }))
