/** A number of things in words: `1 machine`, `4 machines`. */
export function counted(count: number, one: string, several = `${one}s`): string {
  return `${count} ${count === 1 ? one : several}`
}
