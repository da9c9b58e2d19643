declare module 'jstat' {
  export const jStat: {
    beta: {
      /** The quantile of the beta distribution. */
      inv(share: number, alpha: number, beta: number): number
    }
  }
}
