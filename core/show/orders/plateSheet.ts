import { fixed, formatBothUnits } from '../../base/units/format'
import { stackAnswer } from '../../bay/mating/matingOf'
import type { SheetDrawing, SheetMark } from '../../drawing/paper/sheetDrawing'
import type { Plate } from '../../file/kinds/plateKinds'
import type { FacePlaces } from '../../making/plates/facePlaces'
import { plateTemplate } from '../../making/templates/plateTemplate'
import type { Template } from '../../making/templates/template'
import { PLATES } from '../../model/plateSubject'
import { foundOf } from '../../model/subject'
import {
  askedRows,
  waitsFor,
  type BodyOf,
  type OrderBody,
  type OrderSite,
  type SheetSection,
} from './orderBody'

/** A plate to be cut: its outline, its holes by their places from one corner, its metal. */
export const plateSheet: BodyOf = (site, order): OrderBody => {
  const found = foundOf(site.evaluation.subjects, PLATES).find(({ plate }) => plate.id === order.of)
  if (!found) return waitsFor(['the plate that it is of'])
  const { plate, answer } = found
  if (!answer.plate.known) return waitsFor(answer.plate.missing.map(({ what }) => what))
  const template = plateTemplate(plate, answer.plate.value)
  return {
    missing: [],
    drawing: plateDrawing(site, template),
    sections: [
      {
        title: 'Plate',
        rows: [
          { name: 'overall', value: template.size.map((mm) => both(site, mm)).join(' × '), isMain: true },
          { name: 'thickness', value: both(site, plate.thicknessMm) },
          { name: 'count', value: '1' },
        ],
      },
      holeSection(site, plate, answer.plate.value, template),
      { title: 'How it is made', rows: askedRows(order) },
    ],
    cautions: [
      'Cut by the drawing file that goes with it, not by this picture; a hole smaller than the plate is thick is drilled.',
    ],
    checks: [],
    columns: [],
    arrival: [
      { key: 'thickness', name: 'thickness', unit: 'mm', asked: plate.thicknessMm, becomes: 'its thickness' },
      { key: 'width', name: 'overall width', unit: 'mm', asked: template.size[0], becomes: null },
      { key: 'height', name: 'overall height', unit: 'mm', asked: template.size[1], becomes: null },
    ],
  }
}

/** An adapter between engine and gearbox: its plate, what centres it, and the stacks that its thickness closes. */
export const adapterSheet: BodyOf = (site, order): OrderBody => {
  const body = plateSheet(site, order)
  if (body.missing.length > 0) return body
  const stacks = (site.build.mating?.stacks ?? []).flatMap((stack) => {
    const answer = stackAnswer(stack)
    if (!answer.known)
      return [{ name: stack.name, value: '?', remark: answer.missing.map(({ what }) => what).join('; ') }]
    const { minMm, maxMm } = stack
    const window = [minMm, maxMm].map((mm) => (mm === undefined ? '…' : fixed(mm, 2))).join(' to ')
    return [
      {
        name: stack.name,
        value: both(site, answer.value.nominal),
        remark: `${fixed(answer.value.worst[0], 2)} to ${fixed(answer.value.worst[1], 2)} mm at the worst; wanted ${window} mm`,
      },
    ]
  })
  return {
    ...body,
    sections: [
      ...body.sections,
      ...(stacks.length > 0 ? [{ title: 'What its thickness closes', rows: stacks }] : []),
    ],
    cautions: [
      'Dowels or a pilot centre it, never the bolts alone: the bore is read with a dial after it is on.',
      ...body.cautions,
    ],
  }
}

const both = ({ build }: OrderSite, mm: number) => formatBothUnits(mm, build.units.inchFraction)

/** Holes from the lower left corner of the outline, as the drawing lies. */
function holeSection(
  site: OrderSite,
  plate: Plate,
  { places }: FacePlaces,
  template: Template,
): SheetSection {
  const spots = template.marks.flatMap((mark) => (mark.form === 'circle' ? [mark] : []))
  return {
    title: 'Holes, from the lower left corner to the right and up, seen from the front',
    rows: plate.holes.flatMap((hole, i) => {
      const spot = spots[i]
      if (!spot || !places.has(hole.id)) return []
      return [
        {
          name: `${hole.id}${hole.dowel === true ? ', dowel' : ''}`,
          value: `${both(site, spot.at[0])}, ${both(site, spot.at[1])}`,
          remark: `ø${Number(fixed(hole.holeMm, 2))} for ${Number(fixed(hole.boltMm, 2))} mm`,
        },
      ]
    }),
  }
}

function plateDrawing(site: OrderSite, { marks, size: [width, height] }: Template): SheetDrawing {
  const drawn = marks.flatMap((mark): SheetMark[] => {
    switch (mark.form) {
      case 'outline':
        return [{ stroke: 'edge', form: 'outline', points: mark.points }]
      case 'circle':
        return [{ stroke: 'edge', form: 'circle', at: mark.at, radius: mark.radius }]
      case 'line':
        return [{ stroke: 'centre', form: 'line', from: mark.from, to: mark.to }]
      case 'text':
        return []
    }
  })
  const texts = marks.flatMap((mark) => (mark.form === 'text' ? [{ at: mark.at, text: mark.text }] : []))
  const holes = marks.flatMap((mark) => (mark.form === 'circle' ? [mark] : []))
  const [first, second] = holes
  return {
    marks: drawn,
    labels: texts,
    dimensions: [
      { from: [0, 0], to: [width, 0], along: 'x', text: both(site, width), isMain: true },
      { from: [width, 0], to: [width, height], along: 'y', text: both(site, height), isMain: true },
      ...(first
        ? [{ from: [0, 0] as const, to: first.at, along: 'x' as const, text: both(site, first.at[0]) }]
        : []),
      ...(first && second && Math.abs(second.at[0] - first.at[0]) > 1
        ? [
            {
              from: first.at,
              to: second.at,
              along: 'x' as const,
              text: both(site, Math.abs(second.at[0] - first.at[0])),
            },
          ]
        : []),
    ],
  }
}
