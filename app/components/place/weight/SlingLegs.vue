<script setup lang="ts">
import { fixed } from '~~/core/base/units/format'
import { texts } from '~/texts/en'
import { useFormat } from '~/composables/useFormat'
import { useWeight } from '~/stores/weight'

/** The unit on two legs: where the ring comes to stand, how it hangs, and what each leg carries. */
const weight = useWeight()
const { length, angle } = useFormat()
const words = texts.weight.legs
const FIGURES = [
  ['stationMm', words.station],
  ['heightMm', words.height],
  ['lengthMm', words.length],
] as const
const tilt = (deg: number) =>
  deg < 0 ? texts.weight.noseDown(angle(-deg, 1)) : texts.weight.tailDown(angle(deg, 1))
</script>

<template>
  <section :aria-label="words.title" class="legs">
    <h3>{{ words.title }}</h3>
    <div v-for="(leg, i) in words.names" :key="leg" class="leg">
      <FigureField
        v-for="[key, label] in FIGURES"
        :key="key"
        :label="`${leg}, ${label}`"
        kind="length"
        :least="key === 'lengthMm' ? 1 : undefined"
        :of="`weight.legs.${key}`"
        :value="weight.sheet.legs?.[i]?.[key]"
        @change="weight.leg(i, { [key]: $event })"
      />
    </div>
    <template v-if="weight.sheet.legs?.length">
      <ul v-if="!weight.legs.known" class="soft">
        <li v-for="one in weight.legs.missing" :key="one.what">{{ one.what }}</li>
      </ul>
      <template v-else>
        <SlingPicture v-if="weight.legsScene" :scene="weight.legsScene" />
        <p class="figure tilt" data-testid="legs-hang">
          {{ words.ring(length(weight.legs.value.ring.station), length(weight.legs.value.ring.height)) }}
          {{ tilt(weight.legs.value.hangDeg) }}
        </p>
        <ul>
          <li
            v-for="(pull, i) in weight.legs.value.tensionN"
            :key="i"
            :class="{ warn: pull <= 0 }"
            class="figure"
          >
            {{ words.names[i] }}: {{ pull > 0 ? words.pulls(fixed(pull / 1000, 2)) : words.slack }}
          </li>
        </ul>
      </template>
    </template>
  </section>
</template>

<style scoped>
.legs {
  display: grid;
  gap: 8px;
}
h3 {
  margin-top: 14px;
  font-weight: 500;
}
.leg {
  display: grid;
  grid-template-columns: 1fr 1fr 1fr;
  gap: 8px 12px;
  align-items: end;
}
.tilt {
  font-weight: 600;
}
.warn {
  color: var(--out);
}
@media (max-width: 720px) {
  .leg {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
