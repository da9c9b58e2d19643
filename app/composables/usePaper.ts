import { wrap, type Remote } from 'comlink'
import { ofKind } from '#core/visit/of-kind'
import type { PaperName } from '#core/visit/entry'
import { partOf, type VisitPart } from '#core/visit/visit-view'
import { useLive } from '~/stores/live'
import { useOutbox } from '~/stores/outbox'
import { usePhotos } from '~/stores/photos'
import type { PaperPrinter } from '~/workers/paper.worker'

/** As large as the server has pictures on paper, pixels. */
const SIDE_ON_PAPER = 1000

let printer: Remote<PaperPrinter> | undefined
function usePrinter(): Remote<PaperPrinter> {
  printer ??= wrap<PaperPrinter>(
    new Worker(new URL('../workers/paper.worker.ts', import.meta.url), { type: 'module', name: 'paper' }),
  )
  return printer
}

/** Papers of the open visit as PDF: by the shop, or written on this device where the shop lacks lines or is away. */
export function usePaper() {
  const { visit, state } = useVisitContext()
  const [live, outbox, photos] = [useLive(), useOutbox(), usePhotos()]
  const { system } = useUnits()
  const isPrinting = ref(false)
  const problem = ref('')

  /** What the shop hands out goes in its own units; what is read here in those that are read in. */
  const unitsOf = (name: PaperName) => (name === 'sheet' || name === 'record' ? system.value : undefined)
  function pathOf(name: PaperName, issue?: number): string {
    const units = unitsOf(name)
    const asked = new URLSearchParams({
      ...(units ? { units } : {}),
      ...(issue === undefined ? {} : { issue: `${issue}` }),
    })
    return `/api/visits/${state.value.id}/${name}.pdf?${asked.toString()}`
  }

  /** Opens a paper from a link to it: the link goes on by itself where the shop has all that is to stand on it. */
  async function open(event: Event, name: PaperName, issue?: number): Promise<void> {
    if (live.isConnected && outbox.waiting === 0) return
    event.preventDefault()
    if (isPrinting.value) return
    isPrinting.value = true
    problem.value = ''
    try {
      const journey = journeyParts()
      const asked = {
        view: { ...own(), shop: visit.shop, journey },
        pictures: await picturesOf(journey),
        units: unitsOf(name),
        issue,
      }
      const { pdf, date } = await usePrinter().print(name, JSON.parse(JSON.stringify(asked)) as typeof asked)
      const file = new Blob([pdf as BlobPart], { type: 'application/pdf' })
      download(file, `${name}-${date}-${state.value.id.slice(0, 8)}.pdf`)
    } catch (error) {
      problem.value = `It could not be written here. ${(error as Error).message}`
    } finally {
      isPrinting.value = false
    }
  }

  function own(): VisitPart {
    return partOf({ ...visit, visitId: state.value.id, entries: [...visit.entries] })
  }
  function journeyParts(): VisitPart[] {
    const all = new Map([own(), ...visit.others].map((part) => [part.visitId, part]))
    return visit.order.flatMap((id) => all.get(id) ?? [])
  }
  async function picturesOf(parts: readonly VisitPart[]): Promise<Record<string, string>> {
    const hashes = new Set(parts.flatMap(({ entries }) => ofKind(entries, 'photo').map(({ body }) => body.hash)))
    const found: Record<string, string> = {}
    for (const hash of hashes) {
      const picture = await fetch(photos.urlOf(hash))
        .then((response) => (response.ok ? response.blob() : undefined))
        .catch(() => undefined)
      // One that is not on this device costs the paper that one picture, and the paper says so.
      if (picture) found[hash] = await dataUrl(await scaledPicture(picture, SIDE_ON_PAPER))
    }
    return found
  }
  return { pathOf, open, isPrinting, problem }
}

function dataUrl(blob: Blob): Promise<string> {
  return new Promise((done, failed) => {
    const reader = new FileReader()
    reader.onload = () => done(reader.result as string)
    reader.onerror = () => failed(reader.error ?? new Error('The picture cannot be read.'))
    reader.readAsDataURL(blob)
  })
}

function download(blob: Blob, name: string): void {
  const url = URL.createObjectURL(blob)
  const link = document.createElement('a')
  link.href = url
  link.download = name
  link.click()
  // The browser has taken it over once the click is through.
  setTimeout(() => URL.revokeObjectURL(url), 60_000)
}
