<script setup lang="ts">
import { RadioGroup, RadioGroupOption } from '@headlessui/vue'
import { Circle, FileAudio, Square } from '@lucide/vue'
import { BEARING_INSIDES } from '#core/knowledge/mechanical/bearing-insides'
import { outcomeVerdict, type Check } from '#core/knowledge/checks/checks'
import { turningOf } from '#core/sound/turning'
import { RECORDING_LIMITS, type BearingVerdict, type WaterVerdict } from '#core/sound/verdicts'
import { bearingWords, REASON_WORDS, waterWords } from '#core/sound/words'
import type { EntryBodies } from '#core/visit/entry'
import { bearingsNamed } from '#core/visit/new-parts'
import { recordedDrafts } from '#core/visit/recorded'
import { usePhotos } from '~/stores/photos'
import type { Listened } from '~/workers/sound.worker'

/** Ten seconds of the machine, by microphone or from a file: what they hold, beside earlier ones, kept when wished. */
const { stage } = defineProps<{ stage: EntryBodies['finding']['stage'] }>()
type Side = EntryBodies['recording']['side']
const { visit, state } = useVisitContext()
const photos = usePhotos()
const recorder = useRecorder()
const SECONDS = 10
const SIDES = { motor: 'the motor', pump: 'the wet end' } as const
const NUMBERS = Object.keys(BEARING_INSIDES)

const side = ref<Side>('motor')
/** What its tones are looked for with: the plate's, and the number that was written down for its bearings. */
const turning = computed(() => turningOf(state.value.plate))
const rpm = ref<number>()
const vanes = ref<number>()
function knownNumber(): string {
  const last = state.value.recordings.at(-1)?.bearing
  const fitted = [...(state.value.machine.fitted ?? []), ...state.value.fitted].findLast(
    ({ part, identity }) => part === 'bearings' && identity,
  )
  const number = last ?? bearingsNamed(fitted?.identity ?? '')[0]?.number
  return number && NUMBERS.includes(number) ? number : ''
}
const bearing = ref(knownNumber())

const file = shallowRef<{ bytes: Uint8Array<ArrayBuffer>; name: string; url: string }>()
const listened = shallowRef<Extract<Listened, { heard: unknown }>>()
const problem = ref<string>()
const isListening = ref(false)
/** The hash of what is shown, where it is kept already. */
const kept = ref<string>()
let asked = 0

const listening = computed(() => ({
  rpm: rpm.value || turning.value.rpm,
  mainsHertz: turning.value.mainsHertz,
  ...(bearing.value ? { bearing: bearing.value } : {}),
  ...(vanes.value ? { vanes: vanes.value } : {}),
}))
watch(listening, () => {
  if (file.value && !kept.value) void listen()
})

async function listen(): Promise<void> {
  if (!file.value) return
  const own = ++asked
  isListening.value = true
  const found = await useListener().listen(file.value.bytes, { ...listening.value })
  if (own !== asked) return
  isListening.value = false
  problem.value = 'problem' in found ? found.problem : undefined
  listened.value = 'problem' in found ? undefined : found
}
function take(bytes: Uint8Array<ArrayBuffer>, name: string, hash?: string): void {
  drop()
  kept.value = hash
  file.value = { bytes, name, url: URL.createObjectURL(new Blob([bytes], { type: 'audio/wav' })) }
  void listen()
}
function drop(): void {
  asked++
  if (file.value) URL.revokeObjectURL(file.value.url)
  file.value = listened.value = problem.value = kept.value = undefined
  isListening.value = false
}
onBeforeUnmount(drop)

async function record(): Promise<void> {
  if (recorder.isRecording.value) return recorder.stop()
  const recording = await recorder.record(SECONDS)
  if (recording && recording.values.length > 0)
    take(await useListener().wavOf(recording), `recorded at ${SIDES[side.value]}`)
}
const input = useTemplateRef<HTMLInputElement>('input')
const next = useTemplateRef<HTMLButtonElement>('next')
const isOver = ref(false)
async function taken(files: FileList | null | undefined): Promise<void> {
  const first = files?.[0]
  isOver.value = false
  if (!first) return
  if (first.size > RECORDING_LIMITS.mostBytes) {
    drop()
    problem.value = `${first.name} is larger than ${RECORDING_LIMITS.mostBytes / 1e6} MB: ten seconds are enough.`
    return
  }
  take(new Uint8Array(await first.arrayBuffer()), first.name.slice(0, 200))
  if (input.value) input.value.value = ''
}

async function keep(): Promise<void> {
  const [found, own] = [listened.value, file.value]
  if (!found || !own || kept.value) return
  const stored = await photos.keep(new Blob([found.wav], { type: 'audio/wav' }))
  const body = { ...stored, name: own.name, seconds: found.seconds, side: side.value, ...listening.value }
  visit.appendSaid(recordedDrafts({ ...body, heard: found.heard }, stage), 'recorded')
  kept.value = stored.hash
  await nextTick()
  next.value?.focus()
}
/** One of this visit is listened to once more. */
async function again({ hash, name, ...body }: EntryBodies['recording']): Promise<void> {
  const answer = await fetch(photos.urlOf(hash)).catch(() => undefined)
  if (!answer?.ok) {
    drop()
    problem.value = 'This recording is at the shop, and there is no way to it just now.'
    return
  }
  side.value = body.side
  rpm.value = body.rpm
  bearing.value = body.bearing ?? ''
  vanes.value = body.vanes
  await nextTick()
  take(new Uint8Array(await answer.arrayBuffer()), name, hash)
}

/** As the checks judge it; where nothing can be told there is nothing to judge. */
const markOf = (check: Check, is: string) => outcomeVerdict(check, is) ?? 'unclear'
const BEARING_HEADS: Readonly<Record<BearingVerdict['is'], string>> = {
  'cannot-tell': 'Bearings: cannot tell',
  'no-blows': 'Bearings: no blows',
  blows: 'Bearings: blows',
}
const WATER_HEADS: Readonly<Record<WaterVerdict['is'], string>> = {
  'cannot-tell': 'Water: cannot tell',
  steady: 'Water: even',
  crackle: 'Water: crackles',
  gulps: 'Water: gulps',
}
const verdicts = computed(() => {
  const heard = listened.value?.heard
  return heard
    ? [
        {
          mark: markOf('bearing-sound', heard.bearing.is),
          head: BEARING_HEADS[heard.bearing.is],
          why: bearingWords(heard.bearing),
        },
        {
          mark: markOf('water-sound', heard.water.is),
          head: WATER_HEADS[heard.water.is],
          why: waterWords(heard.water),
        },
      ]
    : []
})
/** What speaks against the recording and was not said with a verdict. */
const doubts = computed(
  () =>
    listened.value?.heard.doubts
      .map((doubt) => REASON_WORDS[doubt])
      .filter((words) => !verdicts.value.some(({ why }) => why === words)) ?? [],
)
const others = computed(() => state.value.recordings.filter(({ hash }) => hash !== kept.value))
</script>

<template>
  <section
    aria-label="sound"
    class="mt-3"
    data-testid="sound-view"
    @dragover.prevent="isOver = true"
    @dragleave.self="isOver = false"
    @drop.prevent="taken($event.dataTransfer?.files)"
  >
    <p class="mb-3 text-[0.95rem] text-slate">
      Running, guards on, sleeves and cord clear of the shaft. Hold the telephone still against it for ten seconds; no
      talking.
    </p>
    <div class="flex flex-wrap items-end gap-x-4 gap-y-3">
      <RadioGroup v-model="side" :disabled="kept !== undefined" aria-label="where it is held">
        <span class="label">held to</span>
        <span class="flex gap-2"
          ><RadioGroupOption v-for="(label, id) in SIDES" :key="id" v-slot="{ checked }" :value="id" as="template"
            ><button type="button" class="toggle" :aria-checked="checked" :data-testid="`side-${id}`">
              {{ label }}
            </button></RadioGroupOption
          ></span
        >
      </RadioGroup>
      <label class="w-36"
        ><span class="label">bearing</span
        ><select v-model="bearing" class="field" data-testid="sound-bearing" :disabled="kept !== undefined">
          <option value="">not known</option>
          <option v-for="number in NUMBERS" :key="number" :value="number">{{ number }}</option>
        </select></label
      >
      <label class="w-28"
        ><span class="label">turns a minute</span
        ><input
          v-model.number="rpm"
          type="number"
          min="100"
          max="20000"
          class="field number"
          :placeholder="String(turning.rpm)"
          :disabled="kept !== undefined"
      /></label>
      <label class="w-24"
        ><span class="label">vanes</span
        ><input
          v-model.number="vanes"
          type="number"
          min="1"
          max="40"
          class="field number"
          placeholder="?"
          :disabled="kept !== undefined"
      /></label>
    </div>
    <div class="mt-4 flex flex-wrap items-center gap-3">
      <button
        type="button"
        class="button"
        data-testid="record"
        :aria-pressed="recorder.isRecording.value"
        @click="record"
      >
        <Square v-if="recorder.isRecording.value" :size="18" aria-hidden="true" /><Circle
          v-else
          :size="18"
          aria-hidden="true"
        />{{ recorder.isRecording.value ? 'Stop' : `Record ${SECONDS} seconds` }}
      </button>
      <button
        type="button"
        class="button"
        :class="{ 'border-dashed': isOver }"
        data-testid="take-wav"
        @click="input?.click()"
      >
        <FileAudio :size="18" aria-hidden="true" />Take a WAV file
      </button>
      <input
        ref="input"
        type="file"
        accept="audio/wav,audio/x-wav,.wav"
        class="sr-only"
        tabindex="-1"
        aria-label="a recording"
        data-testid="wav-input"
        @change="taken(input?.files)"
      />
      <span v-if="recorder.isRecording.value" class="flex min-w-48 flex-1 items-center gap-3" role="status">
        <span class="number">{{ recorder.seconds.value.toFixed(0) }} of {{ SECONDS }} s</span>
        <span class="h-3 flex-1 border border-rule" aria-hidden="true"
          ><span
            class="block h-full bg-river"
            :style="{ width: `${Math.min(100, 100 * Math.sqrt(recorder.level.value))}%` }"
        /></span>
      </span>
    </div>
    <p v-if="recorder.trouble.value ?? problem" role="alert" class="mt-3 border-l-4 border-rust pl-3">
      {{ recorder.trouble.value ?? problem }}
    </p>
    <p v-if="isListening" class="mt-3 text-slate" role="status">Listening</p>
    <article v-if="file && listened" class="mt-4 border-t border-ink pt-3" data-testid="listened">
      <div v-for="verdict in verdicts" :key="verdict.head" class="mb-2 flex items-start gap-3">
        <StateMark :verdict="verdict.mark" class="mt-0.5" />
        <p class="min-w-0">
          <strong class="block text-lg leading-snug">{{ verdict.head }}</strong>{{ verdict.why }}
        </p>
      </div>
      <p v-for="doubt in doubts" :key="doubt" class="mb-2 text-slate">{{ doubt }}</p>
      <audio :src="file.url" controls class="my-2 h-12 w-full" :aria-label="file.name" />
      <div class="my-3 flex flex-wrap items-center gap-3">
        <template v-if="!kept"
          ><button type="button" class="button" data-testid="keep-recording" @click="keep">Keep it in this visit</button
          ><button type="button" class="button button-quiet" @click="drop">Drop it</button></template
        ><template v-else
          ><span>Kept in this visit.</span
          ><button ref="next" type="button" class="button" data-testid="next-recording" @click="drop">
            Another one
          </button></template
        >
      </div>
      <SoundLevels :levels="listened.heard" :side="side" :hash="kept" />
      <h3 class="mt-4 text-base">Loudness over {{ listened.seconds.toFixed(1) }} s</h3>
      <SoundChart
        :points="listened.picture.time"
        ruler="seconds"
        unit="s"
        :height="110"
        label="how loud it is from moment to moment"
      />
      <h3 class="mt-2 text-base">Its tones</h3>
      <SoundChart
        :points="listened.picture.tones.points"
        :lines="listened.picture.tones.lines"
        ruler="ratios"
        unit="Hz"
        label="its tones, from low to high"
      />
      <template v-if="listened.picture.beat">
        <h3 class="mt-2 text-base">
          The beat of what rings between {{ listened.picture.beat.band[0] }} and {{ listened.picture.beat.band[1] }} Hz
        </h3>
        <SoundChart
          :points="listened.picture.beat.points"
          :lines="listened.picture.beat.lines"
          unit="times a second"
          label="how often in a second it rings, and the rates of the bearing"
        />
      </template>
    </article>
    <section v-if="others.length > 0" class="mt-4">
      <h3 class="border-b border-rule text-base">Kept in this visit</h3>
      <ul class="ruled">
        <li v-for="each in others" :key="each.entryId" class="flex items-center justify-between gap-3 py-1">
          <span>{{ each.seconds.toFixed(0) }} s at {{ SIDES[each.side] }}: {{ bearingWords(each.heard.bearing) }}</span
          ><button type="button" class="button" @click="again(each)">Listen again</button>
        </li>
      </ul>
    </section>
  </section>
</template>
