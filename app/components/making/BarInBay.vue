<script setup lang="ts">
import { barInBay as words } from '~/texts/barInBay'
import { useBarInBay } from '~/stores/barInBay'

/** Whether the bar stands among the parts of the bay, and as it hangs now. */
const bar = useBarInBay()
</script>

<template>
  <section v-if="bar.state" class="bar" data-testid="bar-in-bay">
    <p :class="{ old: bar.state === 'old' }">
      <VerdictMark
        v-if="bar.state !== 'absent'"
        :verdict="bar.state === 'old' ? 'tight' : 'holds'"
        :size="14"
      />
      {{ words[bar.state] }}
    </p>
    <UButton v-if="bar.state !== 'there'" variant="outline" icon="i-lucide-plus" @click="bar.put()">{{
      bar.state === 'old' ? words.renew : words.put
    }}</UButton>
    <p v-if="bar.stays" class="soft">{{ words.stays(bar.stays) }}</p>
    <template v-else-if="bar.there">
      <p v-if="bar.gaps.length" class="soft">{{ words.goes(bar.gaps) }}</p>
      <RemoveButton is-worded :label="words.takeOut" @click="bar.takeOut()" />
    </template>
  </section>
</template>

<style scoped>
.bar {
  display: grid;
  gap: 8px;
  justify-items: start;
}
.old {
  font-weight: 600;
}
</style>
