import { fixed } from '../../base/units/format'
import type { CsvTable } from '../../measure/csv/readingTable'
import type { CutPlan } from '../cuts/cutPlan'

const HEADER = [
  'section',
  'bar',
  'bar length [mm]',
  'piece',
  'saw mark from [mm]',
  'saw mark to [mm]',
  'left of the bar [mm]',
  'mass of the section [kg]',
] as const

/** The cut list as a table: one row a piece, in the order of the saw. */
export const cutTable = ({ sections }: CutPlan): CsvTable => ({
  header: HEADER,
  rows: sections.flatMap(({ key, plan, pieces }) =>
    plan.known
      ? plan.value.bars.flatMap(({ bar, pieces: placed, restMm }) =>
          placed.map(({ piece, fromMm, toMm }) => [
            key,
            bar.name,
            fixed(bar.lengthMm, 0),
            piece.name,
            fixed(fromMm, 1),
            fixed(toMm, 1),
            fixed(restMm, 1),
            fixed(plan.value.massKg, 2),
          ]),
        )
      : pieces.map(({ name }) => [key, '', '', name, '', '', '', '']),
  ),
})
