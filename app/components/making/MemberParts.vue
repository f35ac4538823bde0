<script setup lang="ts">
import { MEMBER_KINDS, type Crossmember, type MemberWay } from '~~/core/file/kinds/memberKinds'
import { making as words } from '~/texts/making'
import { useMaking } from '~/stores/making'

/** What is told besides its sizes: an old bar from the bench, the press, rails that lean. */
const { member, way } = defineProps<{ member: Crossmember; way: MemberWay }>()
const making = useMaking()
const PARTS = [
  { part: 'old', kind: 'old', title: words.oldBar, keys: ['leftMm', 'rightMm', 'aheadMm', 'upMm'] as const },
  { part: 'press', kind: 'bent', title: words.press, keys: ['dieMm', 'blockMm', 'ramMm'] as const },
] as const
const LABELS: Readonly<Record<string, string>> = { ...words.oldBars, ...words.presses }
const parts = computed(() => PARTS.filter(({ kind }) => kind === way.kind))
const valueOf = (part: 'old' | 'press', key: string) =>
  (way[part] as Readonly<Record<string, number | undefined>> | undefined)?.[key]
const RAILS = ['left', 'right'] as const
const LEANS = ['acrossDeg', 'alongDeg'] as const
</script>

<template>
  <FoldedPart
    v-for="{ part, title, keys } in parts"
    :key="part"
    :title="title"
    :is-open="part === 'old' || way[part] !== undefined"
  >
    <div class="fields">
      <FigureField
        v-for="key in keys"
        :key="key"
        :label="LABELS[key] ?? key"
        kind="length"
        :of="`crossmembers.ways.${part}.${key}`"
        :value="valueOf(part, key)"
        @change="making.changePart(way.id, part, { [key]: $event })"
      />
    </div>
  </FoldedPart>
  <FoldedPart
    v-if="MEMBER_KINDS[way.kind].isOnFaces"
    :title="words.leans"
    :is-open="member.leans !== undefined"
  >
    <p class="soft">{{ words.leansHint }}</p>
    <div class="fields">
      <template v-for="rail in RAILS" :key="rail">
        <FigureField
          v-for="lean in LEANS"
          :key="lean"
          :label="words.leanOf[rail][lean]"
          unit="°"
          :of="`crossmembers.leans.${rail}.${lean}`"
          :value="member.leans?.[rail]?.[lean]"
          @change="making.changeLean(rail, { [lean]: $event })"
        />
      </template>
    </div>
  </FoldedPart>
</template>
