import { factsOf } from '~~/core/file/build/quantities'
import { dimensionsOf } from '~~/core/show/parts/dimensions'
import type { RouteLocationRaw } from 'vue-router'
import { leverName } from '~~/core/show/told/leverText'
import { useFieldPlaces } from '~/composables/useFieldPlaces'
import { useEvaluation } from '~/stores/evaluation'
import { useWorkbench } from '~/stores/workbench'
import { texts } from '~/texts/en'
import { FIELDS } from '~/texts/fields'
import { partsOfLine } from '~/texts/parts'

/** A field as the palette offers it. */
export interface PaletteField {
  readonly label: string
  readonly suffix: string
  readonly to: RouteLocationRaw
}

/** Every field of the open build that can be led to: drivetrain, weights, parts, limits, gaps, levers. */
export function usePaletteFields() {
  const route = useRoute()
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const { toField } = useFieldPlaces()
  const words = texts.palette

  return computed<PaletteField[]>(() => {
    const { build } = workbench
    if (!build) return []
    const base = `/b/${build.id}`
    const inDrawer = (drawer: string, at: string) => ({ query: { ...route.query, drawer, at } })
    const alone = FIELDS.flatMap(({ path, name }): PaletteField[] => {
      const to = toField(path)
      return to
        ? [{ label: name, suffix: path.startsWith('weight') ? words.weight : words.drivetrain, to }]
        : []
    })
    const speeds = build.lines.map((line, i): PaletteField => ({
      label: `${texts.parts.speed}: ${line.name}`,
      suffix: words.drivetrain,
      to: toField(`lines[${i}].speed`) ?? base,
    }))
    const parts = (evaluation.current?.lines ?? []).flatMap(({ line, ride }) =>
      dimensionsOf(line, ride)
        .filter(({ path }) => path !== null)
        .map(({ word, key }): PaletteField => {
          const [part = ''] = word.split(' ')
          return {
            label: `${partsOfLine.dimensions[key]}: ${line.name}, ${part.replace(/\/(\d+)$/, (_, n) => ` ${Number(n) + 1}`)}`,
            suffix: words.parts,
            to: { path: `${base}/parts`, query: { line: line.id, part, field: word } },
          }
        }),
    )
    const limits = build.limits.entries.map(({ id, quantity }): PaletteField => ({
      label: factsOf(quantity).name,
      suffix: texts.drawers.limits,
      to: inDrawer('limits', id),
    }))
    const gaps = build.gaps.map((gap): PaletteField => ({
      label: gap.name,
      suffix: texts.drawers.gaps,
      to: inDrawer('gaps', gap.id),
    }))
    const levers = build.levers.map((lever): PaletteField => ({
      label: leverName(build, lever),
      suffix: texts.line.levers,
      to: {
        path: `${base}/${build.lines.length > 0 ? 'line' : 'place'}`,
        query: { field: `lever/${lever.id}` },
      },
    }))
    return [...alone, ...speeds, ...parts, ...limits, ...gaps, ...levers]
  })
}
