<script setup lang="ts">
import type { AttachmentView } from '@/api/rigs'

export interface AttachedFilesProps {
  files: AttachmentView[]
}
defineProps<AttachedFilesProps>()
</script>

<template>
  <a v-for="file in files" :key="file.id" class="file small" :href="`/api/v1/attachments/${file.id}`" target="_blank" rel="noopener">{{
    file.name
  }}</a>
</template>

<style scoped>
.file {
  margin-left: 0.7rem;
}
</style>
