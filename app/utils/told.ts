import { NO_WAY } from './ask'

/** Tells the shop something, and what it says to that: what was asked for, or why not, in its words. */
export async function told<T>(
  path: string,
  method: 'POST' | 'PUT' | 'PATCH' | 'DELETE',
  body?: object,
): Promise<{ said: T } | { problem: string }> {
  const response = await fetch(path, {
    method,
    ...(body ? { headers: { 'content-type': 'application/json' }, body: JSON.stringify(body) } : {}),
  }).catch(() => undefined)
  if (!response) return { problem: NO_WAY }
  const said = (await response.json().catch(() => ({}))) as T & { title?: string }
  return response.ok ? { said } : { problem: said.title ?? response.statusText }
}
