import equal from 'fast-deep-equal'
import {
  isCorrection,
  isStrikeOut,
  type Content,
  type ContentKind,
  type ContentOf,
  type Correction,
  type Entry,
  type Recorded,
} from './entry.ts'
import { subjectsOf, type Subject } from './subjects.ts'

/** An entry as it stands now: with its latest correction, and whether it is struck out. */
export interface Line<C extends Content = Content> {
  readonly id: string
  /** The content that holds. */
  readonly content: C
  /** When it happened, ms. */
  readonly at: number
  /** When it was first written down. */
  readonly logged: string
  readonly struck: boolean
  /** Why it was struck, where that was said. */
  readonly why?: string
  /** Whether a correction holds in place of what was first written. */
  readonly corrected: boolean
  /** The newest correction or strike-out that still counts: striking that one takes it back. */
  readonly amendedBy: string | null
}

export interface AddReport {
  added: Entry[]
  /** Entries that were here already, letter for letter. */
  same: number
  /** The same id with other content: neither overwrites the other. */
  conflicts: { kept: Entry; came: Entry }[]
}

interface Slot {
  entry: Entry
  line: Line | null
}

class LineList {
  readonly lines: Line[] = []
  revision = 0
}

/** Total order of the fold: when it happened, when it was logged, id. */
function compare(a: Line, b: Line): number {
  return a.at - b.at || (a.logged < b.logged ? -1 : a.logged > b.logged ? 1 : a.id < b.id ? -1 : a.id > b.id ? 1 : 0)
}

/** Where a line stands, or would stand, in an ordered list. */
function placeOf(lines: readonly Line[], line: Line): number {
  // Nearly every entry is newer than all before it.
  const last = lines[lines.length - 1]
  if (!last || compare(last, line) < 0) return lines.length
  let low = 0
  let high = lines.length
  while (low < high) {
    const middle = (low + high) >> 1
    if (compare(lines[middle]!, line) < 0) low = middle + 1
    else high = middle
  }
  return low
}

/** Index of the first line at or after an instant. */
export function firstAtOrAfter(lines: readonly Line[], at: number): number {
  let low = 0
  let high = lines.length
  while (low < high) {
    const middle = (low + high) >> 1
    if (lines[middle]!.at < at) low = middle + 1
    else high = middle
  }
  return low
}

const byLogged = (a: Entry, b: Entry) => (a.logged < b.logged ? -1 : a.logged > b.logged ? 1 : a.id < b.id ? -1 : 1)

/**
 * The household's journal in memory: an append-only set of entries and, kept up to date with each one, the lines they
 * amount to, by subject and in order. What it holds depends only on which entries it was given, never on their order of
 * coming. A correction replaces content; of two, the later logged holds (ties: the greater id); a strike-out logged after
 * them strikes the line; a strike-out that is itself struck no longer counts, nor does a struck correction.
 */
export class Journal {
  #slots = new Map<string, Slot>()
  /** Corrections and strike-outs by the entry they name; also for entries not here yet. */
  #amendments = new Map<string, Entry[]>()
  #lists = new Map<Subject, LineList>()
  #cache = new Map<string, { lists: readonly LineList[]; revisions: number[]; value: unknown }>()
  #revision = 0

  /** Rises with every entry taken in. */
  get revision(): number {
    return this.#revision
  }

  /** How many entries there are, corrections and strike-outs included. */
  get size(): number {
    return this.#slots.size
  }

  /** Every entry as written, in the order they were logged. */
  entries(): Entry[] {
    return [...this.#slots.values()].map(({ entry }) => entry).sort(byLogged)
  }

  entry(id: string): Entry | undefined {
    return this.#slots.get(id)?.entry
  }

  /** The line an entry amounts to; undefined for corrections, strike-outs and ids not here. */
  line(id: string): Line | undefined {
    return this.#slots.get(id)?.line ?? undefined
  }

  /** The corrections and strike-outs of an entry, in the order they were logged. */
  amendments(id: string): readonly Entry[] {
    return this.#amendments.get(id) ?? []
  }

  /** All lines about a subject, struck ones too, in the order they happened. */
  about(subject: Subject): readonly Line[] {
    return this.#list(subject).lines
  }

  /** The lines of one kind that count (not struck), in the order they happened. */
  ofKind<K extends ContentKind>(kind: K): readonly Line<ContentOf<K>>[] {
    return this.derive(`of-kind:${kind}`, [`kind:${kind}`], () =>
      this.about(`kind:${kind}`).filter((line): line is Line<ContentOf<K>> => !line.struck),
    )
  }

  /**
   * Something worked out from the lines of some subjects, kept until one of those lists changes.
   * @param name what is worked out; with its subjects it names the answer
   */
  derive<T>(name: string, subjects: readonly Subject[], compute: () => T): T {
    const known = this.#cache.get(name)
    if (known?.lists.every((list, i) => list.revision === known.revisions[i])) return known.value as T
    const lists = subjects.map((subject) => this.#list(subject))
    const value = compute()
    this.#cache.set(name, { lists, revisions: lists.map(({ revision }) => revision), value })
    return value
  }

  /** Takes entries in. Those already here count as `same`; a different entry of a known id is reported and not taken. */
  add(entries: Iterable<Entry>): AddReport {
    const report: AddReport = { added: [], same: 0, conflicts: [] }
    for (const entry of entries) {
      const known = this.#slots.get(entry.id)
      if (known) {
        if (equal(known.entry, entry)) report.same++
        else report.conflicts.push({ kept: known.entry, came: entry })
        continue
      }
      this.#take(entry)
      report.added.push(entry)
    }
    return report
  }

  #take(entry: Entry): void {
    this.#slots.set(entry.id, { entry, line: null })
    this.#revision++
    const target = isStrikeOut(entry) ? entry.strikes : isCorrection(entry) ? entry.corrects : null
    if (target === null) return this.#settle(entry.id)
    const amendments = this.#amendments.get(target)
    if (amendments) amendments.push(entry)
    else this.#amendments.set(target, [entry])
    amendments?.sort(byLogged)
    this.#settle(target)
    // A strike-out may name a correction or a strike-out: then what that one named stands anew.
    const named = this.#slots.get(target)?.entry
    if (named && isStrikeOut(named)) this.#settle(named.strikes)
    else if (named && isCorrection(named)) this.#settle(named.corrects)
  }

  #isVoid(amendment: Entry): boolean {
    return this.amendments(amendment.id).some((by) => isStrikeOut(by))
  }

  /** Works a first entry's line out anew and puts it where it belongs. */
  #settle(id: string): void {
    const slot = this.#slots.get(id)
    if (!slot || isStrikeOut(slot.entry) || isCorrection(slot.entry)) return
    const { entry } = slot as { entry: Recorded }
    const kind = entry.content.kind
    const standing = this.amendments(id).filter(
      (amendment) =>
        !this.#isVoid(amendment) && (isStrikeOut(amendment) || (amendment as Correction).content.kind === kind),
    )
    const newest = standing[standing.length - 1]
    const correction = standing.findLast(isCorrection)
    const content = correction?.content ?? entry.content
    const struck = newest !== undefined && isStrikeOut(newest)
    const line: Line = {
      id,
      content,
      at: Date.parse(content.happened),
      logged: entry.logged,
      struck,
      ...(struck && newest.why !== undefined && { why: newest.why }),
      corrected: correction !== undefined,
      amendedBy: newest?.id ?? null,
    }
    if (slot.line) this.#remove(slot.line)
    slot.line = line
    for (const subject of subjectsOf(content)) {
      const list = this.#list(subject)
      list.lines.splice(placeOf(list.lines, line), 0, line)
      list.revision++
    }
  }

  #remove(line: Line): void {
    for (const subject of subjectsOf(line.content)) {
      const list = this.#list(subject)
      const place = placeOf(list.lines, line)
      if (list.lines[place] === line) list.lines.splice(place, 1)
      list.revision++
    }
  }

  #list(subject: Subject): LineList {
    let list = this.#lists.get(subject)
    if (!list) this.#lists.set(subject, (list = new LineList()))
    return list
  }
}
