<script setup lang="ts">
import type { NuxtError } from '#app'

/** An address at which there is no page, or a page that broke off. It stands by itself: whatever broke is not in it. */
const { error } = defineProps<{ error: NuxtError }>()

useScheme()
const isUnknown = computed(() => (error.statusCode ?? 500) === 404)
const address = computed(() => window.location.pathname)
useHead({ title: () => `${isUnknown.value ? 'No page here' : 'Broken off'} · Pike Lamp` })
</script>

<template>
  <main class="mx-auto flex max-w-2xl flex-col items-start gap-4 p-6 md:p-12" data-testid="error-page">
    <LampLogo />
    <template v-if="isUnknown">
      <h1 class="text-3xl">There is no page here</h1>
      <p class="max-w-full">
        Nothing has the address <span class="number break-all">{{ address }}</span>. A visit is found from the Day, a
        machine from Pumps.
      </p>
    </template>
    <template v-else>
      <h1 class="text-3xl">The page broke off</h1>
      <p>
        Every line that was kept, here or at the shop, stays. Load the page again; if it breaks off again, go to the Day
        and open the visit from there.
      </p>
      <p class="text-slate break-words max-w-full">{{ error.message }}</p>
    </template>
    <div class="flex flex-wrap gap-3">
      <button v-if="!isUnknown" type="button" class="button button-lit" @click="reloadNuxtApp({ force: true })">
        Load it again
      </button>
      <button type="button" class="button" :class="{ 'button-lit': isUnknown }" @click="clearError({ redirect: '/' })">
        To the Day
      </button>
      <button v-if="isUnknown" type="button" class="button" @click="clearError({ redirect: '/pumps' })">
        To Pumps
      </button>
    </div>
  </main>
</template>
