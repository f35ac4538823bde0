<script setup lang="ts">
import type { CopedTube } from '~~/core/file/kinds/copedTubeKinds'
import { useFormat } from '~/composables/useFormat'
import { tubes as words } from '~/texts/tubes'
import { useCopedTubes } from '~/stores/copedTubes'
import { useWorkbench } from '~/stores/workbench'

/** Sizes of a tube, what each end lies on, and what it was made for. */
const { tube } = defineProps<{ tube: CopedTube }>()
const tubes = useCopedTubes()
const workbench = useWorkbench()
const { length, angle } = useFormat()
const nameOf = (id: string) => workbench.build?.points.find((point) => point.id === id)?.name ?? id
const position = computed(
  () => workbench.build?.positions.find(({ id }) => id === tube.made?.position)?.name ?? '?',
)
const SIZES = [
  ['outerMm', words.outer],
  ['wallMm', words.wall],
  ['spareMm', words.spare],
] as const
const otherwise = computed(() => {
  const { longerMm = 0, turnedDeg = 0 } = tubes.change ?? {}
  const by = length(Math.abs(longerMm))
  return words.stale(longerMm > 0 ? words.longer(by) : words.shorter(by), angle(turnedDeg, 2))
})
</script>

<template>
  <section aria-labelledby="tube-sizes">
    <h2 id="tube-sizes">{{ words.sizes }}</h2>
    <div class="fields">
      <TextField
        :label="words.name"
        :value="tube.name"
        required
        @change="tubes.changeTube({ name: $event })"
      />
      <FigureField
        v-for="[key, label] in SIZES"
        :key="key"
        :label="label"
        kind="length"
        :of="`copedTubes.${key}`"
        :value="tube[key]"
        required
        @change="tubes.changeTube({ [key]: $event })"
      />
      <FigureField
        :label="words.paper"
        :help="words.paperHelp"
        kind="length"
        of="copedTubes.paperMm"
        :value="tube.paperMm"
        @change="tubes.changeTube({ paperMm: $event })"
      />
    </div>
    <HowFar :part="tube" @change="tubes.changeTube" />
    <fieldset v-for="(end, k) in tube.ends" :key="k" class="end">
      <legend>{{ words.end(words.ends[k] ?? '') }}</legend>
      <UCheckbox
        :label="words.isCoped"
        :model-value="end.main !== undefined"
        @update:model-value="tubes.cope(k, $event === true)"
      />
      <template v-if="end.main">
        <p class="soft">{{ words.axis(nameOf(end.point), nameOf(end.main.a), nameOf(end.main.b)) }}</p>
        <FigureField
          :label="words.mainOuter"
          kind="length"
          of="copedTubes.ends.main.outerMm"
          :value="end.main.outerMm"
          required
          @change="tubes.changeMain(k, $event ?? NaN)"
        />
      </template>
      <p v-else class="soft">{{ words.square(nameOf(end.point)) }}</p>
    </fieldset>
    <div class="made-for">
      <template v-if="tube.made">
        <p>{{ words.taken(tube.made.at, position) }}</p>
        <p v-if="tubes.change" data-testid="tube-stale">
          <VerdictMark :verdict="tubes.change.isStale ? 'tight' : 'holds'" :size="14" />
          {{ tubes.change.isStale ? otherwise : words.fresh }}
        </p>
      </template>
      <UButton variant="outline" icon="i-lucide-check" @click="tubes.takeAsMade()">{{
        tube.made ? words.takeAgain : words.take
      }}</UButton>
      <p class="caution">{{ words.caution }}</p>
    </div>
  </section>
</template>

<style scoped>
.end {
  display: grid;
  gap: 6px;
  padding: 8px 0;
  border-bottom: 1px solid var(--hair);
}
legend {
  font-weight: 600;
}
.made-for {
  display: grid;
  gap: 8px;
  justify-items: start;
  margin-top: 10px;
}
</style>
