/** The text of a file: most are UTF-8; what is not is taken for what older office programs write. */
export async function textOf(file: Blob): Promise<string> {
  const bytes = await file.arrayBuffer()
  try {
    return new TextDecoder('utf-8', { fatal: true }).decode(bytes)
  } catch {
    return new TextDecoder('windows-1252').decode(bytes)
  }
}

/** A visit file is JSON, a register is a table or cards. */
export const isVisitFile = ({ name, type }: File): boolean => /\.json$/i.test(name) || type === 'application/json'
