<script setup lang="ts">
import type { Build } from '~~/core/file/build/build'
import { strength } from '~/texts/strength'
import { useStock } from '~/stores/stock'

/** Sizes of crosses by their dimensions. */
const { build } = defineProps<{ build: Build }>()
const stock = useStock()
const words = strength.stock
const used = computed(
  () => new Set(build.lines.flatMap(({ joints }) => joints.flatMap(({ cross }) => cross ?? []))),
)
const FIGURES = [
  { key: 'spanMm', label: words.span, kind: 'length', unit: '' },
  { key: 'trunnionMm', label: words.trunnion, kind: 'length', unit: '' },
  { key: 'boreMm', label: words.bore, kind: 'length', unit: '' },
  { key: 'allowMPa', label: words.allow, kind: 'plain', unit: 'MPa' },
] as const
</script>

<template>
  <FoldedPart class="stock" data-testid="stock-crosses" :title="`${words.crosses} (${stock.crosses.length})`">
    <p class="soft">{{ words.crossesLead }}</p>
    <ul>
      <li v-for="cross in stock.crosses" :key="cross.id" :data-field="`strength/${cross.id}`">
        <TextField
          :label="words.name"
          :value="cross.name"
          required
          @change="stock.changeCross(cross.id, { name: $event })"
        />
        <FigureField
          v-for="{ key, label, kind, unit } in FIGURES"
          :key="key"
          :label="label"
          :kind="kind"
          :unit="unit"
          :most="key === 'boreMm' ? cross.trunnionMm - 0.1 : undefined"
          required
          :of="`crosses.${key}`"
          :value="cross[key]"
          @change="$event !== undefined && stock.changeCross(cross.id, { [key]: $event })"
        />
        <UButton
          v-if="!used.has(cross.id)"
          icon="i-lucide-x"
          variant="ghost"
          color="neutral"
          :aria-label="words.remove(cross.name)"
          @click="stock.remove('crosses', cross.id)"
        />
        <span v-else class="soft">{{ words.used }}</span>
      </li>
    </ul>
    <div class="does">
      <UButton
        icon="i-lucide-plus"
        size="sm"
        variant="outline"
        @click="stock.addCross(`size ${stock.crosses.length + 1}`)"
        >{{ words.add }}</UButton
      >
      <UButton
        v-if="build.crosses && used.size === 0"
        size="sm"
        variant="ghost"
        @click="stock.reset('crosses')"
        >{{ words.reset }}</UButton
      >
    </div>
  </FoldedPart>
</template>
