/**
 * The folders of core from top to bottom. Folders of one line may import each other without circles; each imports from
 * the lines below.
 */
export const CORE_LAYERS = [
  ['practice', 'handbook'],
  ['virtual'],
  ['workings'],
  ['papers', 'pumps', 'people', 'shelf'],
  ['visit'],
  ['questions'],
  ['planning'],
  ['decision'],
  ['takedown'],
  ['language', 'instruments'],
  ['diagnosis'],
  ['fits'],
  ['electrical', 'hydraulics', 'mechanics', 'energy', 'sound', 'logs'],
  ['motor'],
  ['knowledge'],
  ['judgement'],
  ['validation'],
  ['quantity'],
]

/**
 * A pattern of the imports that a folder of core may not make: folders above it, other top-level folders, frameworks,
 * Node.
 *
 * @param {string} folder
 * @param {number} depth how many folders below core the file stands: 1 in the folder itself, 2 in a folder of its own
 */
export function forbiddenFor(folder, depth) {
  const line = CORE_LAYERS.findIndex((names) => names.includes(folder))
  const above = CORE_LAYERS.slice(0, line).flat()
  const out = '\\.\\./'.repeat(depth)
  const upward = above.length > 0 ? `^${out}(${above.join('|')})/|^#core/(${above.join('|')})/|` : ''
  // The virtual pump is the engine's independent witness: it may not know what the engine believes.
  const beliefs =
    folder === 'virtual'
      ? '^(\\.\\./|#core/)(diagnosis/|decision/|planning/|visit/|' +
        'knowledge/(checks/(seen|measured)|faults/(fault-|kinds|model-types)|repairs/actions))|'
      : ''
  const outside =
    '(^|/)(app|server|scripts|demo)/|' +
    '^(vue|nuxt|pinia|h3|drizzle-orm|pg|node:|fs$|path$|@electric-sql|~|#app|#imports)'
  return `${beliefs}${upward}${outside}`
}
