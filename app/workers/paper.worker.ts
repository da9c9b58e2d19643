import { expose } from 'comlink'
import type { TDocumentDefinitions } from 'pdfmake/interfaces'
import greek from '@fontsource/noto-sans/files/noto-sans-greek-400-normal.woff?url'
import bold from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-700-normal.woff?url'
import normal from '@fontsource/atkinson-hyperlegible-next/files/atkinson-hyperlegible-next-latin-400-normal.woff?url'
import { papersOf, type PaperAsked } from '#core/papers/papers'
import { FACES } from '#core/papers/faces'
import type { PaperName } from '#core/visit/entry'

const FILES: Readonly<Record<string, string>> = {
  [FACES.Text.normal]: normal,
  [FACES.Text.bold]: bold,
  [FACES.Greek.normal]: greek,
}

const paper = {
  /** A paper of a visit as PDF, written here as the shop would write it. */
  async print(name: PaperName, asked: PaperAsked): Promise<{ pdf: Uint8Array; date: string }> {
    const papers = papersOf(asked)
    return { pdf: await print(papers.document(name)), date: papers.date }
  },
}
export type PaperPrinter = typeof paper
expose(paper)

async function print(definition: TDocumentDefinitions): Promise<Uint8Array> {
  const { default: pdfMake } = await import('pdfmake/build/pdfmake')
  const files = Object.fromEntries(
    await Promise.all(
      Object.entries(FILES).map(async ([name, url]) => [name, await base64Of(await fetch(url))] as const),
    ),
  )
  const fonts = Object.fromEntries(
    Object.entries(FACES).map(([name, { normal: n, bold: b }]) => [name, { normal: n, bold: b }]),
  )
  return new Promise((done) => {
    pdfMake.createPdf(definition, undefined, fonts, files).getBuffer((buffer: Uint8Array) => done(buffer))
  })
}

async function base64Of(response: Response): Promise<string> {
  const bytes = new Uint8Array(await response.arrayBuffer())
  let text = ''
  for (let start = 0; start < bytes.length; start += 0x8000)
    text += String.fromCharCode(...bytes.subarray(start, start + 0x8000))
  return btoa(text)
}
