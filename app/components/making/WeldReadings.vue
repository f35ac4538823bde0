<script setup lang="ts">
import { HIDDEN, type WeldRow } from '~~/core/show/text/weldText'
import { welds as words } from '~/texts/welds'
import { useWelds } from '~/stores/welds'

/** What is read before and after: the old figure is hidden until the new one is typed. */
const welds = useWelds()
const unitOf = ({ reading }: WeldRow) =>
  reading.isAngle ? ({ unit: '°' } as const) : ({ kind: 'length' } as const)
</script>

<template>
  <section aria-labelledby="weld-readings">
    <h2 id="weld-readings">{{ words.readings }}</h2>
    <p class="soft">{{ welds.isWelded ? words.readLead.after : words.readLead.before }}</p>
    <fieldset v-for="row in welds.rows" :key="row.reading.id" class="reading" data-testid="weld-reading">
      <legend class="sr-only">{{ row.reading.name }}</legend>
      <TextField
        class="wide"
        :label="words.reading"
        :value="row.reading.name"
        required
        @change="welds.changeReading(row.reading.id, { name: $event })"
      />
      <FigureField
        v-if="!welds.isWelded"
        :label="words.before"
        v-bind="unitOf(row)"
        of="welds.readings.before"
        :value="row.reading.before"
        @change="welds.changeReading(row.reading.id, { before: $event })"
      />
      <p v-else class="figure told">
        <span class="soft">{{ words.before }}</span>
        {{ row.before === HIDDEN ? words.hidden : row.before || '?' }}
      </p>
      <FigureField
        v-if="welds.isWelded"
        :label="words.after"
        v-bind="unitOf(row)"
        of="welds.readings.after"
        :value="row.reading.after"
        @change="welds.changeReading(row.reading.id, { after: $event })"
      />
      <p v-if="welds.isWelded" class="figure change" :class="{ out: row.verdict === 'out' }">
        <VerdictMark v-if="row.verdict" :verdict="row.verdict" :size="13" /> {{ row.change }}
      </p>
      <template v-if="!welds.isWelded">
        <FigureField
          :label="words.most"
          v-bind="unitOf(row)"
          of="welds.readings.most"
          :value="row.reading.most"
          @change="welds.changeReading(row.reading.id, { most: $event })"
        />
        <div class="marks">
          <UCheckbox
            :label="words.isOverSeam"
            :model-value="row.reading.isOverSeam ?? false"
            @update:model-value="
              welds.changeReading(row.reading.id, { isOverSeam: $event === true ? true : undefined })
            "
          />
          <UCheckbox
            :label="words.isAngle"
            :model-value="row.reading.isAngle ?? false"
            @update:model-value="
              welds.changeReading(row.reading.id, { isAngle: $event === true ? true : undefined })
            "
          />
          <RemoveButton
            :label="words.removeReading(row.reading.name)"
            @click="welds.removeReading(row.reading.id)"
          />
        </div>
      </template>
    </fieldset>
    <div v-if="!welds.isWelded" class="does">
      <UButton v-if="welds.rows.length === 0" icon="i-lucide-plus" @click="welds.addUsual()">{{
        words.usual
      }}</UButton>
      <UButton variant="outline" icon="i-lucide-plus" @click="welds.addReading()">{{
        words.addReading
      }}</UButton>
    </div>
  </section>
</template>

<style scoped>
.reading {
  display: grid;
  grid-template-columns: minmax(0, 2fr) repeat(3, minmax(0, 1fr));
  gap: 6px 12px;
  align-items: end;
  padding: 8px 0;
  border-bottom: 1px solid var(--hair);
}
.told {
  display: grid;
  align-content: end;
  min-height: 34px;
}
.change {
  display: flex;
  gap: 6px;
  align-items: center;
  min-height: 34px;
}
.marks {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 10px;
  align-items: center;
}
.does {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 10px;
}
@media (max-width: 640px) {
  .reading {
    grid-template-columns: 1fr 1fr;
  }
  .wide {
    grid-column: 1 / -1;
  }
}
</style>
