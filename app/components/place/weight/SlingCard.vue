<script setup lang="ts">
import { fixed } from '~~/core/base/units/format'
import { texts } from '~/texts/en'
import { useFormat } from '~/composables/useFormat'
import { useWeight } from '~/stores/weight'

/** How the unit hangs on the hoist, where the hook belongs, and the balances that were found. */
const weight = useWeight()
const words = texts.weight
const { length, angle } = useFormat()
const note = ref('')
const tilt = (deg: number) => (deg < 0 ? words.noseDown(angle(-deg, 1)) : words.tailDown(angle(deg, 1)))
function keep() {
  weight.keepBalance(note.value)
  note.value = ''
}
</script>

<template>
  <section aria-labelledby="sling-title" class="card">
    <h2 id="sling-title">{{ words.sling }}</h2>
    <p class="caution"><VerdictMark verdict="tight" :size="14" silent /> {{ words.caution }}</p>
    <ul v-if="!weight.hang.known" class="soft">
      <li v-for="one in weight.hang.missing" :key="one.what"><MissingWords :missing="[one]" /></li>
    </ul>
    <template v-else>
      <p class="figure">
        {{
          words.hangsAt(
            `${fixed(weight.hang.value.centre.kg, 0)} kg`,
            length(weight.hang.value.centre.station),
            length(weight.hang.value.centre.height),
          )
        }}
      </p>
      <SlingPicture v-if="weight.hookScene" :scene="weight.hookScene" />
      <p v-if="weight.hang.value.hangDeg !== null" class="tilt figure" data-testid="hang">
        {{ tilt(weight.hang.value.hangDeg) }}
      </p>
      <p v-else-if="weight.hang.value.isHookLow" class="warn">{{ words.hookLow }}</p>
      <p v-if="weight.hang.value.hookStationMm !== null" data-testid="hook-for">
        {{ words.hookFor(length(weight.hang.value.hookStationMm), tilt(weight.sheet.hangDeg ?? 0)) }}
      </p>
    </template>
    <div class="fields">
      <FigureField
        data-field="weight.hook.stationMm"
        :label="words.hookStation"
        kind="length"
        of="weight.hook.stationMm"
        :value="weight.sheet.hook?.stationMm"
        @change="weight.hook({ stationMm: $event })"
      />
      <FigureField
        data-field="weight.hook.heightMm"
        :label="words.hookHeight"
        kind="length"
        of="weight.hook.heightMm"
        :value="weight.sheet.hook?.heightMm"
        @change="weight.hook({ heightMm: $event })"
      />
      <FigureField
        data-field="weight.hangDeg"
        :label="words.wanted"
        unit="°"
        of="weight.hangDeg"
        :value="weight.sheet.hangDeg"
        @change="weight.change({ hangDeg: $event })"
      />
    </div>
    <SlingLegs />
    <h3>{{ words.balances }}</h3>
    <ul>
      <li v-for="one in weight.sheet.balances ?? []" :key="one.id" class="balance">
        <span
          ><small class="soft figure">{{ one.date }}</small> {{ one.note }}</span
        >
        <UButton
          icon="i-lucide-x"
          variant="ghost"
          color="neutral"
          size="sm"
          :aria-label="words.removeMass(one.note)"
          @click="weight.removeBalance(one.id)"
        />
      </li>
    </ul>
    <form class="keep" @submit.prevent="keep">
      <UFormField :label="words.balance" :help="words.balancesHint">
        <UInput v-model="note" class="w-full" maxlength="1000" />
      </UFormField>
      <UButton type="submit" size="sm" variant="outline" :disabled="note.trim() === ''">{{
        words.addBalance
      }}</UButton>
    </form>
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
h3 {
  margin-top: 14px;
  font-weight: 500;
}
/* The mark stands in the first line of the text. */
.caution :deep(svg) {
  display: inline;
  vertical-align: -1px;
  width: auto;
}
.caution {
  margin: 4px 0 8px;
  color: var(--soft);
  line-height: 1.4;
}
.tilt {
  font-size: 1.2rem;
  font-weight: 600;
}
.warn {
  color: var(--tight);
}
.fields {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 8px 14px;
  margin-top: 8px;
}
.balance {
  display: flex;
  gap: 8px;
  justify-content: space-between;
  align-items: baseline;
}
.keep {
  display: grid;
  gap: 8px;
  justify-items: start;
  margin-top: 6px;
}
.keep > :first-child {
  width: 100%;
}
</style>
