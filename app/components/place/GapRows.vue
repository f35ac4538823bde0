<script setup lang="ts">
import type { GapEvaluation } from '~~/core/model/gaps'
import type { UnitSettings } from '~~/core/units/unitSettings'

/** Some gaps under each other; a row is drawn again only when its own figures change. */
defineProps<{ rows: readonly GapEvaluation[]; units: UnitSettings }>()
const emit = defineEmits<{ mark: [gapId: string] }>()
</script>

<template>
  <ul>
    <CheckRow
      v-for="row in rows"
      :key="row.gap.id"
      v-memo="[row, units]"
      :check="row.check"
      :units="units"
      :many="false"
      @mouseenter="emit('mark', row.gap.id)"
      @mouseleave="emit('mark', '')"
      @focusin="emit('mark', row.gap.id)"
      @focusout="emit('mark', '')"
    />
  </ul>
</template>
