/** One term of the trade: how it is written, and what it means in one or two sentences. */
export interface Term {
  readonly term: string
  /** Other ways it is written on screen. */
  readonly also?: readonly string[]
  readonly meaning: string
}

/** Every term of the trade that a screen uses; explained wherever it stands. */
export const GLOSSARY: readonly Term[] = [
  {
    term: 'fall',
    meaning:
      'How far an axis slopes down towards the rear, in degrees. "Tail down 3°" and "nose up 3°" are the same fall.',
  },
  {
    term: 'plan',
    meaning:
      'The direction of an axis seen from above: rear end to the left or to the right of straight ahead.',
  },
  { term: 'station', also: ['stations'], meaning: 'Distance rearward of the datum, along the chassis.' },
  {
    term: 'offset',
    also: ['offsets'],
    meaning:
      'Distance to the left or right: of a point from the chassis centreline, of a sprocket from the line of the others.',
  },
  {
    term: 'pillow block',
    also: ['pillow blocks'],
    meaning: 'A bearing in a housing of its own that is bolted to the frame: two of them hold a live axle.',
  },
  {
    term: 'live axle',
    meaning: 'A shaft that turns with its wheels: in two bearings, driven by a sprocket on it.',
  },
  {
    term: 'half link',
    meaning:
      'A link that is outer at one end and inner at the other, so that a chain may have an odd number of links. It is the weakest link there is.',
  },
  {
    term: 'wrap',
    meaning:
      'How far round a sprocket the chain lies, in degrees: with little wrap few teeth carry the pull.',
  },
  {
    term: 'tensioner',
    meaning:
      'A wheel that presses on the slack run of a chain, from outside or from inside, to take up what it has too much.',
  },
  {
    term: 'slack run',
    meaning: 'The run of a chain that is not pulled: it hangs, and is felt for slack.',
  },
  {
    term: 'straight-edge',
    meaning: 'A true bar: laid along the faces of two sprockets it shows how far one stands off the other.',
  },
  { term: 'height', also: ['heights'], meaning: 'Distance above or below the datum plane, square to it.' },
  {
    term: 'datum plane',
    meaning:
      'The level of the chassis that heights are counted from, such as the underside of the frame rails.',
  },
  {
    term: 'datum point',
    also: ['datum points'],
    meaning:
      'A stud, bolt or hole of the chassis whose place is known. Three of them bring measurements taken from any line on the floor to the chassis.',
  },
  {
    term: 'registration',
    meaning:
      'Fitting a setup to the chassis by its datum points. What each point misses the fit by shows which of them to look at again.',
  },
  {
    term: 'setup',
    also: ['setups'],
    meaning:
      'One measuring occasion: the vehicle stands in one attitude, and all readings taken then share it.',
  },
  {
    term: 'chassis roll',
    also: ['roll'],
    meaning:
      'How far the vehicle leans to one side. Unread it is taken as none, with half a degree of doubt.',
  },
  {
    term: 'chassis fall',
    meaning:
      'How far the frame slopes fore and aft as the vehicle stands. It is taken out of every angle read in that setup.',
  },
  {
    term: 'flip test',
    meaning:
      'A level read twice on one spot, the second time turned end for end: half the sum is its zero error.',
  },
  {
    term: 'zero error',
    meaning:
      'What a level shows on a truly level surface. All its readings share it, with the sign of the side its display looked to.',
  },
  {
    term: 'hand scatter',
    meaning:
      'How much one reading differs from the next by the same hand with the same tool: where it is set down, how the line is met. Learnt from repeats.',
  },
  {
    term: 'provisional',
    meaning:
      'Read from cardboard, a catalogue or an unloaded frame. All that rests on it is marked until the real reading comes.',
  },
  {
    term: 'working angle',
    also: ['joint angle', 'joint angles'],
    meaning: 'The angle between the two shafts a joint connects, in space: side view and top view together.',
  },
  {
    term: 'universal joint',
    also: ['cross joint'],
    meaning: 'Two yokes and a cross. At an angle it turns the driven shaft faster and slower twice a turn.',
  },
  { term: 'yoke', also: ['yokes'], meaning: 'The fork at a shaft’s end that holds two caps of the cross.' },
  {
    term: 'phase',
    also: ['in phase'],
    meaning:
      'How the yokes at the two ends of one shaft stand to each other. In phase they lie in one plane, and equal angles cancel.',
  },
  {
    term: 'slip yoke',
    meaning:
      'A yoke that slides on the splines of the output shaft and lets the shaft grow and shrink with the travel.',
  },
  {
    term: 'set-in',
    meaning:
      'The gap left at ride height between the end of the output shaft and the bottom of the slip yoke’s bore; room for bump.',
  },
  {
    term: 'cap seats',
    meaning: 'The bores or saddles of a yoke that hold the bearing caps. Their middle is the joint centre.',
  },
  {
    term: 'flange face',
    meaning: 'The flat face a flange bolts up to; the joint centre lies a known way behind it.',
  },
  {
    term: 'seal face',
    meaning: 'The end of the gearbox tail around the output shaft, a handy place to hold a tape to.',
  },
  {
    term: 'centring pilot',
    meaning:
      'The pin that keeps a shaft in the middle of a flexible disc. Without one nothing holds the shaft in place.',
  },
  {
    term: 'flexible disc',
    meaning: 'A rubber and cord coupling: good for a degree or two, and only with a centring pilot.',
  },
  {
    term: 'double-cardan',
    meaning:
      'Two universal joints with a centring device between them: constant velocity up to its own limit.',
  },
  {
    term: 'constant velocity',
    also: ['CV joint'],
    meaning: 'A joint that hands the turning on evenly at any angle within its limit.',
  },
  {
    term: 'torsional',
    also: ['Torsional acceleration'],
    meaning:
      'How hard the driven axle is speeded up and slowed down twice a turn by angles that do not cancel. It is felt and heard.',
  },
  {
    term: 'inertial',
    also: ['Shaft inertia at top speed'],
    meaning:
      'How hard the shaft itself is swung by its joint angle, even where the two joints cancel. It loads joints and shakes the tube.',
  },
  {
    term: 'equivalent angle',
    meaning: 'The angle of the one joint that would run just as unevenly as the whole line.',
  },
  {
    term: 'pair difference',
    also: ['Difference of a pair'],
    meaning:
      'The difference of the two joint angles of a shaft. A rule of thumb; the torsional figure is the exact one.',
  },
  {
    term: 'critical',
    also: ['critical speed'],
    meaning: 'The speed at which a tube starts to whirl like a skipping rope. A shaft keeps well below it.',
  },
  {
    term: 'spline',
    also: ['Spline teeth'],
    meaning:
      'The toothed fit that lets shaft and yoke slide, and by which the phase can be changed tooth by tooth.',
  },
  { term: 'wedge', meaning: 'A tapered shim between spring and axle that turns the pinion nose up or down.' },
  { term: 'pinion', meaning: 'The small gear that the shaft drives; its axis is the end of the line.' },
  { term: 'ride height', meaning: 'As the vehicle stands on its wheels, loaded as usual and settled.' },
  { term: 'under drive', meaning: 'Pulling: the axle winds up and its nose rises by what is expected.' },
  {
    term: 'on overrun',
    meaning: 'The road drives the engine: the nose is pressed down, and the shaft is driven from behind.',
  },
  {
    term: 'school',
    meaning:
      'The idea a line is laid out by: axes parallel, meeting midway, straight, pinion pointed along the shaft, in two pieces, or pinion set low.',
  },
  {
    term: 'gap',
    also: ['gaps'],
    meaning:
      'The shortest way between two things that must not touch, read in one direction. Below nought they lie in each other.',
  },
  {
    term: 'touch point',
    meaning: 'The spot on a part that comes nearest to what stands against it.',
  },
  {
    term: 'trial',
    also: ['trials', 'lift-in'],
    meaning: 'One time that engine and gearbox are lifted in. What is read of them belongs to it.',
  },
  {
    term: 'crossmember',
    meaning: 'The bar across the frame that carries the tail of the gearbox, or the front of the frame.',
  },
  {
    term: 'lever',
    also: ['levers'],
    meaning: 'Anything a builder can turn, pack, slot or cut to move engine, gearbox or axle.',
  },
]

const byLength = [...GLOSSARY]
  .flatMap((entry) => [entry.term, ...(entry.also ?? [])].map((word) => ({ word, entry })))
  .sort((a, b) => b.word.length - a.word.length)
const MARKS = /[.*+?^${}()|[\]\\]/g
const PATTERN = new RegExp(
  `(?<![\\p{L}-])(${byLength.map(({ word }) => word.replace(MARKS, '\\$&')).join('|')})(?![\\p{L}-])`,
  'iu',
)

/** A piece of a text: plain, or a term with its entry. */
export interface Piece {
  readonly text: string
  readonly entry: Term | null
}

/** A text split at the first of each term that stands in it. */
export function splitByTerms(text: string): Piece[] {
  const found = PATTERN.exec(text)
  if (!found) return text === '' ? [] : [{ text, entry: null }]
  const [word] = found
  const entry = byLength.find((one) => one.word.toLowerCase() === word.toLowerCase())?.entry ?? null
  const before = text.slice(0, found.index)
  return [
    ...(before ? [{ text: before, entry: null }] : []),
    { text: word, entry },
    ...splitByTerms(text.slice(found.index + word.length)).map((piece) =>
      piece.entry === entry ? { ...piece, entry: null } : piece,
    ),
  ]
}
