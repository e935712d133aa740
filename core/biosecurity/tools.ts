import type { Act } from '../catalogue/courses/definitions.ts'
import { changed } from '../household/changed.ts'
import type { ContentOf } from '../journal/entry.ts'
import type { Journal } from '../journal/journal.ts'
import { isolated } from '../words/isolated.ts'
import { MS_PER_HOUR } from '../time/zone.ts'

/** A tool is clean again after a bleach and a day of drying, or a day of drying alone: quarantine.md 8. */
const DRY_HOURS = 24

/** A net, tongs, a cup, a siphon: a tool and whose it is. */
export interface Tool {
  id: string
  name: string
  /** The only tank that it may touch; undefined for one that is shared. */
  tankId: string | undefined
  /** When it was last made sterile, and from when it may be used elsewhere; null for never. */
  cleaned: { at: number; how: ContentOf<'gear-clean'>['how']; readyAt: number } | null
}

/** The household's tools that are in use, in the order they were set up. */
export function toolsOf(journal: Journal): Tool[] {
  return journal.derive('tools', ['kind:gear-setup', 'kind:gear-change', 'kind:gear-clean'], () => {
    const tools = new Map<
      string,
      Omit<ContentOf<'gear-setup'>, 'kind' | 'happened' | 'note'> & { retired?: boolean | undefined }
    >()
    for (const { content } of journal.ofKind('gear-setup')) tools.set(content.gearId, content)
    for (const { content } of journal.ofKind('gear-change')) {
      const tool = tools.get(content.gearId)
      if (tool) tools.set(content.gearId, changed<typeof tool>(tool, content.changes))
    }
    const cleaned = new Map<string, NonNullable<Tool['cleaned']>>()
    for (const { content, at } of journal.ofKind('gear-clean'))
      if (content.gearId !== undefined)
        cleaned.set(content.gearId, {
          at,
          how: content.how,
          readyAt: content.until === undefined ? at + DRY_HOURS * MS_PER_HOUR : Date.parse(content.until),
        })
    return [...tools.values()]
      .filter(({ retired }) => retired !== true)
      .map(({ gearId, name, tankId }) => ({
        id: gearId,
        name: isolated(name),
        tankId,
        cleaned: cleaned.get(gearId) ?? null,
      }))
  })
}

/** What is done with a net, a siphon, a cup or the hand in the water. */
const ACTS_WITH_TOOL: ReadonlySet<Act> = new Set(['bath', 'bench', 'change', 'move'])

/** Whether a task takes a tool into the water, so that it is asked whose the tool is. */
export const takesTool = (act: Act): boolean => ACTS_WITH_TOOL.has(act)

/**
 * Whether a tool has to be asked about before it goes into a tank: it is not that tank's own, and it may be wet of another
 * (quarantine.md 8, own tools).
 * @param now ms
 */
export const mayCross = (tool: Tool, tankId: string, now: number): boolean =>
  tool.tankId !== tankId && !isSterile(tool, now)

/** Whether a tool was bleached or dried for a day; whether it was in water since only the keeper can say. */
export const isSterile = ({ cleaned }: Tool, now: number): boolean => cleaned !== null && cleaned.readyAt <= now
