import { placePanes } from '~~/core/drawing/placePanes'
import {
  chainLevels,
  movedBodies,
  nameSpot,
  placeBackdrop,
  placeGhosts,
  placeReach,
  placeScene,
  placeSpan,
} from '~~/core/drawing/placeScene'
import type { Evaluation } from '~~/core/model/evaluateBuild'
import type { Build } from '~~/core/file/build/build'
import { keptBy } from '~/composables/keptBy'

/** What the board shows. */
interface Shown {
  readonly build: Build
  readonly evaluation: Evaluation
  /** Other settings that are looked at, drawn as ghosts with their names. */
  readonly others: readonly { readonly name: string; readonly evaluation: Evaluation }[]
}

/** Shapes and panes of the board: what a lever in the hand does not move is drawn once. */
export function useBoardScene(shown: () => Shown, width: Readonly<Ref<number>>) {
  const build = computed(() => shown().build)
  const evaluation = computed(() => shown().evaluation)
  /** What hangs on the build and on which bodies have moved stays the same while a lever is in the hand. */
  const moved = keptBy(
    () => movedBodies(build.value, evaluation.value),
    () => movedBodies(build.value, evaluation.value),
  )
  const span = keptBy(
    () => [build.value.gaps, build.value.bodies, evaluation.value.measured],
    () => placeSpan(build.value, evaluation.value),
  )
  const still = keptBy(
    () => [moved.value, span.value, build.value.bodies, evaluation.value.measured],
    () => ({
      backdrop: placeBackdrop(build.value, evaluation.value, span.value, moved.value),
      ghosts: placeGhosts(build.value, evaluation.value, moved.value),
    }),
  )
  const scene = computed(() => placeScene(build.value, evaluation.value, moved.value))
  const ghosts = computed(() =>
    shown().others.map(({ name, evaluation: there }) => {
      const { shapes } = placeScene(build.value, there, movedBodies(build.value, there))
      return { name, shapes, spot: nameSpot(shapes.side) }
    }),
  )
  /** The scale stays where it is while the engine moves a little. */
  const board = keptBy(
    () => [still.value, width.value],
    () =>
      placePanes(
        [...still.value.backdrop.side, ...still.value.ghosts.side],
        span.value,
        width.value,
        placeReach(build.value, evaluation.value),
        chainLevels(evaluation.value),
      ),
  )
  return { span, still, scene, ghosts, board }
}
