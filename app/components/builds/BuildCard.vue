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
    <SmallDrawing :picture="build.cover?.picture ?? null" class="picture" />
    <div class="what">
      <h2>
        <VerdictMark :verdict="build.isFresh ? (build.cover?.verdict ?? 'unknown') : 'unknown'" :size="20" />
        <NuxtLink :to="`/b/${build.id}/next`">{{ build.name }}</NuxtLink>
      </h2>
      <p v-if="build.cover?.vehicle" class="soft">{{ build.cover.vehicle }}</p>
      <p v-if="build.cover?.fault" class="fault">{{ words.unreadable }}: {{ build.cover.fault }}</p>
      <p v-else-if="build.cover && build.isFresh" class="sentence">{{ build.cover.sentence }}</p>
      <p v-else class="sentence soft">{{ words.working }}…</p>
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
      <RemoveButton :label="`${words.remove} ${build.name}`" @click="emit('remove')" />
    </div>
  </article>
</template>

<style scoped>
.card {
  position: relative;
  display: grid;
  grid-template-columns: 210px minmax(0, 1fr) auto;
  gap: 18px;
  padding: 14px;
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 5px;
  content-visibility: auto;
  contain-intrinsic-height: auto 124px;
}
.card:hover {
  border-color: var(--accent);
}
.picture {
  align-self: start;
}
h2 {
  display: flex;
  gap: 8px;
  align-items: center;
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
    grid-template-columns: minmax(0, 1fr);
    gap: 10px;
  }
  .doing > * {
    min-height: 48px;
    min-width: 48px;
  }
}
</style>
