<script setup lang="ts">
import { WAYS } from '~~/core/vehicle/gaps/direction'
import { GAP_KINDS, type Gap, type GapKind } from '~~/core/file/parts/gap'
import { powertrainOf } from '~~/core/file/parts/bodies'
import type { Build } from '~~/core/file/build/build'
import { parseLength } from '~~/core/base/units/parseLength'
import { texts } from '~/texts/en'
import { useDrawer } from '~/composables/useDrawer'
import { usePlace } from '~/stores/place'

/** A new gap: the pair, the kind, which way, and where the touch point is. */
const { build, between = [] } = defineProps<{ build: Build; between?: readonly string[] }>()
const place = usePlace()
const drawer = useDrawer()
const words = texts.place.drawer
const kinds = GAP_KINDS.map((value) => ({ value, label: texts.place.kinds[value] }))
const bodies = computed(() => build.bodies.map(({ id, name }) => ({ value: id, label: name })))
/** Bodies, then every shaft: one that turns and moves with the axle. */
const SHAFT = 'shaft '
const shafts = computed(() =>
  build.lines.flatMap((line) =>
    line.shafts.map((_, index) => ({
      value: `${SHAFT}${line.id} ${index}`,
      label: words.shaft(line.name, line.shafts.length > 1 ? index + 1 : null),
    })),
  ),
)
const obstacles = computed(() => [...bodies.value, ...shafts.value])
const shaft = computed(() => {
  if (!obstacle.value.startsWith(SHAFT)) return undefined
  const [, line = '', index = '0'] = obstacle.value.split(' ')
  return { line, index: Number(index) }
})
const bodyOf = (id: string | undefined) => build.bodies.find((one) => one.id === id)
const [first, second] = between.map(bodyOf)
const name = ref(first && second ? `${first.name} to ${second.name}` : '')
const kind = ref<GapKind>('static')
const body = ref(first?.id ?? powertrainOf(build)?.id ?? build.bodies[0]?.id ?? '')
const obstacle = ref(second?.id ?? build.bodies.find((one) => one.kind === 'chassis')?.id ?? '')
/** Kept as it is: what is stored must not be a view of something on screen. */
const toward = shallowRef<Gap['toward']>(WAYS.up)
const figures = reactive({ station: '', offset: '', height: '' })
const FIGURES = ['station', 'offset', 'height'] as const
/** Which way each figure counts, the usual one first; never a bare sign. */
const FIGURE_WAYS = {
  station: ['rearward', 'forward'],
  offset: ['left', 'right'],
  height: ['above', 'below'],
} as const
const ways = reactive<{
  station: 'rearward' | 'forward'
  offset: 'left' | 'right'
  height: 'above' | 'below'
}>({ station: 'rearward', offset: 'left', height: 'above' })
const turn = (key: (typeof FIGURES)[number]) => {
  const [first, second] = FIGURE_WAYS[key]
  Object.assign(ways, { [key]: ways[key] === first ? second : first })
}
const faults = reactive<Record<string, string | undefined>>({})

function add() {
  const isGood = FIGURES.map((key) => {
    const parsed = parseLength(figures[key], build.units.length)
    faults[key] = parsed.ok ? undefined : parsed.message
    return parsed.ok
  })
  faults.name = name.value.trim() === '' ? words.needName : undefined
  faults.obstacle = kind.value !== 'ground' && body.value === obstacle.value ? words.samePart : undefined
  if (isGood.includes(false) || faults.name || faults.obstacle) return
  const id = place.addGap({
    name: name.value.trim(),
    kind: kind.value,
    body: body.value,
    obstacle: kind.value === 'ground' || shaft.value ? '' : obstacle.value,
    ...(kind.value !== 'ground' && shaft.value && { shaft: shaft.value }),
    toward: kind.value === 'ground' ? WAYS.down : toward.value,
    place: {
      station: figures.station.trim(),
      stationWay: ways.station,
      offset: figures.offset.trim(),
      side: ways.offset,
      height: figures.height.trim(),
      heightWay: ways.height,
    },
  })
  drawer.open('gaps', id)
}
</script>

<template>
  <form class="form" @submit.prevent="add">
    <h3>{{ words.new }}</h3>
    <UFormField :label="words.name" :error="faults.name" :help="words.nameHint">
      <UInput v-model="name" class="w-full" maxlength="200" autocomplete="off" />
    </UFormField>
    <ChoiceField :label="words.kind" :value="kind" :items="kinds" @change="kind = $event" />
    <ChoiceField :label="words.body" :value="body" :items="bodies" @change="body = $event" />
    <template v-if="kind !== 'ground'">
      <ChoiceField
        :label="words.obstacle"
        :error="faults.obstacle"
        :value="obstacle"
        :items="obstacles"
        @change="obstacle = $event"
      />
      <DirectionFields v-if="!shaft" :toward="toward" @change="toward = $event" />
    </template>
    <fieldset>
      <legend>{{ words.place }}</legend>
      <div class="three">
        <UFormField v-for="key in FIGURES" :key="key" :label="words[key]" :error="faults[key]">
          <div class="one">
            <UInput v-model="figures[key]" class="w-full" maxlength="60" autocomplete="off">
              <template #trailing
                ><span class="soft">{{ build.units.length }}</span></template
              >
            </UInput>
            <button
              type="button"
              :aria-label="`${words[key]}: ${words.placeWays[ways[key]]}`"
              @click="turn(key)"
            >
              {{ words.placeWays[ways[key]] }}
            </button>
          </div>
        </UFormField>
      </div>
    </fieldset>
    <UButton type="submit" class="add">{{ words.add }}</UButton>
  </form>
</template>

<style scoped>
.form {
  display: grid;
  gap: 12px;
}
h3,
legend {
  font-weight: 600;
}
.three {
  display: grid;
  gap: 10px;
  margin-top: 6px;
}
.one {
  display: grid;
  grid-template-columns: minmax(0, 1fr) 9.5rem;
}
.one button {
  min-height: 32px;
  border: 1px solid var(--hair);
  border-radius: 4px;
  background: var(--card);
  color: var(--accent);
  font-weight: 500;
  cursor: pointer;
}
.add {
  justify-self: start;
}
@media (max-width: 860px) {
  .form :deep(input),
  .form :deep(button) {
    min-height: 48px;
  }
}
</style>
