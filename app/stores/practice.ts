import { defineStore } from 'pinia'
import { v7 as uuidv7 } from 'uuid'
import { computed, ref, shallowRef, toRaw } from 'vue'
import type { Asked } from '#core/diagnosis/finding'
import {
  byHand,
  closedByPlan,
  isPlainStep,
  onBench,
  part,
  probe,
  stepMinutes,
  turnControl,
  writing,
  type OnBench,
} from '#core/practice/acting'
import { readCode } from '#core/knowledge/practice/case-code'
import { foldTry, type TryState } from '#core/practice/fold-try'
import { openingOf } from '#core/practice/opening'
import { findingOf } from '#core/practice/readings'
import { practiceOf, type PracticeCase } from '#core/practice/practice-case'
import { instantAfter, practiceNow, type Running } from '#core/practice/practice-clock'
import type { LampHelp } from '#core/knowledge/practice/lamp-help'
import { actsOf, draft, type PracticeShop, type TryDraft, type TryLine } from '#core/practice/try'
import type { Parted } from '#core/virtual/bench/hands'
import type { Probing } from '#core/virtual/bench/meter'
import type { Entry, EntryBodies, EntryKind } from '#core/visit/entry'
import { lineOf } from '#core/visit/line-subject'
import { UNNAMED_SHOP } from '#core/visit/shop'
import { useLooker } from '~/composables/useLooker'
import { useWriter } from '~/composables/useWriter'
import { PracticeStore } from '~/utils/practice-store'
import { writeLine } from '~/utils/write-line'
import type { OfferedReading, OtherBook } from './visit'

const store = new PracticeStore()
const channel = typeof BroadcastChannel === 'undefined' ? undefined : new BroadcastChannel('pike-lamp.practice')

/** The try that is open: its own journal, its clock, and the machine as it physically is by now. */
export const usePractice = defineStore('practice', () => {
  const writer = useWriter()
  const tryId = ref<string>()
  const lines = shallowRef<readonly TryLine[]>([])
  const practice = shallowRef<PracticeCase>()
  const problem = ref<string>()
  /** Nothing of it is kept on this device: it is gone with the page. */
  const isUnkept = ref(false)
  /** By the device's clock, since when time has run on from the last line; undefined while it is held. */
  const since = ref<number>()
  const isHeld = ref(false)
  const offered = shallowRef<OfferedReading>()
  const probing = ref<Probing>({ dial: 'off' })
  /** What was refused last, in a sentence. */
  const refused = ref<string>()

  const state = computed<TryState | undefined>(() => practice.value && foldTry(practice.value, lines.value))
  const lastAt = computed(() => lines.value.at(-1)?.at ?? 0)
  const running = computed(() => ({ since: isHeld.value || state.value?.ended ? undefined : since.value }))
  /** The instant by the clock of practice. */
  const clockAt = (now: number): number => practiceNow(lastAt.value, running.value, now)

  function add(drafts: readonly TryDraft[]): TryLine[] {
    const now = Date.now()
    let at = lastAt.value
    let from: Running = running.value
    const fresh = drafts.map(({ act, body, minutes }): TryLine => {
      at = instantAfter(at, from, now, minutes)
      from = {}
      return { id: uuidv7(), at, act, body } as TryLine
    })
    keep(fresh)
    return fresh
  }

  function keep(fresh: readonly TryLine[]): void {
    const id = tryId.value
    if (!id || fresh.length === 0) return
    lines.value = [...lines.value, ...fresh]
    since.value = Date.now()
    void store.add(fresh.map((line) => ({ ...line, tryId: id }))).then((isKept) => {
      isUnkept.value = !isKept
    })
    channel?.postMessage({ tryId: id, lines: fresh })
  }
  // The same try in another tab: what is done there is done here.
  if (channel)
    channel.onmessage = ({ data }: MessageEvent<{ tryId: string; lines: TryLine[] }>) => {
      if (data.tryId !== tryId.value) return
      const known = new Set(lines.value.map(({ id }) => id))
      lines.value = [...lines.value, ...data.lines.filter(({ id }) => !known.has(id))]
      since.value = Date.now()
    }

  function reset(id: string): void {
    tryId.value = id
    lines.value = []
    practice.value = offered.value = refused.value = problem.value = undefined
    probing.value = { dial: 'off' }
    isHeld.value = false
    since.value = undefined
  }

  /** Comes to a machine with something wrong with it. @returns the id of the try */
  async function begin(code: string, lamp: LampHelp, shop: PracticeShop = UNNAMED_SHOP): Promise<string> {
    const read = readCode(code)
    if (!read) throw new RangeError(`${code} is no case`)
    const of = await useLooker().draw(read)
    const drawn = practiceOf(of)
    const number = Math.max(0, ...actsOf(await store.all(), 'begun').map(({ body }) => body.number)) + 1
    const id = uuidv7()
    reset(id)
    practice.value = drawn
    const start = new Date()
    const { name, place, units, numbers, rates, schools } = shop
    const own: PracticeShop = { name, place, units, numbers, rates, schools }
    const line = (act: TryLine['act'], body: object): TryLine =>
      ({ id: uuidv7(), at: start.getTime(), act, body }) as TryLine
    const { opened, call } = openingOf(drawn, id, start.toISOString())
    const nobodys = { visitId: id, ...writer.value }
    keep([
      line('begun', { of, number, lamp, author: writer.value.author, shop: structuredClone(toRaw(own)) }),
      line('wrote', { entry: writeLine({ ...nobodys, lamport: 1 }, 'visit-opened', opened, start) }),
      line('wrote', { entry: writeLine({ ...nobodys, lamport: 2 }, 'call', call, start) }),
    ])
    return id
  }

  /** The lines of a try that this device keeps, the oldest first. */
  async function linesOf(id: string): Promise<TryLine[]> {
    return (await store.linesOf(id)).sort((a, b) => a.at - b.at || (a.id < b.id ? -1 : 1))
  }

  async function open(id: string): Promise<void> {
    if (tryId.value === id && practice.value) return
    reset(id)
    const kept = await linesOf(id)
    if (tryId.value !== id) return
    const of = actsOf(kept, 'begun')[0]?.body.of
    if (!of) {
      problem.value = 'There is no such try on this device.'
      return
    }
    practice.value = practiceOf(of)
    lines.value = kept
    since.value = Date.now()
  }

  /** Instant and consequences of a line of the visit that is about to be written. */
  function instantOf<K extends EntryKind>(kind: K, body: EntryBodies[K]): Date {
    const minutes = isPlainStep(kind, body)
      ? stepMinutes(body as EntryBodies['step'])
      : state.value
        ? writing(state.value, kind, body).minutes
        : 0
    return new Date(instantAfter(lastAt.value, running.value, Date.now(), minutes))
  }

  /** Keeps a line of the visit in the try's own journal. @returns lines that follow from it, to be written too */
  function keepEntry(entry: Entry): { gate?: EntryBodies['gate'] } {
    // A body may be a form that is watched: what is kept is what it says now.
    const said = JSON.parse(JSON.stringify(entry)) as Entry
    const line = { id: uuidv7(), at: Date.parse(entry.at), act: 'wrote', body: { entry: said } } as TryLine
    // What hangs on nothing is worked out for nothing: a repair has fifty such lines.
    if (isPlainStep(entry.kind, entry.body)) {
      keep([line])
      return {}
    }
    const after = state.value ? writing(state.value, entry.kind, entry.body as never).after : []
    keep([line])
    add(after)
    const isBack = entry.kind === 'step' || (entry.kind === 'joint-done' && entry.body.joint === 'repair')
    const closed = isBack && state.value ? closedByPlan(state.value) : undefined
    return closed ? { gate: { gate: closed, shut: false } } : {}
  }

  /** A check by eyes, ears, hands or gauge: what it showed is offered. */
  function doByHand(question: Asked): void {
    if (!state.value || !practice.value) return
    const acted = byHand(practice.value, state.value, question)
    refused.value = acted.refused
    offer(add(acted.drafts ?? []), 'by hand')
  }

  function benchNow(): OnBench | undefined {
    return state.value && practice.value ? onBench(practice.value, state.value, probing.value) : undefined
  }

  /** The figure on the bench stands: it costs its minutes, and what it is a reading of is offered. */
  function takeFromBench(lit?: Asked): void {
    if (!state.value || !practice.value) return
    refused.value = undefined
    offer(add(probe(practice.value, state.value, probing.value, lit)), 'the bench meter')
  }

  function offer(fresh: readonly TryLine[], from: string): void {
    const read = actsOf(fresh, 'read').at(-1)
    if (!read) {
      if (fresh.length > 0) offered.value = undefined
      return
    }
    const { low, high } = read.body
    const finding = findingOf(read.body)
    offered.value = {
      finding,
      text: lineOf(finding, { value: finding.value, outcome: finding.outcome }),
      source: low !== undefined && high !== undefined ? `${from}, steady` : from,
    }
  }

  function setAsked(asked: boolean): void {
    if (state.value) add(turnControl(state.value, asked))
  }
  function setApart(what: Parted, apart: boolean): void {
    if (!state.value) return
    const acted = part(state.value, what, apart)
    refused.value = acted.refused
    add(acted.drafts ?? [])
  }
  const wait = (minutes: number) => add([draft('waited', { minutes }, minutes)])
  const setLamp = (is: LampHelp) => add([draft('lamp', { is })])
  const hint = (check: string, shown: boolean) => add([draft('hint', { check, shown })])
  const end = (how: 'handed-over' | 'given-up') => add([draft('ended', { how })])
  function hold(held: boolean): void {
    // What has gone by until now stays gone by.
    if (held && !isHeld.value) wait((clockAt(Date.now()) - lastAt.value) / 60_000)
    isHeld.value = held
    since.value = Date.now()
  }

  const book: OtherBook = {
    clockAt,
    instantOf,
    keep: keepEntry,
    help: () => state.value?.lamp ?? 'on',
    offered: () => offered.value,
    settle: () => {
      offered.value = undefined
    },
    refuse: (why) => {
      refused.value = why
    },
  }

  return {
    tryId,
    lines,
    practice,
    state,
    problem,
    isUnkept,
    isHeld,
    offered,
    probing,
    refused,
    clockAt,
    begin,
    open,
    /** Where the lines of its visit are kept. */
    book,
    doByHand,
    benchNow,
    takeFromBench,
    setAsked,
    setApart,
    wait,
    setLamp,
    hint,
    end,
    hold,
    linesOf,
    /** Every try that this device keeps. */
    kept: () => store.all(),
    drop: (id: string) => store.drop(id),
  }
})
