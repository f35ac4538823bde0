import type { TemporaryKind } from '~~/core/file/kinds/temporaryKinds'

/** Phrases of what is temporary. */
export const temporary = {
  title: 'Everything temporary',
  lead: 'Short bolts, missing gaskets, blocks, straps, tacks, dummies, borrowed parts: what each changes, until it is as it will be.',
  none: 'Nothing temporary yet.',
  add: 'Add something temporary',
  newName: 'stand-in',
  name: 'What it is',
  kind: 'Kind',
  kinds: {
    bolts: 'short or few bolts',
    gasket: 'missing gasket or liner',
    block: 'block or jack',
    strap: 'strap',
    tack: 'tack only',
    dummy: 'dummy or cardboard',
    'stand-in': 'stand-in, larger on purpose',
    borrowed: 'borrowed part',
    'left-long': 'left long',
    other: 'other',
  } satisfies Record<TemporaryKind, string>,
  where: 'Where it is',
  changes: 'What it changes',
  body: 'Stands for',
  noBody: 'nothing of the build',
  larger: 'Larger by',
  since: (day: string) => `since ${day}`,
  close: 'It is made good',
  reopen: 'It is temporary again',
  closed: (day: string) => `made good ${day}`,
  remove: (name: string) => `Delete ${name}`,
}
