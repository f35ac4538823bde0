<script setup lang="ts">
import { making as words } from '~/texts/making'
import { useMaking } from '~/stores/making'

/** The way it is made, by picture. */
const making = useMaking()
/** A size is not torn apart at the end of a line. */
const UNBROKEN = '\u00a0'
const options = computed(() =>
  making.rows.map(({ id, name, stock }) => [id, `${name}, ${stock.replaceAll(' ', UNBROKEN)}`] as const),
)
const kindOf = (id: string) => making.rows.find((row) => row.id === id)?.kind ?? 'straight'
</script>

<template>
  <section aria-labelledby="member-choice">
    <h2 id="member-choice">{{ words.ways }}</h2>
    <WordChoice
      class="ways"
      :label="words.ways"
      :options="options"
      :value="making.found?.member.chosen"
      is-apart
      @choose="making.changeMember({ chosen: $event })"
    >
      <template #default="{ word }"><MemberKindMark :kind="kindOf(word)" /></template>
    </WordChoice>
  </section>
</template>

<style scoped>
.ways :deep([data-slot='fieldset']) {
  grid-auto-flow: row;
  grid-template-columns: 1fr 1fr;
}
</style>
