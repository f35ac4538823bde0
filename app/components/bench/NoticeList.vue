<script setup lang="ts">
import { useNotices, type Notice } from '~/composables/useNotices'
import { texts } from '~/texts/en'

/** Short notices on what was done, read aloud as they come, gone by themselves. */
const notices = useNotices()
function act({ id }: Notice, onClick: () => void) {
  notices.drop(id)
  onClick()
}
</script>

<template>
  <div class="notices no-print" aria-live="polite">
    <div v-for="one in notices.shown.value" :key="one.id" class="notice">
      <UIcon :name="one.icon" class="icon" />
      <span>{{ one.title }}</span>
      <UButton
        v-for="{ label, onClick } in one.actions"
        :key="label"
        size="sm"
        variant="outline"
        @click="act(one, onClick)"
        >{{ label }}</UButton
      >
      <UButton
        icon="i-lucide-x"
        size="sm"
        color="neutral"
        variant="ghost"
        :aria-label="texts.bar.dismiss"
        @click="notices.drop(one.id)"
      />
    </div>
  </div>
</template>

<style scoped>
.notices {
  position: fixed;
  right: 16px;
  bottom: 16px;
  z-index: 60;
  display: grid;
  gap: 8px;
  justify-items: end;
}
.notice {
  display: flex;
  align-items: center;
  gap: 10px;
  max-width: min(440px, calc(100vw - 32px));
  padding: 8px 8px 8px 14px;
  background: var(--card);
  border: 1.5px solid var(--accent);
  border-radius: 4px;
}
.icon {
  flex: none;
  color: var(--accent);
}
@media (max-width: 860px) {
  .notices {
    bottom: 92px;
  }
}
</style>
