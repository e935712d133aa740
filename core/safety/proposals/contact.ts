import { hadFishWithin, MEDIA_CLEAN_DAYS } from '../../courses/record/record-parts.ts'
import { tankById } from '../../household/tanks.ts'
import type { ContentOf } from '../../journal/entry.ts'
import type { Journal } from '../../journal/journal.ts'
import { concern, type Asking, type Concern } from '../concern.ts'
import { contextConcerns } from '../judge/interactions.ts'
import { isCopperAgent } from '../water/agents.ts'
import { contextsOfResident } from '../water/contexts.ts'
import { isInvertebrate } from '../water/residents.ts'
import { waterBetween } from '../water/state.ts'

/** What a wet thing soaks up and gives back: water, media, rock on a plug. A dry hand or a rinsed tool does not. */
const SOAKED: ReadonlySet<string> = new Set(['water', 'media', 'plug'])

/** Copper that comes with water, media or rock of a tank under copper, to invertebrates or corals. */
function copperConcerns(journal: Journal, { from, tankId, what }: ContentOf<'contact'>, at: number): Concern[] {
  if (from === undefined || !SOAKED.has(what)) return []
  const origin = waterBetween(journal, from, at)
  const water = waterBetween(journal, tankId, at)
  const copper = origin?.agents.filter(({ agent }) => isCopperAgent(agent)) ?? []
  if (!water || copper.length === 0) return []
  const name = origin!.tank.name
  return water.residents
    .filter(isInvertebrate)
    .flatMap(contextsOfResident)
    .flatMap((context) =>
      contextConcerns(context, copper).map((one) => ({ ...one, what: `${name} is under copper; ${context.what}` })),
    )
}

/** What something wet from another tank brings into this one. */
export function contactConcerns(journal: Journal, contact: ContentOf<'contact'>, _asking: Asking): Concern[] {
  const at = Date.parse(contact.happened)
  const { what, from, tankId } = contact
  const tank = tankById(journal, tankId)
  const name = from === undefined ? null : tankById(journal, from)?.name
  const brings = what === 'media' && (from === undefined || hadFishWithin(journal, from, at, MEDIA_CLEAN_DAYS))
  return [
    ...copperConcerns(journal, contact, at),
    ...(brings && from !== tankId
      ? [
          concern(
            'media-from-fish',
            'caution',
            name === null || name === undefined
              ? 'nobody knows which tank the media come from'
              : `fish lived in ${name} within the last four weeks`,
            `filter media carry their parasites into ${tank?.name ?? 'this tank'}: day counts of its fish, or without fish, restart`,
          ),
        ]
      : []),
  ]
}
