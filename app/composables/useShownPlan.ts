import { onBeforeUnmount, onMounted, watch } from 'vue'
import { usePlan } from '~/stores/plan'

/** The plan for a view that shows it: counted from this day, looked for anew when what is to be done changes, left with the view. */
export function useShownPlan() {
  const plan = usePlan()
  plan.open()
  onMounted(() => plan.lookAtClock())
  watch(
    () => plan.toPlan,
    () => void plan.look(),
    { immediate: true },
  )
  onBeforeUnmount(() => plan.leave())
  return plan
}
