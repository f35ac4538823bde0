<script setup lang="ts">
import { travelTexts } from '~/texts/travel'
import { useFormat } from '~/composables/useFormat'

/** Jack, read, next: the height at which it is read now, and what to do there. */
const { height, wanted, isRead, jack } = defineProps<{
  title: string
  lead: string
  caution: string
  /** What to do at ride height, below and above it. */
  jack: {
    readonly ride: string
    readonly down: (by: string) => string
    readonly up: (by: string) => string
  }
  height: number
  /** Heights to read at first, in their order. */
  wanted: readonly number[]
  isRead: boolean
  /** Said while a figure is missing; empty for none. */
  fault: string
  testId: string
}>()
const emit = defineEmits<{ take: [] }>()
const { travel: tall } = useFormat()
const words = travelTexts.table
const step = computed(() => wanted.indexOf(height) + 1)
const does = computed(() =>
  height === 0 ? jack.ride : height < 0 ? jack.down(tall(-height)) : jack.up(tall(height)),
)
</script>

<template>
  <div class="heights">
    <h3>{{ title }}</h3>
    <p class="soft">{{ lead }}</p>
    <slot name="table" />
    <form class="guide" :data-testid="testId" @submit.prevent="emit('take')">
      <p v-if="step > 0" class="soft step">{{ words.step(step, wanted.length) }}</p>
      <p class="jack">
        <strong>{{ does }}</strong>
      </p>
      <p class="caution">{{ caution }}</p>
      <div class="fields"><slot name="fields" /></div>
      <p v-if="fault" role="alert" class="fault">{{ fault }}</p>
      <UButton type="submit" size="lg">{{ isRead ? words.take : words.next }}</UButton>
      <slot name="said" />
    </form>
  </div>
</template>

<style scoped>
.heights {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
}
h3 {
  font-weight: 600;
}
.heights :deep(td:last-child) {
  white-space: nowrap;
  padding-right: 0;
}
.guide {
  display: grid;
  gap: 8px;
  padding: 12px;
  border: 1px solid var(--hair);
  border-radius: 4px;
  background: var(--card);
}
.jack {
  font-size: 1.0625rem;
}
.caution {
  padding: 6px 10px;
  border-left: 3px solid var(--tight);
  background: var(--wash);
  line-height: 1.3;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(140px, 1fr));
  gap: 10px;
}
.fault {
  color: var(--out);
}
@media (max-width: 640px) {
  .guide :deep(input),
  .guide :deep(button) {
    min-height: 48px;
  }
}
</style>
