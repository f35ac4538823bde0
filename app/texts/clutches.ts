import type { Clutch, ForkPivot } from '~~/core/file/parts/clutch'

type Size = Exclude<keyof Clutch, 'id' | 'name' | 'control' | 'fork' | 'note' | 'pedalRatio'>

/** Phrases of clutches that a pedal works by oil. */
export const clutches = {
  title: 'The clutch by oil',
  none: 'Pedal, cylinders and fork: whether the whole stroke frees the plate.',
  add: 'Add a clutch',
  newName: 'clutch',
  remove: (name: string) => `Delete ${name}`,
  table: 'What it comes to',
  name: 'Name',
  control: 'Worked by',
  controlNone: 'nobody said',
  workedBy: (control: string, limbs: string) => `${control}, ${limbs}`,
  ratio: 'Ratio of the pedal',
  sizes: [
    ['pedalMm', 'Pedal goes, at its pad'],
    ['masterMm', 'Bore of the master'],
    ['masterStrokeMm', 'Stroke it has'],
    ['slaveMm', 'Bore of the slave'],
    ['slaveStrokeMm', 'Stroke it has'],
    ['freeMm', 'Bearing free for'],
    ['releaseMm', 'Then frees the plate in'],
  ] satisfies readonly (readonly [Size, string])[],
  hasFork: 'Release',
  forks: {
    none: 'slave on the input shaft',
    between: 'fork, its pivot between bearing and rod',
    end: 'fork, its pivot at the end',
  } satisfies Record<ForkPivot | 'none', string>,
  toBearing: 'Pivot to bearing',
  toRod: 'Pivot to rod',
  socket: 'Rod’s socket too near the slave by',
  caution:
    'Bleed and try it with the wheels chocked and the gearbox in neutral. A clutch that drags moves the vehicle when the engine starts.',
}
