<script setup lang="ts">
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
    <div v-else-if="gears.known" class="wide" tabindex="0" role="group" :aria-label="words.title">
      <table data-testid="chain-pull">
        <thead>
          <tr>
            <th scope="col">{{ words.gear }}</th>
            <th scope="col" class="number">{{ words.torque }}</th>
            <th scope="col" class="number">{{ words.pull }}</th>
            <th scope="col" class="number">{{ words.safety }}</th>
            <th scope="col" class="number">{{ words.speed }}</th>
            <th scope="col" class="number">{{ words.road }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="row in gears.value" :key="row.gear">
            <th scope="row">{{ row.gear }}</th>
            <td class="number">
              {{ fixed(row.torqueNm, 0) }} Nm <span class="soft">{{ words.by[row.limitedBy] }}</span>
            </td>
            <td class="number">{{ grouped(row.pullN) }} N</td>
            <td class="number">
              {{ row.staticSafety === null ? '?' : fixed(row.staticSafety, 1) }}
              <span v-if="row.movingSafety !== null" class="soft"
                >{{ fixed(row.movingSafety, 1) }} {{ words.moving }}</span
              >
            </td>
            <td class="number">{{ fixed(row.chainMs, 1) }} m/s</td>
            <td class="number">{{ row.speedKmh === null ? '?' : `${fixed(row.speedKmh, 1)} km/h` }}</td>
          </tr>
        </tbody>
      </table>
    </div>
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
