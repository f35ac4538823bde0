<script setup lang="ts">
import { bolts as words } from '~/texts/bolts'
import { useBolts } from '~/stores/bolts'
import { useWorkbench } from '~/stores/workbench'

/** Bolts: how long, how tight, what a slot holds. */
const bolts = useBolts()
const workbench = useWorkbench()
const named = computed(() => bolts.all.map(({ id, name }) => ({ value: id, label: name })))
const missing = computed(() => (bolts.found && !bolts.found.known ? bolts.found.missing : null))
</script>

<template>
  <MadePage
    v-if="workbench.build"
    :title="bolts.bolt?.name ?? words.title"
    :lead="words.lead"
    :choice="words.title"
    :items="named"
    :item="bolts.bolt?.id"
    @look="bolts.looked = $event"
  >
    <template v-if="bolts.bolt">
      <WaitsFor v-if="missing" :missing="missing" :words="words.waits" />
      <template v-else>
        <p class="answer figure" data-testid="bolt-answer">
          <VerdictMark :verdict="bolts.isOut ? 'out' : 'holds'" :size="18" /> {{ bolts.called }}
        </p>
        <ul class="lines" data-testid="bolt-lines">
          <li v-for="line in bolts.lines" :key="line.text" :class="{ out: line.isOut }">
            {{ line.text }} <MissingWords v-if="line.missing" :missing="line.missing" />
          </li>
        </ul>
        <p class="soft">{{ words.single }}</p>
      </template>
    </template>
    <p v-else>{{ words.none }}</p>
    <UButton
      class="add"
      :variant="bolts.bolt ? 'outline' : 'solid'"
      icon="i-lucide-plus"
      @click="bolts.add()"
      >{{ words.add }}</UButton
    >
    <template v-if="bolts.bolt" #side>
      <BoltFields :bolt="bolts.bolt" />
      <RemoveButton is-worded :label="words.remove(bolts.bolt.name)" @click="bolts.remove()" />
    </template>
  </MadePage>
</template>

<style scoped>
.answer {
  display: flex;
  gap: 10px;
  align-items: baseline;
  font-size: 1.75rem;
}
.lines {
  list-style: disc;
  padding-left: 20px;
  line-height: 1.6;
}
</style>
