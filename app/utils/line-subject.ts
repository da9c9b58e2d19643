/** Named here so that the pages find it without asking. */
export { lineSubject } from '#core/visit/line-subject'
