<script setup lang="ts">
import { isCut, MAKING_STATES, type AsBuilt, type PartMade } from '~~/core/file/kinds/madePart'
import { assign } from '~/stores/assign'
import { madePart as words } from '~/texts/madePart'

/** How far a made part is; once it is cut, of what: nobody remembers it a year later. */
const { part } = defineProps<{ part: PartMade }>()
const emit = defineEmits<{ change: [made: PartMade] }>()
const states = MAKING_STATES.map((value) => ({ value, label: words.states[value] }))
const builtOf = Object.keys(words.builtOf) as (keyof AsBuilt)[]

function tell(what: keyof AsBuilt, text: string): void {
  const asBuilt: AsBuilt = { ...part.asBuilt }
  assign(asBuilt, { [what]: text || undefined })
  emit('change', { asBuilt: Object.keys(asBuilt).length > 0 ? asBuilt : undefined })
}
</script>

<template>
  <section :aria-label="words.state" class="fields">
    <ChoiceField
      :label="words.state"
      :value="part.state"
      :items="states"
      :unsaid="words.unsaid"
      @change="emit('change', { state: $event })"
    />
    <fieldset v-if="isCut(part) || part.asBuilt" class="built">
      <legend>{{ words.asBuilt }}</legend>
      <TextField
        v-for="what in builtOf"
        :key="what"
        :label="words.builtOf[what]"
        :value="part.asBuilt?.[what]"
        @change="tell(what, $event)"
      />
    </fieldset>
  </section>
</template>

<style scoped>
.built {
  display: grid;
  grid-column: 1 / -1;
  gap: 8px 12px;
}
</style>
