<script setup lang="ts">
import type { Plate } from '~~/core/file/kinds/plateKinds'
import { plates as words } from '~/texts/making'
import { usePlates } from '~/stores/plates'

/** The holes of a plate: their sizes, what fixes it, and the spacer under each. */
const { plate } = defineProps<{ plate: Plate }>()
const plates = usePlates()
const spacerOf = (id: string) => plates.spacers.find(({ hole }) => hole === id)?.spacer ?? ''
const SIZES = [
  ['holeMm', words.size],
  ['boltMm', words.bolt],
] as const
</script>

<template>
  <section aria-labelledby="plate-holes">
    <h2 id="plate-holes">{{ words.holes }}</h2>
    <fieldset v-for="hole in plate.holes" :key="hole.id" class="hole">
      <legend class="figure">{{ words.hole }} {{ hole.id }}</legend>
      <FigureField
        v-for="[key, label] in SIZES"
        :key="key"
        :label="label"
        kind="length"
        :of="`plates.holes.${key}`"
        :value="hole[key]"
        required
        @change="plates.changeHole(hole.id, { [key]: $event })"
      />
      <FigureField
        :label="words.depth"
        kind="length"
        of="plates.holes.depthMm"
        :value="hole.depthMm"
        @change="plates.changeHole(hole.id, { depthMm: $event })"
      />
      <FigureField
        v-if="hole.depthMm !== undefined"
        :label="words.spacerThere"
        kind="length"
        of="plates.holes.spacerMm"
        :value="hole.spacerMm"
        @change="plates.changeHole(hole.id, { spacerMm: $event })"
      />
      <UCheckbox
        :label="words.dowel"
        :model-value="hole.dowel ?? false"
        @update:model-value="plates.changeHole(hole.id, { dowel: $event === true ? true : undefined })"
      />
      <p class="figure spacer">
        <span class="soft">{{ words.spacer }}</span> {{ spacerOf(hole.id) }}
      </p>
      <RemoveButton
        v-if="plate.holes.length > 3"
        class="drop"
        :label="words.removeHole(hole.id)"
        @click="plates.removeHole(hole.id)"
      />
    </fieldset>
    <UButton variant="link" icon="i-lucide-plus" @click="plates.addHole()">{{ words.addHole }}</UButton>
  </section>
</template>

<style scoped>
.hole {
  position: relative;
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 6px 10px;
  align-items: end;
  padding: 6px 0 10px;
  border-bottom: 1px solid var(--hair);
}
legend {
  font-weight: 600;
}
.drop {
  position: absolute;
  top: -28px;
  right: 0;
}
</style>
