<script setup lang="ts">
import type { Build } from '~~/core/file/build/build'
import type { Joint } from '~~/core/file/parts/lineSpec'
import { crossesOf } from '~~/core/file/parts/stock'
import { partsOfLine } from '~/texts/parts'
import { useParts } from '~/stores/parts'

/** Which cross a joint has, of the list of sizes. */
const { build, lineId, joint, index } = defineProps<{
  build: Build
  lineId: string
  joint: Joint
  index: number
}>()
const parts = useParts()
const words = partsOfLine.sheet
const items = computed(() =>
  crossesOf(build).map(({ id, name, spanMm, trunnionMm }) => ({
    value: id,
    label: `${name}, ${spanMm} mm span, ø${trunnionMm} mm`,
  })),
)
</script>

<template>
  <ChoiceField
    :label="words.cross"
    :value="joint.cross"
    :items="items"
    :unsaid="words.noCross"
    @change="parts.changeJoint(lineId, index, { cross: $event })"
  />
</template>
