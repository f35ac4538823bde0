<script setup lang="ts">
import type { Plate } from '~~/core/file/kinds/plateKinds'
import { plateStands as words } from '~/texts/plateStands'
import { usePlateStands } from '~/stores/plateStands'

/** Three holes of a plate at points of the vehicle. */
const { plate } = defineProps<{ plate: Plate }>()
const stands = usePlateStands()
const bodies = computed(() => stands.bodies.map(({ id, name }) => ({ value: id, label: name })))
const holes = computed(() => plate.holes.map(({ id }) => id))
</script>

<template>
  <FoldedPart :title="words.title" :is-open="plate.stands !== undefined">
    <p class="soft">{{ words.lead }}</p>
    <div class="fields">
      <ChoiceField
        :label="words.on"
        :value="stands.body"
        :items="bodies"
        :unsaid="words.unsaid"
        @change="stands.standOn($event)"
      />
      <ChoiceField
        v-for="({ hole, point }, k) in plate.stands ?? []"
        :key="point"
        :label="words.holes[k] ?? ''"
        :value="hole"
        :items="holes"
        @change="stands.changeHole(k, $event)"
      />
    </div>
    <p v-if="stands.sentence" class="figure" data-testid="plate-stands">{{ stands.sentence }}</p>
    <p v-else-if="stands.missing">
      <VerdictMark verdict="unknown" :size="14" /> {{ words.waits }}
      <MissingWords :missing="stands.missing" />
    </p>
  </FoldedPart>
</template>
