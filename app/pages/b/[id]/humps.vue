<script setup lang="ts">
import { HUMP_KINDS, type HumpKind } from '~~/core/file/kinds/humpKinds'
import type { HumpRow } from '~~/core/show/text/humpText'
import type { FactColumn } from '~/composables/factColumn'
import { humps as words } from '~/texts/ways'
import { useHumps } from '~/stores/humps'
import { useWorkbench } from '~/stores/workbench'

/** The vehicle over a hump: what hangs low, what touches first. */
const humps = useHumps()
const workbench = useWorkbench()
const named = computed(() => humps.all.map(({ id, name }) => ({ value: id, label: name })))
const kinds = (Object.keys(HUMP_KINDS) as HumpKind[]).map((value) => ({ value, label: words.kinds[value] }))
const DOWN = ['frontDownMm', 'rearDownMm'] as const
const assumptions = computed(() => (humps.found.known ? humps.found.assumptions : []))
const numberOf = (id: string) => humps.rows.findIndex((row) => row.id === id) + 1
const COLUMNS: readonly FactColumn<HumpRow>[] = [
  { key: 'low', label: words.columns.low, is: 'head', text: ({ id, name }) => `${numberOf(id)} ${name}` },
  { key: 'least', label: words.columns.least, is: 'number' },
  { key: 'where', label: words.columns.where, is: 'words', text: ({ where }) => where },
  { key: 'breakover', label: words.columns.breakover, is: 'number', text: ({ breakover }) => breakover },
]
</script>

<template>
  <MadePage
    v-if="workbench.build"
    :title="humps.hump?.name ?? words.title"
    :lead="words.lead"
    :choice="words.title"
    :items="named"
    :item="humps.hump?.id"
    @look="humps.look($event)"
  >
    <template v-if="humps.hump">
      <p v-if="!humps.found.known" class="waits">
        <VerdictMark verdict="unknown" :size="14" /> {{ words.waits }}
        <MissingWords :missing="humps.found.missing" />
      </p>
      <template v-else>
        <MadeAnswer
          :verdict="humps.found.value.over.firstTouch ? 'out' : 'holds'"
          data-testid="hump-answer"
          >{{ humps.sentence }}</MadeAnswer
        >
        <HumpDrawing
          v-if="humps.way"
          :scene-of="humps.scene"
          :from="humps.way.from"
          :to="humps.way.to"
          :at="humps.frontMm"
          :order="humps.found.value.over.order"
          @roll="humps.rolledTo = $event"
        />
        <section aria-labelledby="hump-lows">
          <h2 id="hump-lows">{{ words.lows }}</h2>
          <FactTable
            :columns="COLUMNS"
            :rows="humps.rows"
            :key-of="({ id }) => id"
            :label="words.lows"
            is-cards
            test-id="hump-lows"
          >
            <template #least="{ row }">
              <span :class="{ out: row.isOut }">{{ row.least }}</span>
            </template>
          </FactTable>
        </section>
        <p v-if="assumptions.length > 0" class="soft">{{ words.taken }} {{ assumptions.join('; ') }}.</p>
        <p class="soft">{{ words.bar }}</p>
      </template>
    </template>
    <p v-else>{{ words.none }}</p>
    <UButton
      class="add"
      :variant="humps.hump ? 'outline' : 'solid'"
      icon="i-lucide-plus"
      @click="humps.add()"
      >{{ words.add }}</UButton
    >
    <template v-if="humps.hump" #side>
      <section aria-labelledby="hump-sizes">
        <h2 id="hump-sizes">{{ words.sizes }}</h2>
        <div class="fields">
          <TextField
            :label="words.name"
            :value="humps.hump.name"
            required
            @change="humps.change({ name: $event })"
          />
          <ChoiceField
            :label="words.kind"
            :value="humps.hump.kind"
            :items="kinds"
            @change="humps.turnInto($event as HumpKind)"
          />
          <FigureField
            v-for="size in HUMP_KINDS[humps.hump.kind]"
            :key="size"
            :label="words.figures[size]"
            kind="length"
            :of="`humps.${size}`"
            :value="humps.hump[size]"
            required
            @change="humps.change({ [size]: $event })"
          />
          <FigureField
            v-for="end in DOWN"
            :key="end"
            :label="words.down[end]"
            kind="length"
            :of="`humps.${end}`"
            :value="humps.hump[end]"
            @change="humps.change({ [end]: $event })"
          />
        </div>
      </section>
      <RemoveButton is-worded :label="words.remove(humps.hump.name)" @click="humps.remove()" />
    </template>
  </MadePage>
</template>
