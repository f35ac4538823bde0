import type { PatternStep } from '~~/core/halfshaft/donorPattern'

/** Phrases of halfshafts and their patterns. */
export const halfshaftTexts = {
  nav: { label: 'Views of the travel', travel: 'Axles', halfshafts: 'Halfshafts' },
  title: 'Pattern from two donor shafts',
  lead: 'Two cut shafts, slid past each other in place, tell the length of the one to be made.',
  none: 'No pattern yet. It takes the inner end of one shaft and the outer end of another, cut so that they overlap by a hand or two.',
  add: 'New pattern',
  newName: (count: number) => (count % 2 === 0 ? 'left shaft' : 'right shaft'),
  name: 'Which shaft',
  remove: (name: string) => `Delete ${name}`,
  print: 'Print the sheet for the machinist',
  steps: {
    settle: 'Settle the vehicle',
    pieces: 'Measure both pieces',
    bottomed: 'Inner joint bottomed',
    pulled: 'Inner joint pulled out',
    done: 'Set and clamp',
  } satisfies Record<PatternStep, string>,
  does: {
    settle:
      'Wheels on the ground at ride height, weight on. Roll it forth and back a length: tyres that were jacked stand tucked in, and the length would be short.',
    pieces: 'From the middle of each joint to the cut end of its piece.',
    bottomed:
      'Push the inner joint in to its stop, let the pieces lie side by side, scribe where they overlap.',
    pulled: 'Pull it out until it stops, not until it comes apart. Scribe again.',
    done: 'Slide the cut end halfway between the two marks and clamp.',
  } satisfies Record<PatternStep, string>,
  settled: 'It stands at ride height and was rolled forth and back',
  outerPiece: 'Outer joint to its cut end',
  innerPiece: 'Inner joint to its cut end',
  bottomed: 'Overlap, bottomed',
  pulled: 'Overlap, pulled out',
  offset: 'Longer than the middle by',
  offsetHelp: 'the middle when left open; the joint then sits deeper at ride height',
  clamp: 'Overlap it takes to clamp',
  clampHelp: '60 mm when left open',
  result: 'Length to order',
  resultIs: 'joint centre to joint centre',
  waits: (what: string) => `Told once it is known: ${what}.`,
  facts: {
    stroke: 'Way of the inner joint',
    bottomed: 'Length when bottomed',
    pulled: 'Length when pulled out',
    overlap: 'Overlap to clamp at',
    toBottom: 'From there to the inner stop',
    toPulled: 'From there to the outer stop',
    cutOff: 'Most that may be cut off a piece',
  },
  cannotClamp: 'Too little overlap is left to clamp: take a longer piece.',
  schools:
    'The middle of the marks puts the joint at mid plunge at ride height. Where the travel uses more of one side, the middle of the range that is used is the better length: read the distance at droop and bump as well before you order.',
  caution:
    'Stands under the vehicle before anybody lies beneath it. The pattern is for measuring only: it never carries torque, and it is not driven.',
  sheet: {
    title: 'Halfshaft to make',
    pattern: 'Pattern, not a part',
    from: (build: string) => `For ${build}`,
    made: 'One piece, from a machinist or shaft maker of the trade, by his own material and hardness; splines and joints by the samples that go with this sheet.',
    ask: 'Ask when a sample and this sheet do not agree.',
  },
} as const
