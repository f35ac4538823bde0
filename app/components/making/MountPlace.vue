<script setup lang="ts">
import { LEVER_KINDS, leverFacts } from '~~/core/file/build/lever'
import type { ElasticMountEntry } from '~~/core/file/kinds/mountKinds'
import { mounts as words } from '~/texts/making'
import { texts } from '~/texts/en'
import { useLevers } from '~/stores/levers'
import { useMounts } from '~/stores/mounts'
import { useWorkbench } from '~/stores/workbench'

/** Where a mount may stand instead: a lever for each way that is free, moved right here. */
const { mount } = defineProps<{ mount: ElasticMountEntry }>()
const mounts = useMounts()
const levers = useLevers()
const workbench = useWorkbench()
const WAYS = LEVER_KINDS.filter((kind) => leverFacts(kind).names === 'mount')
const own = computed(() => mounts.leversOf(mount.id))
const marked = ref('')
</script>

<template>
  <FoldedPart :title="words.place.title" :is-open="own.length > 0" class="place">
    <p class="soft">{{ words.place.lead }}</p>
    <UCheckbox
      v-for="kind in WAYS"
      :key="kind"
      :label="texts.bay.body.kinds[kind]"
      :model-value="own.some((lever) => lever.kind === kind)"
      @update:model-value="mounts.free(mount.id, kind, $event === true)"
    />
    <template v-if="workbench.build">
      <LeverCard
        v-for="lever in own"
        :key="lever.id"
        :build="workbench.build"
        :lever="lever"
        :amount="levers.settings[lever.id] ?? 0"
        :marked="marked === lever.id"
        @hold="levers.hold(lever.id, $event)"
        @release="levers.release(words.place.release)"
        @mark="marked = lever.id"
        @lock="levers.lock(lever.id)"
      />
    </template>
  </FoldedPart>
</template>

<style scoped>
.place {
  grid-column: 1 / -1;
}
</style>
