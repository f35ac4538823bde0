import { making } from './making'

/** Phrases of tubes that are coped onto others. */
export const tubes = {
  title: 'Tubes',
  lead: 'A round tube from place to place: how long it is sawn, how each end is cut to lie on the tube it meets, and how its ends are turned to each other.',
  none: 'No tube yet. It takes the ends of its axis, and two points of the axis of each tube that it lies on.',
  add: 'Add a tube',
  newName: 'tube',
  ends: ['first end', 'second end'],
  newPoint: (tube: string, end: string) => `${tube}, ${end}`,
  newMain: (tube: string, end: string, which: 'one' | 'other') =>
    `what ${tube} lies on at its ${end}, ${which} point of its axis`,
  remove: (name: string) => `Delete ${name}`,
  picture: 'from the side, the match line up; what lies behind is dashed',
  matchLine: 'match line',
  steps: 'In this order',
  cuts: 'Both ends',
  columns: {
    end: 'End',
    main: 'Lies',
    angle: 'Axes meet at',
    passes: 'Pass each other by',
    deep: 'Hollow',
    flats: 'By flats of the saw',
  },
  sizes: 'The tube',
  name: 'Name',
  outer: 'Outside',
  wall: 'Wall',
  spare: 'Left on for the saw',
  paper: 'Paper',
  paperHelp: 'thickness of what is wrapped',
  end: (end: string) => `Its ${end}`,
  isCoped: 'Lies on another tube',
  mainOuter: 'That tube’s outside',
  axis: (end: string, a: string, b: string) =>
    `From ${end}. That tube’s axis goes from ${a} to ${b}; the match line faces ${b}.`,
  square: (end: string) => `Cut square at ${end}.`,
  wraps: 'Wraps: the tube’s outside toward you, far end up.',
  wrapCheck:
    'If a wrap does not close round the tube, the tube is not the diameter typed, or the printer stretches: measure both.',
  inner: 'Cut for a saw held square to the tube: no part of the wall stands in the way.',
  mirror:
    'Wrapped the wrong way round it is its mirror image: the side with the words is outside, its cut edge toward the other tube.',
  print: (position: string, day: string) => `${making.belongs(position, day)}; no width of the cut`,
  arrow: 'far end',
  taken: making.taken,
  fresh: 'It lies as it did when it was taken as made.',
  stale: (longer: string, turned: string) =>
    `Stale: axis to axis it is ${longer}, an angle ${turned} otherwise than when it was made.`,
  longer: (by: string) => `${by} longer`,
  shorter: (by: string) => `${by} shorter`,
  take: making.take,
  takeAgain: making.takeAgain,
  caution:
    'Edges of a fresh cope are knives: file them before you feel for the fit. Closed tubes are drilled before they are welded, so that hot air finds a way out.',
}
