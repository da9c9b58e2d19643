import type { FunctionName } from '../../core/instruments/functions'
import type { InstrumentReading, InstrumentState } from '../../core/instruments/reading'

/** Where readings go, and word of how it stands with an instrument. */
export interface Listener {
  heard: (reading: InstrumentReading) => void
  stands: (state: Pick<InstrumentState, 'is' | 'says'>) => void
}

/** What hears one instrument, from its making until it is stopped. */
export interface Driver {
  /** What the lit check asks for, for an instrument whose dial is turned from here. */
  want: (name: FunctionName | undefined) => void
  stop: () => void
}
