<script setup lang="ts">
import SignaturePad from 'signature_pad'

/** The customer signs on the screen: under this issue of the sheet and no other. */
const { hash, title } = defineProps<{ hash: string; title: string }>()
const emit = defineEmits<{ close: [] }>()
const { visit, state } = useVisitContext()
const { checked } = useEntryRules()
const by = ref(state.value.priceAgreed?.by ?? state.value.customer.name)
const canvas = ref<HTMLCanvasElement>()
const problem = ref('')
let pad: SignaturePad | undefined

/** Points nearer to each other than this say nothing more. */
const NEAR = 2
onMounted(async () => {
  await nextTick()
  const element = canvas.value
  if (!element) return
  // As many points as it is shown with: what is drawn lies where the finger was.
  element.width = element.clientWidth
  element.height = element.clientHeight
  pad = new SignaturePad(element, { penColor: '#14242b', minDistance: NEAR })
})
onBeforeUnmount(() => pad?.off())

const sign = oneAtATime(async () => {
  const element = canvas.value
  problem.value = ''
  if (!pad || !element || pad.isEmpty()) {
    problem.value = 'Nothing is drawn yet.'
    return
  }
  const strokes = pad
    .toData()
    .map(({ points }) => points.flatMap(({ x, y }) => [Math.round(x), Math.round(y)]))
    .filter(({ length }) => length > 0)
  const body = { by: by.value.trim(), hash, width: element.width, height: element.height, strokes }
  const [refused] = Object.entries(await checked('signed', body))
  if (refused) {
    problem.value = refused[0] === 'by' ? 'A name belongs under it.' : `${refused[0]}: ${refused[1]}.`
    return
  }
  visit.append('signed', body)
  emit('close')
})
</script>

<template>
  <SmallDialog :title="`Signed for ${title}`" test="signature-dialog" wide @close="emit('close')">
    <p class="mt-1 text-slate">With a finger, a pen or the mouse. It stands under this issue of the sheet.</p>
    <canvas
      ref="canvas"
      class="mt-3 block h-44 w-full touch-none border-b-2 border-ink bg-[#fffdf7]"
      aria-label="Field to sign in"
      data-testid="signature-field"
    />
    <label class="mt-3 block"
      ><span class="label">Name under it</span
      ><input v-model="by" class="field" maxlength="120" autocomplete="off" data-testid="signature-by"
    /></label>
    <p v-if="problem" role="alert" class="mt-2 font-bold">{{ problem }}</p>
    <div class="mt-4 flex flex-wrap gap-3">
      <button type="button" class="button button-lit" data-testid="signature-keep" @click="sign">Signed</button>
      <button type="button" class="button" @click="pad?.clear()">Clear</button>
      <button type="button" class="button button-quiet" @click="emit('close')">Without</button>
    </div>
  </SmallDialog>
</template>
