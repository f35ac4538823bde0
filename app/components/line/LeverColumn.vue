<script setup lang="ts">
import type { Build } from '~~/core/file/build/build'
import { texts } from '~/texts/en'
import { useLevers } from '~/stores/levers'

/** All levers of the build beside a view that shows what they move, with the cautions that go with it. */
defineProps<{ build: Build; marked: string; cautions: readonly string[] }>()
const emit = defineEmits<{ mark: [leverId: string] }>()
const levers = useLevers()
const isMoved = computed(() => Object.values(levers.settings).some((amount) => amount !== 0))
</script>

<template>
  <aside class="levers" :aria-label="texts.line.levers">
    <h2>{{ texts.line.levers }}</h2>
    <slot name="top" />
    <LeverCard
      v-for="lever in build.levers"
      :key="lever.id"
      v-memo="[build, lever, levers.settings[lever.id], marked === lever.id]"
      :build="build"
      :lever="lever"
      :amount="levers.settings[lever.id] ?? 0"
      :marked="marked === lever.id"
      @hold="levers.hold(lever.id, $event)"
      @release="levers.release('Move a lever')"
      @mark="emit('mark', lever.id)"
      @lock="levers.lock(lever.id)"
    />
    <div class="foot">
      <UButton
        v-if="isMoved"
        variant="outline"
        size="sm"
        icon="i-lucide-rotate-ccw"
        @click="levers.reset(texts.line.reset)"
        >{{ texts.line.reset }}</UButton
      >
      <p class="soft">{{ texts.line.leverHint }}</p>
      <p v-for="caution in cautions" :key="caution" class="caution">
        <VerdictMark verdict="tight" :size="14" silent /> {{ caution }}
      </p>
    </div>
  </aside>
</template>

<style scoped>
.levers {
  contain: layout style;
  background: var(--card);
  border-left: 1px solid var(--hair);
}
.levers h2 {
  padding: 12px 16px;
  font-weight: 600;
  border-bottom: 1px solid var(--hair);
}
.foot {
  display: grid;
  gap: 10px;
  padding: 14px 16px;
  font-size: 0.9375rem;
  line-height: 1.3;
}
.caution {
  display: grid;
  grid-template-columns: 16px 1fr;
  gap: 6px;
  color: var(--soft);
}
@media (max-width: 1020px) {
  .levers {
    border-left: 0;
    border-top: 1px solid var(--hair);
  }
}
</style>
