<script setup lang="ts">
import { fixed } from '~~/core/base/units/format'
import type { MemberWay } from '~~/core/file/kinds/memberKinds'
import { stripK } from '~~/core/making/crossmembers/memberWay'
import { making as words } from '~/texts/making'
import { useMaking } from '~/stores/making'

/** A strip that was bent once, and the K that it tells. */
const { way } = defineProps<{ way: MemberWay }>()
const making = useMaking()
const LENGTHS = ['blankMm', 'firstMm', 'secondMm'] as const
const told = computed(() => stripK(way))
const k = computed(() => (told.value.known ? fixed(told.value.value.kFactor, 3) : ''))
</script>

<template>
  <FoldedPart :title="words.strip" :is-open="way.strip !== undefined">
    <div class="fields">
      <FigureField
        v-for="key in LENGTHS"
        :key="key"
        :label="words.strips[key]"
        kind="length"
        :of="`crossmembers.ways.strip.${key}`"
        :value="way.strip?.[key]"
        @change="making.changeStrip(way.id, { [key]: $event })"
      />
      <FigureField
        :label="words.stripAngle"
        unit="°"
        of="crossmembers.ways.strip.angleDeg"
        :value="way.strip?.angleDeg"
        @change="making.changeStrip(way.id, { angleDeg: $event })"
      />
    </div>
    <p v-if="!told.known && way.strip" class="soft">
      {{ words.waits }} {{ told.missing.map(({ what }) => what).join('; ') }}
    </p>
    <template v-if="told.known">
      <p class="figure" data-testid="strip-k">{{ words.stripK(k) }}</p>
      <p v-if="!told.value.isPlausible" class="odd">{{ words.stripOdd }}</p>
      <UButton v-else variant="outline" size="sm" @click="making.changeWay(way.id, { kFactor: Number(k) })">{{
        words.takeK(k)
      }}</UButton>
    </template>
  </FoldedPart>
</template>

<style scoped>
.odd {
  color: var(--out);
}
</style>
