import type { HumpKind, HumpSize } from '~~/core/file/kinds/humpKinds'

/** Phrases of a vehicle over a hump. */
export const humps = {
  title: 'Over a hump',
  lead: 'The vehicle rolled over a hump, a kerb or a ramp, its springs blocked: what hangs low under it, what comes nearest, what touches first.',
  none: 'No hump yet. Begin with the worst one on your way home.',
  add: 'Add a hump',
  newName: 'hump',
  waits: 'It waits for',
  picture: 'from its right, driving to the right',
  roll: 'Front axle along the hump',
  at: 'Front axle',
  past: 'past the middle',
  before: 'before the middle',
  lows: 'What hangs low, the nearest first',
  columns: {
    low: 'Low point',
    least: 'Least gap',
    where: 'There',

    breakover: 'Clears a crest of',
  },
  sizes: 'The hump',
  name: 'Name',
  kind: 'Kind',
  kinds: {
    round: 'round hump',
    table: 'flat top, two ramps',
    kerb: 'kerb',
    ramp: 'ramp to level ground',
  } satisfies Record<HumpKind, string>,
  figures: { lengthMm: 'Length', heightMm: 'Height', rampMm: 'Ramp, along' } satisfies Record<
    HumpSize,
    string
  >,
  down: { frontDownMm: 'Loaded: front down by', rearDownMm: 'Loaded: rear down by' },
  remove: (name: string) => `Delete ${name}`,
  taken: 'Taken:',
  bar: 'A strong bar may touch before the pan; a pan or a cooler never before the bar.',
}

/** Phrases of parts that are to come out again. */
export const releases = {
  title: 'Does it come out again?',
  lead: 'Say what touches a part and what goes through it: there is a way out, or the proof that there is none. Ask it of a tacked part in its jig, a bar past the exhaust, a gearbox on its studs.',
  none: 'No part yet.',
  add: 'Add a part',
  newName: 'part',
  contacts: 'What touches it',
  contact: 'What touches it',
  pushes: 'It pushes the part',
  addContact: 'Another face',
  newContact: 'face',
  removeContact: (name: string) => `Delete ${name}`,
  pins: 'What goes through it',
  pin: 'Bolt, stud or shaft',
  along: 'It lies along',
  addPin: 'Another bolt or stud',
  newPin: 'bolt',
  canBeDrawn: 'can be taken out',
  isOneWay: 'lets go that way only',
  name: 'Name',
  remove: (name: string) => `Delete ${name}`,
  picture: { side: 'from the left side, front at the left', top: 'from above, front at the left' },
  legend: 'Small arrows push the part, dashes go through it, the thick arrow is the way out.',
  first: 'The first movement only, without turning it.',
  caution: 'Nobody and no fingers under a hanging part or between faces while it is moved.',
}
