<script setup lang="ts">
import { texts } from '~/texts/en'
import { useCures } from '~/stores/cures'

const cures = useCures()
</script>

<template>
  <span v-if="cures.isSearching" class="searching" role="status">
    {{ texts.line.searching }}
    <UButton size="xs" variant="outline" color="neutral" @click="cures.stop()">{{
      texts.line.stopSearch
    }}</UButton>
  </span>
  <span v-else-if="cures.offered.length > 0" class="cures">
    <button
      v-for="(offer, index) in cures.offered.slice(0, 3)"
      :key="offer.instruction"
      type="button"
      class="cure"
      :title="offer.remark"
      @click="cures.apply(offer)"
    >
      {{ offer.instruction }} <kbd>{{ index + 1 }}</kbd>
    </button>
  </span>
  <span
    v-else-if="cures.refused.length > 0"
    class="none"
    :title="cures.refused.map((one) => one.remark).join(' ')"
  >
    {{ texts.line.noCure }} {{ cures.refused[0]?.remark }}
  </span>
</template>

<style scoped>
.cures {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
}
.cure {
  min-height: 34px;
  padding: 3px 10px;
  border: 1.5px solid var(--accent);
  border-radius: 4px;
  background: var(--card);
  color: var(--accent);
  font-family: var(--font-figure);
  font-weight: 600;
  line-height: 1.15;
  text-align: left;
  cursor: pointer;
}
.cure:hover {
  background: var(--wash);
}
kbd {
  margin-left: 4px;
  padding: 0 6px;
  border-radius: 3px;
  background: var(--wash);
  font: inherit;
  font-size: 0.8125rem;
}
.searching,
.none {
  display: inline-flex;
  align-items: center;
  gap: 8px;
  color: var(--soft);
  font-size: 0.9375rem;
}
@media (max-width: 860px) {
  .cure {
    min-height: 48px;
  }
  kbd {
    display: none;
  }
}
</style>
