import type { PieceKind } from '~~/core/file/kinds/pieceKinds'

/** Phrases of small made parts. */
export const pieces = {
  title: 'Guides and gussets',
  lead: 'Small parts cut from a print: a block to drill square by, a gusset under a tab, a block to saw along.',
  none: 'None yet.',
  add: 'Add one',
  newName: 'drill guide',
  sizes: 'The part',
  name: 'Name',
  kind: 'What it is',
  kinds: { guide: 'drill guide', gusset: 'gusset under a tab', saw: 'saw block' } satisfies Record<
    PieceKind,
    string
  >,
  figures: {
    guide: {
      longMm: 'Length',
      wideMm: 'Width',
      highMm: 'Height',
      holeMm: 'Hole',
      inMm: 'Hole from its edge',
    },
    gusset: { longMm: 'Along the tab', wideMm: 'Along what it is welded to', highMm: 'Thickness' },
    saw: { longMm: 'Length', wideMm: 'Width', highMm: 'Height', angleDeg: 'Off square' },
  },
  play: 'Play of the drill in it',
  through: 'The drill goes through',
  nose: 'Blunt ends',
  snip: 'Inner corner cut off',
  tab: 'The tab over it',
  tabs: {
    loadN: 'Load on it',
    offMm: 'Load from its root',
    wideMm: 'Width of the tab',
    thickMm: 'Its thickness',
    yieldMPa: 'It yields at',
  },
  waits: 'It waits for',
  seen: 'seen from above',
  arrow: 'up',
  remove: (name: string) => `Delete ${name}`,
  drill:
    'No gloves at drills; sparks away from glass and fuel. Rail flanges, heat-treated rails and crumple zones: no holes without the vehicle maker’s guide. A hollow section is not squeezed by a bolt without a tube in it.',
}
