import { defineStore } from 'pinia'
import { shallowRef, watch } from 'vue'
import { isChangedLimit } from '~~/core/file/limits/usualLimit'
import { checksOfLimit } from '~~/core/model/checksOfLimit'
import { useEvaluation } from './evaluation'
import { useWorkbench } from './workbench'

/** Checks that a limit of the builder's own has a say in; looked up when limits or parts change, never while a lever moves. */
export const useOwnLimits = defineStore('own-limits', () => {
  const workbench = useWorkbench()
  const evaluation = useEvaluation()
  const checks = shallowRef<ReadonlySet<string>>(new Set())
  watch(
    [() => workbench.build?.limits, () => evaluation.compiled],
    () => {
      const { build } = workbench
      const { current } = evaluation
      checks.value = new Set(
        build && current && build.limits.profile === 'own'
          ? build.limits.entries
              .filter((entry) => isChangedLimit(build.limits, entry))
              .flatMap((entry) => checksOfLimit(build, current, entry).map(({ id }) => id))
          : [],
      )
    },
    { immediate: true },
  )
  return { checks }
})
