<script setup lang="ts">
import { checksOfLimit } from '~~/core/model/checksOfLimit'
import type { LimitEntry } from '~~/core/file/build/limit'
import { checkLabel, checkValueText, marginText } from '~~/core/show/text/checkText'
import { texts } from '~/texts/en'
import { useEvaluation } from '~/stores/evaluation'
import { useWorkbench } from '~/stores/workbench'

/** Beside a limit what it decides in this build, as it stands now. */
const { limit } = defineProps<{ limit: LimitEntry }>()
const workbench = useWorkbench()
const evaluation = useEvaluation()
const checks = computed(() =>
  workbench.build && evaluation.current ? checksOfLimit(workbench.build, evaluation.current, limit) : [],
)
/** A limit of ride height whose joints are worse off in another state. */
const isElsewhere = computed(
  () =>
    workbench.build !== null &&
    evaluation.current !== null &&
    checksOfLimit(workbench.build, evaluation.current, { ...limit, scope: 'max-speed' }).length > 0,
)
const many = computed(() => (workbench.build?.lines.length ?? 0) > 1)
</script>

<template>
  <div class="decides" :aria-label="texts.limits.decides">
    <p v-if="checks.length === 0" class="soft">
      {{ isElsewhere ? texts.limits.decidesLess : texts.limits.decidesNothing }}
    </p>
    <ul v-else-if="workbench.build">
      <li v-for="check in checks" :key="check.id">
        <VerdictMark :verdict="check.verdict" :size="14" />
        <span>{{ checkLabel(check, many) }}</span>
        <WindowBar :check="check" />
        <span class="figure value">{{ checkValueText(check, check.value, workbench.build.units) }}</span>
        <span class="figure margin" :class="`is-${check.verdict}`">{{
          marginText(check, workbench.build.units)
        }}</span>
      </li>
    </ul>
  </div>
</template>

<style scoped>
.decides {
  align-self: center;
  padding: 6px 0;
}
li {
  display: grid;
  grid-template-columns: 16px minmax(0, 1fr) 60px 5.4rem 7rem;
  gap: 8px;
  align-items: center;
  min-height: 28px;
  border: 0;
  padding: 0;
}
.value {
  text-align: right;
}
@media (max-width: 640px) {
  li {
    grid-template-columns: 16px minmax(0, 1fr) auto;
  }
  li > :nth-child(3),
  li > :nth-child(5) {
    display: none;
  }
}
</style>
