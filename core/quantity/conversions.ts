/** Factors that are needed inside a formula; what somebody writes or reads goes through `units`. */

/** The international foot, exact. */
export const METRES_PER_FOOT = 0.3048
/** From the pound-force per square inch, NIST SP 811. */
export const KPA_PER_PSI = 6.894757
/** Cold fresh water, 1000 kg/m³. */
export const PSI_PER_METRE_OF_WATER = 1.4223
/** The horsepower of American motor plates, NEMA MG 1. */
export const WATTS_PER_HORSEPOWER = 746
/** The Julian year. */
export const MILLISECONDS_PER_YEAR = 365.25 * 24 * 3600 * 1000
