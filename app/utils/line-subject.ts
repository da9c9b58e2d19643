import { checkInfo } from '#core/knowledge/checks'

/** How the reading line names a check, so that only its value or outcome is left to write. */
export function lineSubject({ check, part, leads }: { check: string; part?: string; leads?: string }): string {
  if (part === 'start-capacitor') return 'start cap'
  if (part === 'run-capacitor') return 'run cap'
  if (leads) return leads.includes('start') ? 'start winding' : 'run winding'
  return checkInfo(check)?.words[0] ?? ''
}
