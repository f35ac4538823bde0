<script setup lang="ts">
import type { ListedBuild } from '~/stores/library'
import { texts } from '~/texts/en'

const { build } = defineProps<{ build: ListedBuild }>()
const emit = defineEmits<{ duplicate: []; export: []; remove: [] }>()
const words = texts.builds
const changed = computed(() =>
  new Date(build.changedAt).toLocaleString([], { dateStyle: 'medium', timeStyle: 'short', hour12: false }),
)
</script>

<template>
  <article class="card">
    <VerdictMark :verdict="build.verdict" :size="26" class="mark" />
    <div class="what">
      <h2>
        <NuxtLink :to="`/b/${build.id}/line`">{{ build.name }}</NuxtLink>
      </h2>
      <p v-if="build.vehicle" class="soft">{{ build.vehicle }}</p>
      <p v-if="build.fault" class="fault">{{ words.unreadable }}: {{ build.fault }}</p>
      <p v-else class="sentence">{{ build.sentence }}</p>
      <p class="soft small">{{ words.changed }} {{ changed }}</p>
    </div>
    <div class="doing">
      <UButton
        variant="ghost"
        color="neutral"
        icon="i-lucide-copy"
        :aria-label="`${words.duplicate} ${build.name}`"
        :title="words.duplicate"
        @click="emit('duplicate')"
      />
      <UButton
        variant="ghost"
        color="neutral"
        icon="i-lucide-download"
        :aria-label="`${words.export} ${build.name}`"
        :title="words.export"
        @click="emit('export')"
      />
      <UButton
        variant="ghost"
        color="neutral"
        icon="i-lucide-trash-2"
        :aria-label="`${words.remove} ${build.name}`"
        :title="words.remove"
        @click="emit('remove')"
      />
    </div>
  </article>
</template>

<style scoped>
.card {
  position: relative;
  display: grid;
  grid-template-columns: 34px minmax(0, 1fr) auto;
  gap: 12px;
  padding: 16px 14px 14px 18px;
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 5px;
}
.card:hover {
  border-color: var(--accent);
}
.mark {
  margin-top: 2px;
}
h2 {
  font-size: 1.25rem;
  font-weight: 600;
  line-height: 1.2;
}
/* The whole card opens the build; the buttons lie above it. */
h2 a::after {
  content: '';
  position: absolute;
  inset: 0;
}
.sentence {
  margin-top: 6px;
  font-size: 1.0625rem;
  line-height: 1.3;
}
.small {
  margin-top: 4px;
  font-size: 0.875rem;
}
.fault {
  color: var(--out);
}
.doing {
  position: relative;
  display: flex;
  align-self: start;
}
@media (max-width: 640px) {
  .card {
    grid-template-columns: 28px minmax(0, 1fr);
  }
  .doing {
    grid-column: 2;
  }
  .doing > * {
    min-height: 48px;
    min-width: 48px;
  }
}
</style>
