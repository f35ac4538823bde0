<script setup lang="ts">
import type { TravelChange } from '~~/core/file/edits/motionEdits'
import type { WheeledBody } from '~~/core/file/parts/body'
import { travelTexts } from '~/texts/travel'
import { useTravel } from '~/stores/travel'

/** How far the wheels of an axle or a hub go, by springs, stops and straps, and how far a hub is steered. */
const { body } = defineProps<{ body: WheeledBody }>()
const travel = useTravel()
const words = travelTexts.reach
interface ReachField {
  readonly key: keyof TravelChange
  readonly help?: string
  readonly of?: WheeledBody['kind']
}
const FIELDS: readonly ReachField[] = [
  { key: 'bumpMm' },
  { key: 'droopMm' },
  { key: 'rackMm', help: words.rackHelp, of: 'hub' },
  { key: 'stopMm' },
  { key: 'strapMm' },
  { key: 'crossMm', help: words.crossHelp, of: 'axle' },
  { key: 'settleMm', help: words.settleHelp },
  { key: 'rightBumpMm', help: words.rightHelp, of: 'axle' },
  { key: 'rightDroopMm', help: words.rightHelp, of: 'axle' },
]
const fields = computed(() => FIELDS.filter(({ of }) => of === undefined || of === body.kind))
const told = computed((): TravelChange => body.travel ?? {})
const labelOf = (key: keyof TravelChange) => words[key.replace(/Mm$/, '') as 'bump']
</script>

<template>
  <section class="reach" :aria-label="words.title">
    <h2>{{ words.title }}</h2>
    <div class="fields">
      <FigureField
        v-for="{ key, help = '' } in fields"
        :key="key"
        :label="labelOf(key)"
        :help="help"
        kind="length"
        :of="`bodies.${body.kind}.travel.${key}`"
        :value="told[key]"
        @change="
          travel.setTravel(body.id, {
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
