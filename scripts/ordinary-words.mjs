// Writes core/knowledge/said/ordinary-words.ts: the words of ordinary English that lie within a slip of a word of the
// ear, so that a goat is never mended into a coat of the machine. From the word list of the package `dictionary-en`.
import { readFile, writeFile } from 'node:fs/promises'
import { fileURLToPath } from 'node:url'
import { createServer } from 'vite'

const here = (path) => fileURLToPath(new URL(path, import.meta.url))
const folder = process.argv[2] ?? here('../node_modules/dictionary-en')
const aff = await readFile(`${folder}/index.aff`, 'utf8')
const dic = await readFile(`${folder}/index.dic`, 'utf8')

const rules = new Map()
for (const line of aff.split('\n')) {
  const [kind, flag, strip, add, condition] = line.trim().split(/\s+/)
  if ((kind === 'SFX' || kind === 'PFX') && condition !== undefined && !/^\d+$/.test(add ?? ''))
    rules.set(flag, [
      ...(rules.get(flag) ?? []),
      { kind, strip: strip === '0' ? '' : strip, add: add.split('/')[0], condition },
    ])
}
const english = new Set()
for (const line of dic.split('\n').slice(1)) {
  const [word, flags = ''] = line.trim().split('/')
  if (!word) continue
  english.add(word)
  for (const flag of flags)
    for (const { kind, strip, add, condition } of rules.get(flag) ?? []) {
      const plus = add === '0' ? '' : add
      if (kind === 'SFX' && new RegExp(`${condition}$`).test(word) && word.endsWith(strip))
        english.add(word.slice(0, word.length - strip.length) + plus)
      if (kind === 'PFX' && new RegExp(`^${condition}`).test(word) && word.startsWith(strip))
        english.add(plus + word.slice(strip.length))
    }
}
const vite = await createServer({
  configFile: false,
  server: { middlewareMode: true, hmr: false, ws: false },
  optimizeDeps: { noDiscovery: true },
  logLevel: 'error',
})
const { lexicon } = await vite.ssrLoadModule(here('../core/language/lexicon.ts'))
const { meantWord } = await vite.ssrLoadModule(here('../core/language/slips.ts'))
const { words, slips } = lexicon()
const near = [...english].filter(
  (word) => /^[a-z]{4,}$/.test(word) && !words.has(word) && meantWord(word, slips) !== undefined,
)
await vite.close()
const lines = []
let line = ''
for (const word of near.sort()) {
  if (line.length + word.length > 110) {
    lines.push(line)
    line = ''
  }
  line += `${line ? ' ' : ''}${word}`
}
lines.push(line)
await writeFile(
  here('../core/knowledge/said/ordinary-words.ts'),
  `// Written by scripts/ordinary-words.mjs from the package dictionary-en; not by hand.

/** Words of ordinary English within a slip of a word of the ear: they are never mended into one. */
export const ORDINARY_WORDS: ReadonlySet<string> = new Set(
  \`
${lines.join('\n')}
\`
    .trim()
    .split(/\\s+/),
)
`,
)
console.log(`${near.length} ordinary words`)
