import type { Build } from '../../file/build/build'
import type { CableStringReading, CableTypes } from '../../file/kinds/cableKinds'
import { formatLength } from '../../base/units/format'
import { readingContext } from '../../measure/geometry/readingContext'
import { stringAlong } from '../../measure/points/cableReading'
import { missingEcho } from './echoParts'
import type { Echo, SubjectWords } from './subjectWords'

/** Words for cables of a set length. */
export const CABLE_WORDS: SubjectWords<CableTypes, never> = {
  steps: {
    'cable-string': {
      asks: (_, name) => ({
        title: `String along ${name}`,
        hint: 'Lay a string from fixing to fixing along the way of the cable, tight round every corner, then tape the string. What its sharp corners are longer than the bends is taken off.',
        ways: [],
      }),
      scene: () => 'string',
    },
  },
  echoes: { 'cable-string': stringEcho },
  levers: {},
}

function stringEcho(build: Build, { cable: id }: CableStringReading): Echo {
  const cable = build.cables?.find((one) => one.id === id)
  if (!cable) return { ok: false, text: 'Its cable is missing.' }
  const context = readingContext(build)
  const read = stringAlong(context, cable)
  if (!read.known) return missingEcho(read.missing)
  const size = formatLength(context.graph.at(read.value), build.units)
  return { ok: true, text: `${cable.name}: a string along its way is ${size} long.` }
}
