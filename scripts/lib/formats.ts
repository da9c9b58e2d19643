import { CHECKS } from '../../core/knowledge/checks/checks'
import { QUESTIONS } from '../../core/questions/questions'
import { ACCOUNT_LINES } from '../../core/decision/account'
import { CLAIM_MOVES } from '../../core/knowledge/repairs/returns'
import { BEARING_HEARD, BEARING_PLACES, DOUBTS, REASONS, WATER_HEARD } from '../../core/sound/verdicts'
import { DUE_KINDS, ENTRY_VERSION, MAILED_PAPERS, PROOF_OUTCOMES } from '../../core/visit/entry'
import {
  COMPLAINTS,
  CONSTRUCTIONS,
  FAULTS,
  GATES,
  STAGES,
  KINDS,
  MOTOR_TYPES,
  PARTS,
} from '../../core/knowledge/vocabulary'

type Schema = Record<string, unknown>
const ids = (table: object): Schema => ({ type: 'string', enum: Object.keys(table) })
const text = (maxLength?: number): Schema => ({ type: 'string', ...(maxLength ? { maxLength } : {}) })
const number: Schema = { type: 'number' }
const positive: Schema = { type: 'number', exclusiveMinimum: 0 }
const range: Schema = { type: 'array', items: positive, minItems: 2, maxItems: 2 }
const flag: Schema = { type: 'boolean' }
const date: Schema = { type: 'string', format: 'date' }
const instant: Schema = { type: 'string', format: 'date-time' }
const uuid: Schema = { type: 'string', format: 'uuid' }
const object = (properties: Record<string, Schema>, required: string[]): Schema => ({
  type: 'object',
  properties,
  required,
  additionalProperties: false,
})
const list = (items: Schema): Schema => ({ type: 'array', items })

const nameplate = object(
  {
    volts: positive,
    hertz: { enum: [50, 60] },
    motorType: ids(MOTOR_TYPES),
    horsepower: positive,
    serviceFactor: positive,
    fullLoadAmps: positive,
    serviceFactorAmps: positive,
    lockedRotorAmps: positive,
    codeLetter: text(2),
    poles: number,
    rpm: positive,
    frame: text(40),
    flange: text(40),
    runCapacitorMicrofarads: positive,
    runCapacitorVolts: positive,
    startCapacitorMicrofarads: { oneOf: [positive, range] },
    startCapacitorVolts: positive,
    capacitorTolerancePercent: positive,
    runWindingOhms: range,
    startWindingOhms: range,
    thermalClass: { enum: ['A', 'B', 'F', 'H'] },
  },
  ['volts'],
)
const installation = object(
  {
    cableAwg: text(8),
    cableMetres: positive,
    pumpCurve: list(object({ flowLitresPerSecond: number, headMetres: number }, ['flowLitresPerSecond', 'headMetres'])),
    cutInPsi: number,
    cutOutPsi: number,
    tankLitres: positive,
    liftMetres: number,
    pitDiameterMetres: positive,
    wellDepthMetres: positive,
    dutyHoursPerDay: number,
    onlySupply: flag,
    livestock: flag,
  },
  [],
)
const findingFields: Record<string, Schema> = {
  check: ids(CHECKS),
  value: { type: ['number', 'null'] },
  unit: text(20),
  outcome: text(40),
  part: ids(PARTS),
  lead: text(30),
  leads: text(40),
  method: { enum: ['off-circuit', 'under-load'] },
  setup: { enum: ['motor-alone', 'motor-and-cable', 'cable-alone', 'surface-motor'] },
  celsius: number,
  testVolts: positive,
  ageState: { enum: ['new', 'used'] },
  throughCable: flag,
  half: { enum: ['whole', 'motor', 'pump-end'] },
  at: text(40),
  clearanceMillimetres: number,
  code: text(40),
  error: number,
  range: number,
  instrument: text(60),
}
const customer = object({ id: uuid, name: text(120), place: text(200), phone: text(40), mail: text() }, [
  'id',
  'name',
  'place',
])
const machine = object(
  {
    id: uuid,
    customerId: uuid,
    siteId: uuid,
    name: text(120),
    kind: ids(KINDS),
    construction: ids(CONSTRUCTIONS),
    installedOn: date,
    warrantyUntil: date,
    nameplate,
    plateUnreadable: flag,
    installation,
    joints: list(
      object(
        {
          joint: text(60),
          count: { type: 'integer', minimum: 0, maximum: 200 },
          hand: { enum: ['right', 'left'] },
          tool: text(80),
        },
        ['joint'],
      ),
    ),
  },
  ['id', 'customerId', 'name', 'kind', 'construction', 'nameplate'],
)

const pieces: Schema = { type: 'integer', minimum: 0, maximum: 200 }
const BODIES: Record<string, Schema> = {
  'visit-opened': object(
    {
      customer,
      machine,
      scheduledAt: instant,
      plannedMinutes: { type: 'integer', minimum: 5, maximum: 1440 },
      callerSays: text(500),
    },
    ['customer', 'machine', 'scheduledAt', 'plannedMinutes', 'callerSays'],
  ),
  call: object(
    {
      complaints: list(ids(COMPLAINTS)),
      alreadyReplaced: list(ids(PARTS)),
      callerSays: text(500),
      since: text(120),
      withoutWater: flag,
    },
    ['complaints', 'alreadyReplaced', 'callerSays'],
  ),
  'machine-set': object({ machine }, ['machine']),
  planned: object({ at: instant, goesOn: flag, why: text(300) }, []),
  arranged: object(
    {
      from: instant,
      until: instant,
      partsAt: instant,
      people: { type: 'integer', minimum: 1, maximum: 6 },
      minutes: { type: 'integer', minimum: 5, maximum: 1440 },
    },
    [],
  ),
  cancelled: object({ why: text(300) }, ['why']),
  together: object({ with: uuid }, []),
  loaded: object({ item: text(120), loaded: flag }, ['item', 'loaded']),
  gate: object(
    {
      gate: ids(GATES),
      shut: flag,
      lines: list(object({ line: text(40), volts: number }, ['line', 'volts'])),
      seconds: number,
    },
    ['gate', 'shut'],
  ),
  finding: object({ ...findingFields, stage: { enum: ['test', 'prove'] } }, ['check', 'stage']),
  note: object({ text: text(2000), seenAndLeft: flag }, ['text', 'seenAndLeft']),
  photo: object(
    {
      hash: { type: 'string', pattern: '^[0-9a-f]{64}$' },
      type: { enum: ['image/jpeg', 'image/png', 'image/webp'] },
      bytes: { type: 'integer', minimum: 1 },
      name: text(200),
      of: uuid,
      caption: text(300),
    },
    ['hash', 'type', 'bytes', 'name'],
  ),
  recording: object(
    {
      hash: { type: 'string', pattern: '^[0-9a-f]{64}$' },
      type: { enum: ['audio/wav'] },
      bytes: { type: 'integer', minimum: 1 },
      name: text(200),
      seconds: number,
      side: { enum: ['motor', 'pump'] },
      rpm: number,
      mainsHertz: number,
      bearing: text(20),
      vanes: { type: 'integer', minimum: 1, maximum: 40 },
      heard: object(
        {
          bearing: object(
            {
              is: { enum: BEARING_HEARD },
              why: { enum: REASONS },
              place: { enum: BEARING_PLACES },
              or: { enum: BEARING_PLACES },
              hertz: number,
            },
            ['is'],
          ),
          water: object({ is: { enum: WATER_HEARD }, why: { enum: REASONS } }, ['is']),
          doubts: list({ enum: DOUBTS }),
          shaftHertz: number,
          strongestHertz: number,
          hissDecibels: number,
          turnDecibels: number,
        },
        ['bearing', 'water', 'doubts', 'strongestHertz', 'hissDecibels'],
      ),
    },
    ['hash', 'type', 'bytes', 'name', 'seconds', 'side', 'rpm', 'mainsHertz', 'heard'],
  ),
  'check-skipped': object({ check: ids(CHECKS), part: ids(PARTS), leads: text(40) }, ['check']),
  'cause-said': object({ fault: ids(FAULTS), verdict: { enum: ['not-this', 'it-was-this'] } }, ['fault', 'verdict']),
  'working-kept': object(
    { question: { enum: QUESTIONS.map(({ id }) => id) }, input: { type: 'object' }, units: { enum: ['us', 'metric'] } },
    ['question', 'input', 'units'],
  ),
  'post-mortem': object(
    { fault: ids(FAULTS), then: { ...list(ids(FAULTS)), maxItems: 8 }, why: text(1000), keeping: text(500) },
    ['fault', 'why', 'keeping'],
  ),
  decision: object({ option: text(60), spareFirst: flag }, ['option']),
  'take-down-found': object({ joint: text(60), part: ids(PARTS), what: { enum: ['stuck', 'damaged'] } }, ['what']),
  'take-down-measured': object(
    {
      pipeInches: number,
      celsius: number,
      bearingClearanceMm: number,
      outletHigherMm: number,
      oneBearing: flag,
      hot: flag,
    },
    [],
  ),
  step: object(
    {
      step: text(80),
      done: flag,
      count: pieces,
      places: list(object({ place: text(60), count: pieces }, ['place', 'count'])),
      reason: text(300),
      note: text(300),
      estimate: number,
    },
    ['step', 'done'],
  ),
  'joint-done': object({ joint: { enum: [...STAGES] } }, ['joint']),
  proof: object({ proof: text(40), outcome: { enum: [...PROOF_OUTCOMES] }, why: text(300) }, ['proof', 'outcome']),
  comeback: object({ failed: list(text(40)) }, ['failed']),
  'price-change': object(
    {
      label: text(200),
      amount: number,
      waives: { enum: ['work', 'all'] },
      own: ids(PARTS),
      kept: ids(PARTS),
      afterHours: number,
    },
    ['label'],
  ),
  'price-agreed': object({ by: text(120), price: number }, ['by', 'price']),
  'handed-over': object(
    {
      watch: text(2000),
      nextDate: date,
      price: number,
      priceWhy: text(300),
      due: list(object({ kind: { enum: [...DUE_KINDS] }, on: date, what: text(300) }, ['kind', 'on', 'what'])),
      lines: list(
        object({ label: text(300), amount: number, kind: { enum: [...ACCOUNT_LINES] } }, ['label', 'amount']),
      ),
      beside: list(object({ visit: uuid, issue: { type: 'integer', minimum: 0 } }, ['visit', 'issue'])),
    },
    ['watch'],
  ),
  signed: object(
    {
      by: text(120),
      hash: { type: 'string', pattern: '^[0-9a-f]{64}$' },
      width: { type: 'integer', minimum: 1 },
      height: { type: 'integer', minimum: 1 },
      strokes: list(list({ type: 'integer' })),
    },
    ['by', 'hash', 'width', 'height', 'strokes'],
  ),
  mailed: object(
    {
      paper: { enum: [...MAILED_PAPERS] },
      to: text(),
      mail: uuid,
      issue: { type: 'integer', minimum: 1 },
      by: { enum: ['folder', 'smtp'] },
    },
    ['paper', 'to', 'mail', 'by'],
  ),
  paid: object({ amount: number, on: date, how: text(80) }, ['amount', 'on']),
  claim: object(
    {
      part: ids(PARTS),
      identity: text(200),
      boughtOn: date,
      installedOn: date,
      warrantyUntil: date,
      complaint: text(1000),
      opened: flag,
      openedWhy: text(300),
      to: text(200),
      reference: text(80),
    },
    ['part', 'complaint', 'opened'],
  ),
  'claim-moved': object({ to: ids(CLAIM_MOVES), on: date, note: text(300) }, ['to', 'on']),
  retracted: object({}, []),
}

const entry = (kind: string): Schema =>
  object(
    {
      id: uuid,
      v: { type: 'integer', minimum: 1, maximum: ENTRY_VERSION },
      lamport: { type: 'integer', minimum: 1 },
      seen: list(uuid),
      visitId: uuid,
      kind: { const: kind },
      at: instant,
      author: text(80),
      supersedes: uuid,
      settles: list(uuid),
      body: BODIES[kind] as Schema,
    },
    ['id', 'visitId', 'kind', 'at', 'author', 'body', ...(kind === 'retracted' ? ['supersedes'] : [])],
  )

/** The schema of `*.visit.json`. */
export function visitSchema(): Schema {
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'Pike Lamp visit',
    description:
      'One whole visit: its journal and its pictures. Ids are those of the vocabulary; values are in canonical ' +
      'units. An id is a UUIDv7 in lower case. Lines are ordered by lamport, their logical time; those of a ' +
      'version 1 file stand in their order. settles names the rivals that a line decides against, seen the ' +
      'newest lines that its writer had before them.',
    ...object(
      {
        format: { const: 'pike-lamp-visit' },
        version: { enum: [1, 2] },
        visitId: uuid,
        entries: list({ oneOf: Object.keys(BODIES).map(entry) }),
        photos: list(
          object({ hash: { type: 'string', pattern: '^[0-9a-f]{64}$' }, type: text(), base64: text() }, [
            'hash',
            'type',
            'base64',
          ]),
        ),
      },
      ['format', 'version', 'visitId', 'entries'],
    ),
  }
}

/** The schema of the case that `diagnose` takes. */
export function diagnoseSchema(): Schema {
  const pump = object(
    {
      kind: ids(KINDS),
      construction: ids(CONSTRUCTIONS),
      ageYears: number,
      underWarranty: flag,
      nameplate,
      installation,
    },
    ['kind', 'nameplate'],
  )
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'Pike Lamp case',
    description: 'What a diagnosis starts from: command line, HTTP and files take the same.',
    ...object(
      {
        pump,
        complaints: list(ids(COMPLAINTS)),
        alreadyReplaced: list(ids(PARTS)),
        findings: list(object(findingFields, ['check'])),
        excluded: list(ids(FAULTS)),
        gates: list(ids(GATES)),
        skipped: list(text()),
      },
      ['pump'],
    ),
  }
}
