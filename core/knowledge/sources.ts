import type { Basis, BasisKind } from '../judgement/judgement'
import * as checksMeasuredElectrical from './checks/measured-electrical'
import * as checksMeasuredWater from './checks/measured-water'
import * as checksReach from './checks/reach'
import * as checksSeenElectrical from './checks/seen-electrical'
import * as checksSeenMechanical from './checks/seen-mechanical'
import * as checksSafety from './checks/safety'
import * as checksSeenTrials from './checks/seen-trials'
import * as checksSeenWater from './checks/seen-water'
import * as checksStandstill from './checks/standstill'
import * as checksTellsAsMuch from './checks/tells-as-much'
import * as constructionsAssemblies from './constructions/assemblies'
import * as constructionsTables from './constructions'
import * as constructionsJoint from './constructions/joint'
import * as constructionsOrder from './constructions/order-rules'
import * as electricalLimits from './electrical/limits'
import * as electricalMotors from './electrical/motors'
import * as electricalTypicalMotor from './electrical/typical-motor'
import * as electricalWire from './electrical/wire'
import * as electricalWiring from './electrical/wiring'
import * as faultsEchoes from './faults/echoes'
import * as faultsFaultComplaints from './faults/fault-complaints'
import * as faultsFaultPairs from './faults/fault-pairs'
import * as faultsFaultRates from './faults/fault-rates'
import * as faultsFaultTraits from './faults/fault-traits'
import * as faultsHazard from './faults/hazard'
import * as faultsKinds from './faults/kinds'
import * as faultsLives from './faults/lives'
import * as faultsModelTypes from './faults/model-types'
import * as faultsThresholds from './faults/thresholds'
import * as fitsElectric from './fits/electric'
import * as fitsMechanical from './fits/mechanical'
import * as fitsORings from './fits/o-rings'
import * as fitsPipeEnds from './fits/pipe-ends'
import * as fitsWater from './fits/water'
import * as mechanicalBearingInsides from './mechanical/bearing-insides'
import * as mechanicalBearings from './mechanical/bearings'
import * as mechanicalSoundLimits from './mechanical/sound-limits'
import * as mechanicalLimits from './mechanical/limits'
import * as mechanicalMotorFit from './mechanical/motor-fit'
import * as practiceSkillModel from './practice/skill-model'
import * as repairsActionsHouseWater from './repairs/actions-house-water'
import * as repairsActionsPit from './repairs/actions-pit'
import * as repairsActionsSupply from './repairs/actions-supply'
import * as repairsActionsSurface from './repairs/actions-surface'
import * as repairsCures from './repairs/cures'
import * as repairsIdentities from './repairs/identities'
import * as repairsJobs from './repairs/jobs'
import * as repairsOwnerWords from './repairs/owner-words'
import * as repairsProofs from './repairs/proofs'
import * as repairsReturns from './repairs/returns'
import * as shopDay from './shop/day'
import * as shopForecast from './shop/forecast'
import * as shopLearning from './shop/learning'
import * as shopLoading from './shop/loading'
import * as shopPractices from './shop/practices'
import * as shopRates from './shop/rates'
import * as shopSeasons from './shop/seasons'
import * as shelfKeeping from './shelf/keeping'
import * as shelfMoves from './shelf/moves'
import * as shelfPrices from './shelf/prices'
import * as shopShelf from './shop/shelf'
import * as shopShelves from './shop/shelves'
import * as shopStakes from './shop/stakes'
import * as shopUrgency from './shop/urgency'
import * as waterDowntime from './water/downtime'
import * as waterDropPipes from './water/drop-pipes'
import * as waterLogLimits from './water/log-limits'
import * as waterPipes from './water/pipes'
import * as waterPressures from './water/pressures'
import * as waterPumps from './water/pumps'
import * as waterSizing from './water/sizing'
import * as waterWater from './water/water'

/** One source of figures, under the trade that it is first met in. */
export interface Source extends Basis {
  trade: string
  /** Written down from memory: its print has not been compared. */
  fromMemory: boolean
}

const TRADES: readonly { trade: string; tables: readonly object[] }[] = [
  {
    trade: 'Electricity',
    tables: [electricalLimits, electricalMotors, electricalTypicalMotor, electricalWire, electricalWiring],
  },
  {
    trade: 'Water',
    tables: [
      waterDowntime,
      waterDropPipes,
      waterLogLimits,
      waterPipes,
      waterPressures,
      waterPumps,
      waterSizing,
      waterWater,
    ],
  },
  {
    trade: 'Mechanics',
    tables: [mechanicalBearings, mechanicalBearingInsides, mechanicalSoundLimits, mechanicalLimits, mechanicalMotorFit],
  },
  {
    trade: 'Checks',
    tables: [
      checksMeasuredElectrical,
      checksMeasuredWater,
      checksReach,
      checksSeenElectrical,
      checksSeenMechanical,
      checksSafety,
      checksSeenTrials,
      checksSeenWater,
      checksStandstill,
      checksTellsAsMuch,
    ],
  },
  {
    trade: 'Causes',
    tables: [
      faultsEchoes,
      faultsFaultComplaints,
      faultsFaultPairs,
      faultsFaultRates,
      faultsFaultTraits,
      faultsHazard,
      faultsKinds,
      faultsLives,
      faultsModelTypes,
      faultsThresholds,
    ],
  },
  {
    trade: 'Repairs',
    tables: [
      repairsActionsHouseWater,
      repairsActionsPit,
      repairsActionsSupply,
      repairsActionsSurface,
      repairsCures,
      repairsIdentities,
      repairsJobs,
      repairsOwnerWords,
      repairsProofs,
      repairsReturns,
    ],
  },
  {
    trade: 'Take-down',
    tables: [constructionsAssemblies, constructionsTables, constructionsJoint, constructionsOrder],
  },
  {
    trade: 'The shop',
    tables: [
      shopDay,
      shopForecast,
      shopLearning,
      shopLoading,
      shopPractices,
      shopRates,
      shopSeasons,
      shopShelf,
      shopShelves,
      shopStakes,
      shopUrgency,
    ],
  },
  {
    trade: 'Parts',
    tables: [fitsElectric, fitsMechanical, fitsORings, fitsPipeEnds, fitsWater, shelfKeeping, shelfMoves, shelfPrices],
  },
  { trade: 'Practice', tables: [practiceSkillModel] },
]

const ORDER: readonly BasisKind[] = ['standard', 'handbook', 'maker', 'common-practice', 'shop']

/** Every source that a figure of the knowledge names, once: trade by trade, the published before the estimated. */
export function sources(): Source[] {
  const found = new Map<string, Source>()
  for (const { trade, tables } of TRADES)
    for (const { kind, name } of basesIn(tables))
      if (!found.has(`${kind} ${name}`))
        found.set(`${kind} ${name}`, { trade, kind, name, fromMemory: name.includes('from memory') })
  const rank = ({ trade, kind }: Source) =>
    TRADES.findIndex((row) => row.trade === trade) * ORDER.length + ORDER.indexOf(kind)
  return [...found.values()].sort((a, b) => rank(a) - rank(b))
}

/** Every basis anywhere inside tables. */
export function* basesIn(value: unknown): Generator<Basis> {
  if (typeof value !== 'object' || value === null) return
  if (isBasis(value)) yield value
  else for (const inner of Object.values(value)) yield* basesIn(inner)
}

function isBasis(value: object): value is Basis {
  return 'kind' in value && (ORDER as readonly unknown[]).includes(value.kind) && 'name' in value
}
