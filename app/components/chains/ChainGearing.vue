<script setup lang="ts">
import type { SprocketPair } from '~~/core/sprockets/gearing'
import type { FactColumn } from '~/composables/factColumn'
import type { ChainEvaluation } from '~~/core/chain/chainEvaluation'
import { drivenIndex } from '~~/core/file/parts/chainLine'
import { fixed } from '~~/core/base/units/format'
import { chainTexts } from '~/texts/chains'
import { useFormat } from '~/composables/useFormat'
import { useChains } from '~/stores/chains'

/** Which sprockets give a wanted top speed, with the links and the shafts' distance that each pair takes. */
const { now } = defineProps<{ now: ChainEvaluation }>()
const chains = useChains()
const { length } = useFormat()
const words = chainTexts.gearing
const gears = computed(() => chains.gears(now.chain))
const top = computed(() =>
  gears.value.known
    ? gears.value.value.reduce<number | null>(
        (most, { speedKmh }) => (speedKmh === null ? most : Math.max(most ?? 0, speedKmh)),
        null,
      )
    : null,
)
const typed = ref<number | undefined>()
const wanted = computed(() => typed.value ?? (top.value === null ? undefined : Math.round(top.value)))
const pairs = computed(() => chains.pairsFor(now, wanted.value ?? 0))
const waits = computed(() =>
  pairs.value.known ? '' : pairs.value.missing.map(({ what }) => what).join('; '),
)
const teeth = computed(() => [
  now.chain.sprockets[0]?.teeth,
  now.chain.sprockets[drivenIndex(now.chain)]?.teeth,
])
interface PairRow {
  readonly pair: SprocketPair
  readonly name: string
  readonly isThese: boolean
  readonly centre: string
}
const COLUMNS: readonly FactColumn<PairRow>[] = [
  { key: 'name', label: words.pair, text: ({ name }) => name, is: 'head' },
  { key: 'top', label: words.top, text: ({ pair }) => `${fixed(pair.topKmh, 1)} km/h`, is: 'number' },
  { key: 'links', label: words.links, text: ({ pair }) => pair.links, is: 'number' },
  { key: 'centre', label: words.centre, text: ({ centre }) => centre, is: 'number' },
  { key: 'take' },
]
const rows = computed((): PairRow[] =>
  pairs.value.known
    ? pairs.value.value.map((pair) => ({
        pair,
        name: pair.teeth.join(' : '),
        isThese: pair.teeth[0] === teeth.value[0] && pair.teeth[1] === teeth.value[1],
        // With guide wheels the distance of the shafts alone does not close the chain.
        centre: now.chain.sprockets.length === 2 ? length(pair.centreMm) : '–',
      }))
    : [],
)
</script>

<template>
  <section class="plain-card" :aria-label="words.title">
    <h2>{{ words.title }}</h2>
    <p v-if="waits" class="soft" role="status">{{ words.waits(waits) }}</p>
    <template v-else>
      <p v-if="top !== null" data-testid="top-speed">{{ words.now(`${fixed(top, 1)} km/h`) }}</p>
      <FigureField
        class="wanted"
        :label="words.wanted"
        unit="km/h"
        :least="1"
        :most="500"
        :value="wanted"
        @change="typed = $event"
      />
      <FactTable
        :label="words.title"
        :columns="COLUMNS"
        :rows="rows"
        :key-of="({ name }) => name"
        test-id="chain-pairs"
      >
        <template #take="{ row }">
          <span v-if="row.isThese" class="soft">{{ words.taken }}</span>
          <UButton v-else size="sm" variant="link" @click="chains.takePair(now.chain.id, row.pair)">{{
            words.take(row.name)
          }}</UButton>
        </template>
      </FactTable>
    </template>
  </section>
</template>

<style scoped>
.wanted {
  max-width: 220px;
}
</style>
