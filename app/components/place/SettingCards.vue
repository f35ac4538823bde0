<script setup lang="ts">
import type { Build } from '~~/core/file/build/build'
import type { GoalFound } from '~~/core/answers/solver/goals'
import { grouped } from '~~/core/base/units/format'
import { texts } from '~/texts/en'
import { useFoundSettings } from '~/stores/foundSettings'

/** Settings in which everything holds, as cards; looked for when asked, with progress and a way to stop. */
defineProps<{ build: Build }>()
const found = useFoundSettings()
const words = texts.place.settings
const resultText = (result: GoalFound) => {
  if (result.kind === 'cannot') return words.goalCannot(result.missing.join(', '))
  if (result.kind === 'too-many') return words.goalTooMany
  return result.kind === 'unproved' ? words.goalUnproved : words.goalNone
}
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
    <li v-for="card in found.cards" :key="card.instruction"><SettingCard :build="build" :card="card" /></li>
  </ol>
  <p v-if="found.cards.length && found.proof" class="soft proof" data-testid="settings-proof">
    {{ (found.proof.isWhole ? words.whole : words.some)(grouped(found.proof.looked)) }}
  </p>
  <section v-else-if="found.isFound && !found.isSearching" class="none">
    <h3>{{ found.proof?.isWhole ? words.none : words.noneYet }}</h3>
    <p v-if="found.proof?.lookedTo != null" class="soft" data-testid="settings-proof">
      {{ words.lookedTo(grouped(found.proof.looked), found.proof.lookedTo.toFixed(2)) }}
    </p>
    <p v-if="found.proof?.mostRoom != null" class="soft">
      {{ words.mostRoom((-100 * found.proof.mostRoom).toFixed(0)) }}
    </p>
    <SettingCard v-if="found.nearest" :build="build" :card="found.nearest" :title="words.nearest">
      <p>{{ words.leaves }}: {{ found.nearest.leaves }}</p>
    </SettingCard>
    <template v-if="found.frees">
      <p class="soft">{{ words.frees }}</p>
      <ul class="frees" data-testid="frees">
        <li v-for="one in [...found.frees.limits, ...found.frees.ends, ...found.frees.locked]" :key="one">
          {{ one }}
        </li>
      </ul>
    </template>
  </section>
  <section class="goals" :aria-label="words.goalsTitle">
    <h3>{{ words.goalsTitle }}</h3>
    <p class="soft">{{ words.goalsLead }}</p>
    <div class="chips">
      <UButton
        v-for="{ goal } in found.goals"
        :key="goal"
        size="sm"
        variant="outline"
        :loading="found.asking === goal"
        :disabled="!found.isReady"
        @click="found.searchFor(goal)"
        >{{ words.goals[goal] }}</UButton
      >
    </div>
    <ol class="cards" data-testid="goals">
      <template v-for="{ goal, result, card } in found.goals" :key="goal">
        <li v-if="card"><SettingCard :build="build" :card="card" :title="words.goals[goal]" /></li>
        <li v-else-if="result" class="told">
          <strong>{{ words.goals[goal] }}</strong> {{ resultText(result) }}
        </li>
      </template>
    </ol>
  </section>
</template>

<style scoped>
.proof {
  margin-top: 10px;
}
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
  grid-template-columns: repeat(auto-fill, minmax(260px, 1fr));
  gap: 12px;
  margin-top: 12px;
}
.none {
  display: grid;
  gap: 8px;
  max-width: 460px;
  margin-top: 12px;
}
.frees {
  padding-left: 1.1em;
  list-style: disc;
}
.goals {
  margin-top: 18px;
  padding-top: 12px;
  border-top: 1px solid var(--hair);
}
h3 {
  font-weight: 600;
  line-height: 1.25;
}
.chips {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 8px;
}
.told {
  padding: 12px 14px;
  border: 1px dashed var(--part-line);
  border-radius: 4px;
}
.told strong {
  display: block;
}
</style>
