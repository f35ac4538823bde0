<script setup lang="ts">
import type { Lever, LeverKind } from '~~/core/file/build/lever'
import { texts } from '~/texts/en'
import { useLevers } from '~/stores/levers'
import { useWorkbench } from '~/stores/workbench'

/** Which sizes or places of a thing are free, each moved right here; cures may then be made of them. */
const { kinds, own, release } = defineProps<{
  kinds: readonly LeverKind[]
  /** Those that are free. */
  own: readonly Lever[]
  /** What a move is called when it is undone. */
  release: string
}>()
const emit = defineEmits<{ free: [kind: LeverKind, isFree: boolean] }>()
const levers = useLevers()
const workbench = useWorkbench()
const marked = ref('')
</script>

<template>
  <UCheckbox
    v-for="kind in kinds"
    :key="kind"
    :label="texts.bay.body.kinds[kind]"
    :model-value="own.some((lever) => lever.kind === kind)"
    @update:model-value="emit('free', kind, $event === true)"
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
      @release="levers.release(release)"
      @mark="marked = lever.id"
      @lock="levers.lock(lever.id)"
    />
  </template>
</template>
