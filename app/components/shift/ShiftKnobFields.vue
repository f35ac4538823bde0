<script setup lang="ts">
import { shift as words } from '~/texts/shift'
import { useShiftKnobs } from '~/stores/shiftKnobs'

/** The other end of the lever: its size, the skin that it comes through, what a hand may strike. */
const knobs = useShiftKnobs()
const near = computed(() => (knobs.knob?.near ?? []).map(({ point, gapMm }) => ({ point, mm: gapMm })))
</script>

<template>
  <section aria-labelledby="shift-knob">
    <h2 id="shift-knob">{{ words.knob.title }}</h2>
    <p class="soft">{{ words.knob.help }}</p>
    <template v-if="knobs.knob">
      <div class="fields">
        <FigureField
          v-for="[key, label] in words.knob.sizes"
          :key="key"
          :label="label"
          kind="length"
          :of="`shifts.knob.${key}`"
          :value="knobs.knob[key]"
          :required="key === 'longMm'"
          @change="knobs.change({ [key]: $event })"
        />
        <FigureField
          :label="words.knob.turn"
          :help="words.knob.turnHelp"
          unit="°"
          of="shifts.knob.turnDeg"
          :value="knobs.knob.turnDeg"
          required
          @change="knobs.change({ turnDeg: $event })"
        />
        <FigureField
          :label="words.knob.over"
          unit="°"
          of="shifts.knob.overDeg"
          :value="knobs.knob.overDeg"
          @change="knobs.change({ overDeg: $event })"
        />
      </div>
      <h3>{{ words.knob.near }}</h3>
      <p class="soft">{{ words.knob.nearHelp }}</p>
      <PointRows
        :rows="near"
        :point="words.knob.nearPoint"
        :length="words.knob.nearGap"
        of="shifts.knob.near.gapMm"
        :remove="words.knob.removeNear"
        test-id="knob-near"
        @change="(k, { mm, ...changed }) => knobs.changeNear(k, 'point' in changed ? changed : { gapMm: mm })"
        @remove="knobs.removeNear($event)"
      />
      <UButton variant="outline" size="sm" icon="i-lucide-plus" @click="knobs.addNear()">{{
        words.knob.addNear
      }}</UButton>
      <h3>{{ words.knob.skin }}</h3>
      <div class="fields">
        <FigureField
          v-for="[key, label] in words.knob.skinSizes"
          :key="key"
          :label="label"
          kind="length"
          :of="`shifts.knob.${key}`"
          :value="knobs.knob[key]"
          @change="knobs.change({ [key]: $event })"
        />
      </div>
      <RemoveButton is-worded :label="words.knob.remove" @click="knobs.leaveOut()" />
    </template>
    <UButton v-else variant="outline" size="sm" icon="i-lucide-plus" @click="knobs.begin()">{{
      words.knob.add
    }}</UButton>
  </section>
</template>

<style scoped>
h3 {
  margin-top: 8px;
  font-weight: 600;
}
</style>
