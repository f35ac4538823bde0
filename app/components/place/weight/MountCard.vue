<script setup lang="ts">
import { MOUNT_NAMES, type MountKey } from '~~/core/vehicle/weight/unitAnswers'
import { fixed } from '~~/core/base/units/format'
import { texts } from '~/texts/en'
import type { FactColumn } from '~/composables/factColumn'
import { useFormat } from '~/composables/useFormat'
import { useWeight } from '~/stores/weight'

/** What the mounts carry standing and under torque. */
const weight = useWeight()
const { length, angle } = useFormat()
const words = texts.weight.mounts
const KEYS = Object.keys(MOUNT_NAMES) as MountKey[]

interface MountRow {
  readonly key: MountKey
  readonly standing: number
  readonly underTorque: number
  readonly gives: number
}
const rows = computed((): MountRow[] => {
  if (!weight.mounts.known) return []
  const { standingN, underTorqueN, upMm } = weight.mounts.value.loads
  return KEYS.flatMap((key, i) => {
    const [standing, underTorque, gives] = [standingN[i], underTorqueN[i], upMm[i]]
    if (standing === undefined || underTorque === undefined || gives === undefined) return []
    return [{ key, standing, underTorque, gives }]
  })
})
const newtons = (force: number) => `${fixed(force, 0)} N`
const COLUMNS: readonly FactColumn<MountRow>[] = [
  { key: 'mount', is: 'head', text: ({ key }) => MOUNT_NAMES[key] },
  { key: 'standing', label: words.standing, is: 'number', text: ({ standing }) => newtons(standing) },
  { key: 'under', label: words.underTorque, is: 'number' },
  { key: 'gives', label: words.gives, is: 'number', text: ({ gives }) => length(gives) },
]
</script>

<template>
  <section aria-labelledby="mounts-title" class="card">
    <h2 id="mounts-title">{{ words.title }}</h2>
    <p class="soft">{{ words.lead }}</p>
    <div class="fields">
      <FigureField
        v-for="key in KEYS"
        :key="key"
        :label="words.stiffness(MOUNT_NAMES[key])"
        unit="N/mm"
        :of="`weight.mountsNPerMm.${key}`"
        :value="weight.sheet.mountsNPerMm?.[key]"
        @change="weight.mount(key, $event)"
      />
      <FigureField
        :label="words.shock"
        :help="words.shockHint"
        of="weight.shock"
        :value="weight.sheet.shock"
        @change="weight.change({ shock: $event })"
      />
    </div>
    <ul v-if="!weight.mounts.known" class="missing">
      <li v-for="one in weight.mounts.missing" :key="one.what">
        <VerdictMark verdict="unknown" :size="14" /> {{ one.what }}
      </li>
    </ul>
    <template v-else>
      <FactTable :columns="COLUMNS" :rows="rows" :key-of="({ key }) => key" test-id="mount-loads">
        <template #under="{ row }">
          <span :class="{ lifts: row.underTorque < 0 }">{{ newtons(row.underTorque) }}</span>
        </template>
      </FactTable>
      <p class="figure">
        {{
          words.by(
            weight.mounts.value.gear,
            fixed(weight.mounts.value.loads.outputTorqueNm, 0),
            angle(Math.abs(weight.mounts.value.loads.rollChangeDeg), 1),
          )
        }}
      </p>
      <p v-if="weight.mounts.value.loads.underTorqueN.some((load) => load < 0)" class="lifts">
        {{ words.lifts }}
      </p>
    </template>
  </section>
</template>

<style scoped>
.card {
  margin-top: 18px;
  padding: 12px 16px 16px;
  background: var(--card);
  border: 1px solid var(--hair);
  border-radius: 4px;
}
h2 {
  font-size: 1.1rem;
  font-weight: 600;
}
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 14px;
  margin: 8px 0;
}
.lifts {
  color: var(--out);
  font-weight: 600;
}
.missing li {
  display: flex;
  gap: 8px;
  align-items: baseline;
  margin-top: 4px;
}
</style>
