/** How much of the lamp is seen: nothing, a question that leads there, or all. */
export const LAMP_HELP = ['off', 'hint', 'on'] as const
export type LampHelp = (typeof LAMP_HELP)[number]
