<script setup lang="ts">
import type { ShaftEnd } from '~~/core/project/lineSpec'
import { texts } from '~/texts/en'

/** The hardware at one end of a shaft. */
const { title, end } = defineProps<{ title: string; end: ShaftEnd | undefined }>()
const emit = defineEmits<{ change: [end: ShaftEnd] }>()
const words = texts.parts.fields
const kinds = Object.entries(words.ends).map(([value, label]) => ({ value, label }))
const kind = computed(() => end?.kind ?? 'yoke')

function choose(next: ShaftEnd['kind']) {
  if (next === kind.value) return
  emit('change', { kind: next })
}
</script>

<template>
  <PartsCard :title="title">
    <UFormField :label="words.kind">
      <USelect
        :model-value="kind"
        :items="kinds"
        class="w-full"
        @update:model-value="choose($event as ShaftEnd['kind'])"
      />
    </UFormField>
    <FigureField
      v-if="end?.kind === 'flange'"
      :label="words.faceToJoint"
      kind="length"
      :value="end.faceToJointMm"
      @change="emit('change', { ...end, faceToJointMm: $event })"
    />
    <template v-if="end?.kind === 'slip-yoke'">
      <FigureField
        :label="words.boreToJoint"
        kind="length"
        :value="end.boreBottomToJointMm"
        @change="emit('change', { ...end, boreBottomToJointMm: $event })"
      />
      <FigureField
        :label="words.setIn"
        kind="length"
        :help="words.setInHelp"
        :value="end.setInMm"
        @change="emit('change', { ...end, setInMm: $event })"
      />
      <FigureField
        :label="words.sealToEnd"
        kind="length"
        :value="end.sealToShaftEndMm"
        @change="emit('change', { ...end, sealToShaftEndMm: $event })"
      />
    </template>
  </PartsCard>
</template>
