import type { LampHelp } from '#core/knowledge/practice/lamp-help'
import { usePractice } from '~/stores/practice'
import { practiceShop } from './practice-shop'

/** Begins a try at the pump of a code, and goes there. */
export async function comeToPump(code: string, lamp: LampHelp): Promise<void> {
  const id = await usePractice().begin(code, lamp, await practiceShop())
  await navigateTo(`/practice/${id}/call`)
}
