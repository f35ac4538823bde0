import { boltAnswer } from '../../bay/bolts/boltAnswer'
import { fixed, formatLength } from '../../base/units/format'
import type { Build } from '../../file/build/build'
import type { BoltEntry } from '../../file/kinds/boltKinds'
import type { PlateEvaluation } from '../../model/plateSubject'
import { boltName } from './boltText'
import { hourText } from './plateText'
import type { WorkStep } from './workStep'

/** The card of a plate: holes that are opened, every bolt by hand, then each tight. */
export function plateSteps(build: Build, { plate, answer }: PlateEvaluation): WorkStep[] {
  const open = openOf(answer)
  if (open === null) return []
  return [
    ...open,
    ...plate.holes.map(({ id, boltMm }): WorkStep => ({
      name: `bolt in hole ${id}`,
      figure: `M${String(boltMm)}`,
      note: 'by hand: it drops in, or the plate is not pulled over it',
      isHole: true,
    })),
    ...(build.bolts ?? []).flatMap((bolt) => (bolt.plate === plate.id ? tightSteps(build, bolt) : [])),
  ]
}

/** A bolt of a plate, once all holes fit: what it is, its washers, how tight. */
function tightSteps(build: Build, bolt: BoltEntry): WorkStep[] {
  const answer = boltAnswer(build, bolt)
  if (!answer.known) return []
  const { headWasherMm = 0, nutWasherMm = 0, into, gripMm } = bolt
  const washer = (mm: number, where: string) =>
    mm > 0 ? [`washer of ${formatLength(mm, build.units)} under the ${where}`] : []
  const note = [
    boltName(bolt, answer.value),
    `grip ${formatLength(gripMm, build.units)}`,
    ...washer(headWasherMm, 'head'),
    ...(into === 'nut' ? washer(nutWasherMm, 'nut') : []),
  ]
  return [
    {
      key: `tighten/${bolt.id}`,
      name: `tighten ${bolt.name}`,
      figure: `${fixed(answer.value.tightening.torqueNm, 0)} N·m`,
      note: `${note.join(', ')}; ${THREAD_WORDS[bolt.thread]}`,
    },
  ]
}

const THREAD_WORDS: Readonly<Record<BoltEntry['thread'], string>> = {
  dry: 'thread dry',
  oiled: 'thread oiled',
  paste: 'thread with paste',
}

function openOf({ fit }: PlateEvaluation['answer']): WorkStep[] | null {
  // One that has to be drilled anew is bolted nowhere.
  if (!fit.known || fit.value.verdict === 'redrill') return null
  return fit.value.open.map(({ id, byMm, hour }) => ({
    name: `open hole ${id}`,
    figure: `${fixed(byMm, 1)} mm`,
    note: `toward ${hourText(hour)}; all others stay as they are`,
  }))
}
