<script setup lang="ts">
import type { SettingSheet } from '~~/core/show/told/settingSheet'
import { chainTexts } from '~/texts/chains'
import { texts } from '~/texts/en'

const { sheet } = defineProps<{ sheet: SettingSheet }>()
const words = texts.sheet
const cautions = computed(() => [
  texts.cautions.under,
  texts.cautions.lift,
  ...(sheet.isWelded ? [texts.cautions.weld] : []),
  ...(sheet.shafts.length > 0 || sheet.chains.length === 0 ? [texts.cautions.turning] : []),
  ...(sheet.chains.length > 0 ? [chainTexts.cautions.fingers, chainTexts.cautions.guard] : []),
  texts.cautions.approval,
])
</script>

<template>
  <div class="foot">
    <section>
      <h2>{{ words.toolsTitle }}</h2>
      <p v-for="setup in sheet.setups" :key="setup.name">
        {{ setup.name }}<template v-if="setup.date">, {{ setup.date }}</template
        ><template v-if="setup.by">, {{ words.by }} {{ setup.by }}</template>
        <template v-if="setup.tools"><br />{{ words.with }} {{ setup.tools }}</template>
      </p>
      <template v-if="sheet.assumptions.length">
        <h2>{{ words.assumed }}</h2>
        <p v-for="one in sheet.assumptions" :key="one">{{ one }}</p>
      </template>
      <p class="sign">{{ words.signed }}</p>
      <p class="sign">{{ words.date }}</p>
    </section>
    <section>
      <h2>{{ words.cautions }}</h2>
      <ul>
        <li v-for="one in cautions" :key="one">{{ one }}</li>
      </ul>
    </section>
  </div>
</template>

<style scoped>
.foot {
  display: grid;
  grid-template-columns: 4fr 6fr;
  gap: 26px;
  margin-top: 12px;
}
h2 {
  font-weight: 600;
  border-bottom: 1px solid var(--ink);
}
ul {
  padding-left: 16px;
  list-style: disc;
}
.sign {
  margin-top: 18px;
  border-top: 1px solid var(--ink);
  font-size: 0.875em;
}
@media screen and (max-width: 720px) {
  .foot {
    grid-template-columns: 1fr;
  }
}
</style>
