<script setup lang="ts">
import { LEVER_KINDS, leverFacts } from '~~/core/file/build/lever'
import type { ElasticMountEntry } from '~~/core/file/kinds/mountKinds'
import { mounts as words } from '~/texts/making'
import { useMounts } from '~/stores/mounts'

/** Where a mount may stand instead: a lever for each way that is free, moved right here. */
const { mount } = defineProps<{ mount: ElasticMountEntry }>()
const mounts = useMounts()
const WAYS = LEVER_KINDS.filter((kind) => leverFacts(kind).names === 'mount')
const own = computed(() => mounts.leversOf(mount.id))
</script>

<template>
  <FoldedPart :title="words.place.title" :is-open="own.length > 0" class="place">
    <p class="soft">{{ words.place.lead }}</p>
    <FreedLevers
      :kinds="WAYS"
      :own="own"
      :release="words.place.release"
      @free="(kind, isFree) => mounts.free(mount.id, kind, isFree)"
    />
  </FoldedPart>
</template>

<style scoped>
.place {
  grid-column: 1 / -1;
}
</style>
