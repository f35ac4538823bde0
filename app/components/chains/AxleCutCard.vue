<script setup lang="ts">
import type { CutSide } from '~~/core/sprockets/cutAxle'
import { CUT_SCHOOLS, type AxleCut, type CutSideFigure } from '~~/core/file/parts/axleCut'
import { chainTexts } from '~/texts/chains'
import { useFormat } from '~/composables/useFormat'
import { useChains } from '~/stores/chains'

/** A live axle made to another width, by either school: what each side needs, and how old pieces would be cut. */
const { one } = defineProps<{ one: ReturnType<typeof useChains>['cuts'][number] }>()
const chains = useChains()
const { length } = useFormat()
const words = chainTexts.cut
const cut = computed(() => one.cut)
const change = (changed: { readonly [K in keyof Omit<AxleCut, 'id'>]?: AxleCut[K] | undefined }) =>
  chains.changeCut(cut.value.id, changed)
const schools = CUT_SCHOOLS.map((value) => ({ value, label: words.schools[value] }))
const isNew = computed(() => cut.value.school === 'new-shaft')
const common = computed(
  () =>
    [
      ['widthMm', words.width, ''],
      ['offsetLeftMm', words.offset, words.offsetHelp],
      ['hubMm', words.hub, ''],
      ['stopMm', words.stop, ''],
      ['endPlayMm', words.play, ''],
      ...(cut.value.school === 'sleeve'
        ? ([
            ['gapMm', words.gap, ''],
            ['sleeveMm', words.sleeve, ''],
            ['shaftMm', words.shaft, ''],
            ['sleeveBoreMm', words.bore, ''],
          ] as const)
        : cut.value.school === 'lap'
          ? ([['overlapMm', words.overlap, '']] as const)
          : []),
    ] as const,
)
/** Figures of a side, piece by piece. */
const PIECES: readonly (readonly [string, readonly (readonly [CutSideFigure, string])[]])[] = [
  [
    words.inner,
    [
      ['innerMm', words.inner],
      ['innerPlainFromMm', `${words.plain}: ${words.from}`],
      ['innerPlainToMm', words.to],
    ],
  ],
  [
    words.outer,
    [
      ['outerMm', words.outer],
      ['outerPlainFromMm', `${words.plain}: ${words.from}`],
      ['outerPlainToMm', words.to],
    ],
  ],
  [
    words.splineShaft,
    [
      ['shaftSplineFromMm', `${words.splineShaft}, ${words.from}`],
      ['shaftSplineToMm', words.to],
      ['leastSplineMm', words.leastSpline],
    ],
  ],
  [
    words.splineGear,
    [
      ['gearSplineFromMm', `${words.splineGear}, ${words.from}`],
      ['gearSplineToMm', words.to],
      ['leastBiteMm', words.leastBite],
    ],
  ],
]
const facts = (side: CutSide): [string, string][] => [
  [words.keep, `${words.inner} ${length(side.keep[0])}, ${words.outer} ${length(side.keep[1])}`],
  [words.cutOff, `${words.inner} ${length(side.cut[0])}, ${words.outer} ${length(side.cut[1])}`],
  [cut.value.school === 'lap' ? words.lapBite : words.bite, length(side.bite[0])],
  [words.joint, `${length(side.atMm)}, ${words.may(length(side.range[0]), length(side.range[1]))}`],
  [words.spline, length(side.engagedMm)],
]
const fit = computed(() => {
  if (!one.fit || cut.value.school !== 'sleeve') return ''
  const size = length(Math.abs(one.fit.playMm))
  return one.fit.isPressed ? words.fit.pressed(size) : words.fit.play(size)
})
const waits = (missing: readonly { what: string }[]) =>
  words.waits(missing.map(({ what }) => what).join('; '))
</script>

<template>
  <section
    class="plain-card"
    :aria-label="`${words.title}: ${cut.name}`"
    :data-cut="cut.id"
    :data-field="`chains/${cut.id}`"
  >
    <h2>{{ words.title }}</h2>
    <p class="caution"><VerdictMark verdict="tight" :size="14" silent /> {{ words.caution }}</p>
    <div class="fields">
      <TextField :label="words.name" :value="cut.name" required @change="change({ name: $event })" />
      <ChoiceField
        :label="words.school"
        class="double"
        :value="cut.school"
        :items="schools"
        @change="change({ school: $event })"
      />
      <FigureField
        v-for="[key, label, help] in common"
        :key="key"
        :label="label"
        kind="length"
        :help="help"
        :of="`axleCuts.${key}`"
        :value="cut[key]"
        @change="change({ [key]: $event })"
      />
    </div>
    <p v-if="fit">{{ fit }}</p>
    <div class="pair">
      <section v-for="side in one.sides" :key="side.side" :data-side="side.side">
        <h3>{{ words.side[side.side] }}</h3>
        <p v-if="side.needMm.known">
          {{ words.need }} <strong class="figure" data-testid="need">{{ length(side.needMm.value) }}</strong>
        </p>
        <p v-else class="soft">{{ waits(side.needMm.missing) }}</p>
        <FigureField
          v-if="side.needMm.known"
          :label="words.came"
          kind="length"
          of="axleCuts.left.cameMm"
          :value="cut[side.side]?.cameMm"
          @change="chains.changeCutSide(cut.id, side.side, { cameMm: $event })"
        />
        <p
          v-if="side.playMm.known"
          class="said"
          :class="side.playMm.value >= 0 ? 'is-holds' : 'is-out'"
          data-testid="end-play"
        >
          <VerdictMark :verdict="side.playMm.value >= 0 ? 'holds' : 'out'" silent />
          {{
            side.playMm.value >= 0
              ? words.leaves(length(side.playMm.value))
              : words.clamps(length(-side.playMm.value))
          }}
        </p>
        <template v-if="!isNew">
          <template v-if="side.cut.known">
            <CutPicture :cut="side.cut.value" :name="words.side[side.side]" :is-lap="cut.school === 'lap'" />
            <dl>
              <template v-for="[name, value] in facts(side.cut.value)" :key="name">
                <dt>{{ name }}</dt>
                <dd>{{ value }}</dd>
              </template>
            </dl>
            <p class="said" :class="side.cut.value.holds ? 'is-holds' : 'is-out'">
              <VerdictMark :verdict="side.cut.value.holds ? 'holds' : 'out'" silent />
              {{ side.cut.value.holds ? words.holds : words.fails }}
            </p>
          </template>
          <p v-else-if="cut[side.side]" class="soft" role="status">{{ waits(side.cut.missing) }}</p>
          <FoldedPart :is-open="!side.cut.known" :title="words.measure(side.side)">
            <fieldset v-for="[piece, figures] in PIECES" :key="piece" class="fields small">
              <legend class="sr-only">{{ piece }}</legend>
              <FigureField
                v-for="[key, label] in figures"
                :key="key"
                :label="label"
                kind="length"
                :of="`axleCuts.left.${key}`"
                :value="cut[side.side]?.[key]"
                @change="chains.changeCutSide(cut.id, side.side, { [key]: $event })"
              />
            </fieldset>
            <FigureField
              class="at"
              :label="words.at"
              kind="length"
              of="axleCuts.left.atMm"
              :value="cut[side.side]?.atMm"
              @change="chains.changeCutSide(cut.id, side.side, { atMm: $event })"
            />
          </FoldedPart>
        </template>
      </section>
    </div>
    <div>
      <RemoveButton :label="words.remove(cut.name)" is-worded @click="chains.removeCut(cut.id)" />
    </div>
  </section>
</template>

<style scoped>
.fields {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(150px, 1fr));
  gap: 10px 14px;
  align-items: end;
}
.double {
  grid-column: span 2;
}
.small {
  grid-template-columns: repeat(3, minmax(0, 1fr));
  padding-top: 8px;
}
.pair {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 360px), 1fr));
  gap: 14px 24px;
  padding-top: 12px;
  border-top: 1px solid var(--hair);
}
.pair section {
  display: grid;
  align-content: start;
  gap: 8px;
  min-width: 0;
}
.caution {
  display: grid;
  grid-template-columns: 18px minmax(0, 1fr);
  gap: 8px;
  padding: 8px 10px;
  border-left: 3px solid var(--tight);
  background: var(--wash);
}
.said {
  display: flex;
  gap: 8px;
  align-items: center;
}
strong {
  font-size: 1.1875rem;
}
.at {
  max-width: 220px;
  padding-top: 8px;
}
</style>
