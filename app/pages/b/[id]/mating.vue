<script setup lang="ts">
import { STACK_KINDS, type StackKind } from '~~/core/file/parts/mating'
import { texts } from '~/texts/en'
import { useMating } from '~/stores/mating'

/** Mating: stacks of sizes between engine and gearbox, and the dial round the bell housing. */
const mating = useMating()
const words = texts.mating
const kind = ref<StackKind>('pilot')
const kinds = STACK_KINDS.map((value) => ({ value, label: words.kinds[value] }))
</script>

<template>
  <PlaceNav />
  <MeasurePage :title="words.title" :lead="words.lead">
    <p class="caution"><VerdictMark verdict="tight" :size="14" silent /> {{ words.caution }}</p>
    <section aria-labelledby="stacks-title">
      <div class="head">
        <h2 id="stacks-title">{{ words.stacks }}</h2>
        <span class="new">
          <USelect v-model="kind" :items="kinds" :aria-label="words.addStack" class="kind" />
          <UButton icon="i-lucide-plus" @click="mating.addStack(kind)">{{ words.addStack }}</UButton>
        </span>
      </div>
      <p v-if="mating.stacks.length === 0" class="none">
        <b>{{ words.noStacks }}.</b> {{ words.noStacksHint }}
      </p>
      <StackCard v-for="one in mating.stacks" :key="one.stack.id" v-bind="one" />
    </section>
    <section aria-labelledby="rounds-title">
      <div class="head">
        <h2 id="rounds-title">{{ words.rounds }}</h2>
        <span class="new">
          <UButton icon="i-lucide-plus" variant="outline" @click="mating.addRound('bore')">{{
            words.addBore
          }}</UButton>
          <UButton icon="i-lucide-plus" variant="outline" @click="mating.addRound('face')">{{
            words.addFace
          }}</UButton>
        </span>
      </div>
      <p class="soft hint">{{ mating.rounds.length === 0 ? words.noRoundsHint : words.roundsHint }}</p>
      <div class="rounds">
        <DialCard v-for="one in mating.rounds" :key="one.round.id" v-bind="one" />
      </div>
    </section>
  </MeasurePage>
</template>

<style scoped>
.caution {
  display: flex;
  gap: 8px;
  align-items: baseline;
  max-width: 84ch;
  color: var(--soft);
}
section {
  margin-top: 22px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 8px 16px;
  align-items: center;
  justify-content: space-between;
  margin-bottom: 10px;
}
h2 {
  font-size: 1.2rem;
  font-weight: 600;
}
.new {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.kind {
  min-width: 220px;
}
.none,
.hint {
  max-width: 76ch;
  margin-bottom: 12px;
  line-height: 1.45;
}
.rounds {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 440px), 1fr));
  gap: 16px;
  align-items: start;
}
</style>
