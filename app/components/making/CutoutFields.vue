<script setup lang="ts">
import { FEWEST_CORNERS, type CutoutEntry } from '~~/core/file/kinds/cutoutKinds'
import { cutouts as words } from '~/texts/cutouts'
import { useCutouts } from '~/stores/cutouts'

/** The opening before its first cut. */
const { cutout } = defineProps<{ cutout: CutoutEntry }>()
const cutouts = useCutouts()
const WAYS = [
  ['fromLeftMm', words.fromLeft],
  ['fromFrontMm', words.fromFront],
] as const
</script>

<template>
  <section aria-labelledby="cutout-sizes">
    <h2 id="cutout-sizes">{{ words.sizes }}</h2>
    <div class="fields">
      <TextField
        :label="words.name"
        :value="cutout.name"
        required
        @change="cutouts.change({ name: $event })"
      />
      <FigureField
        :label="words.gap"
        kind="length"
        of="cutouts.gapMm"
        :value="cutout.gapMm"
        @change="cutouts.change({ gapMm: $event })"
      />
    </div>
    <fieldset v-for="(corner, k) in cutout.corners" :key="k" class="corner">
      <legend>{{ words.corner(k + 1) }}</legend>
      <FigureField
        v-for="[key, label] in WAYS"
        :key="key"
        :label="label"
        kind="length"
        :of="`cutouts.corners.${key}`"
        :value="corner[key]"
        required
        @change="cutouts.moveCorner(k, { [key]: $event })"
      />
      <RemoveButton
        v-if="cutout.corners.length > FEWEST_CORNERS"
        :label="words.removeCorner(k + 1)"
        @click="cutouts.removeCorner(k)"
      />
    </fieldset>
    <UButton variant="link" icon="i-lucide-plus" @click="cutouts.addCorner()">{{ words.addCorner }}</UButton>
  </section>
</template>

<style scoped>
.corner {
  display: grid;
  grid-template-columns: 1fr 1fr auto;
  gap: 4px 10px;
  align-items: end;
  padding-top: 6px;
}
legend {
  font-weight: 600;
}
</style>
