declare module 'jstat' {
  /** One CommonJS function with its parts: Node knows no named export of it. */
  const jStat: {
    beta: {
      /** The quantile of the beta distribution. */
      inv(share: number, alpha: number, beta: number): number
    }
  }
  export default jStat
}
