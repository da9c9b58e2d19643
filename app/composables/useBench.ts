import { computed, onBeforeUnmount, ref, shallowRef, watch } from 'vue'
import type { Asked } from '#core/diagnosis/finding'
import { motorHas } from '#core/diagnosis/model'
import { benchViewOf, type BenchNeeds } from '#core/knowledge/electrical/bench-views'
import { placesFor } from '#core/virtual/bench/places'
import type { OnBench } from '#core/practice/acting'
import { putLead, takeOff, turnDial, type Lead } from '#core/virtual/bench/leads'
import type { Dial } from '#core/virtual/bench/meter'
import { usePractice } from '~/stores/practice'

/** A figure is steady once it has stood for so many looks, so far apart, milliseconds. */
const LOOKS = 3
const BETWEEN = 260

/** The bench of the open try: where the leads are, how the dial stands, and what the display shows. */
export function useBench(lit: () => Asked | undefined) {
  const practice = usePractice()
  const machine = computed(() => practice.state?.machine)
  const view = computed(() => benchViewOf(practice.practice?.pump.kind ?? 'pool'))
  const isThere = (needs: readonly BenchNeeds[] = []) =>
    needs.every((each) => {
      const now = machine.value
      if (!now) return false
      if (each === 'pulled') return practice.state?.hands.pulled === true
      if (each === 'protector') return now.motorType !== 'electronic'
      return motorHas(now.motorType, each)
    })
  const terminals = computed(() => view.value.terminals.filter(({ needs }) => isThere(needs)))
  const symbols = computed(() => view.value.symbols.filter(({ needs }) => isThere(needs)))
  const wires = computed(() => view.value.wires.filter(({ needs }) => isThere(needs)))
  const isClamp = computed(() => practice.probing.dial === 'amps')
  const placeOf = (id: string | undefined) =>
    terminals.value.find(({ node }) => node === id) ?? view.value.jaws.find((jaw) => jaw.id === id)
  /** Where the lit check is read, while the whole lamp is on. */
  const litPlaces = computed(() => {
    const asked = practice.state?.lamp === 'on' ? lit() : undefined
    return asked && machine.value ? placesFor(asked, machine.value) : undefined
  })

  const setDial = (dial: Dial) => {
    practice.probing = turnDial(practice.probing, dial)
  }
  const put = (place: string, lead?: Lead) => {
    practice.probing = putLead(practice.probing, place, lead)
  }
  const takeLeadOff = (lead: Lead) => {
    practice.probing = takeOff(practice.probing, lead)
  }
  function togglePeak(): void {
    practice.probing = { ...practice.probing, peak: !practice.probing.peak }
  }

  /** What the display shows, and for how many looks it has stood. */
  const display = shallowRef<OnBench>()
  const stood = ref(0)
  let looking: ReturnType<typeof setTimeout> | undefined
  /** What the display hangs on: the same until somebody touches something. */
  const touched = computed(() => {
    const { hands, cured = [], broken = [] } = practice.state ?? {}
    return JSON.stringify([
      practice.tryId,
      practice.probing,
      hands && { ...hands, parted: [...hands.parted] },
      cured,
      broken,
    ])
  })
  watch(
    touched,
    () => {
      clearTimeout(looking)
      stood.value = 0
      display.value = practice.benchNow()
      const is = display.value?.shows.is
      if (is === undefined || is === 'nothing' || practice.state?.ended) return
      if (is === 'harm') practice.takeFromBench()
      else look()
    },
    { immediate: true },
  )
  function look(): void {
    looking = setTimeout(() => {
      stood.value++
      if (stood.value < LOOKS) look()
      else practice.takeFromBench(lit())
    }, BETWEEN)
  }
  onBeforeUnmount(() => clearTimeout(looking))

  return {
    practice,
    view,
    terminals,
    symbols,
    wires,
    isClamp,
    placeOf,
    litPlaces,
    setDial,
    put,
    takeLeadOff,
    togglePeak,
    display,
    stood,
    looks: LOOKS,
  }
}
