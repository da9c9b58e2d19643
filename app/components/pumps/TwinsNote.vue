<script setup lang="ts">
import type { Customer } from '#core/visit/entry'
import type { Twins } from '~/utils/pumps-found'

/** Two records that may be one customer: side by side, what becomes of them, and both answers. */
const { twins } = defineProps<{ twins: Twins }>()
const emit = defineEmits<{ done: [words: string, ids: string[]] }>()
const register = useRegister()
const turned = ref(false)
const into = computed(() => (turned.value ? twins.other : twins.one))
const gone = computed(() => (turned.value ? twins.one : twins.other))
const WHY = { phone: 'one telephone', place: 'one house' } as const
const why = computed(() => twins.because.map((each) => WHY[each]).join(', '))
/** The one that stays, with what only the other one knows. */
const whole = computed((): Customer => ({
  ...into.value,
  place: into.value.place || gone.value.place,
  ...(into.value.phone || gone.value.phone ? { phone: into.value.phone ?? gone.value.phone } : {}),
  ...(into.value.mail || gone.value.mail ? { mail: into.value.mail ?? gone.value.mail } : {}),
}))
async function merge(): Promise<void> {
  const adds = JSON.stringify(whole.value) !== JSON.stringify(into.value)
  const lines = await register.merge('customer', gone.value.id, into.value.id, adds ? whole.value : undefined)
  emit(
    'done',
    `${gone.value.name} is now ${into.value.name}.`,
    lines.map(({ id }) => id),
  )
}
async function keepApart(): Promise<void> {
  const lines = await register.keepApart('customer', [twins.one.id, twins.other.id])
  emit(
    'done',
    `${twins.one.name} and ${twins.other.name} stay two.`,
    lines.map(({ id }) => id),
  )
}
</script>

<template>
  <section class="border-t border-rule p-5" data-testid="twins">
    <div class="flex flex-wrap items-baseline justify-between gap-x-4">
      <h2 class="text-[1.1rem]">Two of one?</h2>
      <span class="text-slate">{{ why }}</span>
    </div>
    <div class="mt-2 grid grid-cols-2 gap-4">
      <p v-for="each in [twins.one, twins.other]" :key="each.id">
        <strong class="block">{{ each.name }}</strong>
        <span class="block text-slate">{{ each.place }}</span>
        <span v-if="each.phone" class="number block">{{ each.phone }}</span>
      </p>
    </div>
    <p class="mt-3 border-l-4 border-ink pl-3">
      <strong>{{ whole.name }}</strong>{{ whole.place ? `, ${whole.place}` : '' }}
      <span class="block text-slate">with the machines and visits of both; undo any day</span>
      <button type="button" class="button button-quiet" @click="turned = !turned">Keep the other name</button>
    </p>
    <div class="mt-3 flex flex-wrap gap-2">
      <button type="button" class="button grow" data-testid="merge" @click="merge">Merge the two</button
      ><button type="button" class="button" data-testid="keep-apart" @click="keepApart">They are two</button>
    </div>
  </section>
</template>
