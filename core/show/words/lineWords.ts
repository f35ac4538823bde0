import type { Build } from '../../file/build/build'
import type { Echo, SubjectWords } from './subjectWords'
import type { ShaftLevelReading, LineTypes } from '../../file/kinds/lineKinds'
import { fallWords } from '../../base/frame/words'
import { missingEcho } from './echoParts'
import { sentenceCase } from '../text/checkText'
import { shaftReadingSpec } from '../../measure/points/shaftReading'
import { signedFigure } from '../../measure/figures/figure'

/** Words for lines of shafts and joints. */
export const LINE_WORDS: SubjectWords<LineTypes, never> = {
  steps: {
    'shaft-level': {
      asks: (_, name) => ({
        title: `${sentenceCase(name)}, its own angle`,
        hint: 'Level on the tube itself, clear of welds and weights. It checks the joint points.',
        ways: [
          ['rear', 'rear end is lower'],
          ['front', 'front end is lower'],
        ],
      }),
      scene: () => 'shaft',
    },
  },
  echoes: { 'shaft-level': shaftEcho },
  levers: {},
}

function shaftEcho(build: Build, reading: ShaftLevelReading): Echo {
  const slope = signedFigure(
    shaftReadingSpec(build, { reading, path: `readings[${build.readings.length - 1}]` }),
  )
  if (!slope.known) return missingEcho(slope.missing)
  return {
    ok: true,
    text: `The shaft itself stands ${fallWords(slope.value, 'tail', build.units, 2).replace('tail', 'rear')} as read. It is held against the joint points.`,
  }
}
