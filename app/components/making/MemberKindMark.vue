<script setup lang="ts">
import type { MemberKind } from '~~/core/file/kinds/memberKinds'

/** How a crossmember comes from rail to rail, as a small picture. */
defineProps<{ kind: MemberKind }>()
const WAYS: Readonly<Record<MemberKind, string>> = {
  straight: 'M4 22H60M26 20V14H38V20',
  bent: 'M4 22H14L24 12H40L50 22H60',
  folded: 'M4 24H14L24 14H40L50 24H60M4 17H12L22 7H42L52 17H60',
  tube: 'M4 22H14C22 22 20 12 28 12H36C44 12 42 22 50 22H60M4 16H12C19 16 18 6 26 6H38C46 6 45 16 52 16H60',
  coped: 'M10 14A6 6 0 1 1 10 13.9M60 14A6 6 0 1 1 60 13.9M10 11H48M10 17H48',
  old: 'M4 8V14H18V22H46V14H60V8M4 14H12M52 14H60',
  ledges: 'M4 10V22H14M60 10V22H50M10 18H54',
}
</script>

<template>
  <svg viewBox="0 0 64 30" width="64" height="30" aria-hidden="true"><path :d="WAYS[kind]" /></svg>
</template>

<style scoped>
path {
  fill: none;
  stroke: currentColor;
  stroke-width: 2.5;
  stroke-linejoin: round;
}
</style>
