<script setup lang="ts">
import { directionOf, directionWords, WAY_NAMES, type GapWay } from '~~/core/vehicle/gaps/direction'
import type { Build } from '~~/core/file/build/build'
import type { ServiceRow } from '~~/core/show/text/bayText'
import { texts } from '~/texts/en'
import { useBay } from '~/stores/bay'

/** What has to come out without anything else coming off, and what lies in its way. */
const { build } = defineProps<{ build: Build }>()
const bay = useBay()
const words = texts.bay.service
const bodies = computed(() =>
  build.bodies.flatMap(({ id, name, kind }) => (kind === 'chassis' ? [] : [{ value: id, label: name }])),
)
const ways = WAY_NAMES.map((value) => ({ value, label: texts.place.drawer.ways[value] }))
const wayOf = ({ check }: ServiceRow) => directionWords(check.toward).main
const setWay = (id: string, main: GapWay) =>
  bay.changeService(id, { toward: directionOf({ main, lean: null, leanDeg: 0 }) })
const answerText = ({ verdict, meets, clear, missing }: ServiceRow) => {
  if (verdict === 'unknown') return words.missing(missing.join(', '))
  if (meets.length === 0) return clear === null ? words.free : words.clear(clear)
  return words.meets(
    meets
      .map(({ name, after }) => (after === null ? words.against(name) : words.after(name, after)))
      .join('; '),
  )
}
const rename = (id: string, name: string) => {
  if (name.trim() !== '') bay.changeService(id, { name: name.trim().slice(0, 200) })
}
</script>

<template>
  <section :aria-label="words.title">
    <h3>{{ words.title }}</h3>
    <p class="soft">{{ words.lead }}</p>
    <p v-if="bay.services.length === 0" class="none">{{ words.none }}</p>
    <ul v-else data-testid="services">
      <li v-for="row in bay.services" :key="row.check.id">
        <div class="head">
          <VerdictMark :verdict="row.verdict" :size="15" />
          <input
            class="name"
            :value="row.check.name"
            :aria-label="words.name"
            maxlength="200"
            @change="rename(row.check.id, ($event.target as HTMLInputElement).value)"
          />
          <RemoveButton :label="words.remove(row.check.name)" @click="bay.removeService(row.check.id)" />
        </div>
        <div class="asked">
          <USelect
            :model-value="row.check.body"
            :items="bodies"
            :aria-label="words.body"
            @update:model-value="bay.changeService(row.check.id, { body: String($event) })"
          />
          <USelect
            :model-value="wayOf(row)"
            :items="ways"
            :aria-label="words.toward"
            @update:model-value="setWay(row.check.id, $event as GapWay)"
          />
          <div>
            <FigureInput
              :label="words.way"
              of="services.wayMm"
              :value="row.check.wayMm"
              @change="$event !== undefined && bay.changeService(row.check.id, { wayMm: $event })"
            />
          </div>
        </div>
        <p data-testid="service-answer">{{ answerText(row) }}</p>
        <p v-if="row.meets.some(({ isOneView }) => isOneView)" class="soft small">{{ words.beside }}</p>
        <p v-if="row.boltedTo.length" class="soft small">{{ words.bolted(row.boltedTo.join(', ')) }}</p>
      </li>
    </ul>
    <UButton
      v-if="bodies.length"
      icon="i-lucide-plus"
      size="sm"
      variant="outline"
      @click="bay.addService(words.newName, bodies.at(-1)?.value ?? '')"
      >{{ words.add }}</UButton
    >
  </section>
</template>

<style scoped>
h3 {
  font-weight: 600;
}
.none,
ul {
  margin: 6px 0 8px;
}
li {
  padding: 8px 0;
  border-bottom: 1px solid var(--hair);
}
.head {
  display: grid;
  grid-template-columns: 20px minmax(0, 1fr) auto;
  gap: 6px;
  align-items: center;
}
.name {
  min-height: 32px;
  padding: 0 4px;
  border-bottom: 1px dashed var(--part-line);
  background: transparent;
  font-weight: 600;
}
.asked {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr) auto;
  gap: 8px;
  margin: 4px 0;
}
.small {
  font-size: 0.9375rem;
}
@media (max-width: 560px) {
  .asked {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
