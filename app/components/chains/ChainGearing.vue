<script setup lang="ts">
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
const rows = computed(() =>
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
      <div class="wide" tabindex="0" role="group" :aria-label="words.title">
        <table data-testid="chain-pairs">
          <thead>
            <tr>
              <th scope="col">{{ words.pair }}</th>
              <th scope="col" class="number">{{ words.top }}</th>
              <th scope="col" class="number">{{ words.links }}</th>
              <th scope="col" class="number">{{ words.centre }}</th>
              <th scope="col"></th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="row in rows" :key="row.name">
              <th scope="row" class="figure">{{ row.name }}</th>
              <td class="number">{{ fixed(row.pair.topKmh, 1) }} km/h</td>
              <td class="number">{{ row.pair.links }}</td>
              <td class="number">{{ row.centre }}</td>
              <td>
                <span v-if="row.isThese" class="soft">{{ words.taken }}</span>
                <UButton v-else size="sm" variant="link" @click="chains.takePair(now.chain.id, row.pair)">{{
                  words.take(row.name)
                }}</UButton>
              </td>
            </tr>
          </tbody>
        </table>
      </div>
    </template>
  </section>
</template>

<style scoped>
.wanted {
  max-width: 220px;
}
</style>
