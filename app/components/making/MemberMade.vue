<script setup lang="ts">
import { MEMBER_KINDS, type Crossmember, type MemberWay } from '~~/core/file/kinds/memberKinds'
import { useFormat } from '~/composables/useFormat'
import { making as words } from '~/texts/making'
import { useMaking } from '~/stores/making'
import { useWorkbench } from '~/stores/workbench'

/** What it was made for, and whether that still holds; what can hurt someone on the way. */
const { member, way } = defineProps<{ member: Crossmember; way: MemberWay }>()
const making = useMaking()
const workbench = useWorkbench()
const { length, angle } = useFormat()
const position = computed(
  () => workbench.build?.positions.find(({ id }) => id === member.made?.position)?.name ?? '?',
)
</script>

<template>
  <section class="made-for">
    <template v-if="member.made">
      <p>{{ words.taken(member.made.at, position) }}</p>
      <p v-if="making.change" :class="{ stale: making.change.isStale }" data-testid="member-stale">
        <VerdictMark :verdict="making.change.isStale ? 'tight' : 'holds'" :size="14" />
        {{
          making.change.isStale
            ? words.stale(length(making.change.movedMm), angle(Math.abs(making.change.leanDeg), 2))
            : words.fresh
        }}
      </p>
    </template>
    <UButton variant="outline" icon="i-lucide-check" @click="making.takeAsMade()">{{
      member.made ? words.takeAgain : words.take
    }}</UButton>
    <p v-if="MEMBER_KINDS[way.kind].isWelded" class="caution">{{ words.hot }}</p>
    <p class="caution">{{ words.structural }}</p>
  </section>
</template>

<style scoped>
.made-for {
  display: grid;
  gap: 8px;
  justify-items: start;
}
.stale {
  font-weight: 600;
}
</style>
