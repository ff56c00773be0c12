<script setup lang="ts">
import ActButton from '@/components/ActButton.vue'
defineOptions({ inheritAttrs: false })

function again(): void {
  window.location.reload()
}
</script>

<template>
  <p role="alert">This step could not be fetched: the bench does not answer. Start it again; what you typed is kept.</p>
  <ActButton @click="again">Try again</ActButton>
</template>
