import type { AsBuilt, MakingState } from '~~/core/file/kinds/madePart'

/** Phrases of how far any made part is, and of what it was made. */
export const madePart = {
  state: 'How far it is',
  states: {
    idea: 'idea',
    template: 'template',
    cut: 'cut',
    tacked: 'tacked',
    welded: 'welded',
    painted: 'painted',
    fitted: 'fitted',
  } satisfies Record<MakingState, string>,
  unsaid: 'not said',
  asBuilt: 'Of what it was made, as cut',
  builtOf: {
    section: 'Section and wall, as measured',
    grade: 'Steel, and where it came from',
    filler: 'Filler',
  } satisfies Record<keyof AsBuilt, string>,
}
