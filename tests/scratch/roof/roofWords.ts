import type { KINDS_OF_ROOFS, RoofTypes } from '../../file/kinds/roofKinds'
import { sentenceCase } from '../text/checkText'
import type { SubjectWords } from './subjectWords'

/** Words for roofs. */
export const ROOF_WORDS: SubjectWords<RoofTypes, keyof typeof KINDS_OF_ROOFS.levers> = {
  steps: {
    'roof-height': {
      asks: (_, name) => ({
        title: sentenceCase(name),
        hint: 'From the datum plane up to the underside of the roof.',
        ways: [
          ['above', 'above the plane'],
          ['below', 'below the plane'],
        ],
      }),
      scene: () => 'gap',
    },
  },
  echoes: {
    'roof-height': (_, { values }) => ({ ok: true, text: `The roof lies ${values.join(', ')} up.` }),
  },
  levers: {
    'roof-up': {
      name: 'roof',
      ways: ['up', 'down'],
      told: ({ isMore, size }) => `${isMore ? 'Raise' : 'Lower'} the roof ${size}`,
    },
  },
}
