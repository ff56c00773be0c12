<script setup lang="ts">
defineOptions({ inheritAttrs: false })

function again(): void {
  window.location.reload()
}
</script>

<template>
  <p role="alert">This step could not be fetched: the bench does not answer. Start it again; what you typed is kept.</p>
  <a-button @click="again">Try again</a-button>
</template>
