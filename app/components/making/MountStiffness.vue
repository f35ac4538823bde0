<script setup lang="ts">
import type { ElasticMountEntry } from '~~/core/file/kinds/mountKinds'
import { fromPush, fromRubber, type ToldStiffness } from '~~/core/making/mounts/toldStiffness'
import { toldText } from '~~/core/show/text/mountText'
import { mounts as words } from '~/texts/making'
import { useMounts } from '~/stores/mounts'

/** How stiff a mount is by the sizes of its rubber or by a push at it; how far its hole was off. */
const { mount } = defineProps<{ mount: ElasticMountEntry }>()
const mounts = useMounts()
const RUBBER = {
  bush: ['shoreA', 'outerMm', 'innerMm', 'longMm'],
  pad: ['shoreA', 'longMm', 'wideMm', 'highMm'],
  stop: [],
  ways: [],
} as const
const MISFITS = ['forwardMm', 'leftMm', 'upMm'] as const
const rubber = computed(() => fromRubber(mount))
const push = computed(() => fromPush(mount))
const told = computed(() => (rubber.value.known ? rubber.value.value : []))
const textOf = (one: ToldStiffness) => toldText(one, words.figures[one.figure])
const take = (all: readonly ToldStiffness[]) =>
  mounts.change(mount.id, Object.fromEntries(all.map(({ figure, perMm }) => [figure, Math.round(perMm)])))
</script>

<template>
  <div class="whole">
    <FoldedPart
      v-if="RUBBER[mount.kind].length > 0"
      :title="words.rubber"
      :is-open="mount.rubber !== undefined"
    >
      <div class="fields">
        <FigureField
          v-for="key in RUBBER[mount.kind]"
          :key="key"
          :label="words.rubbers[key]"
          :kind="key === 'shoreA' ? undefined : 'length'"
          :of="`mounts.rubber.${key}`"
          :value="mount.rubber?.[key]"
          @change="mounts.changePart(mount.id, 'rubber', { [key]: $event })"
        />
      </div>
      <template v-if="told.length > 0">
        <p v-for="one in told" :key="one.figure" class="figure" data-testid="rubber-told">
          {{ textOf(one) }}
        </p>
        <p class="soft">{{ words.running }}</p>
        <UButton variant="outline" size="sm" @click="take(told)">{{ words.takeStiff }}</UButton>
      </template>
    </FoldedPart>
    <FoldedPart :title="words.pushed" :is-open="mount.push !== undefined">
      <div class="fields">
        <FigureField
          :label="words.push.loadN"
          unit="N"
          of="mounts.push.loadN"
          :value="mount.push?.loadN"
          @change="mounts.changePart(mount.id, 'push', { loadN: $event })"
        />
        <FigureField
          :label="words.push.moveMm"
          kind="length"
          of="mounts.push.moveMm"
          :value="mount.push?.moveMm"
          @change="mounts.changePart(mount.id, 'push', { moveMm: $event })"
        />
      </div>
      <template v-if="push.known">
        <p class="figure">{{ textOf(push.value) }}</p>
        <UButton variant="outline" size="sm" @click="take([push.value])">{{ words.takeStiff }}</UButton>
      </template>
    </FoldedPart>
    <FoldedPart :title="words.misfit" :is-open="mount.misfit !== undefined">
      <div class="fields">
        <FigureField
          v-for="key in MISFITS"
          :key="key"
          :label="words.misfits[key]"
          kind="length"
          :of="`mounts.misfit.${key}`"
          :value="mount.misfit?.[key]"
          @change="mounts.changePart(mount.id, 'misfit', { [key]: $event })"
        />
      </div>
    </FoldedPart>
  </div>
</template>

<style scoped>
.whole {
  grid-column: 1 / -1;
}
</style>
