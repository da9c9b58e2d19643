import { plainToInstance, Type } from 'class-transformer'
import { Equals, IsArray, IsInt, IsISO8601, Matches, Max, Min, ValidateNested, validateSync } from 'class-validator'

export const [JOURNAL_PART, PEOPLE_PART, MANIFEST_PART] = ['journal.jsonl', 'people.json', 'manifest.json'] as const
export const [PHOTOS, OUTLET] = ['photos/', 'outlet/'] as const
export const BACKUP_FORMAT = 'pike-lamp-backup'
/** The second may hold people. */
export const BACKUP_VERSION = 2
/** What may stand in a backup, so that none can write anywhere else. */
export const PART_NAME = /^(journal\.jsonl|people\.json|photos\/[0-9a-f]{64}|outlet\/[0-9a-f-]{36}\.eml)$/

/** One file of a backup. */
export class BackupPart {
  @Matches(PART_NAME) name!: string
  @IsInt() @Min(0) bytes!: number
  @Matches(/^[0-9a-f]{64}$/) sha256!: string
}

/** What stands at the end of a backup: everything that is in it, by its checksum. */
export class BackupManifest {
  @Equals(BACKUP_FORMAT) format!: string
  @IsInt() @Min(1) @Max(BACKUP_VERSION) version!: number
  @IsISO8601() madeAt!: string
  @IsInt() @Min(0) lines!: number
  @IsArray() @ValidateNested({ each: true }) @Type(() => BackupPart) parts!: BackupPart[]
}

/** The file is no whole backup of this program, or not as it was made. */
export class NoBackup extends Error {}

/** @throws NoBackup */
export function readManifest(text: string): BackupManifest {
  let plain: unknown
  try {
    plain = JSON.parse(text)
  } catch {
    throw new NoBackup('Its list of contents cannot be read.')
  }
  const manifest = plainToInstance(BackupManifest, plain)
  if (typeof plain !== 'object' || plain === null || validateSync(manifest).length > 0)
    throw new NoBackup(`Its list of contents is not that of a ${BACKUP_FORMAT} of version ${BACKUP_VERSION} or before.`)
  return manifest
}
