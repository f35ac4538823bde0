import { defineStore } from 'pinia'
import { computed } from 'vue'
import { plungeVerdict } from '~~/core/vehicle/halfshaft/plungeWindow'
import type { HalfshaftFigure } from '~~/core/stand/compiledTravel'
import type { HalfshaftEvaluation } from '~~/core/model/halfshafts'
import { hubById } from '~~/core/file/parts/bodies'
import type { Id } from '~~/core/file/parts/id'
import type { Line, Plunge } from '~~/core/file/parts/lineSpec'
import { halfshaftFigureId } from '~~/core/model/halfshaftSubject'
import { assign } from './assign'
import { useEvaluation } from './evaluation'
import { useSureness } from './sureness'
import { useWorkbench } from './workbench'

/** Shafts with a joint that plunges: their lengths by both schools, and the one that is taken. */
export const useHalfshafts = defineStore('halfshafts', () => {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const sureness = useSureness()

  const all = computed(() =>
    (evaluation.current?.lines ?? []).flatMap(({ line, states, checks }) =>
      line.shafts.flatMap(({ plunge }, shaft) => {
        if (!plunge) return []
        const found =
          evaluation.current?.halfshafts.find((one) => one.lineId === line.id && one.shaft === shaft) ?? null
        const unread = states.flatMap(({ figures }) => (figures.known ? [] : figures.missing))
        const lengthMm = plunge.middleMm ?? found?.lengths.middleMm ?? null
        return [
          {
            line,
            shaft,
            plunge,
            found,
            hub: hubOf(line),
            /** The one that was taken, else the middle of what the travel uses. */
            lengthMm,
            verdict: found && lengthMm !== null ? plungeVerdict(found, found.room, lengthMm) : 'unknown',
            check: checks.find(
              ({ quantity, subject }) =>
                quantity === 'plunge-left' && 'index' in subject && subject.index === shaft,
            ),
            missing: [...new Set(unread.map(({ what }) => what))],
          },
        ]
      }),
    ),
  )

  const hubOf = ({ driven }: Line) => {
    const { build } = workbench
    return build ? hubById(build, build.axes.find(({ id }) => id === driven)?.body) : undefined
  }

  /** ± of a length; null while it is not known. */
  const plusMinus = (found: HalfshaftEvaluation, name: HalfshaftFigure): number | null =>
    sureness.result?.figures[halfshaftFigureId(found, name)]?.plusMinus ?? null

  function setPlunge(
    lineId: Id,
    shaft: number,
    changed: { readonly [K in keyof Plunge]?: Plunge[K] | undefined },
    label = 'Plunge of a joint',
  ): void {
    workbench.change(label, (draft) => {
      const plunge = draft.lines.find(({ id }) => id === lineId)?.shafts[shaft]?.plunge
      if (plunge) assign(plunge, changed)
    })
  }
  /** True for a length that was taken, to the tenth of a mm. */
  const isTaken = ({ middleMm }: Plunge, lengthMm: number): boolean => middleMm === toTenth(lengthMm)
  /** Takes a length for a shaft, to the tenth of a mm that a shop can read. */
  const take = (lineId: Id, shaft: number, lengthMm: number): void =>
    setPlunge(lineId, shaft, { middleMm: toTenth(lengthMm) }, 'Length of a halfshaft')

  return { all, plusMinus, isTaken, setPlunge, take }
})

const toTenth = (mm: number): number => Math.round(mm * 10) / 10
