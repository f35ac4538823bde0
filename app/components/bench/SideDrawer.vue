<script setup lang="ts">
import { useEventListener } from '@vueuse/core'

/** A drawer beside a view that stays in use: what is changed in the one shows in the other at once. */
const { title, at = '' } = defineProps<{ title: string; at?: string }>()
const emit = defineEmits<{ close: [] }>()

// Escape belongs to an open list or hint first.
useEventListener('keydown', (event: KeyboardEvent) => {
  const isBusy = document.querySelector(
    '[role="tooltip"], [data-state="open"]:is([role="listbox"], [role="dialog"])',
  )
  if (event.key === 'Escape' && !event.defaultPrevented && !isBusy) emit('close')
})

/** Brings the part it was opened for into view. */
const body = useTemplateRef<HTMLElement>('body')
const show = () => {
  const place = at ? body.value?.querySelector<HTMLElement>(`[data-at="${CSS.escape(at)}"]`) : null
  place?.scrollIntoView({ block: 'start' })
  ;(place?.querySelector<HTMLElement>('input') ?? body.value)?.focus({ preventScroll: true })
}
onMounted(() => void nextTick(show))
watch(
  () => at,
  () => void nextTick(show),
)
</script>

<template>
  <aside class="drawer no-print" :aria-label="title">
    <header>
      <h2>{{ title }}</h2>
      <UButton
        icon="i-lucide-x"
        color="neutral"
        variant="ghost"
        :aria-label="`Close ${title}`"
        @click="emit('close')"
      />
    </header>
    <div ref="body" class="body" tabindex="-1"><slot /></div>
  </aside>
</template>

<style scoped>
.drawer {
  position: fixed;
  inset: 79px 0 0 auto;
  z-index: 30;
  display: flex;
  flex-direction: column;
  width: min(460px, 100%);
  background: var(--paper);
  border-left: 1px solid var(--hair);
  box-shadow: -8px 0 24px rgb(0 0 0 / 12%);
}
header {
  display: flex;
  align-items: center;
  justify-content: space-between;
  padding: 8px 8px 8px 18px;
  background: var(--card);
  border-bottom: 1px solid var(--hair);
}
h2 {
  font-size: 1.25rem;
  font-weight: 600;
}
.body {
  flex: 1;
  overflow-y: auto;
  padding: 14px 18px 32px;
  outline: none;
}
@media (max-width: 860px) {
  .drawer {
    inset: 0;
    z-index: 40;
  }
  .body {
    padding: 12px 14px 32px;
  }
}
</style>
