import { cpSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'

const BUILD = join(import.meta.dirname, '../../.output')
const HOME_PAGE = /(\{url:"\/",revision:")([0-9a-f])/
/** How the server knows its files again: by what it says of this one a browser sees that it is another. */
const ETAG = /("\/sw\.js": \{[^}]*?"etag": "\\")([^"]*?)(\\"")/

/** The next build of the app, as a browser sees it: a service worker whose files are others. */
export function nextBuild(): { serverDir: string; remove: () => void } {
  const folder = mkdtempSync(join(tmpdir(), 'pike-lamp-next-'))
  cpSync(BUILD, folder, { recursive: true, verbatimSymlinks: true })
  replace(join(folder, 'public/sw.js'), HOME_PAGE, (digit) => (digit === '0' ? '1' : '0'))
  replace(join(folder, 'server/chunks/nitro/nitro.mjs'), ETAG, (etag) => `${etag}-next`)
  return { serverDir: join(folder, 'server'), remove: () => rmSync(folder, { recursive: true, force: true }) }
}

function replace(file: string, pattern: RegExp, next: (was: string) => string): void {
  const text = readFileSync(file, 'utf8')
  const changed = text.replace(pattern, (_, before: string, was: string, after?: string) =>
    [before, next(was), typeof after === 'string' ? after : ''].join(''),
  )
  if (changed === text) throw new Error(`${file} has nothing that looks like ${pattern.source}.`)
  writeFileSync(file, changed)
}
