import { useLive } from '~/stores/live'

/** The header in which an answer says which line had arrived last before it was worked out. */
const ARRIVAL = 'x-arrival'

/**
 * Asks the shop's server. What is written after its answer is heard of as it arrives.
 *
 * @throws TypeError where nobody answers
 */
export async function ask(path: string): Promise<Response> {
  const response = await fetch(path)
  const arrival = response.headers.get(ARRIVAL)
  if (arrival !== null) useLive().follow(Number(arrival))
  return response
}
