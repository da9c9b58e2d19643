/** The faces that papers are set in, by the names of their files; Greek letters (μ, Ω) come from one that has them. */
export const FACES = {
  Text: {
    normal: 'atkinson-hyperlegible-next-latin-400-normal.woff',
    bold: 'atkinson-hyperlegible-next-latin-700-normal.woff',
  },
  Greek: { normal: 'noto-sans-greek-400-normal.woff', bold: 'noto-sans-greek-400-normal.woff' },
} as const
