<script setup lang="ts">
import { cards } from '~/texts/cards'
import { usePlates } from '~/stores/plates'

/** All holes of a plate on one circle, from whichever distance the caliper reaches. */
const { holes } = defineProps<{ holes: number }>()
const plates = usePlates()
const words = cards.circle
const FACES = (['at', 'boss'] as const).map((value) => ({ value, label: words.faces[value] }))
const BYS = (['circleMm', 'chordMm', 'acrossMm'] as const).map((value) => ({
  value,
  label: words.bys[value],
}))
const face = ref<'at' | 'boss'>('at')
const by = ref<'circleMm' | 'chordMm' | 'acrossMm'>('circleMm')
const size = ref<number>()
function lay() {
  const mm = size.value
  if (mm === undefined) return
  const told = { circleMm: { circleMm: mm }, chordMm: { chordMm: mm }, acrossMm: { acrossMm: mm } }
  plates.layOnCircle(face.value, told[by.value])
}
</script>

<template>
  <FoldedPart :title="words.title">
    <p class="soft">{{ words.lead }}</p>
    <div class="fields">
      <ChoiceField
        :label="words.face"
        :value="face"
        :items="FACES"
        @change="$event !== undefined && (face = $event)"
      />
      <ChoiceField
        :label="words.by"
        :value="by"
        :items="BYS"
        @change="$event !== undefined && (by = $event)"
      />
      <FigureField
        :label="words.size"
        kind="length"
        of="plates.plate.tapes.mm"
        :value="size"
        @change="size = $event"
      />
      <UButton variant="outline" :disabled="size === undefined" @click="lay()">{{
        words.lay(holes)
      }}</UButton>
    </div>
  </FoldedPart>
</template>
