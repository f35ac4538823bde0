<script setup lang="ts">
import type { GapEvaluation } from '~~/core/model/gaps'
import type { UnitSettings } from '~~/core/base/units/unitSettings'

/** Some gaps under each other; a row is drawn again only when its own figures change. */
defineProps<{ rows: readonly GapEvaluation[]; units: UnitSettings }>()
const emit = defineEmits<{ mark: [gapId: string] }>()
</script>

<template>
  <ul>
    <WhenSeen
      v-for="row in rows"
      :key="row.gap.id"
      v-slot="{ value }"
      v-memo="[row, units]"
      :value="row.check"
      tag="li"
      @mouseenter="emit('mark', row.gap.id)"
      @mouseleave="emit('mark', '')"
      @focusin="emit('mark', row.gap.id)"
      @focusout="emit('mark', '')"
    >
      <CheckRow :check="value" :units="units" :many="false" />
    </WhenSeen>
  </ul>
</template>
