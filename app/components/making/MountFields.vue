<script setup lang="ts">
import {
  BOLT_WAYS,
  MOUNT_FIGURES,
  MOUNT_KINDS,
  STOP_WAYS,
  type ElasticMountEntry,
} from '~~/core/file/kinds/mountKinds'
import { mounts as words } from '~/texts/making'
import { useMounts } from '~/stores/mounts'

/** One mount: what it is, and how stiff. */
const { mount } = defineProps<{ mount: ElasticMountEntry }>()
const mounts = useMounts()
const kinds = MOUNT_KINDS.map((value) => ({ value, label: words.kinds[value] }))
const ways = STOP_WAYS.map((value) => ({ value, label: words.stopWays[value] }))
const bolts = BOLT_WAYS.map((value) => ({ value, label: words.bolts[value] }))
</script>

<template>
  <fieldset class="mount">
    <legend>{{ mount.name }}</legend>
    <TextField
      :label="words.name"
      :value="mount.name"
      required
      @change="mounts.change(mount.id, { name: $event })"
    />
    <ChoiceField
      :label="words.kind"
      :value="mount.kind"
      :items="kinds"
      @change="mounts.turnInto(mount.id, $event)"
    />
    <ChoiceField
      v-if="mount.kind === 'bush'"
      :label="words.bolt"
      :value="mount.bolt ?? 'along'"
      :items="bolts"
      @change="mounts.change(mount.id, { bolt: $event })"
    />
    <ChoiceField
      v-if="mount.kind === 'stop'"
      :label="words.way"
      :value="mount.way ?? 'up'"
      :items="ways"
      @change="mounts.change(mount.id, { way: $event })"
    />
    <FigureField
      v-if="mount.kind === 'stop'"
      :label="words.gapToStop"
      kind="length"
      of="mounts.gapMm"
      :value="mount.gapMm"
      @change="mounts.change(mount.id, { gapMm: $event })"
    />
    <FigureField
      v-if="mount.kind === 'bush' || mount.kind === 'pad'"
      :label="words.lean"
      unit="°"
      of="mounts.leanDeg"
      :value="mount.leanDeg"
      @change="mounts.change(mount.id, { leanDeg: $event })"
    />
    <FigureField
      v-for="key in MOUNT_FIGURES[mount.kind]"
      :key="key"
      :label="words.figures[key]"
      unit="N/mm"
      :of="`mounts.${key}`"
      :value="mount[key]"
      @change="mounts.change(mount.id, { [key]: $event })"
    />
    <MountStiffness :mount="mount" />
    <MountPlace :mount="mount" />
    <UCheckbox
      :label="words.isTail"
      :model-value="mount.isTail ?? false"
      @update:model-value="mounts.change(mount.id, { isTail: $event === true ? true : undefined })"
    />
    <RemoveButton :label="words.remove(mount.name)" @click="mounts.remove(mount.id)" />
  </fieldset>
</template>

<style scoped>
.mount {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 6px 10px;
  align-items: end;
  padding: 6px 0 12px;
  border-bottom: 1px solid var(--hair);
}
legend {
  font-weight: 600;
}
</style>
