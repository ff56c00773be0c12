<template>
  <main id="main" class="page">
    <h1>There is nothing at this address</h1>
    <p><RouterLink to="/">Back to the bench</RouterLink></p>
  </main>
</template>
