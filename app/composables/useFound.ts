import { useSelf } from '~/stores/self'
import type { FoundLine } from '~/utils/pumps-found'
import { STAGE_LABELS, STAGES } from '#core/knowledge/vocabulary'

/** One thing to go to. */
export interface Found {
  key: string
  label: string
  about: string
  to: string
}

const MOST_OF: Readonly<Record<string, number>> = { customer: 4, machine: 5 }
const MOST_OF_OTHERS = 2

/** Everything by its name: places, the stages of the open visit, and what the shop's register has. */
export function useFound(typed: Ref<string>) {
  const { visit } = useOpenVisit()
  const self = useSelf()
  const { found: register, problem } = useRegisterSearch(() =>
    typed.value.trim().length < 2 ? undefined : { q: typed.value },
  )
  const inRegister = computed((): Found[] =>
    (register.value?.groups ?? []).flatMap(({ what, lines }) =>
      lines
        .slice(0, MOST_OF[what] ?? MOST_OF_OTHERS)
        .map((line, index) => ({ key: `${what}${index}`, label: line.label, about: line.about, to: pathOf(line) })),
    ),
  )
  const places = computed((): Found[] => {
    const own = [...PLACES, ...CORNERS]
      .filter(({ asks }) => self.may(asks))
      .map(({ id, label, to }) => ({ key: id, label, about: 'a place', to }))
    const stages = visit.value
      ? STAGES.map((stage) => ({
          key: stage,
          label: STAGE_LABELS[stage],
          about: visit.value?.name ?? '',
          to: `/visits/${visit.value?.id}/${stage}`,
        }))
      : []
    const text = typed.value.trim()
    return text === '' ? own : [...own, ...stages].filter(({ label }) => isNamed(label, text))
  })
  return { found: computed(() => [...places.value, ...inRegister.value]), problem }
}

/** Where a line of the register leads. */
export function pathOf({ what, customerId, machineId, visitId }: FoundLine): string {
  if ((what === 'note' || what === 'finding') && visitId) return `/visits/${visitId}/test`
  return machineId ? `/pumps/${machineId}` : `/pumps/customers/${customerId}`
}
