import { computed, ref, toValue, type ComputedRef, type MaybeRefOrGetter, type Ref } from 'vue'
import type { LineScene } from '~~/core/drawing/lineScene'
import {
  jointFocus,
  projection,
  steadyFocus,
  wholeFocus,
  zoomed,
  type Focus,
  type Frame,
  type Projection,
} from '~~/core/drawing/projection'

/** What the drawing looks at: the whole line, or one joint by line and number. */
export type DrawingTarget = 'whole' | { readonly lineId: string; readonly number: number }

/** Heights and offsets are stretched by this when angles are to be seen. */
export const EXAGGERATION = 4

/** Where the drawing looks and how mm become px; the whole line unless a joint is chosen. */
export function useDrawingFocus(
  scene: MaybeRefOrGetter<LineScene>,
  span: MaybeRefOrGetter<readonly [number, number]>,
  frame: MaybeRefOrGetter<Frame>,
): {
  target: Ref<DrawingTarget>
  zoom: Ref<number>
  isExaggerated: Ref<boolean>
  focus: ComputedRef<Focus>
  view: ComputedRef<Projection>
} {
  const target = ref<DrawingTarget>('whole')
  const zoom = ref(1)
  const isExaggerated = ref(false)
  const base = computed((before?: Focus) => {
    const chosen = target.value
    const near = chosen === 'whole' ? null : jointFocus(toValue(scene), chosen.lineId, chosen.number)
    return steadyFocus(before, near ?? wholeFocus(toValue(scene), toValue(span), toValue(frame)))
  })
  const focus = computed(() => zoomed(base.value, zoom.value))
  const view = computed(() => projection(toValue(frame), focus.value, isExaggerated.value ? EXAGGERATION : 1))
  return { target, zoom, isExaggerated, focus, view }
}
