<script setup lang="ts">
import { texts } from '~/texts/en'
import { useCures } from '~/stores/cures'

const cures = useCures()
</script>

<template>
  <span v-if="cures.isSearching" class="searching" role="status">
    {{ texts.line.searching(cures.looked) }}
    <UButton size="xs" variant="outline" color="neutral" @click="cures.stop()">{{
      texts.line.stopSearch
    }}</UButton>
  </span>
  <span v-else-if="cures.failure" class="none" role="status">{{
    texts.line.searchFailed(cures.failure)
  }}</span>
  <span v-else-if="cures.offered.length > 0" class="cures">
    <button
      v-for="(offer, index) in cures.offered.slice(0, 3)"
      :key="offer.instruction"
      type="button"
      class="cure"
      :title="`${offer.instruction}. ${offer.remark}`"
      @click="cures.apply(offer)"
    >
      <span class="what">{{ offer.brief }}</span>
      <small v-if="offer.likely" class="likely">{{ offer.likely }}</small> <kbd>{{ index + 1 }}</kbd>
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
  gap: 8px;
  min-width: 0;
}
.what {
  overflow: hidden;
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
}
.cure:focus-visible .what,
.cure:hover .what {
  -webkit-line-clamp: none;
}
.cure:focus-visible,
.cure:hover {
  z-index: 6;
  align-self: start;
}
.likely {
  flex: none;
  color: var(--soft);
  font-weight: 500;
}
.cure {
  display: flex;
  align-items: center;
  gap: 6px;
  min-width: 0;
  min-height: 36px;
  padding: 1px 10px;
  border: 1.5px solid var(--accent);
  border-radius: 4px;
  background: var(--card);
  color: var(--accent);
  font-family: var(--font-figure);
  font-weight: 600;
  font-size: 0.9375rem;
  line-height: 1.1;
  text-align: left;
  cursor: pointer;
}
.cure:hover {
  background: var(--wash);
}
kbd {
  flex: none;
  padding: 0 6px;
  border-radius: 3px;
  background: var(--wash);
  font: inherit;
  font-size: 0.8125rem;
}
.none {
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  overflow: hidden;
  line-height: 1.2;
}
.searching {
  display: inline-flex;
  align-items: center;
  gap: 8px;
  font-size: 0.9375rem;
}
.searching,
.none {
  color: var(--soft);
  font-size: 0.9375rem;
}
@media (max-width: 860px) {
  .cure {
    min-height: 48px;
    align-items: center;
  }
  .cures {
    flex: 1;
  }
  .cure {
    flex: 1;
    padding: 2px 8px;
    font-size: 0.9375rem;
  }
  .likely {
    font-size: 0.8125rem;
  }
  kbd {
    display: none;
  }
}
</style>
