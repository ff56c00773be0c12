<template>
  <div class="form-row"><slot /></div>
</template>

<style scoped>
.form-row {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 0.6rem 0.9rem;
  margin: 0.5rem 0;
}
</style>
