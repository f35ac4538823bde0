<script setup lang="ts">
import type { ChainEvaluation } from '~~/core/chain/chainEvaluation'
import type { LiveAxleFigures } from '~~/core/model/liveAxle'
import type { Build } from '~~/core/file/build/build'

/** All that a chain is made of, bears and drives: what nobody looks at while a lever is in the hand. */
defineProps<{ build: Build; now: ChainEvaluation; axles: readonly LiveAxleFigures[] }>()
</script>

<template>
  <ChainOrderCard :build="build" :now="now" />
  <ChainFields :build="build" :now="now" />
  <ChainByHand v-if="now.chain.duty !== 'drive'" class="whole" :now="now" :duty="now.chain.duty" />
  <SprocketTable class="whole" :now="now" />
  <template v-if="now.chain.duty === 'drive'">
    <ChainPull class="whole" :now="now" />
    <ChainGearing class="whole" :now="now" />
  </template>
  <LiveAxleCard v-for="axle in axles" :key="axle.body.id" class="whole" :axle="axle" />
</template>

<style scoped>
.whole {
  grid-column: 1 / -1;
}
</style>
