import type { Build } from '../../file/build/build'
import type {
  ChainSlackReading,
  SprocketFaceReading,
  KINDS_OF_CHAINS,
  ChainTypes,
} from '../../file/kinds/chainKinds'
import type { Echo, SubjectWords } from './subjectWords'
import { faceFigure, measuredSlack, readFace } from '../../measure/points/chainReadings'
import { formatLength } from '../../base/units/format'
import { missingEcho } from './echoParts'
import { readingContext } from '../../measure/geometry/readingContext'
import { sentenceCase } from '../text/checkText'
import { sprocketName } from '../../file/parts/chainLine'
import { sprocketOf, stackText } from './leverTold'

const FACE_HINTS = {
  front: 'From the laser or straight-edge to the face at its front edge, level with the shaft.',
  rear: 'From the line to the face at its rear edge. Front and rear show how it is turned.',
  top: 'From the line to the face straight above the shaft.',
  bottom: 'From the line to the face straight below the shaft. Top and bottom show how it leans.',
} as const

/** Words for chains round sprockets. */
export const CHAIN_WORDS: SubjectWords<ChainTypes, keyof typeof KINDS_OF_CHAINS.levers> = {
  steps: {
    'sprocket-face': {
      asks: (step, name) => ({
        title: `${sentenceCase(name)}, face at the ${step.place}`,
        hint: FACE_HINTS[step.place],
        ways: [
          ['left', 'the line stands left of the face'],
          ['right', 'the line stands right of it'],
        ],
      }),
      scene: () => 'face',
    },
    'chain-slack': {
      asks: (_, name) => ({
        title: `${sentenceCase(name)}, slack`,
        hint: 'Engine off, key out. Turn the wheel until the other run is taut. At the middle of the slack run: from lifted to pressed down by hand, the whole way.',
        ways: [],
      }),
      scene: () => 'slack',
    },
  },
  echoes: { 'sprocket-face': faceEcho, 'chain-slack': slackEcho },
  levers: {
    spacer: {
      name: 'spacer',
      ways: ['left', 'right'],
      told: ({ build, lever, change, size, way }) =>
        `Set the ${sprocketOf(build, lever.sprocket)} ${size} further ${way}${stackText(lever, change)}`,
    },
  },
}

function faceEcho(build: Build, reading: SprocketFaceReading): Echo {
  const chain = build.chains?.find(({ sprockets }) => sprockets.some(({ id }) => id === reading.sprocket))
  const sprocket = chain?.sprockets.find(({ id }) => id === reading.sprocket)
  if (!chain || !sprocket) return { ok: false, text: 'Its sprocket is missing.' }
  const name = sentenceCase(sprocketName(sprocket))
  const context = readingContext(build)
  const figure = faceFigure(context, sprocketName(sprocket), { reading, path: 'readings' })
  if (!figure.known) return missingEcho(figure.missing)
  const size = context.graph.at(figure.value)
  const side = size < 0 ? 'right' : 'left'
  const text = `${name}: its face stands ${formatLength(Math.abs(size), build.units)} to the ${side} of the line at the ${reading.place}.`
  const face = readFace(context, chain, sprocket)
  if (!face?.known)
    return { ok: true, text: `${text} One more place on this face shows which way it is turned.` }
  const { yaw, tilt } = face.value.shows
  const lacks =
    yaw && tilt
      ? ''
      : yaw
        ? ' Its lean is not known until the top and the bottom are read.'
        : ' Its turn is not known until the front and the rear are read.'
  return { ok: true, text: `${text}${lacks}` }
}

function slackEcho(build: Build, reading: ChainSlackReading): Echo {
  const chain = build.chains?.find(({ id }) => id === reading.chain)
  if (!chain) return { ok: false, text: 'Its chain is missing.' }
  const context = readingContext(build)
  const read = measuredSlack(context, chain)
  if (!read?.known) return missingEcho(read ? read.missing : [])
  const size = context.graph.at(read.value.figure)
  if (size < 0) return { ok: false, text: 'A movement up and down is not below nought.' }
  return {
    ok: true,
    text: `${sentenceCase(chain.name)} moves ${formatLength(size, build.units)} up and down in all at the middle of its slack run.`,
  }
}
