import type { BOLTED_INTO, FACE_STATES, THREAD_STATES } from '~~/core/file/kinds/boltKinds'

/** Phrases of bolts and slots. */
export const bolts = {
  title: 'Bolts and slots',
  lead: 'What a bolt clamps tells its length, its torque and the hole; a slot its length, its washer, and whether friction holds what pulls along it.',
  none: 'No bolt yet.',
  add: 'Add a bolt',
  newName: 'bolt',
  remove: (name: string) => `Delete ${name}`,
  waits: 'It waits for',
  bolt: 'The bolt',
  name: 'Name',
  size: 'Thread M',
  pitch: 'Pitch, if not coarse',
  boltClass: 'Class',
  thread: 'Its thread is',
  threads: { dry: 'dry', oiled: 'oiled', paste: 'with paste' } satisfies Record<
    keyof typeof THREAD_STATES,
    string
  >,
  into: 'Screwed into',
  intos: { nut: 'a nut', steel: 'steel', 'cast-iron': 'cast iron', aluminium: 'aluminium' } satisfies Record<
    (typeof BOLTED_INTO)[number],
    string
  >,
  grip: 'Clamped together',
  headWasher: 'Washer under its head',
  nutWasher: 'Washers under the nut',
  slidesAt: 'Parts slide at, from its head',
  depth: 'Thread there, deep',
  plate: 'Holds the plate',
  noPlate: 'none',
  fullThread: 'thread up to its head',
  isSlot: 'It sits in a slot',
  slot: 'The slot',
  lever: 'Moved by',
  byHand: 'by hand',
  travel: 'Moves along it',
  place: 'Its place, ±',
  washerOuter: 'Washer across',
  faces: 'Faces that hold',
  bolts: 'Bolts like it',
  state: 'Faces are',
  states: { painted: 'painted', blasted: 'blasted bare' } satisfies Record<keyof typeof FACE_STATES, string>,
  chain: 'Pulled by',
  noChain: 'a force',
  load: 'Pull along it',
  single:
    'A single bolt where two were meant can turn: form lock or a second bolt. Lock wire pulls the tightening way.',
}
