import { availableParallelism } from 'node:os'
import { KINDS, type Kind } from '#core/knowledge/vocabulary'
import { HARDNESS, type Hardness } from '#core/knowledge/practice/case-code'
import { skillFrom } from '#core/practice/skills'
import { runAll } from '../run-all'
import type { Row, Task } from './worker'

const LEARNERS: readonly Task['learner'][] = ['lamp', 'book', 'chance']

export async function runBench({
  runs,
  seed,
  workerFile,
}: {
  runs: number
  seed: number
  workerFile: URL
}): Promise<void> {
  const started = Date.now()
  const [kinds, hard] = [Object.keys(KINDS) as Kind[], Object.keys(HARDNESS) as Hardness[]]
  const tasks = Array.from({ length: runs }, (_, at): Task => {
    const turn = Math.floor(at / LEARNERS.length)
    return {
      kind: kinds[turn % kinds.length] as Kind,
      hardness: hard[Math.floor(turn / kinds.length) % hard.length] as Hardness,
      seed: seed + turn,
      learner: LEARNERS[at % LEARNERS.length] as Task['learner'],
    }
  })
  const rows = await runAll<Task, Row>(tasks, workerFile)
  console.log(
    `${rows.length} practice runs, seeds from ${seed}; ${rows.filter((row) => !row.isEnded).length} without an end\n`,
  )
  console.log('learner    runs  found %  hurt %  minutes  over best  needless  missed  marks %  skill, its span')
  for (const learner of LEARNERS)
    console.log(
      line(
        learner,
        rows.filter((row) => row.learner === learner),
      ),
    )
  console.log('\nBy how hard (found %, lamp / book / chance):')
  for (const id of hard)
    console.log(
      `  ${HARDNESS[id].padEnd(28)}${LEARNERS.map((learner) =>
        percent(
          rows.filter((row) => row.hardness === id && row.learner === learner),
          ({ isFound }) => isFound,
        ),
      ).join(' / ')}`,
    )
  console.log(`\n${((Date.now() - started) / 1000).toFixed(0)} s on ${availableParallelism()} cores`)
}

const mean = (rows: readonly Row[], of: (row: Row) => number) =>
  rows.reduce((sum, row) => sum + of(row), 0) / Math.max(1, rows.length)
const percent = (rows: readonly Row[], is: (row: Row) => boolean) =>
  String(Math.round(100 * mean(rows, (row) => Number(is(row)))))

const hundred = (share: number) => (100 * share).toFixed(0)

function line(learner: string, rows: readonly Row[]): string {
  const skill = skillFrom(rows.map(({ right, of }) => ({ right, of, counts: 1 })))
  const marks = rows.reduce((sum, { right }) => sum + right, 0) / rows.reduce((sum, { of }) => sum + of, 0)
  const figures = [
    String(rows.length).padStart(6),
    percent(rows, ({ isFound }) => isFound).padStart(9),
    percent(rows, ({ harms }) => harms > 0).padStart(8),
    mean(rows, ({ minutes }) => minutes)
      .toFixed(0)
      .padStart(9),
    mean(rows, ({ minutes, best }) => minutes - best)
      .toFixed(0)
      .padStart(11),
    mean(rows, ({ needless }) => needless)
      .toFixed(1)
      .padStart(10),
    mean(rows, ({ missed }) => missed)
      .toFixed(1)
      .padStart(8),
    (100 * marks).toFixed(0).padStart(9),
    `${hundred(skill.estimate).padStart(7)}, ${hundred(skill.low)} to ${hundred(skill.high)}`,
  ]
  return `${learner.padEnd(9)}${figures.join('')}`
}
