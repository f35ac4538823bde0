<script setup lang="ts">
import type { Stage } from '~/composables/useStages'
import { texts } from '~/texts/en'

defineProps<{ stages: readonly Stage[]; current: string }>()
const emit = defineEmits<{ all: [] }>()
</script>

<template>
  <nav class="rail no-print" aria-label="Stages of the work">
    <NuxtLink
      v-for="stage in stages"
      :key="stage.key"
      :to="stage.to"
      class="stage"
      :class="[stage.state, stage.key, { current: stage.key === current }]"
      :aria-current="stage.key === current ? 'page' : undefined"
    >
      <span class="joint" aria-hidden="true" />
      <span>{{ texts.stages[stage.key] }}</span>
    </NuxtLink>
    <button type="button" class="stage all" @click="emit('all')">
      <span class="joint" aria-hidden="true"><UIcon name="i-lucide-menu" /></span>
      <span>{{ texts.allStages }}</span>
    </button>
  </nav>
</template>

<style scoped>
.rail {
  position: relative;
  display: flex;
  flex-direction: column;
  gap: 26px;
  padding: 28px 10px 0 20px;
}
.rail::before {
  content: '';
  position: absolute;
  left: 30px;
  top: 34px;
  bottom: 16px;
  width: 5px;
  background: var(--part);
  border-inline: 1px solid var(--hair);
}
.stage {
  position: relative;
  display: flex;
  align-items: center;
  gap: 10px;
  min-height: 32px;
  font-family: var(--font-figure);
  font-weight: 600;
  color: var(--soft);
}
.joint {
  width: 25px;
  height: 25px;
  border-radius: 50%;
  background: var(--paper);
  border: 2.5px solid var(--part-line);
  flex: none;
}
.done .joint {
  background: var(--part-line);
}
.current {
  color: var(--accent);
}
.current .joint {
  background: var(--accent);
  border-color: var(--accent);
  box-shadow: 0 0 0 4px var(--wash);
}
.stage:hover {
  color: var(--ink);
}
/* On the bench the palette has its own button; on a phone everything that is no stage is behind this one. */
.all {
  display: none;
  cursor: pointer;
}
.all .joint {
  display: grid;
  place-items: center;
  color: var(--ink);
}
@media (max-width: 860px) {
  .all {
    display: flex;
  }
  /* Done at the bench: on a phone it is behind "all". */
  .order {
    display: none;
  }
  .rail {
    position: fixed;
    inset: auto 0 0 0;
    z-index: 20;
    flex-direction: row;
    justify-content: space-around;
    gap: 0;
    padding: 7px 4px calc(7px + env(safe-area-inset-bottom));
    background: var(--card);
    border-top: 1px solid var(--hair);
  }
  .rail::before {
    left: 8%;
    right: 8%;
    top: 16px;
    bottom: auto;
    width: auto;
    height: 4px;
  }
  .stage {
    flex-direction: column;
    gap: 1px;
    min-width: 48px;
    min-height: 48px;
    font-size: 0.875rem;
  }
  .joint {
    width: 22px;
    height: 22px;
  }
}
</style>
