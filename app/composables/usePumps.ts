/** The search over the register, as it stands in the address: what is typed, and which kind. */
export function usePumps() {
  const route = useRoute()
  const asText = (value: unknown) => (typeof value === 'string' ? value : '')
  const query = ref(asText(route.query.q))
  const kind = ref(asText(route.query.kind))
  const what = ref(asText(route.query.what))
  const asked = computed(() => ({ q: query.value, kind: kind.value, what: what.value }))
  watch(
    asked,
    (given) =>
      void navigateTo(
        { query: Object.fromEntries(Object.entries(given).filter(([, value]) => value !== '')) },
        { replace: true },
      ),
  )
  return { query, kind, what, ...useRegisterSearch(() => asked.value) }
}
