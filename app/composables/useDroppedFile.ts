/** The file that was dropped somewhere, until the place that takes files in has it. */
export const useDroppedFile = () => useState<File | undefined>('dropped-file', () => undefined)
