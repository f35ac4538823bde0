import type { Maker } from './makers'
import type { MadeBy, Task } from './task'

const NAMES: Readonly<Record<Maker, (name: string, count: number) => string>> = {
  measure: (_, count) =>
    count === 1 ? 'take the reading that is missing' : `take ${count} readings that are missing`,
  again: (_, count) => (count === 1 ? 'read a guess again' : `read ${count} guesses again`),
  cure: (_, count) =>
    count === 1 ? 'put a check right that is out' : `put ${count} checks right that are out`,
  make: (name) => `make ${name}`,
  cutout: (name) => `cut ${name}`,
  weld: (name) => `weld ${name}`,
  fit: (name) => `fit ${name}`,
  order: (name) => name,
  install: (name) => `fit ${name}`,
  temporary: (name) => `make good: ${name}`,
}

const madeName = ({ by, thing, count }: MadeBy): string => NAMES[by](thing?.name ?? '', count)

/** What a task is called: by what the build makes of it, or as its builder called it. */
export const taskName = ({ key, made, entry }: Pick<Task, 'key' | 'made' | 'entry'>): string =>
  made ? madeName(made) : (entry?.name ?? key)
