<script setup lang="ts" generic="T">
import { useElementVisibility } from '@vueuse/core'
import { useLevers } from '~/stores/levers'

/**
 * Hands its slot a value as it changes. While a lever is in the hand, what is scrolled out of sight keeps the last one: a phone
 * cannot redraw in one frame what nobody looks at.
 */
const { value, tag = 'div' } = defineProps<{ value: T; tag?: string }>()
const levers = useLevers()
const box = useTemplateRef<HTMLElement>('box')
const isSeen = useElementVisibility(box, { initialValue: true, rootMargin: '80px' })
const shown = computed<T>((last) =>
  levers.isHeld && !isSeen.value && last !== undefined ? last : (value as T),
)
</script>

<template>
  <component :is="tag" ref="box"><slot :value="shown" /></component>
</template>
