<script setup lang="ts">
import { format } from 'date-fns'
import { formatMinutes } from '#core/quantity/format'
import { sectionsOf } from '#core/takedown/sections'
import { PHASE_LABELS } from '~/utils/phase-labels'

const emit = defineEmits<{ part: [part: string]; photo: [caption: string] }>()
const { steps, current, plan, downtime, canSpare, tick } = useRepair()
const phases = computed(() => sectionsOf(steps.value))
const answerOf = ({ asks, record }: (typeof steps.value)[number]) =>
  asks?.find(({ id }) => id === record?.answer)?.label.toLowerCase() ?? record?.answer
const list = useTemplateRef<HTMLElement>('list')
watch(
  () => current.value?.id,
  async () => {
    await nextTick()
    const [box, step] = [list.value, list.value?.querySelector('[aria-current="step"]')]
    // Only the list itself is moved: on a phone the page stays at the lamp.
    if (!box || !step || box.scrollHeight <= box.clientHeight) return
    const [frame, place] = [box.getBoundingClientRect(), step.getBoundingClientRect()]
    if (place.top < frame.top) box.scrollTop -= frame.top - place.top
    else if (place.bottom > frame.bottom) box.scrollTop += place.bottom - frame.bottom
  },
)
</script>

<template>
  <div class="repair px-5 pt-3 pb-4">
    <p v-if="!plan" class="py-4">
      No repair is chosen yet.
      <NuxtLink class="underline" :to="{ params: { joint: 'decide' } }">Decide first.</NuxtLink>
    </p>
    <DowntimeNote v-if="plan && downtime.urgent" :downtime="downtime" :spare="canSpare" />
    <ExplodedView v-if="plan && plan.assemblies.length > 0" @part="(part) => emit('part', part)" />
    <PumpCutaway v-else compact :lit="current?.part" @part="(part) => emit('part', part)" />
    <RepairAhead />
    <NewParts :lit="current?.id" @photo="(caption) => emit('photo', caption)" />
    <UsedParts />
    <div ref="list" class="steps">
      <section v-for="(group, at) in phases" :key="at" :aria-label="PHASE_LABELS[group.phase]">
        <h2 class="mt-3 border-b border-rule text-base">{{ PHASE_LABELS[group.phase] }}</h2>
        <ol class="ruled">
          <li
            v-for="step in group.steps"
            :key="step.id"
            class="grid grid-cols-[2rem_minmax(0,1fr)_auto] items-center gap-x-3 py-1 sm:grid-cols-[2rem_minmax(0,1fr)_minmax(0,9rem)_auto]"
            :aria-current="step.id === current?.id ? 'step' : undefined"
            :class="{ 'font-bold': step.id === current?.id, 'text-slate': step.record?.done }"
            :data-testid="`step-${step.id}`"
          >
            <span class="number text-right">{{ step.number }}</span>
            <span
              >{{ step.title
              }}<span v-if="step.id === current?.id && step.how" class="block font-normal">{{ step.how }}</span
              ><span v-if="step.record?.count !== undefined" class="number"> · {{ step.record.count }}</span
              ><span v-if="step.record?.answer"> · {{ answerOf(step) }}</span
              ><span v-if="step.record?.reason" class="block text-[0.9rem]">{{ step.record.reason }}</span></span
            >
            <span class="text-[0.9rem] font-normal text-slate max-sm:hidden"
              >{{ step.tool }}<span v-if="step.bench" class="block">at the bench</span></span
            >
            <span class="flex items-center gap-2"
              ><span class="number text-[0.9rem]">{{
                step.record?.done ? format(new Date(step.record.at), 'HH:mm') : formatMinutes(step.minutes)
              }}</span>
              <button
                v-if="step.record?.done"
                type="button"
                class="button button-quiet"
                :aria-label="`undo step ${step.number}`"
                @click="tick(step.id, false)"
              >
                undo
              </button>
            </span>
          </li>
        </ol>
      </section>
    </div>
  </div>
</template>

<style scoped>
/* The drawing stays; the steps run under it. */
@media (min-width: 901px) {
  .repair {
    display: flex;
    flex-direction: column;
    height: 100%;
  }
  /* The drawing keeps its height: where more is open than fits, the page runs. */
  .repair > * {
    flex-shrink: 0;
  }
  .steps {
    flex: 1;
    min-height: 12rem;
    overflow-y: auto;
  }
}
</style>
