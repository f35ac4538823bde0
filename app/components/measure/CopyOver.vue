<script setup lang="ts">
import type { TourStep } from '~~/core/measure/tour/tour'
import { texts } from '~/texts/en'
import { useReadings } from '~/stores/readings'
import { useWorkbench } from '~/stores/workbench'

/** A reading that counts but was taken in another setup: it can be carried over, with the reason. */
const { step } = defineProps<{ step: TourStep }>()
const workbench = useWorkbench()
const readings = useReadings()
const words = texts.measuring.copy
const isAsking = ref(false)
const reason = ref('')
const isTried = ref(false)
const older = computed(() => {
  const { reading } = step
  return reading && 'setup' in reading && reading.setup !== readings.setup?.id ? reading : null
})
const setupName = computed(
  () => workbench.build?.setups.find((setup) => setup.id === older.value?.setup)?.name ?? '',
)
watch(
  () => step.id,
  () => {
    isAsking.value = false
    reason.value = ''
    isTried.value = false
  },
)
function copy() {
  isTried.value = true
  if (!older.value || reason.value.trim().length < 3) return
  readings.copyHere(older.value, reason.value)
  isAsking.value = false
}
</script>

<template>
  <div v-if="older" class="copy" data-testid="copy-over">
    <p class="soft">
      {{ words.from(setupName) }}
      <UButton v-if="!isAsking" size="xs" variant="outline" @click="isAsking = true">{{
        words.label
      }}</UButton>
    </p>
    <form v-if="isAsking" @submit.prevent="copy">
      <UFormField :label="words.reason" :error="isTried && reason.trim().length < 3 ? words.hint : undefined">
        <UInput v-model="reason" class="w-full" maxlength="200" />
      </UFormField>
      <UButton type="submit" size="sm">{{ words.confirm }}</UButton>
    </form>
  </div>
</template>

<style scoped>
.copy,
form {
  display: grid;
  gap: 6px;
}
form {
  grid-template-columns: minmax(0, 1fr) auto;
  align-items: end;
}
</style>
