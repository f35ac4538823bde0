<script setup lang="ts">
import type { ArmWay } from '~~/core/file/parts/armWays'
import type { Cable } from '~~/core/file/parts/cable'
import { cables as words } from '~/texts/cables'
import { useCables } from '~/stores/cables'
import { useWorkbench } from '~/stores/workbench'

/** A cable as it is bought and laid, and both of its ends. */
const { cable } = defineProps<{ cable: Cable }>()
const cables = useCables()
const workbench = useWorkbench()
const HELP: Readonly<Record<string, string>> = { rockMm: words.rockHelp, leastRadiusMm: words.leastHelp }
const ways = (Object.keys(words.ways) as ArmWay[]).map((value) => ({ value, label: words.ways[value] }))
const axes = computed(() => (workbench.build?.axes ?? []).map(({ id, name }) => ({ value: id, label: name })))
const nameOf = (id: string) => workbench.build?.points.find((point) => point.id === id)?.name ?? id
</script>

<template>
  <section aria-labelledby="cable-sizes">
    <h2 id="cable-sizes">{{ words.sizes }}</h2>
    <div class="fields">
      <TextField :label="words.name" :value="cable.name" required @change="cables.change({ name: $event })" />
      <FigureField
        v-for="[key, label] in words.figures"
        :key="key"
        :label="label"
        :help="HELP[key] ?? ''"
        kind="length"
        :of="`cables.${key}`"
        :value="cable[key]"
        :required="key === 'radiusMm'"
        @change="cables.change({ [key]: $event })"
      />
      <FigureField
        :label="words.friction"
        :help="words.frictionHelp"
        of="cables.friction"
        :value="cable.friction"
        @change="cables.change({ friction: $event })"
      />
    </div>
    <TextField
      :label="words.goBack"
      :value="cable.note"
      :most="2000"
      @change="cables.change({ note: $event === '' ? undefined : $event })"
    />
    <fieldset v-for="end in ['from', 'to'] as const" :key="end" class="end">
      <legend>{{ words.ends[end] }}</legend>
      <p class="soft">{{ nameOf(cable[end].point) }}</p>
      <div class="fields">
        <ChoiceField
          :label="words.leaves"
          :value="cable[end].leaves"
          :items="ways"
          :unsaid="words.leavesFreely"
          @change="cables.changeEnd(end, { leaves: $event })"
        />
        <template v-if="cable[end].leaves">
          <FigureField
            :label="words.straight"
            kind="length"
            of="cables.from.straightMm"
            :value="cable[end].straightMm"
            required
            @change="cables.changeEnd(end, { straightMm: $event })"
          />
          <ChoiceField
            v-if="axes.length > 0"
            :label="words.along"
            :value="cable[end].axis"
            :items="axes"
            :unsaid="words.noAxis"
            @change="cables.changeEnd(end, { axis: $event })"
          />
        </template>
      </div>
    </fieldset>
  </section>
</template>

<style scoped>
.end {
  padding-top: 4px;
  border-top: 1px solid var(--hair);
}
legend {
  padding-right: 8px;
  font-weight: 600;
}
</style>
