<script setup lang="ts">
import {
  BOLT_CLASSES,
  BOLTED_INTO,
  FACE_STATES,
  THREAD_STATES,
  type BoltClass,
  type BoltEntry,
  type FaceState,
  type ThreadState,
} from '~~/core/file/kinds/boltKinds'
import { leverName } from '~~/core/show/told/leverText'
import { bolts as words } from '~/texts/bolts'
import { useBolts } from '~/stores/bolts'
import { useWorkbench } from '~/stores/workbench'

/** What a bolt clamps and is screwed into, and its slot. */
const { bolt } = defineProps<{ bolt: BoltEntry }>()
const bolts = useBolts()
const workbench = useWorkbench()
const classes = (Object.keys(BOLT_CLASSES) as BoltClass[]).map((value) => ({ value, label: value }))
const threads = (Object.keys(THREAD_STATES) as ThreadState[]).map((value) => ({
  value,
  label: words.threads[value],
}))
const intos = BOLTED_INTO.map((value) => ({ value, label: words.intos[value] }))
const states = (Object.keys(FACE_STATES) as FaceState[]).map((value) => ({
  value,
  label: words.states[value],
}))
const levers = computed(() => {
  const { build } = workbench
  return build ? build.levers.map((lever) => ({ value: lever.id, label: leverName(build, lever) })) : []
})
const chains = computed(() =>
  (workbench.build?.chains ?? []).map(({ id, name }) => ({ value: id, label: name })),
)
const plates = computed(() =>
  (workbench.build?.plates ?? []).map(({ id, name }) => ({ value: id, label: name })),
)
const LENGTHS = computed(() => [
  ['gripMm', words.grip] as const,
  ['headWasherMm', words.headWasher] as const,
  ...(bolt.into === 'nut'
    ? [['nutWasherMm', words.nutWasher] as const, ['slidesAtMm', words.slidesAt] as const]
    : [['depthMm', words.depth] as const]),
])
</script>

<template>
  <section aria-labelledby="bolt-fields">
    <h2 id="bolt-fields">{{ words.bolt }}</h2>
    <div class="fields">
      <TextField :label="words.name" :value="bolt.name" required @change="bolts.change({ name: $event })" />
      <FigureField
        :label="words.size"
        unit="mm"
        of="bolts.sizeMm"
        :value="bolt.sizeMm"
        required
        @change="bolts.change({ sizeMm: $event })"
      />
      <FigureField
        :label="words.pitch"
        unit="mm"
        of="bolts.pitchMm"
        :value="bolt.pitchMm"
        @change="bolts.change({ pitchMm: $event })"
      />
      <ChoiceField
        :label="words.boltClass"
        :value="bolt.boltClass"
        :items="classes"
        @change="bolts.change({ boltClass: $event })"
      />
      <ChoiceField
        :label="words.thread"
        :value="bolt.thread"
        :items="threads"
        @change="bolts.change({ thread: $event })"
      />
      <ChoiceField
        :label="words.into"
        :value="bolt.into"
        :items="intos"
        @change="bolts.change({ into: $event })"
      />
      <FigureField
        v-for="[key, label] in LENGTHS"
        :key="key"
        :label="label"
        kind="length"
        :of="`bolts.${key}`"
        :value="bolt[key]"
        :required="key === 'gripMm'"
        @change="bolts.change({ [key]: $event })"
      />
      <ChoiceField
        v-if="plates.length > 0"
        :label="words.plate"
        :value="bolt.plate"
        :items="plates"
        :unsaid="words.noPlate"
        @change="bolts.change({ plate: $event })"
      />
    </div>
    <UCheckbox
      v-if="bolt.into === 'nut'"
      :label="words.fullThread"
      :model-value="bolt.isFullThread ?? false"
      @update:model-value="bolts.change({ isFullThread: $event === true ? true : undefined })"
    />
    <UCheckbox
      :label="words.isSlot"
      :model-value="bolt.slot !== undefined"
      @update:model-value="bolts.setSlot($event === true)"
    />
  </section>
  <section v-if="bolt.slot" aria-labelledby="slot-fields">
    <h2 id="slot-fields">{{ words.slot }}</h2>
    <div class="fields">
      <ChoiceField
        :label="words.lever"
        :value="bolt.slot.lever"
        :items="levers"
        :unsaid="words.byHand"
        @change="bolts.changeSlot({ lever: $event })"
      />
      <FigureField
        v-if="bolt.slot.lever === undefined"
        :label="words.travel"
        kind="length"
        of="bolts.slot.travelMm"
        :value="bolt.slot.travelMm"
        @change="bolts.changeSlot({ travelMm: $event })"
      />
      <FigureField
        :label="words.place"
        kind="length"
        of="bolts.slot.placeMm"
        :value="bolt.slot.placeMm"
        @change="bolts.changeSlot({ placeMm: $event })"
      />
      <FigureField
        :label="words.washerOuter"
        kind="length"
        of="bolts.slot.washerOuterMm"
        :value="bolt.slot.washerOuterMm"
        @change="bolts.changeSlot({ washerOuterMm: $event })"
      />
      <FigureField
        :label="words.faces"
        of="bolts.slot.faces"
        :value="bolt.slot.faces"
        required
        @change="bolts.changeSlot({ faces: $event })"
      />
      <FigureField
        :label="words.bolts"
        of="bolts.slot.bolts"
        :value="bolt.slot.bolts"
        required
        @change="bolts.changeSlot({ bolts: $event })"
      />
      <ChoiceField
        :label="words.state"
        :value="bolt.slot.state"
        :items="states"
        @change="bolts.changeSlot({ state: $event })"
      />
      <ChoiceField
        :label="words.chain"
        :value="bolt.slot.chain"
        :items="chains"
        :unsaid="words.noChain"
        @change="bolts.changeSlot({ chain: $event })"
      />
      <FigureField
        v-if="bolt.slot.chain === undefined"
        :label="words.load"
        unit="N"
        of="bolts.slot.loadN"
        :value="bolt.slot.loadN"
        @change="bolts.changeSlot({ loadN: $event })"
      />
    </div>
  </section>
</template>
