<script setup lang="ts">
import { MOUNT_NAMES, type MountKey } from '~~/core/vehicle/weight/unitAnswers'
import { fixed } from '~~/core/base/units/format'
import { texts } from '~/texts/en'
import { useFormat } from '~/composables/useFormat'
import { useWeight } from '~/stores/weight'

/** What the mounts carry standing and under torque. */
const weight = useWeight()
const { length, angle } = useFormat()
const words = texts.weight.mounts
const KEYS = Object.keys(MOUNT_NAMES) as MountKey[]
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
      <table data-testid="mount-loads">
        <thead>
          <tr>
            <td></td>
            <th scope="col">{{ words.standing }}</th>
            <th scope="col">{{ words.underTorque }}</th>
            <th scope="col">{{ words.gives }}</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(key, i) in KEYS" :key="key">
            <th scope="row">{{ MOUNT_NAMES[key] }}</th>
            <td class="figure">{{ fixed(weight.mounts.value.loads.standingN[i]!, 0) }} N</td>
            <td class="figure" :class="{ lifts: weight.mounts.value.loads.underTorqueN[i]! < 0 }">
              {{ fixed(weight.mounts.value.loads.underTorqueN[i]!, 0) }} N
            </td>
            <td class="figure">{{ length(weight.mounts.value.loads.upMm[i]!) }}</td>
          </tr>
        </tbody>
      </table>
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
table {
  width: 100%;
  border-collapse: collapse;
}
th,
td {
  padding: 5px 10px 5px 0;
  border-bottom: 1px solid var(--hair);
}
thead th {
  text-align: right;
  font-weight: 500;
  color: var(--soft);
}
tbody th {
  text-align: left;
  font-weight: 500;
}
td.figure {
  text-align: right;
  white-space: nowrap;
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
