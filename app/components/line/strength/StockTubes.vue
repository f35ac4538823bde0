<script setup lang="ts">
import type { Build } from '~~/core/file/build/build'
import { tubeText } from '~~/core/show/text/tubeText'
import { texts } from '~/texts/en'
import { strength } from '~/texts/strength'
import { useStock } from '~/stores/stock'

/** Tubes that can be had, each by its sizes. */
defineProps<{ build: Build }>()
const stock = useStock()
const words = strength.stock
const materials = Object.entries(texts.parts.fields.materials).map(([value, label]) => ({ value, label }))
</script>

<template>
  <FoldedPart class="stock" data-testid="stock-tubes" :title="`${words.tubes} (${stock.tubes.length})`">
    <ul>
      <li v-for="tube in stock.tubes" :key="tube.id" :data-field="`strength/${tube.id}`">
        <FigureField
          :label="words.outer"
          kind="length"
          :least="2 * tube.wallMm"
          required
          of="tubes.outerMm"
          :value="tube.outerMm"
          @change="$event !== undefined && stock.changeTube(tube.id, { outerMm: $event })"
        />
        <FigureField
          :label="words.wall"
          kind="length"
          :most="tube.outerMm / 2"
          required
          of="tubes.wallMm"
          :value="tube.wallMm"
          @change="$event !== undefined && stock.changeTube(tube.id, { wallMm: $event })"
        />
        <ChoiceField
          :label="words.material"
          :value="tube.material"
          :items="materials"
          @change="stock.changeTube(tube.id, { material: $event })"
        />
        <FigureField
          :label="words.yield"
          unit="MPa"
          of="tubes.yieldMPa"
          :value="tube.yieldMPa"
          @change="stock.changeTube(tube.id, { yieldMPa: $event })"
        />
        <UButton
          icon="i-lucide-x"
          variant="ghost"
          color="neutral"
          :aria-label="words.remove(tubeText(tube))"
          @click="stock.remove('tubes', tube.id)"
        />
      </li>
    </ul>
    <div class="does">
      <UButton icon="i-lucide-plus" size="sm" variant="outline" @click="stock.addTube()">{{
        words.add
      }}</UButton>
      <UButton v-if="build.tubes" size="sm" variant="ghost" @click="stock.reset('tubes')">{{
        words.reset
      }}</UButton>
    </div>
  </FoldedPart>
</template>
