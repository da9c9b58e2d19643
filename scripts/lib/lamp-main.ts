import { createReadStream, readFileSync, statSync } from 'node:fs'
import { dirname, resolve } from 'node:path'
import { createInterface } from 'node:readline'
import { keptForRuns } from '../../core/workings/define-working'
import { describeError, runByName, runLine, WORKINGS } from '../../core/workings/registry'

const USAGE = `npm run -s lamp -- NAME FILE|-     one working: JSON in, JSON out
npm run -s lamp -- batch FILE|-    one JSON object a line, {"working": NAME, "input": {…}}
npm run -s lamp -- backup FILE     the whole shop into one archive, also while its server runs
npm run -s lamp -- restore FILE    such an archive into an empty shop, of the same or the other kind
npm run -s lamp -- owner NAME      an invitation for the owner of a shop that has no people yet
NAME: ${[...WORKINGS.keys()].join(', ')}`

/** The command line: prints a result as JSON, or the same problem as HTTP and exits 2. */
export async function main([name, source]: readonly (string | undefined)[]): Promise<number> {
  if (!name || name === '--help' || name === 'help') {
    console.log(USAGE)
    return name ? 0 : 2
  }
  if (!source)
    return complain({
      title: `${name} needs a file, or - for standard input`,
      problems: [{ field: 'FILE', value: undefined, expected: 'a file’s path, or -' }],
    })
  try {
    if (name === 'batch') return await batch(source)
    const input: unknown = JSON.parse(readFileSync(source === '-' ? 0 : source, 'utf8'))
    console.log(JSON.stringify(runByName(name, withFile(name, input, source)), null, 2))
    return 0
  } catch (error) {
    if ((error as NodeJS.ErrnoException).code === 'ENOENT' || (error as NodeJS.ErrnoException).code === 'EISDIR')
      return complain({
        title: `${source} cannot be read`,
        problems: [{ field: 'FILE', value: source, expected: 'the path of a file, or -' }],
      })
    return complain(describeError(error))
  }
}

async function batch(source: string): Promise<number> {
  const input = source === '-' ? process.stdin : createReadStream(source)
  const opened = new Promise<void>((resolve, reject) => {
    if (source === '-') return resolve()
    input.once('open', () => resolve()).once('error', reject)
  })
  await opened
  const kept = keptForRuns()
  for await (const line of createInterface({ input, crlfDelay: Infinity }))
    if (line.trim()) process.stdout.write(`${JSON.stringify(runLine(line, kept, withFileOf(source)))}\n`)
  return 0
}

const withFileOf = (source: string) => (name: string, input: unknown) => withFile(name, input, source)

/** Workings of a file, and how it stands in their input. */
const OF_FILES: Readonly<Record<string, BufferEncoding>> = {
  'sound-tones': 'base64',
  'pressure-log': 'utf8',
  'current-trace': 'utf8',
}

/**
 * A file is named by its path here: beside the file that names it, or where the command is run. Over HTTP there is none
 * but the content itself.
 */
function withFile(name: string, input: unknown, source: string): unknown {
  const encoding = OF_FILES[name]
  const file = encoding && (input as { file?: unknown } | null)?.file
  if (typeof file !== 'string' || file.length > LONGEST_PATH) return input
  const [path] = [source === '-' ? '.' : dirname(source), '.'].map((folder) => resolve(folder, file)).filter(isFile)
  return path === undefined ? input : { ...(input as object), file: readFileSync(path).toString(encoding) }
}

/** What is longer is no path, but the content itself. */
const LONGEST_PATH = 1_000
const isFile = (path: string): boolean => statSync(path, { throwIfNoEntry: false })?.isFile() ?? false

function complain(problem: object): number {
  console.error(JSON.stringify(problem, null, 2))
  return 2
}
