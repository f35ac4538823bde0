<script setup lang="ts">
import type { AxleBody, AxleTravel } from '~~/core/project/body'
import { travelTexts } from '~/texts/travel'
import { useTravel } from '~/stores/travel'

/** How far the wheels of an axle go, by its springs, stops and straps. */
const { axle } = defineProps<{ axle: AxleBody }>()
const travel = useTravel()
const words = travelTexts.reach
const FIELDS: readonly { readonly key: keyof AxleTravel; readonly help?: string; readonly least?: number }[] =
  [
    { key: 'bumpMm' },
    { key: 'droopMm' },
    { key: 'stopMm' },
    { key: 'strapMm' },
    { key: 'crossMm', help: words.crossHelp },
    { key: 'settleMm', help: words.settleHelp, least: -500 },
    { key: 'rightBumpMm', help: words.rightHelp },
    { key: 'rightDroopMm', help: words.rightHelp },
  ]
const labelOf = (key: keyof AxleTravel) => words[key.replace(/Mm$/, '') as 'bump']
</script>

<template>
  <section class="reach" :aria-label="words.title">
    <h2>{{ words.title }}</h2>
    <div class="fields">
      <FigureField
        v-for="{ key, help = '', least = 0 } in FIELDS"
        :key="key"
        :label="labelOf(key)"
        :help="help"
        kind="length"
        :least="least"
        :most="1000"
        :value="axle.travel?.[key]"
        @change="
          travel.setTravel(axle.id, {
            [key]: $event ?? (key === 'bumpMm' || key === 'droopMm' ? 0 : undefined),
          })
        "
      />
    </div>
  </section>
</template>

<style scoped>
.reach {
  display: grid;
  gap: 10px;
}
h2 {
  font-weight: 600;
}
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 10px 12px;
  align-items: start;
}
</style>
