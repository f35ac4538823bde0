<script setup lang="ts">
import type { Clutch, ForkPivot } from '~~/core/file/parts/clutch'
import { clutches as words } from '~/texts/clutches'
import { useClutches } from '~/stores/clutches'

/** Sizes of a clutch that a pedal works by oil. */
const { clutch } = defineProps<{ clutch: Clutch }>()
const clutches = useClutches()
const forks = (Object.keys(words.forks) as (ForkPivot | 'none')[]).map((value) => ({
  value,
  label: words.forks[value],
}))
</script>

<template>
  <div class="sizes">
    <TextField
      :label="words.name"
      :value="clutch.name"
      required
      @change="clutches.change(clutch.id, { name: $event })"
    />
    <ChoiceField
      :label="words.control"
      :value="clutch.control"
      :items="clutches.workedBy"
      :unsaid="words.controlNone"
      @change="clutches.change(clutch.id, { control: $event })"
    />
    <FigureField
      :label="words.ratio"
      of="clutches.pedalRatio"
      :value="clutch.pedalRatio"
      @change="clutches.change(clutch.id, { pedalRatio: $event })"
    />
    <FigureField
      v-for="[key, label] in words.sizes"
      :key="key"
      :label="label"
      kind="length"
      :of="`clutches.${key}`"
      :value="clutch[key]"
      @change="clutches.change(clutch.id, { [key]: $event })"
    />
    <ChoiceField
      :label="words.hasFork"
      :value="clutch.fork?.pivot ?? 'none'"
      :items="forks"
      @change="clutches.forked(clutch.id, $event)"
    />
    <template v-if="clutch.fork">
      <FigureField
        :label="words.toBearing"
        kind="length"
        of="clutches.fork.toBearingMm"
        :value="clutch.fork.toBearingMm"
        required
        @change="clutches.changeFork(clutch.id, { toBearingMm: $event })"
      />
      <FigureField
        :label="words.toRod"
        kind="length"
        of="clutches.fork.toRodMm"
        :value="clutch.fork.toRodMm"
        required
        @change="clutches.changeFork(clutch.id, { toRodMm: $event })"
      />
      <FigureField
        :label="words.socket"
        kind="length"
        of="clutches.socketMm"
        :value="clutch.socketMm"
        @change="clutches.change(clutch.id, { socketMm: $event })"
      />
    </template>
    <RemoveButton is-worded :label="words.remove(clutch.name)" @click="clutches.remove(clutch.id)" />
  </div>
</template>

<style scoped>
.sizes {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(190px, 1fr));
  gap: 8px 12px;
  align-items: end;
}
</style>
