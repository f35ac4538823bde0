/** What a tap on the card's photograph sets: a mark of its scale, a hole, or a corner of the metal. */
export type CardTool = 'first' | 'second' | 'outline' | { readonly hole: string }

/** Phrases of holes that were pressed into a card. */
export const cards = {
  title: 'From an impression on card',
  lead: 'Press card over the holes, draw two crosses on it, lay it flat and take it from straight above, from far off.',
  side: 'The card lay on',
  sides: { plate: 'the plate', bosses: 'the bosses' },
  choose: 'Photograph of the card',
  putBack: 'Its photograph is not in this browser: choose it again',
  taking: 'Taking it in …',
  remove: 'Delete the card',
  apart: 'The crosses are apart',
  back: 'Taken of the side that lay on the metal',
  tapes: 'Tapes on this face count, and its card does not.',
  dropTapes: 'Delete its tapes, go by the card',
  marking: 'A tap marks',
  whole: 'All holes are marked. Tap round the metal where it is to be as the card.',
  corners: (count: number) => `${count} ${count === 1 ? 'corner' : 'corners'} of the metal`,
  dropCorner: 'One corner back',
  canvas: (what: string) =>
    `Photograph of the card. A tap marks ${what}; or move the cross by the arrow keys and press Enter.`,
  toolName: (tool: CardTool): string =>
    typeof tool === 'object'
      ? `hole ${tool.hole}`
      : { first: 'the first cross', second: 'the second cross', outline: 'a corner of the metal' }[tool],
  toolShort: (tool: CardTool): string =>
    typeof tool === 'object' ? tool.hole : { first: '1', second: '2', outline: '' }[tool],
  circle: {
    title: 'Evenly on a circle',
    lead: 'The first hole at the top and on clockwise, as one looks at it from the front.',
    face: 'Lay on it',
    faces: { at: 'the holes of the plate', boss: 'the bosses' },
    by: 'Measured',
    bys: {
      circleMm: 'the circle itself',
      chordMm: 'from a hole to its neighbour',
      acrossMm: 'to the opposite hole, or the farthest',
    },
    size: 'So far',
    lay: (holes: number) => `Lay ${holes} holes on it`,
  },
  spots: 'From coordinates',
  spotLead: 'To the right and up, as one looks at it from the front; they count where nothing was taped.',
  spot: { xMm: 'to the right', yMm: 'up' },
  spotOf: (hole: string, face: 'at' | 'boss') => (face === 'at' ? `Hole ${hole}` : `Boss ${hole}`),
}
