import type { BandProfileId, Water } from '../catalogue/parameter.types.ts'
import type { ContentOf } from '../journal/entry.ts'
import { isolated } from '../words/isolated.ts'
import { changed } from './changed.ts'
import type { Journal, Line } from '../journal/journal.ts'
import { tankVolume } from '../volume/volume.ts'
import type { TankVolume, VolumeSheet } from '../volume/volume.schema.ts'

export type TankRole = ContentOf<'tank-setup'>['role']
export type EquipmentItem = ContentOf<'equipment'>['item']

/** A tank as its journal entries leave it. */
export interface Tank {
  id: string
  name: string
  /** What the log line calls it. */
  short: string
  /** Whether the keeper gave the short name; else it is the first word of the name. */
  hasOwnShort: boolean
  water: Water
  role: TankRole
  profile: BandProfileId | undefined
  sheet: VolumeSheet | null
  /** Null while the sheet is not filled in, or leaves no water. */
  volume: TankVolume | null
  /** What the sheet alone comes to. */
  sheetNetL: number | null
  /** Whether the net volume is what doses and readings showed, and not the sheet's. */
  learnt: boolean
  contents: readonly string[]
  /** When its lights come on and go off, on the wall clock; undefined where it is not said. */
  lightsOn: string | undefined
  lightsOff: string | undefined
  /** Tanks less than 3 m away, as it was said. */
  near: readonly string[]
  retired: boolean
  /** When it was set up, ms. */
  since: number
}

/** The first word of a tank's name, as the log line takes it where no short name was given. */
const shortOf = (name: string): string => name.trim().split(/\s+/)[0]!.toLowerCase()

/** A set-up with a change. A sheet that is measured again speaks for itself again: what was learnt before it no longer holds. */
function withChange(setup: ContentOf<'tank-setup'>, { changes }: ContentOf<'tank-change'>): ContentOf<'tank-setup'> {
  const { learntL: _superseded, ...plain } = setup
  return changed<ContentOf<'tank-setup'>>(changes.sheet ? plain : setup, changes)
}

/** Net litres of a set-up: what doses and readings have shown, else what its sheet comes to; null while there is no sheet, or it leaves no water. */
function netLitresOf(setup: ContentOf<'tank-setup'>): number | null {
  const volume = setup.sheet && tankVolume(setup.sheet)
  return volume?.ok ? (setup.learntL ?? volume.value.netL) : null
}

function describe(id: string, lines: readonly Line[]): Tank | null {
  let setup: ContentOf<'tank-setup'> | null = null
  let since = 0
  for (const line of lines) {
    if (line.struck) continue
    const { content } = line
    if (content.kind === 'tank-setup') {
      setup = content
      since = line.at
    } else if (content.kind === 'tank-change') setup = setup && withChange(setup, content)
  }
  if (!setup) return null
  const sheet = setup.sheet ?? null
  const volume = sheet && tankVolume(sheet)
  return {
    id,
    name: isolated(setup.name),
    short: setup.short ?? shortOf(setup.name),
    hasOwnShort: setup.short !== undefined,
    water: setup.water,
    role: setup.role,
    profile: setup.profile as BandProfileId | undefined,
    sheet,
    volume: volume?.ok ? { ...volume.value, netL: netLitresOf(setup)! } : null,
    sheetNetL: volume?.ok ? volume.value.netL : null,
    learnt: setup.learntL !== undefined,
    contents: setup.contents ?? [],
    lightsOn: setup.lightsOn,
    lightsOff: setup.lightsOff,
    near: setup.near ?? [],
    retired: setup.retired ?? false,
    since,
  }
}

/** A tank, or null when the journal holds none of that id. */
export function tankById(journal: Journal, id: string): Tank | null {
  return journal.derive(`tank:${id}`, [`tank-definition:${id}`], () =>
    describe(id, journal.about(`tank-definition:${id}`)),
  )
}

/** A tank as it was described at an instant: what it held may have been another then. */
export function tankAt(journal: Journal, id: string, at: number): Tank | null {
  return (
    describe(
      id,
      journal.about(`tank-definition:${id}`).filter((line) => line.at <= at),
    ) ?? tankById(journal, id)
  )
}

/**
 * Net litres of a tank at an instant. A volume that doses and readings showed later is better knowledge of the same water, so
 * it holds back to when its sheet was filled in; a sheet that was measured again is another water.
 * @returns null where it is not worked out
 */
export function netVolumeAt(journal: Journal, id: string, at: number): number | null {
  let setup: ContentOf<'tank-setup'> | null = null
  let litres: number | null = null
  for (const { content, at: changedAt, struck } of journal.about(`tank-definition:${id}`)) {
    if (struck || (content.kind !== 'tank-setup' && content.kind !== 'tank-change')) continue
    const described = content.kind === 'tank-setup' ? content : content.changes
    if (changedAt > at && described.sheet && litres !== null) break
    setup = content.kind === 'tank-setup' ? content : setup && withChange(setup, content)
    litres = setup && netLitresOf(setup)
  }
  return litres
}

/** All tanks in the order they were set up, those taken down left out unless asked for. */
export function tanksOf(journal: Journal, { retired = false } = {}): Tank[] {
  const all = journal.derive('tanks', ['kind:tank-setup', 'kind:tank-change'], () => {
    const ids = new Set(journal.ofKind('tank-setup').map(({ content }) => content.tankId))
    return [...ids].flatMap((id) => tankById(journal, id) ?? [])
  })
  return retired ? all : all.filter((tank) => !tank.retired)
}

export interface Equipment {
  item: EquipmentItem
  running: boolean
  since: number
}

/** What stands at a tank and whether it runs. */
export const equipmentOf = (journal: Journal, tankId: string): Equipment[] =>
  journal.derive(`equipment:${tankId}`, ['kind:equipment'], () => equipmentAt(journal, tankId, Infinity))

/** What stood at a tank at an instant and whether it ran then. */
export function equipmentAt(journal: Journal, tankId: string, instant: number): Equipment[] {
  const items = new Map<EquipmentItem, Equipment>()
  for (const { content, at } of journal.ofKind('equipment')) {
    if (content.tankId !== tankId || at > instant) continue
    if (content.removed) items.delete(content.item)
    else items.set(content.item, { item: content.item, running: content.running, since: at })
  }
  return [...items.values()]
}

/** Carbon and resin that ran in a tank at an instant: they take medicine out of the water. */
export const bindersAt = (journal: Journal, tankId: string, instant: number): Equipment[] =>
  equipmentAt(journal, tankId, instant).filter(
    ({ item, running }) => running && (item === 'carbon' || item === 'resin'),
  )

export interface Kit extends Omit<ContentOf<'kit-setup'>, 'kind' | 'happened' | 'kitId' | 'note'> {
  id: string
}

/** The household's kits that are in use. */
export function kitsOf(journal: Journal): Kit[] {
  return journal.derive('kits', ['kind:kit-setup', 'kind:kit-change'], () => {
    const kits = new Map<string, Kit>()
    for (const { content } of journal.ofKind('kit-setup')) {
      const { kind: _kind, happened: _happened, note: _note, kitId, ...properties } = content
      kits.set(kitId, { id: kitId, ...properties, name: isolated(properties.name) })
    }
    for (const { content } of journal.ofKind('kit-change')) {
      const kit = kits.get(content.kitId)
      if (kit) kits.set(content.kitId, { ...kit, ...content.changes })
    }
    return [...kits.values()].filter((kit) => !kit.retired)
  })
}

/** The kit that reads a parameter in a tank: the tank's own before a shared one; null where neither is on record. */
export function kitFor(journal: Journal, tankId: string, parameter: string): Kit | null {
  const kits = kitsOf(journal).filter((kit) => kit.parameter === parameter)
  return kits.find((kit) => kit.tankId === tankId) ?? kits.find((kit) => kit.tankId === undefined) ?? null
}
