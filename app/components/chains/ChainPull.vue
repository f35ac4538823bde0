<script setup lang="ts">
import type { ChainGear } from '~~/core/vehicle/strength/chainGears'
import type { FactColumn } from '~/composables/factColumn'
import { hunting } from '~~/core/sprockets/chainDrive'
import { speedSwing } from '~~/core/sprockets/sprocket'
import type { ChainEvaluation } from '~~/core/chain/chainEvaluation'
import { drivenIndex, sprocketName } from '~~/core/file/parts/chainLine'
import { percentText } from '~~/core/show/told/chainText'
import { fixed, grouped } from '~~/core/base/units/format'
import { chainTexts } from '~/texts/chains'
import { useChains } from '~/stores/chains'

/** What a chain pulls in every gear, how fast it runs, and how unevenly. */
const { now } = defineProps<{ now: ChainEvaluation }>()
const chains = useChains()
const words = chainTexts.pull
const gears = computed(() => chains.gears(now.chain))
const waits = computed(() =>
  gears.value.known ? '' : gears.value.missing.map(({ what }) => what).join('; '),
)
const COLUMNS: readonly FactColumn<ChainGear>[] = [
  { key: 'gear', label: words.gear, text: ({ gear }) => gear, is: 'head' },
  { key: 'torque', label: words.torque, is: 'number' },
  { key: 'pull', label: words.pull, text: ({ pullN }) => `${grouped(pullN)} N`, is: 'number' },
  { key: 'safety', label: words.safety, is: 'number' },
  { key: 'speed', label: words.speed, text: ({ chainMs }) => `${fixed(chainMs, 1)} m/s`, is: 'number' },
  {
    key: 'road',
    label: words.road,
    text: ({ speedKmh }) => (speedKmh === null ? '?' : `${fixed(speedKmh, 1)} km/h`),
    is: 'number',
  },
]
const ends = computed(() => {
  const { sprockets } = now.chain
  return [sprockets[0], sprockets[drivenIndex(now.chain)]].flatMap((one) => (one ? [one] : []))
})
const hunts = computed(() => {
  const { links } = now.chain
  if (links === undefined) return []
  return ends.value.map((sprocket) => {
    const found = hunting(sprocket.teeth, links)
    const name = sprocketName(sprocket)
    return found.isHunting ? words.huntsAll(name) : words.hunts(name, found.sprocketTurns)
  })
})
const swings = computed(() =>
  ends.value.map((sprocket) =>
    words.swingOf(sprocketName(sprocket), percentText(100 * speedSwing(sprocket.teeth).ofMean)),
  ),
)
</script>

<template>
  <section class="plain-card" :aria-label="words.title">
    <h2>{{ words.title }}</h2>
    <p v-if="waits" class="soft" role="status">{{ words.waits(waits) }}</p>
    <FactTable
      v-else-if="gears.known"
      :label="words.title"
      :columns="COLUMNS"
      :rows="gears.value"
      :key-of="({ gear }) => gear"
      test-id="chain-pull"
    >
      <template #torque="{ row }">
        {{ fixed(row.torqueNm, 0) }} Nm <span class="soft">{{ words.by[row.limitedBy] }}</span>
      </template>
      <template #safety="{ row }">
        {{ row.staticSafety === null ? '?' : fixed(row.staticSafety, 1) }}
        <span v-if="row.movingSafety !== null" class="soft"
          >{{ fixed(row.movingSafety, 1) }} {{ words.moving }}</span
        >
      </template>
    </FactTable>
    <dl class="facts">
      <template v-if="hunts.length">
        <dt>{{ words.hunting }}</dt>
        <dd v-for="text in hunts" :key="text">{{ text }}</dd>
      </template>
      <dt>{{ words.swing }}</dt>
      <dd v-for="text in swings" :key="text">{{ text }}</dd>
    </dl>
    <p class="soft">{{ words.note }}</p>
  </section>
</template>

<style scoped>
.facts dd {
  grid-column: 2;
}
</style>
