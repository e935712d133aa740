import type { Content } from '../journal/entry.ts'

/** Kinds of entries that change what is in some water, or who is in it: what speaks against them is asked before they are kept. */
const GUARDED_KINDS = [
  'arrival',
  'bath',
  'contact',
  'course-change',
  'course-start',
  'dose',
  'equipment',
  'expected',
  'feed',
  'move',
  'part-change',
  'part-setup',
  'pump-plan',
  'reading',
  'tank-change',
  'top-off',
  'water-change',
] as const satisfies readonly Content['kind'][]

export type GuardedKind = (typeof GUARDED_KINDS)[number]

const guarded: ReadonlySet<Content['kind']> = new Set(GUARDED_KINDS)

/** Whether anything can speak against a kind of entry. */
export const isGuarded = ({ kind }: Pick<Content, 'kind'>): boolean => guarded.has(kind)
