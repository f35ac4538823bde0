<script setup lang="ts">
import { PIECE_KINDS, type Piece, type PieceKind } from '~~/core/file/kinds/pieceKinds'
import { usePieces } from '~/stores/pieces'
import { pieces as words } from '~/texts/pieces'

/** Sizes of a small part, and what they have to do. */
const { piece } = defineProps<{ piece: Piece }>()
const pieces = usePieces()
const kinds = (Object.keys(PIECE_KINDS) as PieceKind[]).map((value) => ({ value, label: words.kinds[value] }))
const labels = computed<Readonly<Record<string, string>>>(() => words.figures[piece.kind])
/** Those that a kind may have besides. */
const OTHERS = {
  guide: [['playMm', words.play] as const, ['throughMm', words.through] as const],
  gusset: [['noseMm', words.nose] as const, ['snipMm', words.snip] as const],
  saw: [],
} as const
const TAB = ['loadN', 'offMm', 'wideMm', 'thickMm', 'yieldMPa'] as const
const UNITS: Readonly<Record<string, string>> = { loadN: 'N', yieldMPa: 'N/mm²', angleDeg: '°' }
</script>

<template>
  <section aria-labelledby="piece-sizes">
    <h2 id="piece-sizes">{{ words.sizes }}</h2>
    <div class="fields">
      <TextField :label="words.name" :value="piece.name" required @change="pieces.change({ name: $event })" />
      <ChoiceField
        :label="words.kind"
        :value="piece.kind"
        :items="kinds"
        @change="pieces.turnInto($event as PieceKind)"
      />
      <FigureField
        v-for="size in PIECE_KINDS[piece.kind]"
        :key="size"
        :label="labels[size] ?? size"
        :kind="UNITS[size] ? undefined : 'length'"
        :unit="UNITS[size]"
        :of="`pieces.${size}`"
        :value="piece[size]"
        required
        @change="pieces.change({ [size]: $event })"
      />
      <FigureField
        v-for="[size, label] in OTHERS[piece.kind]"
        :key="size"
        :label="label"
        kind="length"
        :of="`pieces.${size}`"
        :value="piece[size]"
        @change="pieces.change({ [size]: $event })"
      />
    </div>
    <HowFar :part="piece" @change="pieces.change" />
    <FoldedPart v-if="piece.kind === 'gusset'" :title="words.tab" is-open>
      <div class="fields">
        <FigureField
          v-for="size in TAB"
          :key="size"
          :label="words.tabs[size]"
          :kind="UNITS[size] ? undefined : 'length'"
          :unit="UNITS[size]"
          :of="`pieces.tab.${size}`"
          :value="piece.tab?.[size]"
          @change="pieces.changeTab({ [size]: $event })"
        />
      </div>
    </FoldedPart>
  </section>
</template>
