<script setup lang="ts">
import { inBay as words } from '~/texts/inBay'
import type { useBarInBay } from '~/stores/inBay'

/** Whether a made part stands among the parts of the bay, and as it is now. */
const { part } = defineProps<{
  part: Pick<ReturnType<typeof useBarInBay>, 'state' | 'stays' | 'gaps' | 'there' | 'put' | 'takeOut'>
}>()
</script>

<template>
  <section v-if="part.state" class="part" data-testid="part-in-bay">
    <p :class="{ old: part.state === 'old' }">
      <VerdictMark
        v-if="part.state !== 'absent'"
        :verdict="part.state === 'old' ? 'tight' : 'holds'"
        :size="14"
      />
      {{ words[part.state] }}
    </p>
    <UButton v-if="part.state !== 'there'" variant="outline" icon="i-lucide-plus" @click="part.put()">{{
      part.state === 'old' ? words.renew : words.put
    }}</UButton>
    <p v-if="part.stays" class="soft">{{ words.stays(part.stays) }}</p>
    <template v-else-if="part.there">
      <p v-if="part.gaps.length" class="soft">{{ words.goes(part.gaps) }}</p>
      <RemoveButton is-worded :label="words.takeOut" @click="part.takeOut()" />
    </template>
  </section>
</template>

<style scoped>
.part {
  display: grid;
  gap: 8px;
  justify-items: start;
}
.old {
  font-weight: 600;
}
</style>
