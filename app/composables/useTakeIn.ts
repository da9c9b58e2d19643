import type { FieldMapping } from '#core/pumps/register-fields'
import type { PlannedLine } from '#core/pumps/register-import'
import { textOf } from '~/utils/file-text'
import { useAuthor } from './useAuthor'

/** What a file of customers and machines holds, and what it would write. */
export interface FileAnswer {
  format: 'csv' | 'vcf'
  heads: string[]
  samples: string[][]
  mapping: FieldMapping
  lines: PlannedLine[]
  counts: Record<PlannedLine['is'], number>
  customers: number
  machines: number
  act?: string
}
/** A file that was taken in before. */
export interface TakenFile {
  act: string
  line: string
  at: string
  lines: number
  standing: number
}

/** Takes a file in: it is looked at first, and written when somebody says so. */
export function useTakeIn() {
  const author = useAuthor()
  const file = shallowRef<{ name: string; text: string }>()
  const answer = shallowRef<FileAnswer>()
  const problem = ref('')
  const busy = ref(false)
  const earlier = shallowRef<TakenFile[]>([])

  async function post<T>(path: string, body: object): Promise<T | undefined> {
    busy.value = true
    problem.value = ''
    try {
      const response = await fetch(path, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ ...body, author: author.value }),
      })
      const said = (await response.json()) as T & { title?: string; problems?: { value: unknown; expected: string }[] }
      if (response.ok) return said
      const [first] = said.problems ?? []
      problem.value = first ? `${String(first.value)}: ${first.expected}` : (said.title ?? response.statusText)
    } catch {
      problem.value = 'The server does not answer: nothing was taken in.'
    } finally {
      busy.value = false
    }
    return undefined
  }

  async function look(mapping?: FieldMapping): Promise<void> {
    if (!file.value) return
    const asked = file.value
    const said = await post<FileAnswer>('/api/register/import', {
      ...asked,
      ...(mapping ? { mapping } : {}),
      write: false,
    })
    if (file.value === asked) answer.value = said ?? (mapping ? answer.value : undefined)
  }
  async function choose(chosen: File): Promise<void> {
    answer.value = undefined
    file.value = { name: chosen.name, text: await textOf(chosen) }
    await look()
  }
  /** @returns what was written */
  async function write(): Promise<FileAnswer | undefined> {
    if (!file.value || !answer.value) return undefined
    const { mapping, format } = answer.value
    const body = { ...file.value, ...(format === 'csv' ? { mapping } : {}), write: true }
    const written = await post<FileAnswer>('/api/register/import', body)
    if (!written) return undefined
    drop()
    await loadEarlier()
    return written
  }
  function drop(): void {
    file.value = undefined
    answer.value = undefined
    problem.value = ''
  }
  async function takeBack(act: string): Promise<void> {
    await post('/api/register/take-back', { act })
    await loadEarlier()
  }
  async function loadEarlier(): Promise<void> {
    const response = await ask('/api/register/imports').catch(() => undefined)
    if (response?.ok) earlier.value = ((await response.json()) as { imports: TakenFile[] }).imports
  }
  return { file, answer, problem, busy, earlier, look, choose, write, drop, takeBack, loadEarlier }
}
