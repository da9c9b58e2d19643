import { bundle } from './bundle.mjs'

/** The demo's journal, its dates hung on the given day. */
export async function seedDemo(today) {
  const { demoEntries } = await import(await bundle('demo/demo-entries.ts', 'demo-entries'))
  return demoEntries(today)
}
