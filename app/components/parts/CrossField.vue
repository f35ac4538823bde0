<script setup lang="ts">
import type { Build } from '~~/core/project/build'
import type { Joint } from '~~/core/project/lineSpec'
import { crossesOf } from '~~/core/project/stock'
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
const NONE = 'not-told'
const items = computed(() => [
  { value: NONE, label: words.noCross },
  ...crossesOf(build).map(({ id, name, spanMm, trunnionMm }) => ({
    value: id,
    label: `${name}, ${spanMm} mm span, ø${trunnionMm} mm`,
  })),
])
</script>

<template>
  <UFormField :label="words.cross">
    <USelect
      :model-value="joint.cross ?? NONE"
      :items="items"
      class="w-full"
      @update:model-value="
        parts.changeJoint(lineId, index, { cross: $event === NONE ? undefined : String($event) })
      "
    />
  </UFormField>
</template>
