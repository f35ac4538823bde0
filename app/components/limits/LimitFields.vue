<script setup lang="ts">
import type { LimitEntry } from '~~/core/project/limit'
import { requireRising } from '~~/core/limits/edit'
import { texts } from '~/texts/en'
import { useWorkbench } from '~/stores/workbench'

/** One limit with its warning and failing values, editable. */
const { limit } = defineProps<{ limit: LimitEntry }>()
const workbench = useWorkbench()
const words = texts.limits
const KEYS = ['failBelow', 'warnBelow', 'warnAbove', 'failAbove'] as const
const UNITS: Readonly<Record<string, string>> = { deg: '°', 'rad/s2': 'rad/s²', '1': '', mm: 'mm' }
const fault = ref<string | null>(null)
const shown = computed(() => KEYS.filter((key) => limit[key] !== undefined))

function take(key: (typeof KEYS)[number], value: number | undefined) {
  if (value === undefined) return
  fault.value = requireRising({ ...limit, [key]: value })
  if (fault.value) return
  workbench.change('Change a limit', (draft) => {
    const there = draft.limits.entries.find(({ id }) => id === limit.id)
    if (!there) return
    there[key] = value
    draft.limits.profile = 'own'
  })
}
</script>

<template>
  <section class="limit" :aria-label="words.quantities[limit.quantity]">
    <div>
      <h2>
        <TermText :text="words.quantities[limit.quantity]" />{{
          limit.joints && limit.joints !== 'all' ? `, ${words.joints[limit.joints]}` : ''
        }}
      </h2>
      <p class="soft">
        {{ words.scopes[limit.scope] }}: {{ limit.basis
        }}<template v-if="limit.schools">
          · {{ limit.schools.map((school) => texts.schools[school].name).join(', ') }}</template
        >
      </p>
      <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
    </div>
    <div class="values">
      <FigureField
        v-for="key in shown"
        :key="key"
        :label="words.ends[key]"
        :unit="UNITS[limit.unit]"
        :most="1000000"
        required
        :value="limit[key]"
        @change="take(key, $event)"
      />
    </div>
  </section>
</template>

<style scoped>
.limit {
  display: grid;
  gap: 8px;
  padding: 2px 0 8px;
}
h2 {
  font-weight: 600;
}
p {
  line-height: 1.3;
}
.values {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(120px, 1fr));
  gap: 12px;
}
.fault {
  color: var(--out);
}
@media (max-width: 860px) {
  .values :deep(input) {
    min-height: 48px;
  }
}
</style>
