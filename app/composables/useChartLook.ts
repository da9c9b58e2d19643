import { computed, defineAsyncComponent } from 'vue'

/** The library comes with the first chart, not with the page. */
const Chart = defineAsyncComponent(() => import('vue3-apexcharts'))
const css = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim()

/**
 * How every chart looks here: our face and ink, thin rules, nothing that moves by itself. Key the chart by the scheme:
 * colours are read once.
 */
export function useChartLook() {
  const { scheme } = useScheme()
  const look = computed(() => ({
    chart: {
      toolbar: { show: false },
      zoom: { enabled: false },
      animations: { enabled: false },
      background: 'transparent',
      foreColor: css('--ink'),
      fontFamily: 'Atkinson Hyperlegible Next, Noto Sans, sans-serif',
    },
    theme: { mode: scheme.value === 'cellar' ? ('dark' as const) : ('light' as const) },
    dataLabels: { enabled: false },
    grid: { borderColor: css('--rule') },
  }))
  return { Chart, css, scheme, look }
}
