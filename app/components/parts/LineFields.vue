<script setup lang="ts">
import type { Joint, JointKind, Line, PointMeaning, School } from '~~/core/project/lineSpec'
import type { Draft } from 'immer'
import { texts } from '~/texts/en'
import { useWorkbench } from '~/stores/workbench'

/** School and joints of a line. */
const { line } = defineProps<{ line: Line }>()
const workbench = useWorkbench()
const words = texts.parts.fields
const schools = Object.entries(texts.schools).map(([value, { name }]) => ({ value, label: name }))
const kinds = Object.entries(texts.jointKinds).map(([value, label]) => ({ value, label }))
const meanings = Object.entries(words.meanings).map(([value, label]) => ({ value, label }))
const isEnd = (joint: number) => joint === 0 || joint === line.joints.length - 1

function change(label: string, recipe: (draft: Draft<Line>) => void) {
  workbench.change(label, (draft) => {
    const there = draft.lines.find(({ id }) => id === line.id)
    if (there) recipe(there)
  })
}
/** An emptied field takes its figure out of the file. */
function setOrClear(label: string, key: 'expectedRiseDeg' | 'expectedDropDeg', value: number | undefined) {
  change(label, (draft) => {
    if (value === undefined) Reflect.deleteProperty(draft, key)
    else draft[key] = value
  })
}
function changeJoint(jointId: string, part: Partial<Joint>) {
  change('Change a joint', (draft) => {
    const there = draft.joints.find(({ id }) => id === jointId)
    if (there) Object.assign(there, part)
  })
}
</script>

<template>
  <PartsCard :title="`${texts.parts.line}: ${line.name}`" :note="texts.schools[line.school].aim">
    <UFormField :label="words.school">
      <USelect
        :model-value="line.school"
        :items="schools"
        class="w-full"
        @update:model-value="change('Choose the school', (draft) => void (draft.school = $event as School))"
      />
    </UFormField>
    <UFormField :label="words.schoolReason" class="col-span-full">
      <UInput
        :model-value="line.schoolReason ?? ''"
        class="w-full"
        maxlength="500"
        @change="
          change(
            'Say why this school',
            (draft) => void (draft.schoolReason = ($event.target as HTMLInputElement).value),
          )
        "
      />
    </UFormField>
    <FigureField
      :label="words.rise"
      unit="°"
      :least="-15"
      :most="15"
      :help="words.riseHelp"
      :value="line.expectedRiseDeg"
      @change="setOrClear('Set the expected rise', 'expectedRiseDeg', $event)"
    />
    <FigureField
      v-if="line.expectedRiseDeg"
      :label="words.drop"
      unit="°"
      :least="-15"
      :most="15"
      :help="words.dropHelp"
      :value="line.expectedDropDeg"
      @change="setOrClear('Set the drop on overrun', 'expectedDropDeg', $event)"
    />
  </PartsCard>
  <PartsCard
    v-for="(joint, i) in line.joints"
    :key="joint.id"
    :data-at="`${line.id}/joint/${i}`"
    :title="`${words.joint} ${i + 1}`"
  >
    <UFormField :label="words.kind">
      <USelect
        :model-value="joint.kind"
        :items="kinds"
        class="w-full"
        @update:model-value="changeJoint(joint.id, { kind: $event as JointKind })"
      />
    </UFormField>
    <UFormField v-if="isEnd(i)" :label="words.pointIs">
      <USelect
        :model-value="joint.pointIs ?? 'centre'"
        :items="meanings"
        class="w-full"
        @update:model-value="changeJoint(joint.id, { pointIs: $event as PointMeaning })"
      />
    </UFormField>
    <FigureField
      :label="words.limit"
      unit="°"
      :most="90"
      :value="joint.limitDeg"
      :help="words.limitHelp"
      @change="changeJoint(joint.id, { limitDeg: $event })"
    />
    <UCheckbox
      v-if="joint.kind === 'flex-disc'"
      :model-value="joint.centringPilot === true"
      :label="words.pilot"
      @update:model-value="changeJoint(joint.id, { centringPilot: $event === true })"
    />
  </PartsCard>
</template>
