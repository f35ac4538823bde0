<script setup lang="ts">
import type { Build } from '~~/core/file/build/build'
import { SHELF_SORTS, type ShelfPart } from '~~/core/bay/shelf/shelfPart'
import { sizesText } from '~~/core/show/text/bayText'
import { formatLength } from '~~/core/base/units/format'
import { texts } from '~/texts/en'
import { useDrawer } from '~/composables/useDrawer'
import { useBay } from '~/stores/bay'
import { useShelf } from '~/stores/shelf'

/** Parts to take into the bay: made-up ones and the builder's own. */
const { build } = defineProps<{ build: Build }>()
const shelf = useShelf()
const bay = useBay()
const drawer = useDrawer()
const words = texts.bay.shelf
onMounted(() => void shelf.load())
const place = reactive<{
  stationMm: number | undefined
  leftMm: number | undefined
  upMm: number | undefined
}>({
  stationMm: 0,
  leftMm: 0,
  upMm: 200,
})
const PLACES = [
  ['stationMm', words.station],
  ['leftMm', words.left],
  ['upMm', words.up],
] as const
const groups = computed(() =>
  SHELF_SORTS.map((sort) => ({ sort, parts: shelf.parts.filter(({ part }) => part.sort === sort) })).filter(
    ({ parts }) => parts.length > 0,
  ),
)
const sizeText = ({ sizeMm }: ShelfPart) => sizesText(sizeMm, build.units)
const notice = ref('')
function take(part: ShelfPart) {
  const { stationMm = 0, leftMm = 0, upMm = 0 } = place
  const taken = bay.takePart(part, { stationMm, leftMm, upMm })
  if (taken.kind === 'placed') return drawer.open('bay', taken.id)
  if (taken.kind === 'nowhere') notice.value = words.noPlace
  else if (taken.kind === 'sizes') notice.value = words.drawn
  else {
    const size = formatLength(Math.abs(taken.mm), build.units)
    notice.value = words.longer(`${size} ${taken.mm < 0 ? 'shorter' : 'longer'}`)
  }
}
const input = useTemplateRef<HTMLInputElement>('input')
async function bringIn(event: Event) {
  const field = event.target as HTMLInputElement
  for (const file of Array.from(field.files ?? [])) await shelf.take(file)
  field.value = ''
}
</script>

<template>
  <div class="shelf">
    <h3>{{ words.title }}</h3>
    <p class="soft">{{ words.lead }}</p>
    <p v-if="notice || shelf.notice" role="status" class="notice">{{ notice || shelf.notice }}</p>
    <p v-if="shelf.failure" role="alert" class="failure">{{ shelf.failure }}</p>
    <fieldset>
      <legend>{{ words.place }}</legend>
      <div class="three">
        <FigureField
          v-for="[key, label] in PLACES"
          :key="key"
          :label="label"
          kind="length"
          required
          of="bodies.item.box.stations"
          :value="place[key]"
          @change="place[key] = $event"
        />
      </div>
      <p class="soft small">{{ words.signs }}</p>
    </fieldset>
    <section v-for="{ sort, parts } in groups" :key="sort" :aria-label="words.sorts[sort]">
      <h4>{{ words.sorts[sort] }}</h4>
      <ul>
        <li v-for="{ part, isOwn } in parts" :key="part.id">
          <div>
            <p>
              <strong>{{ part.name }}</strong> <em v-if="isOwn">{{ words.own }}</em>
            </p>
            <p class="figure soft">{{ sizeText(part) }}</p>
            <p v-if="part.note" class="soft small">{{ part.note }}</p>
          </div>
          <div class="doing">
            <template v-if="isOwn">
              <UButton
                icon="i-lucide-download"
                size="sm"
                variant="ghost"
                :aria-label="words.save(part.name)"
                @click="shelf.save(part)"
              />
              <RemoveButton :label="words.forget(part.name)" @click="shelf.forget(part.id)" />
            </template>
            <UButton size="sm" variant="outline" :aria-label="words.take(part.name)" @click="take(part)">
              {{ words.takeIt }}
            </UButton>
          </div>
        </li>
      </ul>
    </section>
    <UButton icon="i-lucide-upload" variant="outline" size="sm" class="import" @click="input?.click()">{{
      words.import
    }}</UButton>
    <input
      ref="input"
      type="file"
      accept=".json,application/json"
      class="sr-only"
      tabindex="-1"
      :aria-label="words.import"
      @change="bringIn"
    />
  </div>
</template>

<style scoped>
.shelf {
  display: grid;
  gap: 12px;
}
h3,
h4,
legend {
  font-weight: 600;
}
h4 {
  color: var(--soft);
}
.three {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  align-items: end;
  gap: 10px;
}
.small {
  font-size: 0.9375rem;
}
.notice {
  padding: 8px 10px;
  background: var(--wash);
  border-left: 3px solid var(--accent);
}
.failure {
  color: var(--out);
}
li {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 10px;
  align-items: center;
  padding: 6px 0;
  border-bottom: 1px solid var(--hair);
}
.doing {
  display: flex;
  gap: 4px;
}
em {
  font-style: normal;
  color: var(--accent);
}
.import {
  justify-self: start;
}
</style>
