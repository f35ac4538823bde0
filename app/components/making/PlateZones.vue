<script setup lang="ts">
import type { Plate } from '~~/core/file/kinds/plateKinds'
import { plates as words } from '~/texts/making'
import { usePlates } from '~/stores/plates'

/** What lies on a plate and has to stay free of it. */
const { plate } = defineProps<{ plate: Plate }>()
const plates = usePlates()
const SIZES = ['alongMm', 'asideMm', 'longMm', 'wideMm', 'gapMm'] as const
</script>

<template>
  <FoldedPart :title="words.zones" :is-open="(plate.zones ?? []).length > 0">
    <p class="soft">{{ words.zoneLead }}</p>
    <fieldset v-for="zone in plate.zones ?? []" :key="zone.id">
      <legend>{{ zone.name }}</legend>
      <div class="fields">
        <TextField
          :label="words.name"
          :value="zone.name"
          required
          @change="plates.changeZone(zone.id, { name: $event })"
        />
        <FigureField
          v-for="size in SIZES"
          :key="size"
          :label="words.zone[size]"
          kind="length"
          :of="`plates.zones.${size}`"
          :value="zone[size]"
          :required="size !== 'gapMm'"
          @change="plates.changeZone(zone.id, { [size]: $event })"
        />
      </div>
      <RemoveButton :label="words.removeZone(zone.name)" @click="plates.removeZone(zone.id)" />
    </fieldset>
    <UButton variant="link" icon="i-lucide-plus" @click="plates.addZone()">{{ words.addZone }}</UButton>
  </FoldedPart>
</template>

<style scoped>
legend {
  font-weight: 600;
}
</style>
