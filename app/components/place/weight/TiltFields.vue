<script setup lang="ts">
import { fixed } from '~~/core/base/units/format'
import { texts } from '~/texts/en'
import { useFormat } from '~/composables/useFormat'
import { useWeight } from '~/stores/weight'

/** Height of the centre of gravity by a second weighing with the rear raised. */
const weight = useWeight()
const { length, angle } = useFormat()
const words = texts.weight.tilt
const LENGTHS = ['raisedMm', 'radiusFrontMm', 'radiusRearMm'] as const
</script>

<template>
  <FoldedPart class="tilt" :title="words.title">
    <p class="caution"><VerdictMark verdict="tight" :size="14" silent /> {{ words.caution }}</p>
    <div class="fields">
      <FigureField
        :label="words.frontKgRaised"
        unit="kg"
        of="weight.tilt.frontKgRaised"
        :value="weight.sheet.tilt?.frontKgRaised"
        @change="weight.tilting({ frontKgRaised: $event })"
      />
      <FigureField
        v-for="key in LENGTHS"
        :key="key"
        :label="words[key]"
        kind="length"
        :least="1"
        :of="`weight.tilt.${key}`"
        :value="weight.sheet.tilt?.[key]"
        @change="weight.tilting({ [key]: $event })"
      />
    </div>
    <template v-if="weight.sheet.tilt">
      <ul v-if="!weight.tilted.known" class="soft">
        <li v-for="one in weight.tilted.missing" :key="one.what">{{ one.what }}</li>
      </ul>
      <template v-else>
        <p class="figure found" data-testid="tilted">
          {{ words.found(length(weight.tilted.value.heightMm), angle(weight.tilted.value.angleDeg, 1)) }}
        </p>
        <p class="soft">{{ words.error(fixed(Math.abs(weight.tilted.value.errorMmPerKg), 1)) }}</p>
        <UButton
          v-if="weight.tilted.value.overDatumMm !== null"
          size="sm"
          variant="outline"
          icon="i-lucide-check"
          @click="weight.change({ cgHeightMm: weight.tilted.value.overDatumMm })"
          >{{ words.take(length(weight.tilted.value.overDatumMm)) }}</UButton
        >
        <p v-else class="soft">{{ words.noGround }}</p>
      </template>
    </template>
  </FoldedPart>
</template>

<style scoped>
.tilt {
  margin-top: 12px;
}
.caution {
  display: grid;
  grid-template-columns: 16px 1fr;
  gap: 6px;
  margin: 6px 0;
  color: var(--soft);
  line-height: 1.4;
}
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 14px;
  align-items: end;
  margin-bottom: 8px;
}
.found {
  font-weight: 600;
}
</style>
