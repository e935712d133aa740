import type { Content } from '../../journal/entry.ts'

/** What is wrong with an answer, by field. */
export type ActProblems = Readonly<Record<string, { message: string }>>

/** What a task's button keeps, or what is still missing; `proposed`: what it would keep in spite of a problem, for the safety checks. */
export type ActRead = { contents: Content[] } | { problems: ActProblems; proposed?: Content[] }

/** The contents of an answer; none where something is missing. */
export const contentsRead = (read: ActRead): Content[] => ('contents' in read ? read.contents : [])

/** What an answer would keep, whatever is wrong with it: what the guard is asked about while it is typed. */
export const proposedRead = (read: ActRead): Content[] => ('contents' in read ? read.contents : (read.proposed ?? []))
