<script setup lang="ts">
import type { NamedPoint } from '~~/core/file/parts/named'
import { texts } from '~/texts/en'
import { useDatum, type Triple, type Ways } from '~/stores/datum'
import { useReadings } from '~/stores/readings'
import { useSetups } from '~/stores/setups'
import { useWorkbench } from '~/stores/workbench'

/** A datum point: its place on the chassis, and where this setup's own line and level found it. */
const { point } = defineProps<{ point: NamedPoint }>()
const workbench = useWorkbench()
const readings = useReadings()
const setups = useSetups()
const datum = useDatum()
const words = texts.measuring.datum
const unit = computed(() => workbench.build?.units.length ?? 'mm')
const given = computed(() => datum.given(point.id))
const shot = computed(() => datum.shot(point.id))
const giveChassis = (values: Triple, ways: Ways) => datum.giveChassis(point, values, ways)
const shoot = (values: Triple, ways: Ways) => datum.shoot(point, values, ways)
</script>

<template>
  <article class="datum" :data-field="`datum/${point.id}`" :aria-label="point.name">
    <header>
      <p class="figure">{{ point.name }}</p>
      <RemoveButton
        v-if="point.datum"
        :label="`${words.remove}: ${point.name}`"
        @click="setups.removeDatum(point.id)"
      />
    </header>
    <template v-if="point.datum">
      <p class="soft">{{ words.onChassis }}</p>
      <TripleEntry
        :name="`${point.name}, ${words.onChassis}`"
        :labels="[words.station, words.offset, words.height]"
        :unit="given?.unit ?? unit"
        :kept="given?.values ?? null"
        :kept-ways="given?.ways ?? null"
        @keep="giveChassis"
      />
    </template>
    <p class="soft">{{ words.inSetup(readings.setup?.name ?? '') }}</p>
    <TripleEntry
      :name="`${point.name}, ${words.inSetup(readings.setup?.name ?? '')}`"
      :labels="[words.along, words.across, words.up]"
      :unit="shot?.unit ?? unit"
      :kept="shot?.values ?? null"
      :kept-ways="shot?.ways ?? null"
      @keep="shoot"
    />
  </article>
</template>

<style scoped>
.datum {
  display: grid;
  gap: 6px;
  padding: 12px 14px;
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
}
header {
  display: flex;
  justify-content: space-between;
  align-items: center;
}
</style>
