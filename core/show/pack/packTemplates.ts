import type { Build } from '../../file/build/build'
import { memberTemplate } from '../../making/templates/memberTemplate'
import { pieceTemplate } from '../../making/templates/pieceTemplate'
import { plateTemplate } from '../../making/templates/plateTemplate'
import { titled, type Template } from '../../making/templates/template'
import { wrapTemplate } from '../../making/templates/wrapTemplate'
import { COPED_TUBES } from '../../model/copedTubeSubject'
import type { Evaluation } from '../../model/evaluateBuild'
import { blankCorners } from '../../model/memberWork'
import { MEMBERS } from '../../model/memberSubject'
import { PLATES } from '../../model/plateSubject'
import { foundOf } from '../../model/subject'
import { blankStock } from '../text/memberText'
import { printedEnds, tubeStock } from '../text/copedTubeText'

/** Every part of a build that is cut by a drawing at its true size, each with its name and stock; those that are not known yet are left out. */
export function packTemplates(build: Build, { subjects }: Evaluation, foot: string): Template[] {
  const members = foundOf(subjects, MEMBERS).flatMap(({ member, ways }) => {
    const way = ways.find((one) => one.way.id === member.chosen)
    const blankMm = way?.figures.known ? way.figures.value.blankMm : undefined
    return way && blankMm !== undefined
      ? [
          titled(
            memberTemplate(member, way.way, blankMm, blankCorners(way)),
            [blankStock(member, way.way), foot],
            'forward',
          ),
        ]
      : []
  })
  const plates = foundOf(subjects, PLATES).flatMap(({ plate, answer }) =>
    answer.plate.known
      ? [titled(plateTemplate(plate, answer.plate.value), ['seen from the front', foot], 'up')]
      : [],
  )
  const tubes = foundOf(subjects, COPED_TUBES).flatMap((found) => {
    const ends = printedEnds(found, build.points)
    const { tube } = found
    return ends.length === 0
      ? []
      : [titled(wrapTemplate(tube.name, ends, tube.paperMm ?? 0), [tubeStock(tube), foot], 'along the tube')]
  })
  const pieces = (build.pieces ?? []).flatMap((piece) => {
    const template = pieceTemplate(piece)
    return [titled(template, [foot], 'up')]
  })
  return [...members, ...plates, ...tubes, ...pieces]
}
