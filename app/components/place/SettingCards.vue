<script setup lang="ts">
import type { Build } from '~~/core/project/build'
import { grouped } from '~~/core/units/format'
import { texts } from '~/texts/en'
import { useFoundSettings } from '~/stores/foundSettings'

/** Settings in which everything holds, as cards; looked for when asked, with progress and a way to stop. */
defineProps<{ build: Build }>()
const found = useFoundSettings()
const words = texts.place.settings
</script>

<template>
  <p class="soft lead">{{ words.lead }}</p>
  <div class="ask">
    <UButton
      v-if="!found.isSearching"
      icon="i-lucide-search"
      :disabled="!found.isReady"
      @click="found.search()"
      >{{ found.isFound ? words.again : words.find }}</UButton
    >
    <p v-if="!found.isReady" class="soft">{{ words.waiting }}</p>
    <template v-if="found.isSearching">
      <p role="status">{{ words.looking(grouped(found.looked)) }}</p>
      <UButton variant="outline" size="sm" @click="found.stop()">{{ words.stop }}</UButton>
    </template>
  </div>
  <p v-if="found.failure" class="failure" role="alert">{{ words.failed(found.failure) }}</p>
  <ol v-if="found.cards.length" class="cards" data-testid="settings">
    <li v-for="card in found.cards" :key="card.instruction">
      <h3>{{ card.instruction }}</h3>
      <p class="figure">
        {{ words.effort(card.effort)
        }}<template v-if="card.likely"> · {{ words.likely(card.likely) }}</template>
      </p>
      <p class="soft">{{ words.room }}: {{ card.closest }}</p>
      <UButton size="sm" @click="card.take()">{{ words.take }}</UButton>
    </li>
  </ol>
  <section v-else-if="found.isFound && !found.isSearching" class="cards">
    <div class="none">
      <h3>{{ words.none }}</h3>
      <template v-if="found.nearest">
        <p>{{ words.nearest }}: {{ found.nearest.instruction }}</p>
        <p>{{ words.leaves }}: {{ found.nearest.leaves }}</p>
        <UButton size="sm" variant="outline" @click="found.nearest.take()">{{ words.take }}</UButton>
      </template>
      <p class="soft">{{ words.frees }}</p>
    </div>
  </section>
</template>

<style scoped>
.lead {
  max-width: 70ch;
  margin-bottom: 8px;
}
.ask {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 12px;
  min-height: 36px;
}
.failure {
  color: var(--out);
}
.cards {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(280px, 1fr));
  gap: 12px;
  margin-top: 12px;
}
li,
.none {
  display: grid;
  gap: 6px;
  align-content: start;
  justify-items: start;
  padding: 12px 14px;
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
}
h3 {
  font-weight: 600;
  line-height: 1.25;
}
</style>
