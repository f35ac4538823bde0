<script setup lang="ts">
import { SEAM_KINDS } from '~~/core/file/kinds/weldKinds'
import { today } from '~/storage/today'
import { welds as words } from '~/texts/welds'
import { useWelds } from '~/stores/welds'
import { useWorkbench } from '~/stores/workbench'

/** Tack, read, weld, read again: what the weld drew. */
const welds = useWelds()
const workbench = useWorkbench()
const named = computed(() => welds.all.map(({ id, name }) => ({ value: id, label: name })))
const seams = SEAM_KINDS.map((value) => ({ value, label: words.seams[value] }))
const SIZES = [
  ['lengthMm', words.length],
  ['thicknessMm', words.thickness],
] as const
const route = useRoute()
watch(
  () => route.query.weld,
  (asked) => typeof asked === 'string' && (welds.looked = asked),
  { immediate: true },
)
watch(
  () => workbench.build?.id,
  (id) => id !== undefined && welds.learn(),
  { immediate: true },
)
const A_DAY = 24 * 60
/** While it may still be warm, the minutes; later the day. */
const hot = computed(() => {
  if (welds.weld?.hotAt === undefined) return ''
  const at = new Date(welds.weld.hotAt)
  return welds.minutes < A_DAY
    ? words.hotSince(at.toTimeString().slice(0, 5), welds.minutes)
    : words.weldedOn(today(at))
})
</script>

<template>
  <MadePage
    v-if="workbench.build"
    :title="welds.weld?.name ?? words.title"
    :lead="words.lead"
    :choice="words.title"
    :items="named"
    :item="welds.weld?.id"
    @look="welds.looked = $event"
  >
    <template v-if="welds.weld">
      <MadeAnswer
        v-if="welds.sentence"
        :verdict="welds.sentence.isOut ? 'out' : 'holds'"
        data-testid="weld-answer"
        >{{ welds.sentence.text }}</MadeAnswer
      >
      <section aria-labelledby="weld-steps">
        <h2 id="weld-steps">{{ words.steps }}</h2>
        <ol class="steps" data-testid="weld-steps">
          <li v-for="step in welds.steps" :key="step">{{ step }}</li>
        </ol>
      </section>
      <template v-if="!welds.isWelded">
        <TackLine />
        <TackDiagonals />
      </template>
      <WeldReadings />
      <WeldStand v-if="workbench.build.points.length > 0" />
      <p v-if="welds.isWelded" class="figure" data-testid="weld-hot">
        {{ hot }}
      </p>
      <UButton
        v-if="!welds.isWelded"
        class="add"
        icon="i-lucide-flame"
        :disabled="welds.rows.length === 0"
        @click="welds.weldNow()"
        >{{ words.weldNow }}</UButton
      >
      <UButton v-else class="add" variant="outline" @click="welds.backToTacks()">{{
        words.backToTacks
      }}</UButton>
    </template>
    <p v-else>{{ words.none }}</p>
    <UButton
      class="add"
      :variant="welds.weld ? 'outline' : 'solid'"
      icon="i-lucide-plus"
      @click="welds.add()"
      >{{ words.add }}</UButton
    >
    <template v-if="welds.weld" #side>
      <StepsLink of="weld" :thing="welds.weld.id" />
      <section aria-labelledby="weld-sizes">
        <h2 id="weld-sizes">{{ words.sizes }}</h2>
        <div class="fields">
          <TextField
            :label="words.name"
            :value="welds.weld.name"
            required
            @change="welds.change({ name: $event })"
          />
          <ChoiceField
            :label="words.seam"
            :value="welds.weld.seam"
            :items="seams"
            @change="welds.change({ seam: $event })"
          />
          <FigureField
            v-for="[key, label] in SIZES"
            :key="key"
            :label="label"
            kind="length"
            :of="`welds.${key}`"
            :value="welds.weld[key]"
            required
            @change="welds.change({ [key]: $event })"
          />
          <FigureField
            :label="words.runs"
            of="welds.runs"
            :value="welds.weld.runs"
            required
            @change="welds.change({ runs: $event })"
          />
        </div>
      </section>
      <p class="caution">{{ words.clean }}</p>
      <p class="caution">{{ words.hot }}</p>
      <p class="caution">{{ words.structural }}</p>
      <RemoveButton is-worded :label="words.remove(welds.weld.name)" @click="welds.remove()" />
    </template>
  </MadePage>
</template>

<style scoped>
.steps {
  list-style: decimal;
  padding-left: 22px;
  line-height: 1.55;
}
</style>
