<script setup lang="ts">
import type { WayInPlan } from '~~/core/file/parts/wayInPlan'
import { texts } from '~/texts/en'
import { useWayIn } from '~/stores/wayIn'

/** What is in the way, how the vehicle is lifted, and where the unit hangs first. */
const { plan } = defineProps<{ plan: WayInPlan }>()
const wayIn = useWayIn()
const words = texts.wayIn
const lifts = [
  { value: 'rear', label: words.rear },
  { value: 'whole', label: words.whole },
]
const units = [
  { value: 'one', label: words.asOne },
  { value: 'gearbox', label: words.gearboxAlone },
]
const draw = (changed: Partial<NonNullable<WayInPlan['alone']>>) => {
  if (plan.alone) wayIn.change({ alone: { ...plan.alone, ...changed } })
}
const start = (changed: Partial<WayInPlan['start']>) => wayIn.change({ start: { ...plan.start, ...changed } })
</script>

<template>
  <div class="plan">
    <ChoiceField
      :label="words.what"
      :value="plan.alone ? 'gearbox' : 'one'"
      :items="units"
      @change="wayIn.setAlone($event === 'gearbox')"
    />
    <template v-if="plan.alone">
      <p class="soft hint">{{ words.face }}</p>
      <div class="pair">
        <FigureField
          :label="words.draw"
          kind="length"
          required
          of="wayIn.alone.drawMm"
          :value="plan.alone.drawMm"
          @change="draw({ drawMm: $event ?? 0 })"
        />
        <FigureField
          :label="words.drawFall"
          unit="°"
          required
          of="wayIn.alone.fallDeg"
          :value="plan.alone.fallDeg"
          @change="draw({ fallDeg: $event ?? 0 })"
        />
      </div>
    </template>
    <fieldset>
      <legend>{{ words.inWay }}</legend>
      <p class="soft hint">{{ words.inWayHint }}</p>
      <UCheckbox
        v-for="part in wayIn.parts"
        :key="part.key"
        :model-value="!plan.off.includes(part.key)"
        :label="part.name"
        :description="part.goesAlong ? words.goesAlong : undefined"
        @update:model-value="wayIn.setOff(part.key, $event !== true)"
      />
    </fieldset>
    <ChoiceField
      :label="words.lifted"
      :value="plan.lifted"
      :items="lifts"
      @change="wayIn.change({ lifted: $event })"
    />
    <div class="pair">
      <template v-if="plan.lifted === 'rear'">
        <FigureField
          :label="words.frontContact"
          kind="length"
          of="wayIn.frontContactMm"
          :value="plan.frontContactMm"
          @change="wayIn.change({ frontContactMm: $event })"
        />
        <FigureField
          :label="words.wheelbase"
          kind="length"
          :least="1"
          of="wayIn.wheelbaseMm"
          :value="plan.wheelbaseMm"
          @change="wayIn.change({ wheelbaseMm: $event })"
        />
      </template>
      <FigureField
        :label="words.liftLeast"
        kind="length"
        required
        :most="plan.liftMm[1]"
        of="wayIn.liftMm"
        :value="plan.liftMm[0]"
        @change="wayIn.change({ liftMm: [$event ?? 0, plan.liftMm[1]] })"
      />
      <FigureField
        :label="words.liftMost"
        kind="length"
        required
        :least="plan.liftMm[0]"
        of="wayIn.liftMm"
        :value="plan.liftMm[1]"
        @change="wayIn.change({ liftMm: [plan.liftMm[0], $event ?? 0] })"
      />
      <FigureField
        :label="words.keep"
        kind="length"
        required
        of="wayIn.keepMm"
        :value="plan.keepMm"
        @change="wayIn.change({ keepMm: $event ?? 0 })"
      />
      <FigureField
        :label="words.hangsForward"
        kind="length"
        required
        of="wayIn.start.forwardMm"
        :value="plan.start.forwardMm"
        @change="start({ forwardMm: $event ?? 0 })"
      />
      <FigureField
        :label="words.hangsUp"
        kind="length"
        required
        of="wayIn.start.upMm"
        :value="plan.start.upMm"
        @change="start({ upMm: $event ?? 0 })"
      />
      <FigureField
        :label="words.hangsTilt"
        unit="°"
        required
        of="wayIn.start.tailDownDeg"
        :value="plan.start.tailDownDeg"
        @change="start({ tailDownDeg: $event ?? 0 })"
      />
      <FigureField
        :label="words.tiltLeast"
        unit="°"
        required
        :most="plan.tiltDeg[1]"
        of="wayIn.tiltDeg"
        :value="plan.tiltDeg[0]"
        @change="wayIn.change({ tiltDeg: [$event ?? 0, plan.tiltDeg[1]] })"
      />
      <FigureField
        :label="words.tiltMost"
        unit="°"
        required
        :least="plan.tiltDeg[0]"
        of="wayIn.tiltDeg"
        :value="plan.tiltDeg[1]"
        @change="wayIn.change({ tiltDeg: [plan.tiltDeg[0], $event ?? 0] })"
      />
    </div>
    <p class="soft hint">{{ words.tiltHint }}</p>
  </div>
</template>

<style scoped>
.plan {
  display: grid;
  gap: 12px;
}
fieldset {
  display: grid;
  gap: 6px;
}
legend {
  font-weight: 600;
}
.hint {
  font-size: 0.9rem;
  line-height: 1.35;
}
.pair {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 12px;
  align-items: end;
}
</style>
