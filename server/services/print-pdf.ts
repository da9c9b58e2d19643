import { existsSync, readFileSync } from 'node:fs'
import { dirname, join } from 'node:path'
import { fileURLToPath } from 'node:url'
import PdfPrinter from 'pdfmake'
import type { TDocumentDefinitions } from 'pdfmake/interfaces'
import { FACES } from '../../core/papers/faces'

/** A document as PDF, its faces embedded. */
export function printPdf(definition: TDocumentDefinitions): Promise<Buffer> {
  const document = new PdfPrinter(fonts()).createPdfKitDocument(definition)
  return new Promise((resolve, reject) => {
    const chunks: Buffer[] = []
    document.on('data', (chunk: Buffer) => chunks.push(chunk))
    document.on('end', () => resolve(Buffer.concat(chunks)))
    document.on('error', reject)
    document.end()
  })
}

let loaded: ConstructorParameters<typeof PdfPrinter>[0] | undefined

function fonts(): ConstructorParameters<typeof PdfPrinter>[0] {
  const face = (file: string) => readFileSync(fontPath(file)) as unknown as string
  loaded ??= Object.fromEntries(
    Object.entries(FACES).map(([name, { normal, bold }]) => [name, { normal: face(normal), bold: face(bold) }]),
  )
  return loaded
}

function fontPath(file: string): string {
  const here = dirname(fileURLToPath(import.meta.url))
  const [, family] = /^(.*?)-(?:latin|greek)-/.exec(file) ?? []
  const candidates = [
    join(process.cwd(), '.output/server/fonts', file),
    ...['fonts', '../fonts', '../../fonts', '../../../fonts'].map((up) => join(here, up, file)),
    join(process.cwd(), 'node_modules/@fontsource', family ?? '', 'files', file),
  ]
  const found = candidates.find((path) => existsSync(path))
  if (!found) throw new Error(`The sheet's font ${file} is missing from the build.`)
  return found
}
