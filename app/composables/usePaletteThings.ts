import { bodyById } from '~~/core/file/parts/bodies'
import type { Build } from '~~/core/file/build/build'
import type { PaletteField } from '~/composables/usePaletteFields'
import { useHalfshafts } from '~/stores/halfshafts'
import { useTravel } from '~/stores/travel'
import { useWorkbench } from '~/stores/workbench'
import { texts } from '~/texts/en'
import { VIEWS } from '~/texts/views'

/** A thing with a card of its own: the view that shows it, and what must stand in the address beside. */
interface Thing {
  readonly view: string
  readonly id: string
  readonly name: string
  readonly query?: Readonly<Record<string, string>>
}

/** Setups, tools and what else has a card to fill in, in the order of the work. */
function thingsOf(build: Build): Thing[] {
  const on = (view: string) => (one: { readonly id: string; readonly name: string }) => ({
    view,
    id: one.id,
    name: one.name,
  })
  const chains = build.chains ?? []
  return [
    ...build.setups.map(on('setups')),
    ...build.tools.map(on('tools')),
    ...build.points.filter(({ datum }) => datum).map(on('datum')),
    ...(build.mating?.stacks ?? []).map(on('mating')),
    ...(build.mating?.rounds ?? []).map(on('mating')),
    ...chains.flatMap(({ id: chain, name, sprockets }) =>
      sprockets.map((one, i) => ({
        view: 'chains',
        id: one.id,
        name: `${name}: ${one.name ?? texts.palette.sprocket(i + 1)}`,
        query: { chain },
      })),
    ),
    ...(build.axleCuts ?? []).map(on('chains')),
    ...(build.patterns ?? []).map(on('halfshafts')),
    ...(build.tubes ?? []).map(({ id, name }, i) => ({
      view: 'strength',
      id,
      name: name ?? texts.palette.tube(i + 1),
    })),
    ...(build.crosses ?? []).map(on('strength')),
  ]
}

const viewName = (key: string): string => VIEWS.find((view) => view.key === key)?.name ?? ''

/** Every thing of the open build that has a card of its own, and every line and part of the bay. */
export function usePaletteThings() {
  const route = useRoute()
  const workbench = useWorkbench()
  const travel = useTravel()
  const halfshafts = useHalfshafts()

  return computed<PaletteField[]>(() => {
    const { build } = workbench
    if (!build) return []
    const moving = travel.moving.map(({ id }) => ({
      view: 'travel',
      id,
      name: bodyById(build, id)?.name ?? '',
      query: { axle: id },
    }))
    const shafts = halfshafts.all.map(({ line }) => ({ view: 'halfshafts', id: line.id, name: line.name }))
    const things: readonly Thing[] = [...thingsOf(build), ...moving, ...shafts]
    const cards = things.map(({ view, id, name, query }): PaletteField => ({
      label: name,
      suffix: viewName(view),
      to: { path: `/b/${build.id}/${view}`, query: { ...query, field: `${view}/${id}` } },
    }))
    const bay = build.bodies
      .filter(({ kind }) => kind !== 'chassis')
      .map(({ id, name }): PaletteField => ({
        label: name,
        suffix: texts.drawers.bay,
        to: { query: { ...route.query, drawer: 'bay', at: id } },
      }))
    const lines = build.lines.map(({ id, name }): PaletteField => ({
      label: name,
      suffix: viewName('parts'),
      to: { path: `/b/${build.id}/parts`, query: { line: id } },
    }))
    return [...cards, ...lines, ...bay]
  })
}
