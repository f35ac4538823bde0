<script setup lang="ts">
import { useFormat } from '~/composables/useFormat'
import { texts } from '~/texts/en'
import { useBay } from '~/stores/bay'

/** What the engine takes from its gaps while it rocks on its mounts. */
const bay = useBay()
const { length } = useFormat()
const words = texts.place.rock
/** Gaps shown: those that are nearest to touching. */
const MOST = 6
</script>

<template>
  <section v-if="bay.powertrain" class="rock" :aria-label="words.title">
    <h3>{{ words.title }}</h3>
    <div class="field">
      <FigureField
        :label="words.either"
        :help="words.hint"
        unit="°"
        of="bodies.powertrain.rockDeg"
        :value="bay.powertrain.rockDeg"
        @change="bay.changeBody(bay.powertrain.id, { rockDeg: $event })"
      />
    </div>
    <template v-if="bay.rocked">
      <p v-if="!bay.rocked.known" class="soft">
        {{ words.cannot(bay.rocked.missing.map(({ what }) => what).join(', ')) }}
      </p>
      <ul v-else data-testid="rocked">
        <li v-for="one in bay.rocked.value.slice(0, MOST)" :key="one.gap" :data-gap="one.gap">
          <VerdictMark v-if="one.leastMm <= 0" verdict="out" :size="13" silent />
          <span v-else />
          <span>{{ one.name }}</span>
          <span class="figure">{{ length(one.gapMm) }}</span>
          <span class="figure least">{{
            one.leastMm > 0 ? words.down(length(one.leastMm)) : words.touches(length(-one.leastMm))
          }}</span>
        </li>
      </ul>
    </template>
  </section>
</template>

<style scoped>
.rock {
  margin-top: 14px;
  padding-top: 10px;
  border-top: 1px solid var(--hair);
}
h3 {
  font-weight: 600;
}
.field {
  max-width: 320px;
  margin: 6px 0;
}
ul {
  max-width: 560px;
}
li {
  display: grid;
  grid-template-columns: 16px minmax(0, 1fr) auto minmax(112px, auto);
  gap: 8px;
  align-items: baseline;
  min-height: 28px;
}
li .figure {
  white-space: nowrap;
}
.least {
  font-weight: 600;
}
</style>
