import { fixed } from '../../base/units/format'
import type { Verdict } from '../../file/build/limit'
import type { EdgeVerdict, HoleEdge } from '../../making/bolts/plateEdges'
import type { PlateRests } from '../../making/plates/bossSpacers'
import type { PlateAnswer } from '../../making/plates/plateAnswer'

/** What else is to be said of a plate, a sentence each. */
export interface PlateNote {
  readonly text: string
  readonly verdict: Verdict
}

/** What stands where something else lies, how near its holes are to its edges, how it lies on the spacers that are there. */
export const plateNotes = (answer: PlateAnswer): PlateNote[] => [
  ...zoneNotes(answer),
  ...edgeNotes(answer),
  ...restNotes(answer),
]

const mm = (size: number, decimals = 1): string => `${fixed(size, decimals)} mm`

function zoneNotes({ zones }: PlateAnswer): PlateNote[] {
  if (!zones.known) return []
  return zones.value.flatMap(({ name, roomMm, hides }): PlateNote[] => [
    roomMm < 0
      ? { text: `${name}: cut the plate back by ${mm(-roomMm)} there.`, verdict: 'out' }
      : { text: `${name}: ${mm(roomMm)} more than its gap are free.`, verdict: 'holds' },
    ...hides.map((hole): PlateNote => ({
      text: `${name} hides the bolt of hole ${hole}: an access tube through it, and a longer bolt.`,
      verdict: 'out',
    })),
  ])
}

const VERDICTS: Readonly<Record<EdgeVerdict, Verdict>> = { ok: 'holds', warn: 'tight', fail: 'out' }

function edgeNotes({ edges }: PlateAnswer): PlateNote[] {
  if (!edges.known) return []
  const { holes, pitchMm, pitchRatio, pitchVerdict } = edges.value
  const alike = new Map<string, HoleEdge[]>()
  for (const hole of holes.filter(({ verdict }) => verdict !== 'ok')) {
    const key = `${mm(hole.edgeMm)}, ${fixed(hole.edgeRatio, 1)}`
    alike.set(key, [...(alike.get(key) ?? []), hole])
  }
  const near = [...alike].map(([key, some]): PlateNote => ({
    text: `${some.length > 1 ? 'Holes' : 'Hole'} ${some.map(({ id }) => id).join(', ')}: from the middle to the edge ${key} of its size; 1.5 keeps it from tearing out.`,
    verdict: VERDICTS[some[0]?.verdict ?? 'ok'],
  }))
  if (pitchMm === null || pitchRatio === null || pitchVerdict === null || pitchVerdict === 'ok') return near
  const pitch = `The nearest two holes are ${mm(pitchMm)} apart, ${fixed(pitchRatio, 1)} of their size; 2.5 keeps the metal between them.`
  return [...near, { text: pitch, verdict: VERDICTS[pitchVerdict] }]
}

function restNotes({ spacers }: PlateAnswer): PlateNote[] {
  const rests = spacers.known ? spacers.value.rests : null
  return rests ? [{ text: restText(rests), verdict: rests.isFlat ? 'holds' : 'out' }] : []
}

function restText({ isFlat, tiltDeg, touching, rockMm, gapsMm, changesMm, grind }: PlateRests): string {
  const leans = `it leans ${fixed(tiltDeg, 2)}° to the straight edge`
  if (isFlat) return `On the spacers that are there it lies flat on all; ${leans}.`
  const [id] = grind
  const off = id === undefined ? undefined : changesMm?.get(id)
  const which =
    off === undefined ? openOnes(gapsMm) : `grind ${mm(off, 2)} off the spacer of ${grind.join(' or ')}`
  return `On the spacers that are there it lies on ${touching.join(', ')} and rocks by ${mm(rockMm, 2)}: ${which}.`
}

const openOnes = (gapsMm: PlateRests['gapsMm']): string =>
  [...gapsMm]
    .filter(([, gap]) => gap > 0.005)
    .map(([id, gap]) => `${mm(gap, 2)} are open at ${id}`)
    .join(', ')
