<script setup lang="ts">
import { texts } from '~/texts/en'
import { useWorkbench } from '~/stores/workbench'

const workbench = useWorkbench()
</script>

<template>
  <div v-if="workbench.build" class="parts">
    <h1>{{ texts.parts.title }}</h1>
    <p class="soft lead">{{ texts.parts.lead }}</p>
    <div class="columns">
      <div class="column">
        <template v-for="line in workbench.build.lines" :key="line.id">
          <SpeedFields :line="line" />
          <LineFields :line="line" />
        </template>
      </div>
      <div class="column">
        <template v-for="line in workbench.build.lines" :key="line.id">
          <ShaftFields
            v-for="(shaft, i) in line.shafts"
            :key="i"
            :shaft="shaft"
            :line-id="line.id"
            :index="i"
          />
        </template>
      </div>
      <div class="column">
        <BuildCardFields />
        <VehicleFields :build="workbench.build" />
      </div>
    </div>
  </div>
</template>

<style scoped>
.parts {
  padding: 18px 24px 32px;
}
h1 {
  font-size: 1.5rem;
  font-weight: 600;
}
.lead {
  margin: 2px 0 16px;
  max-width: 70ch;
}
.columns {
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 1fr));
  gap: 14px;
  align-items: start;
}
.column {
  display: grid;
  gap: 14px;
}
@media (max-width: 1080px) {
  .columns {
    grid-template-columns: 1fr;
  }
}
@media (max-width: 860px) {
  .parts {
    padding: 14px;
  }
}
</style>
