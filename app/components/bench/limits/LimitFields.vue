<script setup lang="ts">
import type { LimitEntry, LimitUnit } from '~~/core/file/build/limit'
import { factsOf } from '~~/core/file/build/quantities'
import type { Draft } from 'immer'
import { requireRising } from '~~/core/file/limits/edit'
import { isChangedLimit, usualLimit } from '~~/core/file/limits/usualLimit'
import { texts } from '~/texts/en'
import { useWorkbench } from '~/stores/workbench'

/** One limit with its warning and failing values, editable. */
const { limit } = defineProps<{ limit: LimitEntry }>()
const workbench = useWorkbench()
const words = texts.limits
const KEYS = ['failBelow', 'warnBelow', 'warnAbove', 'failAbove'] as const
const UNITS: Readonly<Record<LimitUnit, string>> = {
  deg: '°',
  'rad/s2': 'rad/s²',
  '1': '',
  mm: 'mm',
  N: 'N',
  '%': '%',
}
const fault = ref<string | null>(null)
const shown = computed(() => KEYS.filter((key) => limit[key] !== undefined))

function take(key: (typeof KEYS)[number], value: number | undefined) {
  if (value === undefined) return
  fault.value = requireRising({ ...limit, [key]: value })
  if (fault.value) return
  change('Change a limit', (there) => void (there[key] = value))
}
const isOwn = computed(() => workbench.build !== null && isChangedLimit(workbench.build.limits, limit))
const usual = computed(() => workbench.build && usualLimit(workbench.build.limits, limit))
function change(label: string, recipe: (limit: Draft<LimitEntry>) => void) {
  workbench.change(label, (draft) => {
    const there = draft.limits.entries.find(({ id }) => id === limit.id)
    if (!there) return
    recipe(there)
    draft.limits.profile = 'own'
  })
}
const setBasis = (text: string) => {
  const basis = text.trim().slice(0, 1000)
  if (basis !== '' && basis !== limit.basis)
    change('Say why a limit is there', (there) => void (there.basis = basis))
}
const reset = () => {
  const { value } = usual
  if (value)
    change('Back to a starting figure', (there) => {
      for (const key of KEYS) Reflect.deleteProperty(there, key)
      Object.assign(there, structuredClone(value))
    })
}
</script>

<template>
  <section class="limit" :aria-label="factsOf(limit.quantity).name">
    <div>
      <h2>
        <TermText :text="factsOf(limit.quantity).name" />{{
          limit.joints && limit.joints !== 'all' ? `, ${words.joints[limit.joints]}` : ''
        }}
      </h2>
      <p class="soft">
        {{ words.scopes[limit.scope]
        }}<template v-if="limit.schools">
          · {{ limit.schools.map((school) => texts.schools[school].name).join(', ') }}</template
        >
      </p>
      <UInput
        :model-value="limit.basis"
        class="basis w-full"
        maxlength="1000"
        :aria-label="words.basis"
        @change="setBasis(($event.target as HTMLInputElement).value)"
      />
      <p v-if="isOwn" class="own">
        {{ words.own }}
        <UButton v-if="usual" size="xs" variant="link" @click="reset">{{ words.reset }}</UButton>
      </p>
      <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
    </div>
    <div class="values">
      <FigureField
        v-for="key in shown"
        :key="key"
        :label="words.ends[key]"
        :unit="UNITS[limit.unit]"
        required
        :of="`limits.entries.${key}`"
        :value="limit[key]"
        @change="take(key, $event)"
      />
    </div>
  </section>
</template>

<style scoped>
.basis {
  margin-top: 4px;
}
.own {
  color: var(--accent);
  font-weight: 500;
}
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
