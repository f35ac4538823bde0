<script setup lang="ts">
import { useFormat } from '~/composables/useFormat'
import { welds as words } from '~/texts/welds'
import { useWelds } from '~/stores/welds'

/** Both diagonals, read before the first tack and after each pair: does it draw askew? */
const welds = useWelds()
const { length } = useFormat()
const read = reactive<{ firstMm?: number; secondMm?: number }>({})
const isWhole = computed(() => read.firstMm !== undefined && read.secondMm !== undefined)
const all = computed(() => welds.weld?.diagonals ?? [])
function keep() {
  const { firstMm, secondMm } = read
  if (firstMm === undefined || secondMm === undefined) return
  welds.keepDiagonals({ firstMm, secondMm })
  read.firstMm = read.secondMm = undefined
}
</script>

<template>
  <section aria-labelledby="weld-diagonals">
    <h2 id="weld-diagonals">{{ words.diagonals }}</h2>
    <p v-if="welds.square" class="figure" :class="{ out: welds.square.isOut }" data-testid="weld-square">
      <VerdictMark :verdict="welds.square.isOut ? 'out' : 'holds'" :size="14" /> {{ welds.square.text }}
    </p>
    <ol v-if="all.length > 0" class="figure">
      <li v-for="({ firstMm, secondMm }, i) in all" :key="i">
        {{ length(firstMm) }} · {{ length(secondMm) }}
      </li>
    </ol>
    <div class="pair">
      <FigureField
        :label="words.firstDiagonal"
        kind="length"
        of="welds.diagonals.firstMm"
        :value="read.firstMm"
        @change="read.firstMm = $event"
      />
      <FigureField
        :label="words.secondDiagonal"
        kind="length"
        of="welds.diagonals.secondMm"
        :value="read.secondMm"
        @change="read.secondMm = $event"
      />
    </div>
    <div class="does">
      <UButton variant="outline" :disabled="!isWhole" @click="keep()">{{ words.keepDiagonals }}</UButton>
      <UButton v-if="all.length > 0" variant="link" @click="welds.dropDiagonals()">{{
        words.dropDiagonals
      }}</UButton>
    </div>
  </section>
</template>

<style scoped>
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 12px;
  margin: 6px 0;
}
.does {
  display: flex;
  gap: 8px;
}
ol {
  padding-left: 22px;
  list-style: decimal;
}
.out {
  color: var(--out);
}
</style>
