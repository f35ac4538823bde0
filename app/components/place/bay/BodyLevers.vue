<script setup lang="ts">
import type { Body } from '~~/core/file/parts/body'
import type { Build } from '~~/core/file/build/build'
import {
  leversMoving,
  leverUnit,
  MOST_LEVER_SPACERS,
  type Lever,
  type LeverKind,
} from '~~/core/file/build/lever'
import { leverName } from '~~/core/show/told/leverText'
import { texts } from '~/texts/en'
import { useBay } from '~/stores/bay'

/** How a part can be moved: range, step, spacers at hand, what it costs, and why not. */
const { build, body } = defineProps<{ build: Build; body: Body }>()
const bay = useBay()
const words = texts.bay.body
const own = computed(() => build.levers.filter((lever) => lever.body === body.id))
const kinds = computed(() =>
  leversMoving(body.kind)
    .filter((kind) => !own.value.some((lever) => lever.kind === kind))
    .map((value) => ({ value, label: words.kinds[value] })),
)
const wanted = ref<LeverKind | undefined>()
const add = () => {
  const kind = kinds.value.find(({ value }) => value === wanted.value)?.value ?? kinds.value[0]?.value
  if (kind) bay.addLever(body.id, kind)
  wanted.value = undefined
}
const unitOf = (lever: Lever) => (leverUnit(lever) === 'deg' ? '°' : 'mm')
const setRange = (lever: Lever, end: 0 | 1, value: number | undefined) => {
  if (value === undefined) return
  const range: [number, number] = [lever.range[0], lever.range[1]]
  range[end] = value
  bay.changeLever(lever.id, { range: [Math.min(...range), Math.max(...range)] })
}
const setEffort = (lever: Lever, key: 'fixed' | 'perUnit', value: number | undefined) => {
  const effort = { ...lever.effort, ...(value !== undefined && { [key]: value }) }
  if (value === undefined) Reflect.deleteProperty(effort, key)
  bay.changeLever(lever.id, { effort })
}
const setName = (lever: Lever, text: string) => bay.changeLever(lever.id, { name: text || undefined })
const setWhy = (lever: Lever, why: string) => {
  bay.changeLever(lever.id, {
    locked: why === '' ? undefined : true,
    lockedBecause: why === '' ? undefined : why,
  })
}
</script>

<template>
  <section class="levers" :aria-label="words.levers">
    <h3>{{ words.levers }}</h3>
    <div v-for="lever in own" :key="lever.id" class="lever" :data-lever-fields="lever.id">
      <h4>{{ leverName(build, lever) }}</h4>
      <TextField
        :label="words.leverName"
        :help="words.leverNameHint"
        :value="lever.name"
        @change="setName(lever, $event)"
      />
      <div class="three">
        <FigureField
          :label="words.least"
          :unit="unitOf(lever)"
          required
          of="levers.range"
          :value="lever.range[0]"
          @change="setRange(lever, 0, $event)"
        />
        <FigureField
          :label="words.most"
          :unit="unitOf(lever)"
          required
          of="levers.range"
          :value="lever.range[1]"
          @change="setRange(lever, 1, $event)"
        />
        <FigureField
          :label="words.step"
          :unit="unitOf(lever)"
          required
          of="levers.step"
          :value="lever.step"
          @change="$event !== undefined && bay.changeLever(lever.id, { step: $event })"
        />
      </div>
      <SpacersField
        v-if="leverUnit(lever) === 'mm'"
        :value="lever.stock"
        :most="MOST_LEVER_SPACERS"
        @change="bay.changeLever(lever.id, { stock: $event })"
      />
      <div class="two">
        <FigureField
          :label="words.fixed"
          of="levers.effort.fixed"
          :value="lever.effort?.fixed"
          @change="setEffort(lever, 'fixed', $event)"
        />
        <FigureField
          :label="words.perUnit"
          of="levers.effort.perUnit"
          :value="lever.effort?.perUnit"
          @change="setEffort(lever, 'perUnit', $event)"
        />
      </div>
      <TextField
        :label="words.why"
        :help="words.whyHint"
        :value="lever.lockedBecause"
        @change="setWhy(lever, $event)"
      />
      <RemoveButton
        :label="words.removeLever(leverName(build, lever))"
        class="remove"
        is-worded
        @click="bay.removeLever(lever.id)"
      />
    </div>
    <div v-if="kinds.length" class="add">
      <USelect
        :model-value="wanted ?? kinds[0]?.value"
        :items="kinds"
        :aria-label="words.lever"
        @update:model-value="wanted = $event as LeverKind"
      />
      <UButton icon="i-lucide-plus" variant="outline" size="sm" @click="add">{{ words.addLever }}</UButton>
    </div>
  </section>
</template>

<style scoped>
.levers,
.lever {
  display: grid;
  gap: 10px;
}
h3,
h4 {
  font-weight: 600;
}
.lever {
  padding: 10px 12px;
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
}
.three,
.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(90px, 1fr));
  gap: 10px;
}
.add {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 10px;
}
.remove {
  justify-self: start;
}
</style>
